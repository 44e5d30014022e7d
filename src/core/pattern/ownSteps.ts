import { ACTS, type Act } from '../judgement/finishes';
import { ok, refuse, type Result } from '../result';
import type { Caution } from '../technique/cautions';
import type { Composition } from './composition';

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

/** What it is called in the order of the work. */
const PREFIX = 'own.';

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

const freeStepId = (steps: readonly OwnStep[]): string => {
  const taken = new Set(steps.map(({ id }) => id));
  for (let number = 1; ; number += 1) if (!taken.has(PREFIX + number)) return PREFIX + number;
};

/** Adds a step of the maker’s own, last of all. @param order all steps as they stand */
export function withOwnStep(composition: Composition, order: readonly string[], name: string): Composition {
  const { steps = [] } = composition;
  const step: OwnStep = {
    id: freeStepId(steps),
    name: name.slice(0, LONGEST_NAME),
    minutes: '5',
    once: false,
    kind: 'work',
    does: actIn(name),
  };
  return { ...composition, steps: [...steps, step], order: [...order, step.id] };
}

/** What a step does by its name, as makers call it. */
const CALLED: readonly (readonly [RegExp, Act])[] = [
  [/\b(antiqu|patin|oxidi[sz]|liver of sulph)/i, 'antiquing'],
  [/\b(hammer|mallet|planish|flatten)/i, 'hammering'],
  [/\b(file|filing)\b/i, 'filing'],
];

const actIn = (name: string): OwnStep['does'] => CALLED.find(([called]) => called.test(name))?.[1] ?? '';

/** Changes a step of the maker’s own. */
export const withOwnStepAs = (
  composition: Composition,
  id: string,
  change: Partial<Omit<OwnStep, 'id'>>,
): Composition => ({
  ...composition,
  steps: (composition.steps ?? []).map((step) => (step.id === id ? { ...step, ...change } : step)),
});

/** Takes a step of the maker’s own out. */
export const withoutOwnStep = (composition: Composition, id: string): Composition => ({
  ...composition,
  steps: (composition.steps ?? []).filter((step) => step.id !== id),
  order: composition.order.filter((each) => each !== id),
});

/** Whether a text is what an own step does. */
export const isAct = (text: string): text is Act => (ACTS as readonly string[]).includes(text);

export const isOwnStepId = (id: string): boolean => /^own\.\d{1,4}$/.test(id);
