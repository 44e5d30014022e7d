import type { Course, Parted } from '../piece/piece';
import type { TakenEnd } from '../technique/act';

/**
 * Brings ends side by side, each to its place in a row.
 * @param id what the place is called where they have come to
 * @param step from the middle of one to the next one’s, mm: the same between all, or between each two of them
 * @param along how far on the row begins, mm
 */
export function sideBySide(
  ends: readonly TakenEnd[],
  { id, step, along }: { readonly id: string; readonly step: Parted['step']; readonly along: number },
): readonly Course[] {
  const row = ends.map(({ wire, at, side }) => ({ wire, at, towards: side }));
  return ends.map((_, index) => ({ kind: 'parted', name: 'side by side', id, row, index, step, along }));
}
