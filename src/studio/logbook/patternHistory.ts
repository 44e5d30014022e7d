import { groupBy } from '@/core/groupBy';
import type { Id } from '@/core/id';
import type { Estimate } from '@/core/learning/estimate';
import { learnMinutes, type TimeLearned } from '@/core/learning/minutes';
import { stillCounts, type Ruling } from '@/core/learning/ruling';
import { spreadOf, type Spread } from '@/core/learning/spreadOf';
import { minutesOf, type PatternBody } from '@/core/pattern/pattern';
import type { Tx } from '@/data/inStudio';
import { Movement } from '@/data/models/books';
import { Piece, StepLog, WireLog } from '@/data/models/making';
import { look, type StudioSession } from '../kernel/useCase';
import { driftOfPattern } from './learnedDrift';
import { subjectOf } from './makingLog';
import { usualTimes } from './learnedTimes';
import { proposeLengths, type LearnedCut } from './proposeLengths';
import { ofPattern, rulingsOn } from './rulings';

/** One making of a pattern against what was planned for it. */
export interface MakingShown {
  readonly number: number;
  readonly madeAt: Date;
  /** What stayed of its measured wires, of what was planned to, as a part; null when nothing was measured. */
  readonly wire: number | null;
  /** How long it took, of what was planned; null when nobody said. */
  readonly time: number | null;
  /** What it weighs on the scale, of the middle of those that were weighed; null when it was not. */
  readonly weight: number | null;
}

/** A step of a pattern that was timed. */
export interface StepTimed {
  readonly name: string;
  readonly planned: number;
  readonly learned: TimeLearned;
}

/** How a pattern went. */
export interface PatternHistory {
  /** The latest makings, from old to new. */
  readonly makings: readonly MakingShown[];
  /** What a wire of each of its cuts takes, by the makings of whoever asks. */
  readonly cuts: readonly LearnedCut[];
  /** Its steps that were timed, in the order of the work. */
  readonly steps: readonly StepTimed[];
  /** How its rings come out, in US sizes against what they were made for; null while none was read on the mandrel. */
  readonly drift: Estimate | null;
  /** What its pieces weigh on the scale, in micrograms; null while none was weighed. */
  readonly weight: Spread | null;
  /** Pieces for which wire was lost on the way, and what most often went wrong; null when nothing did. */
  readonly spoiled: { readonly pieces: number; readonly reason: string; readonly times: number } | null;
  /** How long it takes; null while nothing like it was timed. */
  readonly time: TimeLearned | null;
  /** The same of each who made it, for an owner, where several did; who said no minutes is left out. */
  readonly makers: readonly { readonly name: string; readonly time: TimeLearned }[];
  /** What the owner says against the log; null for a helper. */
  readonly ruled: RulingsOfPattern | null;
}

/** What is ruled of a pattern. */
export interface RulingsOfPattern {
  readonly time: Ruling;
  /** Null for what is no ring. */
  readonly ring: Ruling | null;
  /** Of each of its cuts. */
  readonly wires: readonly Ruling[];
}

/** For how many of some pieces wire was lost on the way, and why most often. */
async function spoiledFor(tx: Tx, pieceIds: readonly Id<'piece'>[]): Promise<PatternHistory['spoiled']> {
  const lost = await tx.all(Movement, ['pieceId', 'reason'], {
    where: { pieceId: [...pieceIds], kind: 'spoiled' },
  });
  const [most] = [...groupBy(lost, ({ reason }) => reason)].sort(
    ([one, of], [other, than]) => than.length - of.length || one.localeCompare(other),
  );
  return most
    ? { pieces: new Set(lost.map(({ pieceId }) => pieceId)).size, reason: most[0], times: most[1].length }
    : null;
}

async function rulingsOfPattern(
  tx: Tx,
  { id, number }: { readonly id: Id<'pattern'>; readonly number: number },
  { kind, cuts }: Pick<PatternBody, 'kind' | 'cuts'>,
): Promise<RulingsOfPattern> {
  const subjects = cuts.map((cut) => subjectOf(id, cut));
  const [time, ring, wire] = [
    await rulingsOn(tx, 'time', [ofPattern(number)]),
    await rulingsOn(tx, 'ring', [ofPattern(number)]),
    await rulingsOn(tx, 'wire', subjects),
  ];
  return {
    time: time(ofPattern(number)),
    ring: kind === 'ring' ? ring(ofPattern(number)) : null,
    wires: subjects.map(wire),
  };
}

