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
  const [bare, kept, sides, ...ends] = saidChecks(frame);
  expect(bare).toMatch(/^Of its stone (\d\d) % of the face and (\d\d|100) % of the back are bare\.$/);
  expect(kept).toMatch(
    /^How its stone is kept: in front at most \d+° stand open, at the [a-z ]+, and the opening is at least [\d.]+ mm smaller than the stone; behind .+\.$/,
  );
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
  expect(saidChecks(plain)[2]).toMatch(/: alike\.$/);
});

describe('how a stone is kept', () => {
  const saidOf = (values: object) =>
    saidChecks(pieceOf([['frame', 'bundle-frame', { bail: 4, ...values }]])).find((said) =>
      /stone is kept|neither in front/.test(said),
    );

  it('is well when holds leave less than about 120° open', () => {
    expect(saidOf({ holds: 4, bound: 4 })).not.toMatch(/add a hold|Nothing keeps/);
  });

  it('is poor, or lost, when they leave more, and says where a hold is missing', () => {
    expect(saidOf({ holds: 1, bound: 4 })).toMatch(
      /It slides out of an arc of 180° or more: add a hold in front at the (top|upper left|upper right)\. It slides out/,
    );
  });

  it('is by nothing when nothing comes over its edge', () => {
    expect(saidOf({ holds: 2, reach: 0, bound: 0 })).toBe(
      'Nothing lies over the edge of its stone, neither in front nor behind: something else must keep it.',
    );
  });

  it('is by bands that cross it, wherever they lie', () => {
    const { run } = planOf('band-frame');
    const said = run && saidChecks({ run, hang: undefined });
    expect(said?.[1]).toBe(
      'How its stone is kept: in front 4 bands of wire cross it; behind 4 bands of wire cross it.',
    );
  });
});
