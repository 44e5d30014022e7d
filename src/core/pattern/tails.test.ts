import { mm } from '../units/length';
import { tailsOf } from './tails';

// Common practice: what is held at both ends is trimmed as two pieces; wire that is filed, hammered or wound away does not come back.
it.each<[string, readonly number[]]>([
  ['handling tails', [15, 15]],
  ['tails', [15, 15]],
  ['held at the ends', [15, 15]],
  ['tail', [30]],
  ['held and trimmed', [30]],
  ['flush trim', []],
  ['first bend and last turn', []],
  ['up to a round cut', []],
  ['detail', []],
  ['overlap and tails', []],
])('%s', (name, pieces) => {
  expect(tailsOf({ allowances: [{ name, length: mm(30) }] })).toEqual(pieces.map(mm));
});
