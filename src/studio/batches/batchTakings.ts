import { StockPiece } from '@/data/models/stock';
import { minutesOfBatch, type BatchLine } from '@/core/batch/batch';
import type { WantedLine } from '@/core/batch/batchState';
import type { PatternBody } from '@/core/pattern/pattern';
import { expectedSale, takingsOf, type ExpectedSale, type Takings } from '@/core/costing/expectedSale';
import { isDay, type Day } from '@/core/calendar/day';
import { forecast } from '@/core/costing/forecast';
import type { Likely } from '@/core/selling/likelyPrice';
import { cost, sumCosts, toCost, type CostUnits, type MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { lastPricesOfSql } from '@/data/sql/patterns';
import { readInput } from '../kernel/readInput';
import { look, todayOf, type StudioSession } from '../kernel/useCase';
import { bodyAsLearned, timesOf } from '../logbook/learnedTimes';
import { likelyPrices, type SoldInChannel } from '../prices/likelyPrices';
import { priceBookIn } from '../prices/priceBook';
import { settingsIn } from '../settings/settings';
import { batchNumbered, linesOf } from './batches';
import { workOutLines } from './lineBodies';
import { BatchLineInput } from './planBatch.input';

/** What the pieces of one line of a batch should cost and bring. */
export interface LineTakings {
  readonly line: number;
  readonly count: number;
  readonly name: string;
  readonly sale: ExpectedSale;
  /** Whether it is findings for the studio's own drawers: they cost, and bring nothing before a piece is sold that has them. */
  readonly isForDrawer: boolean;
  /** What such pieces were sold for, as far as the studio has sold any; null where nothing is known. */
  readonly likely: Likely | null;
  /** Its parts of which no cost is known: they are counted at nothing. */
  readonly uncosted: readonly string[];
}

/** What a batch should bring, before it is made. */
export interface BatchTakings {
  readonly lines: readonly LineTakings[];
  /** Of the lines that are sold: what they bring, and what their hours earn. */
  readonly together: Takings;
  /** The day that it should be sold around, and where such pieces were sold in those months before. */
  readonly around: Day;
  readonly channels: readonly SoldInChannel[];
}

/** A line of a batch as far as its cost and its price go by it. */
interface PricedLine extends BatchLine {
  readonly body: PatternBody;
  readonly patternNumber: number;
  readonly wanted: Pick<WantedLine, 'stone'>;
}

/** What a batch should cost and bring at the studio's own prices; null for helpers, and when there is no such batch. */
export async function batchTakings(session: StudioSession, number: number): Promise<BatchTakings | null> {
  if (session.role !== 'owner') return null;
  return look(session, async (tx) => {
    const batch = await batchNumbered(tx, number);
    return batch ? takingsOfLines(tx, await linesOf(tx, [batch.id]), batch.dueOn) : null;
  });
}

/** Lines of a batch as they are being typed. */
const MOST_TYPED = 60;

/**
 * What a batch that is being typed should cost and bring, as far as its lines can be read: a line that is not right yet is left out.
 * Null for helpers.
 * @param plain the lines of the form
 * @param dueOn the day that is typed; what is none counts as none
 */
export async function takingsAsTyped(
  session: StudioSession,
  plain: unknown,
  dueOn = '',
): Promise<BatchTakings | null> {
  if (session.role !== 'owner' || !Array.isArray(plain)) return null;
  const typed = await Promise.all(
    plain.slice(0, MOST_TYPED).map((each: unknown) => readInput(BatchLineInput, each).catch(() => undefined)),
  );
  const readable = typed.flatMap((each, index) => (each ? [{ ...each, line: index + 1 }] : []));
  const worked = await workOutLines(session, readable);
  const lines = readable.flatMap(({ line, count }, index): PricedLine[] => {
    const { pattern, wanted, body } = worked.lines[index] ?? {};
    return pattern && wanted && body?.ok
      ? [{ line, count, body: body.value, patternNumber: pattern.number, wanted }]
      : [];
  });
  return look(session, (tx) => takingsOfLines(tx, lines, isDay(dueOn) ? dueOn : null));
}

/** @param dueOn when they have to be there; today where nobody said */
async function takingsOfLines(
  tx: Tx,
  lines: readonly PricedLine[],
  dueOn: Day | null,
): Promise<BatchTakings> {
  const settings = await settingsIn(tx);
  const specIds = lines.flatMap(({ body }) => body.cuts.map(({ specId }) => specId));
  const book = await priceBookIn(tx, {
    specIds: [...new Set(specIds)],
    parts: lines.flatMap(({ body }) => body.parts.map(({ name }) => name)),
  });
  const patterns = lines.map(({ patternNumber }) => patternNumber);
  const prices = await lastPrices(tx, patterns);
  const around = dueOn ?? todayOf(tx.session);
  const sold = await likelyPrices(tx, patterns, around);
  const stones = await stoneCosts(
    tx,
    lines.flatMap(({ wanted }) => wanted.stone ?? []),
  );
  const times = await timesOf(
    tx,
    lines.map(({ patternNumber: pattern, body }) => ({ pattern, body })),
  );
  const learned = lines.map((line) => ({
    ...line,
    body: bodyAsLearned(line.body, times({ pattern: line.patternNumber, body: line.body })),
  }));
  const all = learned.map(({ line, count, body, patternNumber, wanted }): LineTakings => {
    const { outlay, parts } = forecast(body, book);
    const stone = stones.get(wanted.stone ?? 0) ?? cost(0);
    const piece = {
      ...outlay,
      // A stone that was chosen for the line is no part of its pattern any more, and was paid for.
      parts: {
        actual: sumCosts([outlay.parts.actual, stone]),
        replacement: sumCosts([outlay.parts.replacement, stone]),
      },
      sharedBy: Math.max(1, count),
    };
    const likely = sold.of(patternNumber, prices.get(patternNumber) ?? null);
    return {
      line,
      count,
      name: body.name,
      isForDrawer: body.kind === 'finding',
      likely,
      sale: expectedSale(piece, settings, likely?.price ?? null),
      uncosted: parts.flatMap((part) => (part.cost === null ? [part.name] : [])),
    };
  });
  const isSold = ({ line }: { readonly line: number }) =>
    !all.some((each) => each.line === line && each.isForDrawer);
  return {
    lines: all,
    around,
    channels: sold.channels,
    together: takingsOf(all.filter(isSold), minutesOfBatch(learned.filter(isSold))),
  };
}

/** The last price that a piece of each pattern was given, by the pattern's number. */
async function lastPrices(tx: Tx, patterns: readonly number[]): Promise<Map<number, MinorUnits>> {
  const rows = await tx.rows(lastPricesOfSql, { patterns });
  return new Map(rows.map(({ number, price }) => [number, price]));
}

/** What was paid for stones, by the number on their tag. */
async function stoneCosts(tx: Tx, numbers: readonly number[]): Promise<Map<number, CostUnits>> {
  const rows = await tx.allWith(
    StockPiece,
    ['number'],
    { lot: ['price'] },
    { where: { ware: 'stone', number: [...numbers] } },
  );
  return new Map(rows.flatMap(({ number, lot }) => (lot ? [[number, toCost(lot.price)]] : [])));
}
