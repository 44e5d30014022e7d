/** Beads of one shade or size on a strand. */
export interface ShadeGroup {
  readonly name: string;
  readonly count: number;
}

/** How many pairs of a shade go into a set. */
export interface ShadePairs {
  readonly name: string;
  /** Beads of this shade on each side. */
  readonly aSide: number;
  readonly left: number;
}

export interface SymmetricalSet {
  /** In the order they are strung, from the clasp or the centre outward as the groups are listed. */
  readonly shades: readonly ShadePairs[];
  readonly centre: string | null;
  /** The longest set, beads on each side, that the groups would yield. */
  readonly most: number;
  readonly enough: boolean;
}

/**
 * Counts out a set that is the same on both sides: every shade is used in pairs, so a group of n yields ⌊n/2⌋ a side. The pairs
 * are spread over the groups in proportion to what each can give (largest remainders), so that the run from light to dark
 * stays even. Where a bead sits in the middle it is taken from the last group that can spare one.
 *
 * @param aSide beads wanted on each side
 * @param withCentre whether one more bead goes in the middle
 */
export function countOut(groups: readonly ShadeGroup[], aSide: number, withCentre = false): SymmetricalSet {
  const pairs = groups.map(({ count }) => Math.floor(count / 2));
  const most = pairs.reduce((sum, each) => sum + each, 0);
  const taken = spread(pairs, Math.min(aSide, most));
  const odd = groups.findLastIndex(({ count }, index) => count - 2 * (taken[index] ?? 0) > 0);
  const centre = withCentre && odd >= 0 ? odd : undefined;
  return {
    shades: groups.map(({ name, count }, index) => {
      const side = taken[index] ?? 0;
      return { name, aSide: side, left: count - 2 * side - (index === centre ? 1 : 0) };
    }),
    centre: centre === undefined ? null : (groups[centre]?.name ?? null),
    most,
    enough: aSide <= most && (!withCentre || centre !== undefined),
  };
}

/** Shares out `wanted` over bins of given capacities in proportion to them. */
function spread(capacities: readonly number[], wanted: number): number[] {
  const total = capacities.reduce((sum, each) => sum + each, 0);
  if (total === 0) return capacities.map(() => 0);
  const exact = capacities.map((each) => (each * wanted) / total);
  const floors = exact.map(Math.floor);
  let missing = wanted - floors.reduce((sum, each) => sum + each, 0);
  const byRemainder = exact
    .map((each, index) => ({ index, part: each - Math.floor(each) }))
    .sort((a, b) => b.part - a.part || a.index - b.index);
  for (const { index } of byRemainder) {
    if (missing === 0) break;
    if ((floors[index] ?? 0) < (capacities[index] ?? 0)) {
      floors[index] = (floors[index] ?? 0) + 1;
      missing -= 1;
    }
  }
  return floors;
}

/**
 * The shades of a strand after beads were taken that nobody named the shade of: they are thought to come from the largest
 * groups, one after another, until no more are named than there are.
 */
export function trimShades(groups: readonly ShadeGroup[], quantity: number): readonly ShadeGroup[] {
  const counts = groups.map(({ count }) => count);
  let over = counts.reduce((sum, each) => sum + each, 0) - quantity;
  while (over > 0) {
    const most = Math.max(...counts);
    const next = Math.max(0, ...counts.filter((each) => each < most));
    const largest = counts.filter((each) => each === most).length;
    // All the largest groups shrink together, to the size of the next or as far as is needed.
    const step = Math.min(most - next, Math.max(1, Math.floor(over / largest)));
    for (const [index, each] of counts.entries()) {
      if (each !== most || over <= 0) continue;
      const part = Math.min(step, over);
      counts[index] = each - part;
      over -= part;
    }
  }
  return groups.flatMap(({ name }, index) => (counts[index] ? [{ name, count: counts[index] }] : []));
}
