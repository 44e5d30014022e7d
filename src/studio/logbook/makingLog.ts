import { wireKey, type BentTurn, type Checked, type SizeRead } from '@/core/bench/sitting';
import type { Besides } from '@/core/bench/sittingMinutes';
import type { Id } from '@/core/id';
import { wantedCuts, type PatternBody, type WantedCut } from '@/core/pattern/pattern';
import { sumLengths, type Micrometres } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { StepLog, WireLog } from '@/data/models/making';
import { BendLog, CheckLog, SizeLog } from '@/data/models/sittings';

/** A wire as the maker says it was cut, and what came back. */
interface DoneCut {
  readonly cutIndex: number;
  readonly copy: number;
  readonly cut: Micrometres;
  readonly back: readonly Micrometres[];
}

/** The making that a log is written for. */
export interface LoggedMaking {
  readonly pieceId: Id<'piece'>;
  readonly patternId: Id<'pattern'>;
  readonly userId: Id<'user'>;
  readonly madeAt: Date;
  readonly body: Pick<PatternBody, 'cuts' | 'steps'>;
  /** Whether another piece was measured and this one taken to be like it. */
  readonly isLikeAnother: boolean;
}

/**
 * What a cut or a step tells of: the work that it is for, whichever pattern that is of. Of one that was written by hand nobody knows more
 * than that it is the one of its pattern.
 */
export const subjectOf = (
  patternId: Id<'pattern'>,
  { work, name }: { readonly work?: string | undefined; readonly name: string },
): string => work ?? `${patternId} ${name.slice(0, 200)}`;

/** What stays in a piece is known when somebody said what was cut or came back; a form that is sent as it was opened says nothing. */
const isMeasured = ({ cut, back }: DoneCut, { length, tails }: WantedCut): boolean =>
  cut !== length || sumLengths(back) !== sumLengths(tails);

/**
 * Writes down what each wire of a making was planned as and came to.
 * @param measured wires that somebody measured, by their keys, even where they are as planned; where it is left out, those that are not
 *   as planned
 */
export async function logWires(
  tx: Tx,
  { pieceId, patternId, userId, madeAt, body, isLikeAnother }: LoggedMaking,
  cuts: readonly DoneCut[],
  measured?: ReadonlySet<string>,
): Promise<void> {
  const wanted = new Map(wantedCuts(body).map((each) => [wireKey(each), each]));
  await tx.add(
    WireLog,
    cuts.flatMap((done) => {
      const { cutIndex, copy, cut, back } = done;
      const asked = wanted.get(wireKey(done));
      const planned = body.cuts[cutIndex];
      if (!asked || !planned || asked.length <= 0) return [];
      return [
        {
          pieceId,
          cutIndex,
          copy,
          name: planned.name,
          subject: subjectOf(patternId, planned),
          patternId,
          userId,
          articleId: planned.specId,
          madeAt,
          planned: asked.length,
          tails: sumLengths(asked.tails),
          cut,
          back: sumLengths(back),
          isMeasured: !isLikeAnother && (measured?.has(wireKey(done)) ?? isMeasured(done, asked)),
        },
      ];
    }),
  );
}

/** A step as it was timed at the bench. */
interface TimedStep {
  /** Its place in the order of work, from 0. */
  readonly step: number;
  readonly minutes: number;
}

/** What work beside the steps of a pattern is called in the log. */
const BESIDES_CALLED: Readonly<Record<Besides, string>> = {
  layOut: 'Laying out and cutting',
  inspect: 'Inspection',
  rework: 'Rework',
};

/**
 * Writes down how long the steps of a making took that were timed, and after them what was timed beside them, which no pattern plans. A step
 * that the pattern does not have is left out.
 */
export async function logSteps(
  tx: Tx,
  { pieceId, patternId, userId, madeAt, body }: LoggedMaking,
  timed: readonly TimedStep[],
  besides: readonly { readonly work: Besides; readonly minutes: number }[],
): Promise<void> {
  const minutesOf = new Map(timed.map(({ step, minutes }) => [step, minutes]));
  const ofPattern = body.steps.map(({ name, minutes, work }, step) => ({
    step,
    name: name.slice(0, 200),
    subject: subjectOf(patternId, { work, name }),
    plannedMinutes: minutes,
    minutes: minutesOf.get(step) ?? 0,
  }));
  const others = besides.map(({ work, minutes }, index) => ({
    step: body.steps.length + index,
    name: BESIDES_CALLED[work],
    subject: `bench.${work}`,
    plannedMinutes: 0,
    minutes,
  }));
  await tx.add(
    StepLog,
    [...ofPattern, ...others]
      .filter(({ minutes }) => minutes > 0)
      .map((each) => ({ ...each, pieceId, patternId, userId, madeAt })),
  );
}

/** Writes down what came of the turns of a making that were measured when they were bent. */
export async function logBends(
  tx: Tx,
  { pieceId, madeAt }: Pick<LoggedMaking, 'pieceId' | 'madeAt'>,
  bends: readonly (BentTurn & { readonly name: string; readonly specId: Id<'article'> })[],
): Promise<void> {
  await tx.add(
    BendLog,
    bends.map(({ name, specId: articleId, on: bentOn, came }, place) => ({
      pieceId,
      place,
      name: name.slice(0, 200),
      articleId,
      bentOn,
      came,
      madeAt,
    })),
  );
}

/** Writes down what a piece was looked at for, and its sizes on the way. */
export async function logInspection(
  tx: Tx,
  pieceId: Id<'piece'>,
  found: {
    readonly checks: readonly (Checked & { readonly name: string })[];
    readonly sizes: readonly SizeRead[];
  } = {
    checks: [],
    sizes: [],
  },
): Promise<void> {
  await tx.add(
    CheckLog,
    found.checks.map((each, place) => ({ pieceId, place, ...each })),
  );
  await tx.add(
    SizeLog,
    found.sizes.map(({ when: readWhen, inside }, place) => ({ pieceId, place, readWhen, inside })),
  );
}
