import { planOf } from '../../../tests/support/techniques';
import { pose } from '../geometry/pose';
import { vec3 } from '../geometry/vec3';
import { expectOk } from '../result';
import { roundWire } from '../parameter/parameter';
import { bareOf, endsBehind, reachOf } from './checks';
import type { Cab, PieceWire } from './piece';
import { runPiece, type RunPiece } from './run';

const stone: Cab = {
  kind: 'cab',
  id: 'stone',
  size: { outline: 'round', length: 20, width: 20, depth: 6, edge: 2 },
  pose: pose(vec3(0, 0), vec3(1, 0)),
};
const straight = (id: string, at: readonly [number, number, number], thick: number): PieceWire => ({
  id,
  name: id,
  cutFrom: 'wire',
  size: roundWire(thick),
  start: pose(vec3(...at), vec3(1, 0)),
  first: [{ kind: 'laid', name: 'across', length: 40 }],
  second: [],
  tails: { first: 0, second: 0 },
});
const ran = (...wires: PieceWire[]): RunPiece => expectOk(runPiece({ bodies: [stone], wires }));

describe('what of a stone is bare', () => {
  it('is all of it without a wire over it', () => {
    expect(bareOf(ran(straight('past', [-20, -15, 3], 1)))).toEqual([{ body: 'stone', face: 1, back: 1 }]);
  });

  it('a band across its middle covers 2/π · (h/r + asin(h)) of a disc: a strip of a circle, in front or behind', () => {
    // The strip of a circle of radius r between ±h: 2(h√(r² − h²) + r² asin(h/r)), of πr².
    const [r, h] = [10, 1.5];
    const covered = (2 * (h * Math.sqrt(r * r - h * h) + r * r * Math.asin(h / r))) / (Math.PI * r * r);
    const [front] = bareOf(ran(straight('over', [-20, 0, 8], 3)));
    expect(Math.abs((front?.face ?? 0) - (1 - covered))).toBeLessThan(0.015);
    expect(front?.back).toBe(1);
    const [behind] = bareOf(ran(straight('behind', [-20, 0, -2], 3)));
    expect(behind?.face).toBe(1);
    expect(Math.abs((behind?.back ?? 0) - (1 - covered))).toBeLessThan(0.015);
  });

  it('of a frame with bands some of the face is covered, and some of the back', () => {
    const { run } = planOf('band-frame');
    const [bare] = run ? bareOf(run) : [];
    for (const part of [bare?.face, bare?.back]) {
      expect(part).toBeGreaterThan(0.9);
      expect(part).toBeLessThan(0.99);
    }
  });
});

describe('both sides', () => {
  it('of a piece that mirrors reach alike, half a thickness past its middle line', () => {
    const { left, right } = reachOf(ran(straight('past', [-20, 15, 0], 2)), 0);
    expect(left).toBeCloseTo(20 + 1, 9);
    expect(right).toBeCloseTo(20 + 1, 9);
    expect(reachOf(ran(straight('past', [-20, 15, 0], 2)), 3).right).toBeCloseTo(18, 9);
  });
});

describe('ends behind', () => {
  const pointing = (way: 1 | -1, z: number): PieceWire => ({
    ...straight('end', [0, 12, z], 1),
    start: pose(vec3(0, 12, z), vec3(0, 0, way), vec3(0, 1)),
    first: [{ kind: 'laid', name: 'out', length: 4 }],
    second: [],
  });
  it('are those that point backward behind the stone, and no others', () => {
    expect(endsBehind(ran(pointing(-1, 1))).map(({ wire }) => wire)).toEqual(['end']);
    expect(endsBehind(ran(pointing(1, 1)))).toEqual([]);
    // One that ends beside the edge of the stone is between frame and stone.
    expect(endsBehind(ran(pointing(-1, 5)))).toEqual([]);
    expect(endsBehind(ran(straight('flat', [-20, 12, -3], 1)))).toEqual([]);
  });
});
