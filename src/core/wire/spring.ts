import type { Temper } from './metal';

/** How much a turn springs open when it is let go, as a part of its diameter: 1 to 3 % (common practice), the harder the more. */
const SPRINGS: Readonly<Record<Temper, number>> = {
  'dead soft': 0.01,
  'quarter hard': 0.015,
  'half hard': 0.02,
  hard: 0.025,
  spring: 0.03,
};

/**
 * How much wire of a temper usually springs open.
 * @returns a part of the diameter
 * @example usualSpring('half hard') // 0.02
 */
export const usualSpring = (temper: Temper): number => SPRINGS[temper];
