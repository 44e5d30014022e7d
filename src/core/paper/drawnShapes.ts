import type { LineDrawing } from '../drawing/lineDrawing';
import type { Shape } from './sheet';

/** Room on a page, mm. */
export interface Room {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Drawings are made at most so much larger than the piece is. */
const LARGEST = 4;
/** How dark a stone and its edge, a wire and its edge are: 0 is black. */
const GREY = { stone: 0.9, stoneEdge: 0.4, wire: 0.8, wireEdge: 0.15 } as const;
/** Edge of a stone, mm of the drawing. */
const STONE_EDGE = 0.15;

/** A drawing on paper, in greys, as large as its room allows and in the middle of it. @returns its shapes, and how much larger than the piece it is */
export function drawnShapes(
  { box, layers }: LineDrawing,
  room: Room,
): { readonly shapes: readonly Shape[]; readonly scale: number } {
  const scale = Math.min(room.width / box.width, room.height / box.height, LARGEST);
  const x = room.x + room.width / 2 - (box.x + box.width / 2) * scale;
  const y = room.y + room.height / 2 - (box.y + box.height / 2) * scale;
  const at = { kind: 'path', x, y, scale } as const;
  const shapes = layers.flatMap((each): Shape[] =>
    each.kind === 'body'
      ? [
          { ...at, d: each.d, thick: 0, grey: GREY.stone, filled: true },
          { ...at, d: each.d, thick: STONE_EDGE, grey: GREY.stoneEdge },
        ]
      : [{ ...at, d: each.d, thick: each.thick, grey: each.kind === 'edge' ? GREY.wireEdge : GREY.wire }],
  );
  return { shapes, scale };
}
