/** The way into the thread: its source is TypeScript, which threads of this Node cannot be told to read by a flag. */
import { createRequire } from 'node:module';
import 'tsx/cjs';

createRequire(import.meta.url)('./thread.ts');
