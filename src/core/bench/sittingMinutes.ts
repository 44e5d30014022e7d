import type { PatternStep } from '../pattern/pattern';
import { isLost, pieceIn, spentIn, type Sitting } from './sitting';
import { reworkSlot, stationsOf, type Station } from './stations';

/**
 * What time is counted to where a sitting stands: its station; rework, while a piece that is looked over is found not good.
 * @returns its slot
 */
export function slotOf(sitting: Sitting, stations: readonly Station[]): number {
  const station = stations[sitting.at];
  if (station?.kind !== 'inspect') return sitting.at;
  const isBad = [...pieceIn(sitting, station.piece).checks.values()].some(({ isGood }) => !isGood);
  return isBad ? reworkSlot(stations, station.piece) : sitting.at;
}

/** The part of a step that time is counted by. */
export type SittingStep = Pick<PatternStep, 'minutes' | 'perSitting'>;

export interface StepMinutes {
  /** Its place in the order of work, from 0. */
  readonly step: number;
  readonly minutes: number;
}

/** Work at the bench that is no step of a pattern. */
export const BESIDES = ['layOut', 'inspect', 'rework'] as const;
export type Besides = (typeof BESIDES)[number];

/** What one piece of a sitting, or the setting up of it, took. */
export interface MinutesTaken {
  /** All together: what was timed, and of steps that nobody timed what the pattern says. */
  readonly minutes: number;
  /** Steps that were timed. */
  readonly timed: readonly StepMinutes[];
  /** What is no step of the pattern. */
  readonly besides: Readonly<Record<Besides, number>>;
}

const MS_PER_TENTH = 6_000;

/** To a tenth of a minute; what is less counts as not timed. */
const inMinutes = (ms: number): number => Math.round(ms / MS_PER_TENTH) / 10;
const sum = (minutes: readonly number[]): number =>
  Math.round(minutes.reduce((all, each) => all + each, 0) * 10) / 10;

/** What the steps that a station stands for took. */
function taken(
  sitting: Sitting,
  stations: readonly Station[],
  steps: readonly SittingStep[],
  isOurs: (station: Station) => boolean,
  rework: number,
): MinutesTaken {
  const ours = stations.flatMap((station, at) =>
    isOurs(station) ? [{ station, minutes: inMinutes(spentIn(sitting, at)) }] : [],
  );
  const of = (kind: Station['kind']) =>
    sum(ours.flatMap(({ station, minutes }) => (station.kind === kind ? [minutes] : [])));
  const worked = ours.flatMap(({ station, minutes }) =>
    station.kind === 'step' ? [{ step: station.step, minutes }] : [],
  );
  const besides = { layOut: of('layOut'), inspect: of('inspect'), rework };
  return {
    minutes: sum([
      ...worked.map(({ step, minutes }) => minutes || (steps[step]?.minutes ?? 0)),
      ...Object.values(besides),
    ]),
    timed: worked.filter(({ minutes }) => minutes > 0),
    besides,
  };
}

/** What one piece of a sitting took by itself. @param count of pieces in the sitting */
export function minutesOfPiece(
  sitting: Sitting,
  steps: readonly SittingStep[],
  count: number,
  piece: number,
): MinutesTaken {
  const stations = stationsOf(steps, count);
  const rework = inMinutes(spentIn(sitting, reworkSlot(stations, piece)));
  return taken(sitting, stations, steps, (station) => 'piece' in station && station.piece === piece, rework);
}

/** What was done once for all pieces of a sitting: laying out and cutting, and the steps of setting up. */
export function minutesOfSetUp(sitting: Sitting, steps: readonly SittingStep[], count: number): MinutesTaken {
  const isOfAll = (station: Station) =>
    station.kind === 'layOut' || (station.kind === 'step' && station.piece === null);
  return taken(sitting, stationsOf(steps, count), steps, isOfAll, 0);
}

/**
 * Minutes that were timed on pieces that are lost, together. Those that are made bear them, as they bear the setting up: it is what so
 * many cost. How far an untimed one came nobody knows.
 */
export function minutesLost(sitting: Sitting, steps: readonly SittingStep[], count: number): number {
  const lost = Array.from({ length: count }, (_, piece) => piece).filter((piece) => isLost(sitting, piece));
  return sum(
    lost.flatMap((piece) => {
      const { timed, besides } = minutesOfPiece(sitting, steps, count, piece);
      return [...timed.map((each) => each.minutes), ...Object.values(besides)];
    }),
  );
}
