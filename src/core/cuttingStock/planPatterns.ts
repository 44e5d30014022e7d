import type { Micrometres } from '../units/length';
import { keyOf, patternOf, type Pattern, type Sorted } from './patterns';
import type { CuttingPlan } from './problem';

/** What is cut from which piece, when patterns are cut so often. */
export function cutBy(
  { types, classes }: Sorted,
  used: readonly { readonly pattern: Pattern; readonly times: number }[],
): Map<string, Micrometres[]> {
  const cut = new Map<string, Micrometres[]>();
  const next = classes.map(() => 0);
  for (const { pattern, times } of used) {
    const lengths = pattern.counts.flatMap(([type, count]) =>
      Array.from({ length: count }, () => types[type]?.length as Micrometres),
    );
    for (let time = 0; time < times; time += 1) {
      const at = next[pattern.from] ?? 0;
      const id = classes[pattern.from]?.ids[at];
      if (id === undefined) break;
      next[pattern.from] = at + 1;
      cut.set(id, lengths);
    }
  }
  return cut;
}

/** The patterns that a plan cuts, one for each piece that is not long. */
export function patternsOf(sorted: Sorted, { pieces }: CuttingPlan): Pattern[] {
  const classOf = new Map(sorted.classes.flatMap(({ ids }, from) => ids.map((id) => [id, from] as const)));
  const typeOf = new Map(sorted.types.map(({ length }, type) => [length, type]));
  return pieces.flatMap(({ id, cuts }) => {
    const from = classOf.get(id);
    if (from === undefined) return [];
    const counts = new Map<number, number>();
    for (const cut of cuts) {
      const type = typeOf.get(cut) ?? 0;
      counts.set(type, (counts.get(type) ?? 0) + 1);
    }
    return (
      patternOf(
        sorted,
        from,
        [...counts].sort(([a], [b]) => a - b),
      ) ?? []
    );
  });
}

/** How often a plan cuts each of the patterns. */
export function timesIn(sorted: Sorted, plan: CuttingPlan, patterns: readonly Pattern[]): number[] {
  const times = new Map<string, number>();
  for (const pattern of patternsOf(sorted, plan)) {
    const key = keyOf(pattern);
    times.set(key, (times.get(key) ?? 0) + 1);
  }
  return patterns.map((pattern) => times.get(keyOf(pattern)) ?? 0);
}

/** Patterns of one type that a search begins with, about: more would only be carried along. */
const TO_BEGIN = 20_000;

/** Each type alone, as often as it fits, on the pieces that it fits best. */
export function eachTypeAlone(sorted: Sorted): Pattern[] {
  const { types, classes } = sorted;
  const each = Math.max(1, Math.ceil(TO_BEGIN / types.length));
  return types.flatMap(({ length, count }, type) => {
    const first = classes.findIndex((stock) => stock.length >= length);
    if (first < 0) return [];
    return classes.slice(first, first + each).flatMap((stock, index) => {
      const times = Math.min(count, Math.floor(stock.length / length));
      return patternOf(sorted, first + index, [[type, times]]) ?? [];
    });
  });
}
