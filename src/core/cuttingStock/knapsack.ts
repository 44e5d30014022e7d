/** Things of one kind that may be taken: how much room each takes, how often it may be taken, and what each is worth. */
export interface Item {
  /** Whole units, at least one. */
  readonly size: number;
  readonly most: number;
  readonly profit: number;
}

/** The best choice of items for every room up to the largest. */
export interface Filled {
  /** What the best choice for so much room is worth. */
  readonly worth: (room: number) => number;
  /** How many of which items it takes. */
  readonly choice: (room: number) => [item: number, count: number][];
}

/** What is less than this is nothing: profits come from a linear programme. */
const NOTHING = 1e-9;

/**
 * The bounded knapsack by dynamic programming, each item’s copies in lots of 1, 2, 4, …; time and memory go with the lots times the
 * room.
 * @param room units; all smaller rooms are answered too
 */
export function fillKnapsack(items: readonly Item[], room: number): Filled {
  const lots = items.flatMap(({ size, most, profit }, item) => {
    if (profit <= NOTHING) return [];
    const made: { item: number; count: number }[] = [];
    let left = Math.min(most, Math.floor(room / size));
    for (let count = 1; left > 0; count *= 2) {
      const take = Math.min(count, left);
      made.push({ item, count: take });
      left -= take;
    }
    return made;
  });
  const best = new Float64Array(room + 1);
  const taken = lots.map(() => new Uint8Array(room + 1));
  lots.forEach(({ item, count }, lot) => {
    const { size, profit } = items[item] as Item;
    const [needs, brings, marks] = [size * count, profit * count, taken[lot] as Uint8Array];
    for (let at = room; at >= needs; at -= 1) {
      const with_ = (best[at - needs] as number) + brings;
      if (with_ > (best[at] as number) + NOTHING) {
        best[at] = with_;
        marks[at] = 1;
      }
    }
  });
  return {
    worth: (of) => (of < 0 ? -Infinity : (best[Math.min(of, room)] as number)),
    choice: (of) => {
      const counts = new Map<number, number>();
      let at = Math.min(of, room);
      for (let lot = lots.length - 1; lot >= 0; lot -= 1) {
        if (!(taken[lot] as Uint8Array)[at]) continue;
        const { item, count } = lots[lot] as { item: number; count: number };
        counts.set(item, (counts.get(item) ?? 0) + count);
        at -= (items[item] as Item).size * count;
      }
      return [...counts].sort(([a], [b]) => a - b);
    },
  };
}
