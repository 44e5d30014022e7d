import { ACTS, type Act } from '../judgement/finishes';
import { ok, refuse, type Result } from '../result';
import type { Caution } from '../technique/cautions';

/** What a step of the maker’s own is: work; something that is looked at; or something that must be so before the work goes on. */
export const OWN_STEP_KINDS = ['work', 'check', 'stop'] as const;
export type OwnStepKind = (typeof OWN_STEP_KINDS)[number];

/** A step that the maker adds to what the techniques of a pattern take. */
export interface OwnStep {
  /** “own.1”: its own in the order of the work. */
  readonly id: string;
  readonly name: string;
  /** As typed; those of a single piece, or of a whole sitting when it is done once for all of it. */
  readonly minutes: string;
  readonly once: boolean;
  readonly kind: OwnStepKind;
  /** What it does to every wire of the piece, which its finish may forbid; nothing such when it is empty. */
  readonly does: Act | '';
}

/** What is done to a piece wants care. */
export const CARE: Readonly<Record<Act, Caution>> = {
  antiquing: 'antiquing',
  hammering: 'hammering',
  filing: 'filing',
  marking: 'marking',
};

/** Steps of the maker’s own in a pattern, at most. */
export const MOST_OWN_STEPS = 60;
/** What they are called, characters at most. */
export const LONGEST_NAME = 120;
const MOST_MINUTES = 1000;

/** What its id begins with. */
export const OWN = 'own.';

/**
 * Reads the minutes of a step: a number, with a point or a comma.
 * @returns what is allowed, when it is none
 */
export function readMinutes(text: string): Result<number> {
  const plain = text.trim().replace(',', '.');
  const minutes = /^\d+(\.\d+)?$/.test(plain) ? Number(plain) : NaN;
  return minutes <= MOST_MINUTES
    ? ok(minutes)
    : refuse(
        `“${text.trim()}” are no minutes of a step; write a number from 0 to ${MOST_MINUTES}, like 5 or 2.5.`,
      );
}

/** What is wrong with a step as it is typed; empty when nothing is. */
export function wrongWithStep({ name, minutes }: OwnStep): string {
  if (name.trim() === '') return 'Say what is done in this step.';
  const read = readMinutes(minutes);
  return read.ok ? '' : read.error;
}

/** Whether a text is what an own step does. */
export const isAct = (text: string): text is Act => (ACTS as readonly string[]).includes(text);

export const isOwnStepId = (id: string): boolean => /^own\.\d{1,4}$/.test(id);
