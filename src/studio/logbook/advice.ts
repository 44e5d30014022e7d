import type { Id } from '@/core/id';
import { groupBy } from '@/core/groupBy';
import { ringsToMend, stepsToMend, wiresToMend, type Deviating, type Logged } from '@/core/learning/advise';
import { driftOf } from '@/core/learning/ringSizes';
import { netEntries } from '@/core/learning/wires';
import { cost, type CostUnits } from '@/core/units/money';
import { atLeast } from '@/data/conditions';
import { Movement } from '@/data/models/books';
import { Piece, StepLog, WireLog } from '@/data/models/making';
import { newestPatterns } from '../patterns/newestPatterns';
import { look, ownerOnly, type StudioSession } from '../kernel/useCase';

/** A pattern that something is advised of. */
interface OfPattern {
  readonly number: number;
  readonly name: string;
}

/** What the log advises. */
export interface Advice {
  /** Wires that are cut too long or too short again and again. */
  readonly wires: readonly Deviating<OfPattern & { readonly wire: string }>[];
  /** Steps that eat the time, or are quicker than planned. */
  readonly steps: readonly Deviating<OfPattern & { readonly step: string; readonly planned: number }>[];
  /** Patterns whose rings drift in size. */
  readonly rings: readonly Deviating<OfPattern>[];
  /** Of the patterns that something is said of, those that are composed. */
  readonly composed: ReadonlySet<number>;
  /** What spoils most of a year, by what it cost; null when nothing was spoiled. */
  readonly spoiled: {
    readonly reason: string;
    readonly times: number;
    readonly cost: CostUnits;
    readonly all: CostUnits;
  } | null;
}

/** So many of the latest pieces are looked at, and so many things of a kind said. */
const LATEST = 300;
const MOST = 3;
const DAY_MS = 86_400_000;
const YEAR_MS = 365 * DAY_MS;

/** What the log advises the owner, each with what it comes from. */
export function adviseFromLog(session: StudioSession): Promise<Advice> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const pieces = await tx.allWith(
      Piece,
      ['pieceId', 'patternId', 'madeAt', 'wantedInside', 'finishedInside'],
      { pattern: ['number', 'name'] },
      { where: { struckAt: null }, order: [['number', 'DESC']], limit: LATEST },
    );
    const pieceIds = pieces.map(({ pieceId }) => pieceId);
    const patternOf = new Map(
      pieces.map(({ patternId, pattern }): [Id<'pattern'>, OfPattern] => [patternId, pattern]),
    );
    const ageOf = (at: Date): number => (session.now.getTime() - at.getTime()) / DAY_MS;
    const wires = await tx.all(
      WireLog,
      ['pieceId', 'patternId', 'name', 'planned', 'tails', 'cut', 'back', 'madeAt'],
      { where: { pieceId: pieceIds, isMeasured: true } },
    );
    const steps = await tx.all(StepLog, ['patternId', 'name', 'plannedMinutes', 'minutes', 'madeAt'], {
      where: { pieceId: pieceIds },
    });
    const grouped = <Row extends { readonly patternId: Id<'pattern'> }, More>(
      rows: readonly Row[],
      keyOf: (row: Row) => string,
      logged: (own: readonly Row[], of: OfPattern) => Logged<OfPattern & More>[],
    ): Logged<OfPattern & More>[] =>
      [...groupBy(rows, (row) => `${row.patternId} ${keyOf(row)}`).values()].flatMap((own) => {
        const of = own[0] && patternOf.get(own[0].patternId);
        return of ? logged(own, of) : [];
      });
    const found = {
      wires: wiresToMend(
        grouped(
          wires,
          ({ name }) => name,
          (own, of) => [
            {
              of: { ...of, wire: own[0]?.name ?? '' },
              entries: netEntries(
                own.map(({ pieceId: making, madeAt, ...wire }) => ({ ...wire, making, age: ageOf(madeAt) })),
              ),
              planned: own.reduce((sum, { planned, tails }) => sum + planned - tails, 0),
            },
          ],
        ),
        MOST,
      ),
      steps: stepsToMend(
        grouped(
          steps.filter(({ plannedMinutes }) => plannedMinutes > 0),
          ({ name }) => name,
          (own, of) => [
            {
              of: { ...of, step: own[0]?.name ?? '', planned: own[0]?.plannedMinutes ?? 0 },
              entries: own.map(({ minutes, plannedMinutes, madeAt }) => ({
                value: Math.log(minutes / plannedMinutes),
                age: ageOf(madeAt),
              })),
              planned: own.reduce((sum, { plannedMinutes }) => sum + plannedMinutes, 0),
            },
          ],
        ),
        MOST,
      ),
      rings: ringsToMend(
        grouped(
          pieces,
          () => '',
          (own, of) => {
            const entries = own.flatMap(({ wantedInside: wanted, finishedInside: finished, madeAt }) =>
              wanted !== null && finished !== null
                ? [{ value: driftOf({ wanted, finished }), age: ageOf(madeAt) }]
                : [],
            );
            return [{ of, entries, planned: entries.length }];
          },
        ),
        MOST,
      ),
    };
    const named = [...found.wires, ...found.steps, ...found.rings].map(({ of }) => of.number);
    const composed = (await newestPatterns(tx, named)).filter(({ body }) => body.composition);
    return {
      ...found,
      composed: new Set(composed.map(({ number }) => number)),
      spoiled: spoiledMost(
        await tx.all(Movement, ['reason', 'costUnits'], {
          where: { kind: 'spoiled', happenedAt: atLeast(new Date(session.now.getTime() - YEAR_MS)) },
          order: [
            ['happenedAt', 'DESC'],
            ['movementId', 'DESC'],
          ],
          limit: 2000,
        }),
      ),
    };
  });
}

interface Spoiled {
  readonly reason: string;
  readonly costUnits: CostUnits;
}

/** The reason that cost most. */
function spoiledMost(rows: readonly Spoiled[]): Advice['spoiled'] {
  const costOf = (own: readonly Spoiled[]) =>
    cost(0 - own.reduce((sum, { costUnits }) => sum + costUnits, 0));
  const [worst] = [...groupBy(rows, ({ reason }) => reason).entries()]
    .map(([reason, own]) => ({ reason, times: own.length, cost: costOf(own) }))
    .toSorted((one, other) => other.cost - one.cost);
  return worst && worst.cost > 0 ? { ...worst, all: costOf(rows) } : null;
}
