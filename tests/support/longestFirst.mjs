import Sequencer from '@jest/test-sequencer';

/** Files that take longest, longest first: begun last, one of them would be waited for alone. */
const LONG = [
  'conservation.integration',
  'migrationKill.integration',
  'techniques/randomPieces1',
  'techniques/randomPieces2',
  'calculate/anyQuestion',
  'paper/paper',
  'techniques/technique',
  'cuttingStock/solve',
  'demo.integration',
  'batchWork.integration',
  'crash.integration',
  'run.integration',
];

/** Runs what takes longest first, whatever is known of former runs: a fresh clone knows nothing. */
export default class LongestFirst extends Sequencer {
  sort(tests) {
    const rank = ({ path }) => {
      const at = LONG.findIndex((part) => path.includes(part));
      return at < 0 ? LONG.length : at;
    };
    return [...super.sort(tests)].sort((a, b) => rank(a) - rank(b));
  }
}
