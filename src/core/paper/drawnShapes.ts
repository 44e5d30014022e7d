import type { LineDrawing } from '../drawing/lineDrawing';
import { inksOf, type Inks } from '../drawing/inks';
import type { Looks } from '../drawing/look';
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
/** A stone and its edge, a wire and its edge as they are printed where colours are not wanted. */
const GREY = { stone: '#e6e6e6', stoneEdge: '#666666', wire: '#cccccc', wireEdge: '#262626' } as const;
/** Edge of a stone, mm of the drawing. */
const STONE_EDGE = 0.15;

const inGrey = ({ kind }: LineDrawing['layers'][number]): Inks =>
  kind === 'body' ? { fill: GREY.stone, edge: GREY.stoneEdge } : { fill: GREY.wire, edge: GREY.wireEdge };

/**
 * A drawing on paper, as large as its room allows and in the middle of it.
 * @param looks what it is drawn of, to be in colour; in greys without
 * @returns its shapes, and how much larger than the piece it is
 */
export function drawnShapes(
  { box, layers }: LineDrawing,
  room: Room,
  looks?: Looks,
): { readonly shapes: readonly Shape[]; readonly scale: number } {
  const scale = Math.min(room.width / box.width, room.height / box.height, LARGEST);
  const x = room.x + room.width / 2 - (box.x + box.width / 2) * scale;
  const y = room.y + room.height / 2 - (box.y + box.height / 2) * scale;
  const at = { kind: 'path', x, y, scale } as const;
  const shapes = layers.flatMap((each): Shape[] => {
    const { fill, edge } = looks ? inksOf(each, looks) : inGrey(each);
    return each.kind === 'body'
      ? [
          { ...at, d: each.d, thick: 0, colour: fill, filled: true },
          { ...at, d: each.d, thick: STONE_EDGE, colour: edge },
        ]
      : [{ ...at, d: each.d, thick: each.thick, colour: each.kind === 'edge' ? edge : fill }];
  });
  return { shapes, scale };
}
