import { pieceOf } from '../../../tests/support/acts';
import { planOf } from '../../../tests/support/techniques';
import { middleOf, saidChecks } from './pieceChecks';

const frame = pieceOf([
  ['frame', 'bundle-frame', { bail: 6, bound: 0 }],
  [
    'aside',
    'bent-ends',
    { about: 6, degrees: 90, way: 'to the right', after: 8 },
    { ends: ['frame.right 1'] },
  ],
]);

it('says what of its stone is bare, by how much its sides differ, and which ends point to the skin', () => {
  const [bare, sides, ...ends] = saidChecks(frame);
  expect(bare).toMatch(/^Of its stone (\d\d) % of the face and (\d\d|100) % of the back are bare\.$/);
  // One end is bent to the right, over the stone's own width.
  const [, left, right, apart] =
    /^It reaches ([\d.]+) mm to the left of its middle and ([\d.]+) mm to the right: ([\d.]+) mm apart\.$/.exec(
      sides ?? '',
    ) ?? [];
  expect(Number(right)).toBeGreaterThan(Number(left) + 1);
  expect(Number(right) - Number(left)).toBeCloseTo(Number(apart), 0);
  expect(ends).toEqual([]);
});

it('says that sides are alike, and has a middle where there is no stone', () => {
  const { run } = planOf('spiral-cage');
  if (!run) throw new Error('it is told by the ways of its wires');
  expect(middleOf({ run, hang: undefined })).toBeCloseTo(0, 9);
  // What neither hangs nor holds a stone has no sides that could differ.
  const { run: spiral } = planOf('flat-spiral');
  expect(spiral && saidChecks({ run: spiral, hang: undefined })).toEqual([]);
  const plain = pieceOf([['frame', 'bundle-frame', { bail: 0, bound: 0 }]]);
  expect(saidChecks(plain)[1]).toMatch(/: alike\.$/);
});
