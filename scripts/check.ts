import { checkAll } from './lib/steps';
import { runCommand } from './lib/say';

runCommand(checkAll);
