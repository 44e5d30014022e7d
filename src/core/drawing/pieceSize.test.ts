import { pose } from '../geometry/pose';
import { vec3 } from '../geometry/vec3';
import type { Course, Body, PieceWire } from '../piece/piece';
import { runPiece } from '../piece/run';
import { expectOk } from '../result';
import { roundWire } from '../parameter/parameter';
import { pieceSize } from './pieceSize';

const wire = (thick: number, start: PieceWire['start'], first: readonly Course[]): PieceWire => ({
  id: 'wire',
  name: 'wire',
  cutFrom: 'wire',
  size: roundWire(thick),
  start,
  first,
  second: [],
  tails: { first: 0, second: 0 },
});
const sizeOf = (wires: readonly PieceWire[], bodies: readonly Body[] = []) =>
  pieceSize(expectOk(runPiece({ wires, bodies })));

describe('how large a piece is', () => {
  it('a straight wire is as long as it is, cut off square, and as thick as it is', () => {
    const size = sizeOf([wire(2, pose(vec3(5, 3), vec3(1, 0)), [{ kind: 'laid', name: 'on', length: 40 }])]);
    expect(size.wide).toBeCloseTo(40, 9);
    expect(size.high).toBeCloseTo(2, 9);
    expect(size.deep).toBeCloseTo(2, 9);
  });

  it('at 45° it reaches as far as a rectangle that is turned: (length + thickness)/√2 to both sides', () => {
    const size = sizeOf([wire(2, pose(vec3(0, 0), vec3(1, 1)), [{ kind: 'laid', name: 'on', length: 40 }])]);
    expect(size.wide).toBeCloseTo(42 / Math.SQRT2, 9);
    expect(size.high).toBeCloseTo(42 / Math.SQRT2, 9);
  });

  it('a stone counts as far as it reaches beyond the wires, its dome to the front', () => {
    const stone = {
      kind: 'cab',
      id: 'stone',
      size: { outline: 'oval', length: 30, width: 20, depth: 6, edge: 2 },
      pose: pose(vec3(0, 0), vec3(1, 0)),
    } as const;
    const size = sizeOf(
      [wire(1, pose(vec3(-5, 0, -0.5), vec3(1, 0)), [{ kind: 'laid', name: 'on', length: 10 }])],
      [stone],
    );
    expect(size.wide).toBeCloseTo(20, 1);
    expect(size.high).toBeCloseTo(30, 1);
    // A wire under its back and the stone that is 6 mm deep.
    expect(size.deep).toBeCloseTo(7, 1);
  });

  it('nothing is as large as nothing', () => {
    expect(pieceSize({ wires: [], bodies: [] })).toEqual({ wide: 0, high: 0, deep: 0 });
  });
});
