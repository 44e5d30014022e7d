import { estimate, type Entry, type Estimate, type Prior } from './estimate';
import { USUAL_TIME } from './minutes';
import { USUAL_DRIFT } from './ringSizes';
import { USUAL_NET } from './wires';

/** What was logged again and again of one thing: a wire, a step, a ring of a pattern. */
export interface Logged<Of> {
  readonly of: Of;
  /** How much more than planned, each time: logarithms of parts for lengths and minutes, US sizes for rings. */
  readonly entries: readonly Entry[];
  /** What is planned of it, all times together: mm, or minutes. What costs more comes first. */
  readonly planned: number;
}

/** Something that comes out otherwise than planned, and not by chance. */
export interface Deviating<Of> {
  readonly of: Of;
  readonly learned: Estimate;
}

/** What is looked for: how far it must be off, and how often it must have been made. */
interface Asked {
  readonly prior: Prior;
  readonly least: number;
}

/** Under so many makings nothing is advised: a few may be chance, and a prior still pulls. The house's choice. */
const FEWEST = 4;
/** Beyond so many standard errors it is no chance: one in a hundred and fifty. */
const SURE = 2.7;

/** How far the truth may lie from what was learned: the part of what the next one varies by that is not the making itself. */
export const standardError = ({ scale, deviation }: Pick<Estimate, 'scale' | 'deviation'>): number =>
  Math.sqrt(Math.max(0, scale ** 2 - deviation ** 2));

/** What comes out otherwise than planned by more than chance, what makes most of a difference first. */
function deviating<Of>(
  logged: readonly Logged<Of>[],
  { prior, least }: Asked,
  most: number,
): Deviating<Of>[] {
  return logged
    .filter(({ entries }) => entries.length >= FEWEST)
    .map(({ of, entries, planned }) => ({ of, planned, learned: estimate(entries, prior) }))
    .filter(
      ({ learned }) =>
        Math.abs(learned.value) >= least && Math.abs(learned.value) > SURE * standardError(learned),
    )
    .toSorted(
      (one, other) =>
        other.planned * Math.abs(other.learned.value) - one.planned * Math.abs(one.learned.value),
    )
    .slice(0, most)
    .map(({ of, learned }) => ({ of, learned }));
}

/** Wires that take 2 % more or less than planned, or further off, again and again. */
export const wiresToMend = <Of>(logged: readonly Logged<Of>[], most: number): Deviating<Of>[] =>
  deviating(logged, { prior: USUAL_NET, least: 0.02 }, most);

/** Steps that take a tenth longer or shorter than planned, or further off. */
export const stepsToMend = <Of>(logged: readonly Logged<Of>[], most: number): Deviating<Of>[] =>
  deviating(logged, { prior: USUAL_TIME, least: 0.1 }, most);

/** Rings that come out an eighth of a US size off, or further. */
export const ringsToMend = <Of>(logged: readonly Logged<Of>[], most: number): Deviating<Of>[] =>
  deviating(logged, { prior: USUAL_DRIFT, least: 0.125 }, most);
