import { planOf } from '../../../tests/support/techniques';
import { pose } from '../geometry/pose';
import { vec3 } from '../geometry/vec3';
import { expectOk } from '../result';
import { roundWire } from '../parameter/parameter';
import type { StoneSize } from '../stone/stoneSize';
import { keptOf } from './kept';
import type { Cab, PieceWire } from './piece';
import { runPiece } from './run';

const ROUND: StoneSize = { outline: 'round', length: 20, width: 20, depth: 6, edge: 2 };
const stone = (size: StoneSize = ROUND, turned = vec3(1, 0)): Cab => ({
  kind: 'cab',
  id: 'stone',
  size,
  pose: pose(vec3(0, 0), turned),
});

/** A wire of 1 mm laid straight from a place on, this far over the back of the stone. */
const laid = (
  x: number,
  y: number,
  along: readonly [number, number],
  length: number,
  z: number,
): PieceWire => ({
  id: `${x} ${y} ${z}`,
  name: 'wire',
  cutFrom: 'wire',
  size: roundWire(1),
  start: pose(vec3(x, y, z), vec3(...along)),
  first: [{ kind: 'laid', name: 'over', length }],
  second: [],
  tails: { first: 0, second: 0 },
});

/** A hold that reaches in from outside, `degrees` clockwise from the top, its end so far in from the edge. */
function hold(degrees: number, inward: number, z = 5): PieceWire {
  const angle = (degrees * Math.PI) / 180;
  const [right, down] = [Math.sin(angle), -Math.cos(angle)];
  return laid(13 * right, 13 * down, [-right, -down], 3 + inward, z);
}

const keptBy = (wires: readonly PieceWire[], body = stone()) => {
  const [kept] = keptOf(expectOk(runPiece({ bodies: [body], wires })));
  if (!kept) throw new Error('there is a stone');
  return kept;
};

describe('how a stone is kept', () => {
  it('is by nothing when wires run beside it', () => {
    const { front, back } = keptBy([laid(-20, -11, [1, 0], 40, 3), laid(-20, 11, [1, 0], 40, -1)]);
    expect([front, back]).toEqual(Array(2).fill({ openArc: 360, openAt: 0, overlap: 0, bands: 0 }));
  });

  it('leaves open what lies between holds, less what each covers: its half thickness seen from the middle, atan(r/8) at its tip', () => {
    const { front, back } = keptBy([0, 90, 180, 270].map((degrees) => hold(degrees, 2)));
    const covered = (2 * Math.atan(0.5 / 8) * 180) / Math.PI;
    expect(Math.abs(front.openArc - (90 - covered))).toBeLessThan(5);
    expect(Math.abs(front.overlap - (2 + 0.5))).toBeLessThan(0.26);
    expect(front.bands).toBe(0);
    expect(back.openArc).toBe(360);
    // One is left out: the arc about its place is open, clockwise from the top as the piece is seen.
    for (const [index, at] of [0, 90, 180, 270].entries()) {
      const three = [0, 90, 180, 270].filter((_, other) => other !== index);
      const { openArc, openAt } = keptBy(three.map((degrees) => hold(degrees, 2))).front;
      expect(Math.abs(openArc - (180 - covered))).toBeLessThan(5);
      expect(Math.abs(((openAt - at + 540) % 360) - 180)).toBeLessThan(3);
    }
  });

  it('is told as the piece is seen, however the stone is turned', () => {
    for (const turned of [vec3(1, 0), vec3(0, 1), vec3(-1, 0), vec3(1, 1)]) {
      const { openAt } = keptBy(
        [0, 120].map((degrees) => hold(degrees, 2)),
        stone(ROUND, turned),
      ).front;
      expect(Math.abs(openAt - 240)).toBeLessThan(4);
    }
  });

  it('tells what reaches in least', () => {
    const { front } = keptBy([hold(0, 3), hold(120, 1), hold(240, 2)]);
    expect(Math.abs(front.overlap - (1 + 0.5))).toBeLessThan(0.26);
  });

  it('tells front from behind, and a wire that crosses from edge to edge from one that comes in and ends', () => {
    const band = laid(-15, 2, [1, 0], 30, 7);
    const behind = laid(-15, 2, [1, 0], 30, -1);
    const { front, back } = keptBy([band, behind, hold(0, 2)]);
    expect(front.bands).toBe(1);
    expect(back.bands).toBe(1);
    expect(front.openArc).toBeLessThan(back.openArc);
  });

  it('takes a short hold, in over the edge and out again as a shallow half round, for no band', () => {
    const half: PieceWire = {
      ...laid(-1.5, -14, [0, 1], 0, 5),
      first: [
        { kind: 'laid', name: 'in', length: 3.85 },
        { kind: 'bent', name: 'round', about: 2, angle: -180 },
        { kind: 'laid', name: 'out', length: 3.85 },
      ],
    };
    const { front } = keptBy([half]);
    expect(front.overlap).toBeGreaterThan(1.5);
    expect(front.bands).toBe(0);
  });

  it('is not told of a stone that is tied through its own hole', () => {
    expect(keptOf(expectOk(runPiece({ bodies: [{ ...stone(), drilled: 1 }], wires: [hold(0, 2)] })))).toEqual(
      [],
    );
  });

  it('of a bundle frame agrees with its holds: as many degrees between them, and what they were asked to reach', () => {
    const { run } = planOf('bundle-frame', {
      stone: { ...ROUND, length: 26, width: 26, depth: 7, edge: 3 },
      holds: 3,
      reach: 1.2,
      bound: 6,
    });
    const [kept] = keptOf(run as never);
    for (const side of [kept?.front, kept?.back]) {
      expect(side?.openArc).toBeLessThan(120);
      expect(side?.openArc).toBeGreaterThan(40);
      // Its middle reaches 1.2 in; the wire itself half its thickness farther.
      expect(side?.overlap).toBeGreaterThan(1.2);
      expect(side?.overlap).toBeLessThan(1.2 + 0.45);
    }
  });
});
