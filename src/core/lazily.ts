/** Works something out when it is first asked for, and keeps it. */
export function lazily<T>(work: () => T): () => T {
  let done: { readonly value: T } | undefined;
  return () => (done ??= { value: work() }).value;
}
