import { day, daysLater, type Day } from '@/core/calendar/day';
import { groupBy } from '@/core/groupBy';
import { NOTHING_SOLD, type EarnedLine } from '@/core/selling/earned';
import { priceTried, type PriceTried } from '@/core/selling/priceSpeed';
import { cost } from '@/core/units/money';
import { tag } from '@/core/tag';
import type { Tx } from '@/data/inStudio';
import { Piece } from '@/data/models/making';
import { SaleLine } from '@/data/models/selling';
import { earnedSql, soldAfterSql, type EarnedOf } from '@/data/sql/earned';
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
  /** What prices that were tried tell: of all patterns together, and of each of which it is known. */
  readonly tried: PriceTried;
  readonly triedOf: readonly (Pick<PatternTried, 'pattern' | 'name'> & { readonly tried: PriceTried })[];
}

type PatternTried = RowOf<typeof soldAfterSql>;

/** The most sales that are looked at for the prices that were tried, the latest. */
const MOST_TRIED = 2000;

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
    const after = await tx.rows(soldAfterSql, { ...between, most: MOST_TRIED });
    const triedOf = [...groupBy(after, ({ pattern }) => pattern).values()].flatMap((some) => {
      const [{ pattern, name } = { pattern: 0, name: '' }] = some;
      const tried = priceTried(some);
      return tried.isKnown ? [{ pattern, name, tried }] : [];
    });
    return { ...between, by, lines, all, months, patterns, fairs, tried: priceTried(after), triedOf };
  });
}

/** What one piece really earned when it was sold. */
export interface PieceEarned {
  readonly sale: number;
  readonly channel: string;
  readonly soldOn: Day;
  readonly line: EarnedLine;
}

/** What a piece really earned; null where it is not sold. For the owner. */
export function showPieceEarned(session: StudioSession, number: number): Promise<PieceEarned | null> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const piece = await tx.one(Piece, ['pieceId', 'state'], { where: { number, struckAt: null } });
    if (piece?.state !== 'sold') return null;
    const rows = await tx.allWith(
      SaleLine,
      [
        ...(['soldOn', 'pieces', 'net', 'fees', 'sending', 'materials', 'replaced'] as const),
        ...(['minutes', 'labour', 'overhead', 'days'] as const),
      ],
      { sale: ['number'], channel: ['name'] },
      { where: { pieceId: piece.pieceId, pieces: 1 } },
    );
    const [last] = rows.toSorted((one, other) => other.sale.number - one.sale.number);
    if (!last) return null;
    const { sale, channel, soldOn, net: takings, ...sums } = last;
    const stood = await tx.rows(standingSql.piece, { from: soldOn, to: soldOn });
    const standing = stood.find(({ name }) => name === String(number))?.standing ?? cost(0);
    return {
      sale: sale.number,
      channel: channel.name,
      soldOn,
      line: { name: tag('piece', number), ...sums, takings, standing },
    };
  });
}
