/** Things by what they have in common, in the order that they come. */
export function groupBy<T, K>(all: Iterable<T>, keyOf: (each: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const each of all) {
    const key = keyOf(each);
    const group = groups.get(key);
    if (group) group.push(each);
    else groups.set(key, [each]);
  }
  return groups;
}
