import path from 'node:path';
import { parseArgs } from 'node:util';
import { checkBooks } from '../src/data/checkBooks';
import { dropClosings } from '../src/data/dropClosings';
import { clusterOf, startCluster } from './lib/cluster/cluster';
import { dataFolder } from './lib/dataFolder';
import { isServed } from './lib/lock';
import { Refusal, runCommand, say } from './lib/say';

const MOST_SHOWN = 20;

/**
 * Rebuilds every balance from the movements and says what differs; exits non-zero when anything does. With --rebuild the
 * month closings, which are only a cache, are dropped first.
 */
runCommand(async () => {
  const { values, positionals } = parseArgs({
    options: { rebuild: { type: 'boolean', default: false } },
    allowPositionals: true,
  });
  const folder = dataFolder(positionals[0] === 'demo' ? 'demo' : 'studio');
  const given = process.env['DATABASE_URL'] || undefined;
  if (!given && clusterOf(folder) === undefined)
    throw new Refusal(`There are no books in ${path.relative('.', folder)} yet; start the studio first.`);
  // A cluster that a running studio uses is left running.
  const mine = !isServed(folder);
  const cluster = given ? undefined : await startCluster(folder);
  const ownerUrl = given ?? cluster?.ownerUrl ?? '';
  try {
    if (values.rebuild) {
      const months = await dropClosings(ownerUrl);
      say(`${months} closed months dropped; they are closed again when somebody looks back.`);
    }
    const { stockPieces, movements, pieces, differences } = await checkBooks(ownerUrl);
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
