import type { Path, Vec3 } from '../geometry/path';

/** From where a piece is looked at. */
export const VIEWS = ['front', 'back', 'side', 'above'] as const;
export type View = (typeof VIEWS)[number];

/** The views that show a piece: the head of a ring is seen from above, too. */
export const viewsOf = (isRing: boolean): readonly View[] =>
  isRing ? VIEWS : VIEWS.filter((view) => view !== 'above');

/** From where, in a sentence. */
export const saidFrom = (view: View): string => (view === 'above' ? 'from above' : `from the ${view}`);

/** A place as a view has it, mm: x to the right and y down on the paper, `near` towards the eye. */
export interface Seen {
  readonly x: number;
  readonly y: number;
  readonly near: number;
}

/** How each view sees a place: the side is looked at from the piece's left, its face to the right; from above its front lies below. */
const SEES: Readonly<Record<View, (at: Vec3) => Seen>> = {
  front: ({ x, y, z }) => ({ x, y, near: z }),
  back: ({ x, y, z }) => ({ x: -x, y, near: -z }),
  side: ({ x, y, z }) => ({ x: z, y, near: -x }),
  above: ({ x, y, z }) => ({ x, y: z, near: -y }),
};

/** A line as a view sees it, without perspective. */
export const seenFrom = (view: View, path: Path): readonly Seen[] => path.map(SEES[view]);
