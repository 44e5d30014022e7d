import { fillKnapsack } from './knapsack';
import type { CutType } from './patterns';

/** Units of room that a knapsack has at most: beyond, lengths are taken on a coarser grid. */
const MOST_UNITS = 12_000;

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** Sixteenths to hundred-and-twenty-eighths of an inch, µm: kept to whole micrometres, such lengths have no common part any more. */
const INCH_LATTICES: readonly number[] = [16, 32, 64, 128].map((part) => 25_400 / part);
/** A length on such a lattice is kept this much off it at most, µm. */
const ROUNDED_OFF = 0.5;

/** How lengths are told in whole units. */
export interface Grid {
  /** µm. */
  readonly unit: number;
  /** Whether every length is so many units, but for how it was rounded. */
  readonly exact: boolean;
  /** What a length may be off its units, µm. */
  readonly off: number;
}

/** The coarsest grid that the cuts share, or else one as fine as there is time for. */
export function gridOf(types: readonly CutType[], longest: number): Grid {
  const common = types.reduce((sum, { length }) => gcd(sum, length), 0);
  if (longest / common <= MOST_UNITS) return { unit: common, exact: true, off: 0 };
  const lattice = INCH_LATTICES.find(
    (unit) =>
      longest / unit <= MOST_UNITS &&
      types.every(({ length }) => Math.abs(length - Math.round(length / unit) * unit) <= ROUNDED_OFF),
  );
  return lattice === undefined
    ? { unit: longest / MOST_UNITS, exact: false, off: 0 }
    : { unit: lattice, exact: true, off: ROUNDED_OFF };
}

/** The best choices of cuts for rooms in µm. */
export interface Filling {
  /** What no choice of cuts for a room exceeds. */
  readonly worth: (room: number) => number;
  /** The best choices for a room; on a lattice that rounding has bent, one may be a hair too long. */
  readonly choices: (room: number) => [type: number, count: number][][];
}

/** Cuts to choose from, and what each is worth. */
export interface Choosing {
  readonly types: readonly CutType[];
  readonly countOf: (type: number) => number;
  readonly profitOf: (type: number) => number;
  /** How a length that is no whole number of units is told: down for a bound, up for what fits. */
  readonly round: (value: number) => number;
}

/**
 * Fills rooms with cuts, on a grid.
 *
 * On a lattice that is kept to whole micrometres a room of exactly so many units takes only cuts whose roundings add up to no more
 * than its own. Sixteenths of an inch are rounded up by half a micrometre or not at all, so that two odd ones never fill a room to
 * its end: without that, a bound would count on fits that do not exist.
 */
export function fillGrid({ unit, exact, off }: Grid, longest: number, choosing: Choosing): Filling {
  const { types, countOf, profitOf, round } = choosing;
  const sizeOf = (length: number) => Math.max(1, off > 0 ? Math.round(length / unit) : round(length / unit));
  const shortest = Math.min(...types.map(({ length }) => length));
  const slack = (room: number) => off * Math.ceil(room / shortest);
  const unitsIn = (room: number) => Math.floor((room + slack(room)) / unit);
  const sizes = types.map(({ length }) => sizeOf(length));
  const overs = types.map(({ length }, type) => length - (sizes[type] ?? 0) * unit);
  const fill = (isIn: (type: number) => boolean) =>
    fillKnapsack(
      types.map((_, type) => ({
        size: sizes[type] ?? 1,
        most: isIn(type) ? countOf(type) : 0,
        profit: profitOf(type),
      })),
      unitsIn(longest),
    );
  const all = fill(() => true);
  const least = Math.min(...overs.filter((over) => over > NOTHING));
  // Roundings that cancel each other out are not told apart.
  if (!exact || off === 0 || overs.some((over) => over < -NOTHING) || !Number.isFinite(least))
    return {
      worth: exact
        ? (room) => all.worth(unitsIn(room))
        : (room) => Math.min(all.worth(unitsIn(room)), worthInParts(choosing, room)),
      choices: (room) => {
        const units = unitsIn(room);
        return off > 0 ? [all.choice(units), all.choice(units - 1)] : [all.choice(units)];
      },
    };

  const clean = fill((type) => (overs[type] ?? 0) <= NOTHING);
  /** The best choice that fills a room to its last unit, with so much to spare for roundings. */
  const toTheEnd = (units: number, spare: number) => {
    if (spare < -NOTHING) return undefined;
    let best: { worth: number; odd?: number } = { worth: clean.worth(units) };
    if (spare >= least - NOTHING)
      overs.forEach((over, type) => {
        if (over <= NOTHING || countOf(type) === 0 || (sizes[type] ?? 0) > units) return;
        const worth = profitOf(type) + clean.worth(units - (sizes[type] ?? 0));
        if (worth > best.worth) best = { worth, odd: type };
      });
    return best;
  };
  const isTight = (room: number, units: number) =>
    room - units * unit < Math.min(slack(room), 2 * least - NOTHING);
  return {
    worth: (room) => {
      const units = unitsIn(room);
      if (!isTight(room, units)) return all.worth(units);
      return Math.max(all.worth(units - 1), toTheEnd(units, room - units * unit)?.worth ?? -Infinity);
    },
    choices: (room) => {
      const units = unitsIn(room);
      if (!isTight(room, units)) return [all.choice(units)];
      const ended = toTheEnd(units, room - units * unit);
      if (!ended) return [all.choice(units - 1)];
      const { odd } = ended;
      if (odd === undefined) return [all.choice(units - 1), clean.choice(units)];
      const withOdd: [number, number][] = [...clean.choice(units - (sizes[odd] ?? 0)), [odd, 1]];
      return [all.choice(units - 1), withOdd.sort(([x], [y]) => x - y)];
    },
  };
}

/**
 * What cuts for a room would be worth if the last one could be taken in part: never less than what whole ones are. In a room for
 * many cuts that is a sharper bound than units so coarse that each cut counts a little shorter than it is.
 */
function worthInParts({ types, countOf, profitOf }: Choosing, room: number): number {
  if (room < 0) return -Infinity;
  const byWorth = types
    .map(({ length }, type) => ({ length, count: countOf(type), profit: profitOf(type) }))
    .filter(({ count, profit }) => count > 0 && profit > 0)
    .sort((a, b) => b.profit / b.length - a.profit / a.length);
  let [left, worth] = [room, 0];
  for (const { length, count, profit } of byWorth) {
    const taken = Math.min(left, count * length);
    worth += (profit * taken) / length;
    left -= taken;
    if (left <= 0) break;
  }
  return worth;
}

/** Roundings are quarters and halves of a micrometre: what is less comes of reckoning. */
const NOTHING = 1e-6;
