import { NOT_RULED, type Figure, type Ruling } from '@/core/learning/ruling';
import { minutesOf } from '@/core/pattern/pattern';
import { ok, refuse, type Result } from '@/core/result';
import { tag } from '@/core/tag';
import type { Tx } from '@/data/inStudio';
import { RulingRow } from '@/data/models/making';
import { invalid, refused } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { readNumber } from '../kernel/rules';
import { newestPattern, type NewestPattern } from '../patterns/newestPatterns';
import { subjectOf } from './makingLog';
import { RuleFigureInput } from './rulings.input';

/** What figures of a kind are ruled to be, by their subjects. */
export async function rulingsOn(
  tx: Tx,
  figure: Figure,
  subjects: readonly string[],
): Promise<(subject: string) => Ruling> {
  const rows = await tx.all(RulingRow, ['subject', 'since', 'fixed'], {
    where: { figure, subject: [...new Set(subjects)] },
  });
  const known = new Map(rows.map(({ subject, ...ruling }) => [subject, ruling]));
  return (subject) => known.get(subject) ?? NOT_RULED;
}

/** What the time that a pattern takes, and how its rings come out, are ruled under. */
export const ofPattern = (number: number): string => tag('pattern', number);

/** A figure of a pattern: how long it takes, how its rings come out, or what stays of the wires of one of its cuts. */
export type FigureOf =
  | { readonly pattern: number; readonly figure: 'time' | 'ring' }
  | { readonly pattern: number; readonly figure: 'wire'; readonly cutIndex: number };

const LEAST_MORE = -60;
const MOST_MORE = 200;
const LONGEST = 6000;
const MOST_SIZES = 4;

/** Reads a number that may be less than nothing, with at most two figures after the point. */
function readSigned(text: string, min: number, max: number): Result<number> {
  const plain = text.trim();
  const isLess = /^[-−]/u.test(plain);
  const read = readNumber(isLess ? plain.slice(1) : plain, 0, isLess ? -min : max);
  return read.ok
    ? ok(isLess ? -read.value : read.value)
    : refuse(`“${text.slice(0, 40)}” is not a number from ${min} to ${max}, like -1.5.`);
}

/** What somebody says a figure is, as an estimate has it. @throws Refused beside the field */
function saidValue(typed: string, of: FigureOf, { body }: NewestPattern): number {
  const read = (result: Result<number>): number => {
    if (!result.ok) throw invalid('value', result.error);
    return result.value;
  };
  switch (of.figure) {
    case 'wire':
      return Math.log1p(read(readSigned(typed, LEAST_MORE, MOST_MORE)) / 100);
    case 'time': {
      const { each } = minutesOf(body);
      if (each <= 0) throw refused('This pattern plans no minutes; write them into it.');
      return Math.log(read(readNumber(typed, 1, LONGEST)) / each);
    }
    case 'ring':
      return read(readSigned(typed, -MOST_SIZES, MOST_SIZES));
  }
}

/** What a figure of a pattern is ruled under; the work of a wire is the same in every pattern that has it. */
function subjectIn(of: FigureOf, { patternId, body }: NewestPattern): string {
  if (of.figure !== 'wire') return ofPattern(of.pattern);
  const cut = body.cuts[of.cutIndex];
  if (!cut) throw refused('This pattern does not have this wire any more.');
  return subjectOf(patternId, cut);
}

/**
 * Says something against the log: another figure in its place, that what was logged so far counts no more, or that all of it counts again.
 * What was logged stays in the log.
 */
export const ruleFigure = posts(
  'ruleFigure',
  { input: RuleFigureInput, by: 'owner' },
  async ({ tx, session }, { act, value }, of: FigureOf) => {
    const pattern = await newestPattern(tx, of.pattern);
    if (!pattern) throw refused('There is no such pattern any more.');
    const subject = subjectIn(of, pattern);
    const before = (await rulingsOn(tx, of.figure, [subject]))(subject);
    const ruling: Readonly<Record<typeof act, () => Ruling>> = {
      say: () => ({ ...before, fixed: saidValue(value, of, pattern) }),
      forget: () => ({ since: session.now, fixed: null }),
      follow: () => NOT_RULED,
    };
    await tx.put(
      RulingRow,
      [{ figure: of.figure, subject, ...ruling[act](), userId: session.userId, ruledAt: session.now }],
      ['since', 'fixed', 'userId', 'ruledAt'],
    );
    return null;
  },
);
