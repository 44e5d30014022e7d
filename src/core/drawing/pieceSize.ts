import type { Vec3 } from '../geometry/path';
import { distance3, minus3 } from '../geometry/vec3';
import type { RunPiece } from '../piece/run';
import { bodySeen } from './bodySeen';

/** How large a piece is as it lies, mm: from left to right, from foot to top, from back to front. */
export interface PieceSize {
  readonly wide: number;
  readonly high: number;
  readonly deep: number;
}

/** The least and the most of many figures. */
class Span {
  private least = Infinity;
  private most = -Infinity;
  hold(at: number, about = 0): void {
    this.least = Math.min(this.least, at - about);
    this.most = Math.max(this.most, at + about);
  }
  get length(): number {
    return Math.max(0, this.most - this.least);
  }
}

/** How far a round wire reaches to one side of a place where it runs so much that way, as a part of its thickness; its ends are cut off square. */
const aroundOf = (part: number): number => Math.sqrt(Math.max(0, 1 - part * part)) / 2;

/** How large a piece is, its wires as thick as they are. Nothing is as large as nothing. */
export function pieceSize({ wires, bodies }: RunPiece): PieceSize {
  const [x, y, z] = [new Span(), new Span(), new Span()];
  for (const { path, wire } of wires)
    path.slice(1).forEach((to, index) => {
      const from = path[index] as Vec3;
      const long = distance3(from, to);
      if (long === 0) return;
      const way = minus3(to, from);
      for (const at of [from, to]) {
        x.hold(at.x, wire.size.width * aroundOf(way.x / long));
        y.hold(at.y, wire.size.width * aroundOf(way.y / long));
        z.hold(at.z, wire.size.width * aroundOf(way.z / long));
      }
    });
  for (const body of bodies) {
    for (const seen of bodySeen(body, 'front').points) {
      x.hold(seen.x);
      y.hold(seen.y);
    }
    // From the side its depth lies to the right.
    for (const seen of bodySeen(body, 'side').points) z.hold(seen.x);
  }
  return { wide: x.length, high: y.length, deep: z.length };
}
