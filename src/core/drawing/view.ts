import type { Path, Vec3 } from '../geometry/path';

/** From where a piece is looked at. */
export const VIEWS = ['front', 'back', 'side'] as const;
export type View = (typeof VIEWS)[number];

/** A place as a view has it, mm: x to the right and y down on the paper, `near` towards the eye. */
export interface Seen {
  readonly x: number;
  readonly y: number;
  readonly near: number;
}

/** How each view sees a place: the side is looked at from the piece's left, its face to the right. */
const SEES: Readonly<Record<View, (at: Vec3) => Seen>> = {
  front: ({ x, y, z }) => ({ x, y, near: z }),
  back: ({ x, y, z }) => ({ x: -x, y, near: -z }),
  side: ({ x, y, z }) => ({ x: z, y, near: -x }),
};

/** A line as a view sees it, without perspective. */
export const seenFrom = (view: View, path: Path): readonly Seen[] => path.map(SEES[view]);
