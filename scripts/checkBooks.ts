import fs from 'node:fs';
import path from 'node:path';
import { checkBooks } from '../src/data/checkBooks';
import { startCluster } from './lib/cluster';
import { dataFolder } from './lib/dataFolder';
import { Refusal, runCommand, say } from './lib/say';

const MOST_SHOWN = 20;

/** Rebuilds every balance from the movements and says what differs; exits non-zero when anything does. */
runCommand(async () => {
  const folder = dataFolder(process.argv[2] === 'demo' ? 'demo' : 'studio');
  const given = process.env['DATABASE_URL'] || undefined;
  if (!given && !fs.existsSync(path.join(folder, 'secrets.json')))
    throw new Refusal(`There are no books in ${path.relative('.', folder)} yet; start the studio first.`);
  const cluster = given ? undefined : await startCluster(folder);
  // A cluster that a running studio uses is left running.
  const mine = !fs.existsSync(path.join(folder, 'running.json'));
  try {
    const { stockPieces, movements, pieces, differences } = await checkBooks(
      given ?? cluster?.ownerUrl ?? '',
    );
    say(`${movements} movements rebuilt into ${stockPieces} lengths of wire and ${pieces} finished pieces.`);
    for (const { studio, what, kept, rebuilt } of differences.slice(0, MOST_SHOWN))
      say(`  ${what} (studio ${studio}): kept ${kept}, rebuilt ${rebuilt}`);
    if (differences.length > 0)
      throw new Refusal(
        `${differences.length} ${differences.length === 1 ? 'balance differs' : 'balances differ'} from the movements.`,
      );
    say('The books agree: every length and every cost follows from its movements.');
  } finally {
    if (mine) cluster?.stop();
  }
});
