import { groupBy } from '../groupBy';
import type { MinorUnits } from '../units/money';

/** A piece that was sold: of which pattern, for how much, and after how many days. */
export interface SoldAfter {
  readonly pattern: number;
  readonly price: MinorUnits;
  readonly days: number;
}

/** One sold piece beside others of its pattern: both as parts of what is usual for that. */
export interface BesideOthers {
  readonly price: number;
  readonly days: number;
}

/** What prices that were tried tell of how soon pieces are sold. */
export interface PriceTried {
  /** Those of which anything is told: of patterns that were sold at several prices. */
  readonly points: readonly BesideOthers[];
  /** From −1 to 1: whether dearer ones stand longer (more than 0) or are sold sooner. */
  readonly tells: number;
  /** Whether that is more than chance. */
  readonly isKnown: boolean;
  /** Median days of the cheaper and the dearer half, as parts of what is usual; null where nothing is told. */
  readonly halves: { readonly cheaper: number; readonly dearer: number } | null;
}

/** Less than so many tell nothing, whatever they look like. */
export const FEW_TRIED = 8;
/** Two-sided, at 5 %: the quantile of the normal distribution (standard tables). */
const BEYOND_CHANCE = 1.96;

const mean = (all: readonly number[]): number => all.reduce((sum, each) => sum + each, 0) / all.length;

function median(all: readonly number[]): number {
  const sorted = all.toSorted((one, other) => one - other);
  const middle = Math.floor(sorted.length / 2);
  const [low, high] = [sorted[middle - (sorted.length % 2 === 0 ? 1 : 0)] ?? 0, sorted[middle] ?? 0];
  return (low + high) / 2;
}

/** Ranks from 1; equals share the middle of theirs. */
function ranks(all: readonly number[]): readonly number[] {
  const sorted = all.toSorted((one, other) => one - other);
  return all.map((each) => {
    const first = sorted.indexOf(each);
    const last = sorted.lastIndexOf(each);
    return (first + last) / 2 + 1;
  });
}

/**
 * Spearman’s rank correlation: Pearson’s of the ranks, with ties at the middle of theirs (Spearman, 1904).
 * @returns 0 where either is the same throughout
 * @example spearman([1, 2, 3, 4], [10, 20, 30, 25]) // 0.8
 */
export function spearman(one: readonly number[], other: readonly number[]): number {
  const [a, b] = [ranks(one), ranks(other)];
  const [ma, mb] = [mean(a), mean(b)];
  let [product, squareA, squareB] = [0, 0, 0];
  a.forEach((each, index) => {
    const [da, db] = [each - ma, (b[index] ?? 0) - mb];
    product += da * db;
    squareA += da * da;
    squareB += db * db;
  });
  return squareA === 0 || squareB === 0 ? 0 : product / Math.sqrt(squareA * squareB);
}

/** What is sold on the day it is made still took some of it. */
const HALF_A_DAY = 0.5;

/**
 * What the prices that were tried tell of how soon pieces are sold. Pieces of different patterns are compared as parts of what is usual for their
 * own: a dear pattern is not slow for being dear.
 */
export function priceTried(sold: readonly SoldAfter[]): PriceTried {
  const points = [...groupBy(sold, ({ pattern }) => pattern).values()].flatMap((some) => {
    const prices = some.map(({ price }) => price);
    if (prices.every((price) => price === prices[0])) return [];
    const [usualPrice, usualDays] = [mean(prices), mean(some.map(({ days }) => days + HALF_A_DAY))];
    return some.map(({ price, days }) => ({
      price: price / usualPrice,
      days: (days + HALF_A_DAY) / usualDays,
    }));
  });
  if (points.length < 2) return { points, tells: 0, isKnown: false, halves: null };
  const tells = spearman(
    points.map(({ price }) => price),
    points.map(({ days }) => days),
  );
  const sorted = points.toSorted((one, other) => one.price - other.price);
  const half = Math.floor(sorted.length / 2);
  const daysOf = (some: readonly BesideOthers[]): number => median(some.map(({ days }) => days));
  return {
    points,
    tells,
    // Under no tie of the two, the correlation times √(n − 1) is about normal.
    isKnown: points.length >= FEW_TRIED && Math.abs(tells) * Math.sqrt(points.length - 1) > BEYOND_CHANCE,
    halves: { cheaper: daysOf(sorted.slice(0, half)), dearer: daysOf(sorted.slice(-half)) },
  };
}
