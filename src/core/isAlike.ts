/** Whether two plain records hold the same, each value compared by itself. */
export function isAlike(a: object, b: object): boolean {
  const [ofA, ofB] = [Object.entries(a), new Map<string, unknown>(Object.entries(b))];
  return ofA.length === ofB.size && ofA.every(([key, value]) => ofB.has(key) && ofB.get(key) === value);
}
