import { numberOnTag, type Tagged } from '@/core/tag';

/** The SQL pattern of what holds a word anywhere, in whatever capitals. */
export const anywhere = (word: string): string => `%${escapePattern(word.toLowerCase())}%`;

/** A word as a SQL pattern that matches it and nothing else. */
export const escapePattern = (word: string): string => word.replace(/[\\%_]/g, '\\$&');

/** What is asked of a list by typed words: the number on a tag, or all of the words in a name; nothing for no words. */
export function calledAs(
  kind: Tagged,
  words: string | undefined,
): { readonly tagged?: number; readonly called?: readonly string[] } {
  const text = (words ?? '').trim().slice(0, 100);
  if (text === '') return {};
  const tagged = numberOnTag(kind, text);
  return tagged === undefined ? { called: text.split(/\s+/).slice(0, 6).map(anywhere) } : { tagged };
}
