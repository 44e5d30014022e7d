import { day, daysLater, type Day } from '@/core/calendar/day';
import { NOTHING_SOLD, type EarnedLine } from '@/core/selling/earned';
import { cost } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { earnedSql, type EarnedOf } from '@/data/sql/earned';
import { standingSql } from '@/data/sql/standing';
import type { RowOf } from '@/data/sql/statement';
import { look, ownerOnly, todayOf, type StudioSession } from '../kernel/useCase';
import { EARNED_BY, type EarnedBy, type EarnedQuery } from './earned.input';

/** What pieces really earned between two days, by something of them. */
export interface EarnedView {
  readonly from: Day;
  readonly to: Day;
  readonly by: EarnedBy;
  /** By its name: "2026-05" of a month, "2026-05-02 Harbour fair" of a day at a fair, "P-0012 Gatehouse ring" of a pattern. */
  readonly lines: readonly EarnedLine[];
  /** All of them; null where nothing was sold. */
  readonly all: EarnedLine | null;
  /** For the questions of every month: by months, by patterns and by days of fairs. */
  readonly months: readonly EarnedLine[];
  readonly patterns: readonly EarnedLine[];
  readonly fairs: readonly EarnedLine[];
}

/** So far back when nothing is said: a year. */
const YEAR = 364;

/** Sums by one thing, with what standing there cost; also of where nothing was sold. */
async function withStanding(
  tx: Tx,
  of: EarnedOf,
  all: readonly RowOf<typeof earnedSql>[],
  between: { readonly from: Day; readonly to: Day },
): Promise<readonly EarnedLine[]> {
  const sold = all.flatMap(({ of: by, ...line }) => (by === of ? [line] : []));
  const stood = await tx.rows(standingSql[of], between);
  const standing = new Map(stood.map((each) => [each.name, each.standing]));
  const names = new Set(sold.map(({ name }) => name));
  return [
    ...sold.map((line) => ({ ...line, standing: standing.get(line.name) ?? cost(0) })),
    ...stood.filter(({ name }) => !names.has(name)).map((line) => ({ ...NOTHING_SOLD, ...line })),
  ].toSorted((one, other) => (one.name < other.name ? -1 : 1));
}

/** What pieces really earned, as it is asked: the last year when nothing is said. For the owner. */
export function showEarned(session: StudioSession, query: EarnedQuery = {}): Promise<EarnedView> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const to = query.to === undefined ? todayOf(session) : day(query.to);
    const from = query.from === undefined ? daysLater(to, -YEAR) : day(query.from);
    const by = EARNED_BY.find((each) => each === query.by) ?? 'month';
    const between = { from, to };
    const sold = await tx.rows(earnedSql, between);
    const of = (each: EarnedOf) => withStanding(tx, each, sold, between);
    const [months, patterns, fairs] = [await of('month'), await of('pattern'), await of('fair')];
    const had = { month: months, pattern: patterns, fair: fairs };
    const lines = by in had ? had[by as keyof typeof had] : await of(by);
    const [all = null] = await of('all');
    return { ...between, by, lines, all, months, patterns, fairs };
  });
}
