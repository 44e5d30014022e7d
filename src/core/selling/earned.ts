import { cost, COST_UNITS_PER_MINOR, minor, type CostUnits, type MinorUnits } from '../units/money';

/** What pieces took, as their cost sheets say; less than nothing of what came back. */
export interface TookSums {
  /** Wire, scrap, spoilage, parts and supplies, at what was paid for them and at what they were to buy again when it was made. */
  readonly materials: CostUnits;
  readonly replaced: CostUnits;
  /** Minutes at the bench, and what they cost at the rates of their day. */
  readonly minutes: number;
  readonly labour: CostUnits;
  readonly overhead: CostUnits;
  /** Days from the bench to the buyer, all pieces together. */
  readonly days: number;
}

/** What pieces that were sold brought and took, summed up; what came back is taken off again. */
export interface SoldSums extends TookSums {
  /** How many are with their buyers. */
  readonly pieces: number;
  /** What was paid for them, without tax. */
  readonly takings: MinorUnits;
  /** What channels kept, and what packing and sending cost beyond what buyers paid for it. */
  readonly fees: MinorUnits;
  readonly sending: MinorUnits;
  /** What standing there cost: stall rent, the way there. */
  readonly standing: CostUnits;
}

/** What pieces really earned. */
export interface Earned {
  /** After fees and sending. */
  readonly left: MinorUnits;
  /** After materials, overhead and what standing there cost, too: what the hours earned. */
  readonly forHours: MinorUnits;
  /** Of one hour; null where nobody worked at them. */
  readonly anHour: MinorUnits | null;
  /** After the hours at their rate. */
  readonly profit: MinorUnits;
  /** Days from the bench to the buyer, on the average; null where none is sold. */
  readonly daysEach: number | null;
}

const inMinor = (cost: number): number => cost / COST_UNITS_PER_MINOR;

/**
 * What pieces really earned, to the minor unit.
 * @example earnedBy({ pieces: 1, takings: minor(5000), fees: minor(500), sending: minor(0), standing: cost(0), materials: cost(1_000_000), replaced: cost(0), minutes: 60, labour: cost(2_000_000), overhead: cost(500_000), days: 9 }).anHour // 3000
 */
export function earnedBy(sums: SoldSums): Earned {
  const left = sums.takings - sums.fees - sums.sending;
  const forHours = left - inMinor(sums.materials) - inMinor(sums.overhead) - inMinor(sums.standing);
  return {
    left: minor(left),
    forHours: minor(Math.round(forHours)),
    anHour: sums.minutes > 0 ? minor(Math.round((forHours * 60) / sums.minutes)) : null,
    profit: minor(Math.round(forHours - inMinor(sums.labour))),
    daysEach: sums.pieces > 0 ? sums.days / sums.pieces : null,
  };
}

/** Sums of one thing that was sold, by its name. */
export interface EarnedLine extends SoldSums {
  readonly name: string;
}

/** What comes back takes off what its sale told. */
export const tookBack = ({ materials, replaced, minutes, labour, overhead, days }: TookSums): TookSums => ({
  materials: cost(0 - materials),
  replaced: cost(0 - replaced),
  minutes: 0 - minutes,
  labour: cost(0 - labour),
  overhead: cost(0 - overhead),
  days: 0 - days,
});

/** Nothing was sold, and nothing else came of it. */
export const NOTHING_SOLD: SoldSums = {
  pieces: 0,
  takings: minor(0),
  fees: minor(0),
  sending: minor(0),
  standing: cost(0),
  materials: cost(0),
  replaced: cost(0),
  minutes: 0,
  labour: cost(0),
  overhead: cost(0),
  days: 0,
};

/** Less than so many were sold: little is known. */
export const FEW = 3;

/** Patterns that do not pay what their hours cost, the dearest loss first. @param lines of patterns */
export const losing = <Line extends EarnedLine>(lines: readonly Line[]): readonly Line[] =>
  lines
    .filter((line) => line.pieces > 0 && earnedBy(line).profit < 0)
    .toSorted((one, other) => earnedBy(one).profit - earnedBy(other).profit);

/** So many days on the shelf count as one: what is sold the day it is made is no better than what takes a week. */
const SOON = 7;

/**
 * What is worth making more of: what earns most for an hour and does not stand about. An hour's earnings are weighed by how soon a piece is sold,
 * and drawn toward those of all pieces where few were sold (as if {@link FEW} of the average had been sold as well).
 * @param lines of patterns
 * @returns the best first; none that earns less for an hour than all of them together
 */
export function makeMoreOf<Line extends EarnedLine>(lines: readonly Line[]): readonly Line[] {
  const sold = lines.filter(({ pieces, minutes }) => pieces > 0 && minutes > 0);
  const all = sold.reduce(
    (sum, line) => ({
      forHours: sum.forHours + earnedBy(line).forHours,
      minutes: sum.minutes + line.minutes,
      days: sum.days + line.days,
      pieces: sum.pieces + line.pieces,
    }),
    { forHours: 0, minutes: 0, days: 0, pieces: 0 },
  );
  if (all.pieces === 0) return [];
  const [hourly, stands, takes] = [
    (all.forHours * 60) / all.minutes,
    all.days / all.pieces,
    all.minutes / all.pieces,
  ];
  const worth = (forHours: number, minutes: number, days: number, pieces: number): number =>
    ((forHours + FEW * ((hourly * takes) / 60)) * 60) /
    (minutes + FEW * takes) /
    Math.max(SOON, (days + FEW * stands) / (pieces + FEW));
  const average = hourly / Math.max(SOON, stands);
  return sold
    .map((line) => ({ line, is: worth(earnedBy(line).forHours, line.minutes, line.days, line.pieces) }))
    .filter(({ line, is }) => is > average && (earnedBy(line).anHour ?? 0) > hourly)
    .toSorted((one, other) => other.is - one.is)
    .map(({ line }) => line);
}
