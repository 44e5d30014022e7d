import type { PatternStep } from '../pattern/pattern';

/** What is done at one place of a sitting; a piece is counted from 0, and none is named where it is done once for all of them. */
export type Station =
  | { readonly kind: 'layOut' }
  | { readonly kind: 'step'; readonly step: number; readonly piece: number | null }
  | { readonly kind: 'inspect'; readonly piece: number }
  | { readonly kind: 'finish' };

/** The most pieces that are worked in one sitting. */
export const MOST_IN_SITTING = 24;

/**
 * The places of a sitting in their order: everything is laid out and cut, then every step is done on all pieces before the next one, then
 * each piece is inspected.
 * @param count of pieces, from 1
 */
export function stationsOf(
  steps: readonly Pick<PatternStep, 'perSitting'>[],
  count: number,
): readonly Station[] {
  const pieces = Array.from({ length: count }, (_, piece) => piece);
  return [
    { kind: 'layOut' },
    ...steps.flatMap(({ perSitting }, step): Station[] =>
      perSitting
        ? [{ kind: 'step', step, piece: null }]
        : pieces.map((piece) => ({ kind: 'step', step, piece })),
    ),
    ...pieces.map((piece): Station => ({ kind: 'inspect', piece })),
    { kind: 'finish' },
  ];
}

/** The piece that a station is about; null when it is about all of them. */
export const pieceAt = (station: Station | undefined): number | null =>
  station && 'piece' in station ? station.piece : null;

/**
 * The next station, or the one before it, that is about a piece that is still made.
 * @param by 1 or -1
 * @returns where it is; the same place at either end
 */
export function beside(
  stations: readonly Station[],
  at: number,
  by: 1 | -1,
  isOut: (piece: number) => boolean,
): number {
  for (let next = at + by; next >= 0 && next < stations.length; next += by) {
    const piece = pieceAt(stations[next]);
    if (piece === null || !isOut(piece)) return next;
  }
  return at;
}

/**
 * Where time is counted to: a station by its place; work that is done again on a piece behind all of them.
 * @returns its number, from 0
 */
export const reworkSlot = (stations: readonly Station[], piece: number): number => stations.length + piece;
