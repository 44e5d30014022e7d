import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import { formatAmountOf, parseAmountOf, type SupplyUnit } from '@/core/stock/amount';
import type { StockForm, Ware } from '@/core/stock/ware';
import { tag } from '@/core/tag';
import { cost, shareOfCost, type CostUnits } from '@/core/units/money';
import { type RowOf } from '@/data/sql/statement';
import type { Tx } from '@/data/inStudio';
import { Count, CountLineRow } from '@/data/models/lists';
import { Place } from '@/data/models/articles';
import { setExpectedSql, countsInBriefSql, linesOfCountSql, fillCountSheetSql } from '@/data/sql/counting';
import { readInput } from '../kernel/readInput';
import { takeNumbers } from '../kernel/numbers';
import { invalid, Refused, refused, type Outcome } from '../kernel/outcome';
import { acts } from '../kernel/posts';
import { look, post, type StudioSession } from '../kernel/useCase';
import { lockStock, Posting } from '../ledger/posting';
import { settingsIn } from '../settings/settings';
import { CountLineInput } from './counting.input';

/** One line of a count sheet. */
export interface CountLine {
  readonly id: Id<'stock piece'>;
  readonly ware: Ware;
  readonly number: number;
  readonly name: string;
  readonly form: StockForm;
  readonly unit: SupplyUnit | null;
  /** What the books say; when the count was posted, what they said then. */
  readonly expected: number;
  readonly typed: string | null;
  readonly counted: number | null;
  readonly who: string | null;
  /** What the difference carries; null for helpers. */
  readonly cost: CostUnits | null;
}

/** A count of one place. */
export interface CountSheet {
  readonly number: number;
  readonly placeName: string;
  readonly startedAt: Date;
  readonly startedBy: string;
  readonly postedAt: Date | null;
  readonly lines: readonly CountLine[];
}

/** The most stock pieces that one sheet holds. */
const SHEET = 1000;

/** Opens a count sheet of a place, in the order it is kept; of what lies nowhere, when no place is named. */
export const startCount = acts('startCount', async ({ tx, session }, placeId: Id<'place'> | null) => {
  const found = placeId === null ? undefined : await tx.one(Place, ['name'], { where: { placeId: placeId } });
  if (placeId !== null && !found) throw refused('This placeId is no longer there.');
  const countId = randomUUID();
  const number = await takeNumbers(tx, 'count');
  await tx.add(Count, [
    {
      countId,
      number,
      placeId: placeId,
      placeName: found?.name ?? 'Nowhere in particular',
      userId: session.userId,
      startedAt: session.now,
    },
  ]);
  await tx.execute(fillCountSheetSql, { countId, placeId: placeId, most: SHEET });
  return { number };
});

const countNumbered = (tx: Tx, number: number) =>
  tx.oneWith(
    Count,
    ['countId', 'number', 'placeName', 'startedAt', 'postedAt'],
    { user: ['name'] },
    { where: { number } },
  );

/** Opens a count, also one that was posted long ago; null when there is none. */
export function showCount(session: StudioSession, number: number): Promise<CountSheet | null> {
  return look(session, async (tx) => {
    const count = await countNumbered(tx, number);
    if (!count) return null;
    const { countId, user, ...sheet } = count;
    return { ...sheet, startedBy: user.name, lines: await linesOf(tx, countId) };
  });
}

async function linesOf(tx: Tx, countId: Id<'count'>): Promise<CountLine[]> {
  const rows = await tx.rows(linesOfCountSql, { countId });
  const sees = tx.session.role === 'owner';
  return rows.map(({ now, carries, ...line }) => {
    const missing = line.counted === null ? 0 : Math.max(0, Math.min(now, line.expected - line.counted));
    return { ...line, cost: sees ? shareOfCost(carries, missing, now) : null };
  });
}

/** A past or running count in the list. */
export type CountSummary = RowOf<typeof countsInBriefSql>;

export function listCounts(session: StudioSession): Promise<CountSummary[]> {
  return look(session, (tx) => tx.rows(countsInBriefSql, {}));
}

/** One line as it was entered. */
export interface LineTyped {
  readonly id: string;
  readonly typed: string;
}

