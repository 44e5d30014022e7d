import fc from 'fast-check';
import { pieceOf, type Told } from '../../../tests/support/acts';
import { BUNDLE_PENDANT } from '../../../tests/support/wholePieces';
import { allOf } from '../drawing/look';
import { lengthOfPath } from '../geometry/path';
import { distance3, minus3, vec3 } from '../geometry/vec3';
import { gramsOfPiece, hangingOf } from './hangs';
import { hangingTurn, hungRun } from './hung';

const copper = allOf('copper');

/** With a curl that pulls it to one side. */
const askew: readonly Told[] = [
  ['frame', 'bundle-frame', { bound: 6, holds: 2 }],
  ['bail', 'folded-bail', { wraps: 0, gather: 4, clear: 1 }, { ends: ['frame.left 3', 'frame.right 3'] }],
  ['curl', 'flat-spiral', { across: 14, start: 2, way: 'to the right' }, { ends: ['frame.right 1'] }],
];

describe('a piece that is let to hang', () => {
  it.each([
    ['the bundle pendant', BUNDLE_PENDANT],
    ['a frame with a curl on one side', askew],
  ])('%s turns until its centre of mass is straight below, and nothing of it changes', (_, told) => {
    const piece = pieceOf(told);
    const hangs = hangingOf(piece, copper);
    if (!hangs || !piece.hang) throw new Error('it hangs from its bail');
    const hung = hungRun(piece.run, hangingTurn(piece.hang, hangs));
    const then = hangingOf({ run: hung, hang: piece.hang }, copper);
    expect(then?.front).toBeCloseTo(0, 6);
    expect(then?.side).toBeCloseTo(0, 6);
    expect(then && distance3(then.middle, piece.hang)).toBeCloseTo(distance3(hangs.middle, piece.hang), 6);
    expect(gramsOfPiece(hung, copper)).toBeCloseTo(gramsOfPiece(piece.run, copper), 9);
    for (const [index, { path }] of hung.wires.entries())
      expect(lengthOfPath(path)).toBeCloseTo(lengthOfPath(piece.run.wires[index]?.path ?? []), 9);
  });

  it('keeps every distance, wherever its middle lies', () => {
    const { run } = pieceOf([['frame', 'bundle-frame', {}]]);
    const [first, last] = [run.wires[0]?.path[0], run.wires.at(-1)?.path.at(-1)];
    if (!first || !last) throw new Error('its wires lie somewhere');
    const place = fc.double({ min: -30, max: 30, noNaN: true });
    fc.assert(
      fc.property(place, place, place, (x, y, z) => {
        const hang = vec3(2, -12, 1);
        const hung = hungRun(run, hangingTurn(hang, { middle: vec3(x, y, z) }));
        const [from, to] = [hung.wires[0]?.path[0], hung.wires.at(-1)?.path.at(-1)];
        expect(from && to && distance3(from, to)).toBeCloseTo(distance3(first, last), 6);
        expect(from && distance3(from, hang)).toBeCloseTo(distance3(first, hang), 6);
      }),
      { numRuns: 200 },
    );
  });

  it('turns over when its middle lies straight above, and stays when it lies straight below', () => {
    const { run } = pieceOf([['frame', 'bundle-frame', {}]]);
    const at = (of: typeof run) => of.wires[0]?.path[0] ?? vec3(NaN, NaN);
    const below = hungRun(run, hangingTurn(vec3(0, 0), { middle: vec3(0, 5) }));
    expect(distance3(at(below), at(run))).toBeCloseTo(0, 9);
    const above = hungRun(run, hangingTurn(vec3(0, 0), { middle: vec3(0, -5) }));
    const { x, y, z } = minus3(at(above), vec3(-at(run).x, -at(run).y, at(run).z));
    expect(Math.hypot(x, y, z)).toBeCloseTo(0, 9);
  });
});
