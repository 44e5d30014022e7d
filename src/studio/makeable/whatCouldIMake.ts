import { StockPiece } from '@/data/models/stock';
import { daysBetween, dayIn, type Day } from '@/core/calendar/day';
import { type Makeable } from '@/core/batch/makeable';
import { partKey } from '@/core/part/partKey';
import { type Candidate, type MakeableProblem } from '@/core/batch/makeableProblem';
import { expectedSale } from '@/core/costing/expectedSale';
import { forecast } from '@/core/costing/forecast';
import { minutesOf } from '@/core/pattern/pattern';
import { HORIZON, minutesUntil, scheduleJobs } from '@/core/schedule/schedule';
import type { MinorUnits } from '@/core/units/money';
import { type RowOf } from '@/data/sql/statement';
import { type Tx, zoneOf } from '@/data/inStudio';
import { patternsMostMadeSql } from '@/data/sql/patterns';
import { runJob } from '../jobs/runJob';
import { invalid, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import type { ValuesOf } from '../kernel/typed';
import { attempt, look, ownerOnly, todayOf, type StudioSession } from '../kernel/useCase';
import { likelyPrices } from '../prices/likelyPrices';
import { priceBookIn } from '../prices/priceBook';
import { settingsIn } from '../settings/settings';
import { bodyAsLearned, timesOf } from '../logbook/learnedTimes';
import { hoursIn, openJobs } from '../schedule/benchHours';
import { countParts, partsInDrawers } from '../drawers/partsInDrawers';
import { freeWires } from '../reservations/freeWires';
import { CHOOSE_WHAT_TO_MAKE } from './jobs';
import { WhatCouldIMakeInput } from './whatCouldIMake.input';

/** How many pieces of one pattern could be made. */
export interface MakeableLine {
  readonly pattern: number;
  readonly name: string;
  readonly count: number;
  readonly minutesEach: number;
  /** What it sells for, and what of that is left for the hours; null for helpers. */
  readonly price: MinorUnits | null;
  readonly marginEach: MinorUnits | null;
  /** Whether the price was reckoned, since no piece of it has one. */
  readonly isReckoned: boolean;
  /** Its parts of which nobody knows how many there are. */
  readonly uncounted: readonly string[];
}

/** What could be made until a day. */
export interface MakeableAnswer extends Pick<Makeable, 'minutes' | 'stoppedBy'> {
  readonly lines: readonly MakeableLine[];
  /** Minutes at the bench until then that no batch takes. */
  readonly freeMinutes: number;
  /** What is left for the hours; null for helpers. */
  readonly margin: MinorUnits | null;
  /** How much more of the aim could be reached at most, as a part of what is reached. */
  readonly gap: number;
  /** Off-cuts that are cut from, and the days that the oldest of them has lain there. */
  readonly offCuts: { readonly count: number; readonly oldestDays: number };
  /** Patterns that were looked at. */
  readonly looked: number;
}

/** How long the pieces may be chosen. */
const LIMIT_MS = 4_000;
/** Patterns that are looked at: those made most. */
const MOST_PATTERNS = 300;

/**
 * What could be made from what is free, in the hours until a day: for the best margin, the most pieces, or the oldest off-cuts used up.
 * Batches that are open keep what is set aside for them, and their hours.
 */
export function whatCouldIMake(session: StudioSession, plain: unknown): Promise<Outcome<MakeableAnswer>> {
  return attempt(async () => {
    const input = await readInput(WhatCouldIMakeInput, plain);
    if (input.aim === 'margin') ownerOnly(session);
    const ahead = input.until === null ? -1 : daysBetween(todayOf(session), input.until);
    if (ahead < 0 || ahead > HORIZON)
      throw invalid('until', 'Give a day from today to a year from now, like 2026-12-05.');
    const asked = await look(session, (tx) => problemOf(tx, input, input.until ?? todayOf(session)));
    const made = await runJob(CHOOSE_WHAT_TO_MAKE, { problem: asked.problem, limitMs: LIMIT_MS }, session);
    return answerOf(session, asked, made);
  });
}

interface Offered extends Candidate {
  readonly name: string;
  readonly price: MinorUnits;
  readonly isReckoned: boolean;
}

interface Asked {
  readonly problem: MakeableProblem;
  readonly offered: readonly (Offered & Pick<MakeableLine, 'uncounted'>)[];
}

/** How many days something has been here, where the studio is. */
const daysHere = (session: StudioSession, came: Date): number =>
  Math.max(0, daysBetween(dayIn(zoneOf(session), came), todayOf(session)));

async function problemOf(tx: Tx, input: ValuesOf<WhatCouldIMakeInput>, until: Day): Promise<Asked> {
  const rows = await tx.rows(patternsMostMadeSql, { kind: input.kind, most: MOST_PATTERNS });
  const offered = await offer(tx, rows, until);
  const bodies = offered.map(({ body }) => body);
  const specIds = bodies.flatMap(({ cuts }) => cuts.map(({ specId }) => specId));
  const wires = await freeWires(tx, specIds, null);
  const stockPieceId = wires.map(({ id }) => id);
  const came = await tx.all(StockPiece, ['stockPieceId', 'createdAt'], { where: { stockPieceId } });
  const days = new Map(came.map((row) => [row.stockPieceId, daysHere(tx.session, row.createdAt)]));
  const names = bodies.flatMap(({ parts }) => parts.map(({ name }) => name));
  const parts = countParts(await partsInDrawers(tx, names, null));
  return {
    offered: offered.map((each) => ({
      ...each,
      uncounted: each.body.parts.map(({ name }) => name).filter((name) => !parts.has(partKey(name))),
    })),
    problem: {
      candidates: offered.map(({ pattern, margin, body }) => ({
        pattern,
        margin,
        body: { name: body.name, cuts: body.cuts, parts: body.parts, steps: body.steps },
      })),
      wires: wires.map(({ id, specId, length, isOffCut }) => ({
        id,
        specId,
        length,
        isOffCut,
        days: days.get(id) ?? 0,
      })),
      parts,
      minutes: await freeMinutes(tx, until),
      mostOfEach: input.most,
      aim: input.aim,
    },
  };
}

type PatternRow = RowOf<typeof patternsMostMadeSql>;

/** What a piece of each pattern would sell for, and what of that would be left for the hours. */
async function offer(tx: Tx, rows: readonly PatternRow[], until: Day): Promise<Offered[]> {
  const settings = await settingsIn(tx);
  const specIds = rows.flatMap(({ body }) => body.cuts.map(({ specId }) => specId));
  const book = await priceBookIn(tx, {
    specIds: [...new Set(specIds)],
    parts: rows.flatMap(({ body }) => body.parts.map(({ name }) => name)),
  });
  const times = await timesOf(
    tx,
    rows.map(({ number: pattern, body }) => ({ pattern, body })),
  );
  const sold = await likelyPrices(
    tx,
    rows.map(({ number }) => number),
    until,
  );
  return rows.map(({ number, name, body: planned, price: lastPrice }) => {
    const body = bodyAsLearned(planned, times({ pattern: number, body: planned }));
    // Setting up is once for a sitting, however many are made in it; it is in the hours and not in the piece.
    const outlay = { ...forecast(body, book).outlay, setUpMinutes: 0, sharedBy: 1 };
    const { price, split, isReckoned } = expectedSale(
      outlay,
      settings,
      sold.of(number, lastPrice)?.price ?? null,
    );
    const margin = split ? Math.round(split.labour + split.profit) : 0;
    return {
      pattern: number,
      name,
      margin,
      body,
      price,
      isReckoned,
    };
  });
}

/** Minutes at the bench until a day that open batches leave. */
async function freeMinutes(tx: Tx, until: Day): Promise<number> {
  const [hours, today] = [await hoursIn(tx), todayOf(tx.session)];
  const taken = scheduleJobs(await openJobs(tx), hours, today)
    .days.filter(({ day }) => day <= until)
    .reduce((sum, { work }) => sum + work.reduce((all, { minutes }) => all + minutes, 0), 0);
  return Math.max(0, minutesUntil(today, until, hours) - taken);
}

function answerOf(session: StudioSession, { problem, offered }: Asked, made: Makeable): MakeableAnswer {
  const sees = session.role === 'owner';
  const days = new Map(problem.wires.map((wire) => [wire.id, wire.days]));
  const { counts, minutes, margin, reached, bound, stoppedBy, offCuts } = made;
  return {
    lines: offered.flatMap(
      ({ pattern, name, body, price, margin: each, isReckoned, uncounted }): MakeableLine[] => {
        const count = counts.get(pattern) ?? 0;
        if (count === 0) return [];
        return [
          {
            pattern,
            name,
            count,
            minutesEach: minutesOf(body).each,
            price: sees ? price : null,
            marginEach: sees ? (each as MinorUnits) : null,
            isReckoned,
            uncounted,
          },
        ];
      },
    ),
    minutes,
    stoppedBy,
    freeMinutes: problem.minutes,
    margin: sees ? (margin as MinorUnits) : null,
    gap: reached > 0 ? (bound - reached) / reached : 0,
    offCuts: {
      count: offCuts.length,
      oldestDays: offCuts.reduce((oldest, id) => Math.max(oldest, days.get(id) ?? 0), 0),
    },
    looked: offered.length,
  };
}