/** So many of the latest makings are shown. */
const LATEST = 100;
const DAY_MS = 86_400_000;

/** How a pattern went: to an owner of all makings, to a helper of their own. */
export function showHistory(
  session: StudioSession,
  { id: patternId, number }: { readonly id: Id<'pattern'>; readonly number: number },
  body: Pick<PatternBody, 'kind' | 'cuts' | 'steps'>,
): Promise<PatternHistory> {
  return look(session, async (tx) => {
    const pieces = await tx.allWith(
      Piece,
      ['pieceId', 'number', 'madeAt', 'minutes', 'plannedMinutes', 'weighedUg'],
      { user: ['name'] },
      {
        where: { patternId, struckAt: null, ...(session.role === 'owner' ? {} : { userId: session.userId }) },
        order: [['number', 'DESC']],
        limit: LATEST,
      },
    );
    const wires = groupBy(
      await tx.all(WireLog, ['pieceId', 'planned', 'tails', 'cut', 'back'], {
        where: { pieceId: pieces.map(({ pieceId }) => pieceId), isMeasured: true },
      }),
      ({ pieceId }) => pieceId,
    );
    const ageOf = (at: Date): number => (session.now.getTime() - at.getTime()) / DAY_MS;
    const stayed = (pieceId: Id<'piece'>): number | null => {
      const own = wires.get(pieceId) ?? [];
      const planned = own.reduce((sum, each) => sum + each.planned - each.tails, 0);
      return planned > 0 ? own.reduce((sum, each) => sum + each.cut - each.back, 0) / planned : null;
    };
    const steps = groupBy(
      (
        await tx.all(StepLog, ['subject', 'minutes', 'plannedMinutes', 'madeAt'], {
          where: { pieceId: pieces.map(({ pieceId }) => pieceId) },
        })
      ).map(({ subject, minutes, plannedMinutes, madeAt }) => ({
        subject,
        minutes,
        planned: plannedMinutes,
        age: ageOf(madeAt),
      })),
      ({ subject }) => subject,
    );
    // A form that is sent with the minutes that it was opened with says nothing of the time.
    const timed = pieces.flatMap(({ pieceId, user, minutes, plannedMinutes, madeAt }) =>
      plannedMinutes !== null && plannedMinutes > 0 && minutes > 0 && minutes !== plannedMinutes
        ? [
            {
              pieceId,
              maker: user.name,
              minutes,
              planned: plannedMinutes,
              madeAt,
              age: ageOf(madeAt),
            },
          ]
        : [],
    );
    const each = minutesOf(body).each;
    const usual = (await usualTimes(tx, [body]))({ pattern: number, body });
    const ruled = await rulingsOfPattern(tx, { id: patternId, number }, body);
    const counted = stillCounts(timed, ruled.time);
    const byMaker = groupBy(counted, ({ maker }) => maker);
    const timeOf = new Map(timed.map(({ pieceId, minutes, planned }) => [pieceId, minutes / planned]));
    const weight = spreadOf(pieces.flatMap(({ weighedUg }) => weighedUg ?? [])) ?? null;
    return {
      makings: pieces
        .map(({ pieceId, number: made, madeAt, weighedUg }) => ({
          number: made,
          madeAt,
          wire: stayed(pieceId),
          time: timeOf.get(pieceId) ?? null,
          weight: weight && weighedUg !== null ? weighedUg / weight.middle : null,
        }))
        .reverse(),
      cuts: await proposeLengths(tx, session, patternId, body),
      steps: body.steps.flatMap(({ name, minutes: planned, work }): StepTimed[] => {
        const own = steps.get(subjectOf(patternId, { name, work })) ?? [];
        const learned = learnMinutes(own, planned);
        return learned ? [{ name, planned, learned }] : [];
      }),
      weight,
      spoiled: await spoiledFor(
        tx,
        pieces.map(({ pieceId }) => pieceId),
      ),
      drift: await driftOfPattern(tx, { id: patternId, number }),
      time: learnMinutes(counted, each, { fixed: ruled.time.fixed, usual }) ?? null,
      ruled: session.role === 'owner' ? ruled : null,
      makers:
        byMaker.size > 1
          ? [...byMaker].flatMap(([name, own]) => {
              const time = learnMinutes(own, each);
              return time ? [{ name, time }] : [];
            })
          : [],
    };
  });
}