/** The most lines that are sent at once. */
const BATCH = 200;

/**
 * Keeps what was counted so far. It may be sent again and in any order: the last word for a line stands, so a phone that lost its
 * connection in the drawer sends all it has when it is back.
 * @returns a sentence for every line that cannot be read; the others are kept
 */
export function keepCounted(
  session: StudioSession,
  postKey: Id<'post'>,
  number: number,
  lines: readonly LineTyped[],
): Promise<Outcome<{ readonly wrong: Readonly<Record<string, string>> }>> {
  const prepare = async () => {
    if (!Array.isArray(lines as unknown) || lines.length > BATCH)
      throw new Refused({ kind: 'invalid', message: `At most ${BATCH} lines are kept at once.` });
    return Promise.all(
      lines.map(async ({ id, typed }) => ({
        id,
        typed: (await readInput(CountLineInput, { typed })).typed,
      })),
    );
  };
  return post(session, 'keepCounted', postKey, prepare, async (tx, entered) => {
    const count = await openCount(tx, number);
    const known = new Map((await linesOf(tx, count.countId)).map((line) => [line.id, line]));
    const wrong: Record<string, string> = {};
    for (const { id, typed } of entered) {
      const line = known.get(id);
      if (!line) continue;
      const read = typed === '' ? undefined : parseAmountOf(line, typed);
      if (read && !read.ok) {
        wrong[id] = read.error;
        continue;
      }
      await tx.change(
        CountLineRow,
        { countId: count.countId, stockPieceId: id },
        {
          typed: typed === '' ? null : typed,
          counted: read?.value ?? null,
          countedAt: session.now,
          userId: session.userId,
        },
      );
    }
    return { wrong };
  });
}

async function openCount(tx: Tx, number: number) {
  const count = await countNumbered(tx, number);
  if (!count) throw refused(`There is no count ${tag('count', number)}.`);
  if (count.postedAt)
    throw refused(`${tag('count', number)} was posted already; start another count. Nothing was changed.`);
  return count;
}

/**
 * Posts every difference of a count together: what is missing takes its share of the cost with it, what was found adds none.
 * @param seen what the books said of each counted line when the differences were reviewed: when somebody has taken of it
 * since, the count of that line is no longer worth anything, and the posting is refused
 */
export function postCount(
  session: StudioSession,
  postKey: Id<'post'>,
  number: number,
  seen: Readonly<Record<string, number>>,
): Promise<Outcome<{ readonly differences: number }>> {
  return post(
    session,
    'postCount',
    postKey,
    () => seen,
    async (tx, expected) => {
      const { lengthSystem } = await settingsIn(tx);
      const { countId } = await openCount(tx, number);
      const lines = (await linesOf(tx, countId)).filter(({ counted }) => counted !== null);
      if (lines.length === 0) throw refused('Nothing has been counted yet.');
      const stock = await lockStock(
        tx,
        lines.map(({ id }) => id),
      );
      const posting = new Posting(tx, postKey).hold(...stock.values());
      let differences = 0;
      for (const { id, ware, unit, number: piece, counted } of lines) {
        const { quantity, cost: carried } = posting.balance(id);
        if (expected[id] !== undefined && expected[id] !== quantity) {
          throw invalid(
            id,
            `Somebody took from ${tag(ware, piece)} meanwhile: the books now say ${formatAmountOf({ ware, unit }, quantity, lengthSystem)}. Count it again.`,
          );
        }
        const difference = (counted ?? 0) - quantity;
        if (difference === 0) continue;
        differences += 1;
        const share = difference < 0 ? shareOfCost(carried, -difference, quantity) : 0;
        posting.enter(id, 'counted', difference, cost(0 - share), {
          reason: `count ${tag('count', number)}`,
        });
      }
      await posting.commit();
      await tx.execute(setExpectedSql, {
        countId,
        ids: lines.map(({ id }) => id),
        quantities: lines.map(({ id }) => stock.get(id)?.quantity ?? 0),
      });
      await tx.change(Count, { countId }, { postedAt: session.now, postKey });
      return { differences };
    },
  );
}
