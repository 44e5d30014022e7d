/** What stands behind the question mark of a page's address. */
export type Search = Promise<Record<string, string | string[] | undefined>>;

/** The named parts of an address that were given once and are not empty. */
export async function searched<Name extends string>(
  search: Search,
  names: readonly Name[],
): Promise<Partial<Record<Name, string>>> {
  const given = await search;
  const found: Partial<Record<Name, string>> = {};
  for (const name of names) {
    const value = given[name];
    if (typeof value === 'string' && value !== '') found[name] = value;
  }
  return found;
}
