import { formatGauge, parseGauge } from './gauge';

/** What somebody looks for in a few words. */
export interface SoughtWords {
  /** Sizes as a wire is called by them, lower case: "20 ga". */
  readonly sizes: readonly string[];
  /** The other words, lower case. */
  readonly words: readonly string[];
}

/** A size that says itself that it is one: a bare number may be anything. */
const SIZE = /^(?:#\d{1,2}|[\d.,]{1,8}(?:ga|g|gauge|awg|swg|mm|in|"|″))\.?$/;
const UNIT = /^(?:ga|gauge|awg|swg|mm|in)\.?$/;
const BARE = /^[\d.,]{1,8}$/;

/**
 * Tells sizes from the other words, however they are written.
 * @example soughtWords('20ga Sterling') // { sizes: ['20 ga'], words: ['sterling'] }
 */
export function soughtWords(text: string): SoughtWords {
  const parts = text.toLowerCase().trim().split(/\s+/).filter(Boolean);
  const sizes: string[] = [];
  const words: string[] = [];
  for (let index = 0; index < parts.length; index += 1) {
    const [part = '', next = ''] = [parts[index], parts[index + 1]];
    const isPair = BARE.test(part) && UNIT.test(next);
    const label = isPair || SIZE.test(part) ? parseGauge(isPair ? part + next : part) : undefined;
    if (label?.ok) {
      sizes.push(formatGauge(label.value).toLowerCase());
      if (isPair) index += 1;
    } else words.push(part);
  }
  return { sizes, words };
}
