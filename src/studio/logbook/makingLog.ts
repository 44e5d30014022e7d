import type { Id } from '@/core/id';
import { wantedCuts, type PatternBody, type WantedCut } from '@/core/pattern/pattern';
import { sumLengths, type Micrometres } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { StepLog, WireLog } from '@/data/models/making';

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

/** Writes down what each wire of a making was planned as and came to. */
export async function logWires(
  tx: Tx,
  { pieceId, patternId, userId, madeAt, body, isLikeAnother }: LoggedMaking,
  cuts: readonly DoneCut[],
): Promise<void> {
  const wanted = new Map(wantedCuts(body).map((each) => [`${each.cutIndex}.${each.copy}`, each]));
  await tx.add(
    WireLog,
    cuts.flatMap((done) => {
      const { cutIndex, copy, cut, back } = done;
      const asked = wanted.get(`${cutIndex}.${copy}`);
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
          isMeasured: !isLikeAnother && isMeasured(done, asked),
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

/** Writes down how long the steps of a making took that were timed. A step that the pattern does not have is left out. */
export async function logSteps(
  tx: Tx,
  { pieceId, patternId, userId, madeAt, body }: LoggedMaking,
  timed: readonly TimedStep[],
): Promise<void> {
  const minutesOf = new Map(timed.map(({ step, minutes }) => [step, minutes]));
  await tx.add(
    StepLog,
    body.steps.flatMap(({ name, minutes: plannedMinutes, work }, step) => {
      const minutes = minutesOf.get(step) ?? 0;
      if (minutes <= 0) return [];
      const subject = subjectOf(patternId, { work, name });
      const called = name.slice(0, 200);
      return [{ pieceId, step, name: called, subject, patternId, userId, madeAt, plannedMinutes, minutes }];
    }),
  );
}
