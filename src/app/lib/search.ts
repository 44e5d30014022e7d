import type { ClassConstructor } from 'class-transformer';
import { readQuery, type Asked, type ListQuery } from '@/studio/kernel/query';
import type { ValuesOf } from '@/studio/kernel/typed';

/** What stands behind the question mark of a page's address. */
export type Search = Promise<Asked>;

/** What an address asks of its page, read as the page's input class. */
export const asked = async <T extends object>(
  search: Search,
  Query: ClassConstructor<T>,
): Promise<ValuesOf<T>> => readQuery(Query, await search);

/** What an address asks of a list: all of it, what narrows or sorts it without where the page begins, and whether it is narrowed. */
export async function askedOfList<T extends ListQuery>(search: Search, Query: ClassConstructor<T>) {
  const query = await asked(search, Query);
  const chosen = withoutPage(query);
  return { query, asked: chosen, isAsked: Object.keys(chosen).some((name) => name !== 'sort') };
}

const withoutPage = <T extends { readonly after?: unknown }>({ after: _, ...chosen }: T): Omit<T, 'after'> =>
  chosen;

/** Longest text that an address carries for a field: a traced outline has hundreds of figures. */
const MOST = 5000;

/** The single texts that an address carries, by their fields. */
export const textsAsked = async (search: Search): Promise<Readonly<Record<string, string>>> =>
  Object.fromEntries(
    Object.entries(await search).flatMap(([field, text]) =>
      typeof text === 'string' ? [[field, text.slice(0, MOST)]] : [],
    ),
  );
