/** What stands behind the question mark of a page's address. */
export type Search = Promise<Record<string, string | string[] | undefined>>;

/** Signs that nobody types and the database does not take. */
const CONTROL = /[\u0000-\u001f\u007f]/g;

/** Text of an address without signs that nobody types. */
export const plainText = (text: string): string => text.replace(CONTROL, '');

/** The named parts of an address that were given once and are not empty. */
export async function searched<Name extends string>(
  search: Search,
  names: readonly Name[],
): Promise<Partial<Record<Name, string>>> {
  const given = await search;
  const found: Partial<Record<Name, string>> = {};
  for (const name of names) {
    const value = given[name];
    const text = typeof value === 'string' ? plainText(value) : '';
    if (text !== '') found[name] = text;
  }
  return found;
}

/** A whole number over 0 of an address, small enough to be the number of anything; undefined when it is none. */
export async function searchedNumber(search: Search, name: string): Promise<number | undefined> {
  const { [name]: text = '' } = await searched(search, [name]);
  return /^\d{1,9}$/.test(text) && Number(text) > 0 ? Number(text) : undefined;
}

/** What an address asks of a list: all of it, what narrows or sorts it without where the page begins, and whether it is narrowed. */
export async function searchedList<Name extends string>(search: Search, names: readonly Name[]) {
  const asked = await searched(search, names);
  const { after } = await searched(search, ['after']);
  return {
    query: { ...asked, after },
    asked,
    isAsked: Object.keys(asked).some((name) => name !== 'sort'),
  };
}
