import { mm, um, type Micrometres } from '../units/length';

/**
 * Room a wire needs beside it to be drawn through a bead without sticking: 0.05 mm where the hole is smooth, 0.1 mm where it
 * is rough (common practice).
 */
export const CLEARANCE = { smooth: mm(0.05), rough: mm(0.1) } as const;
export type HoleFinish = keyof typeof CLEARANCE;

/**
 * Thickest wire that passes a round hole, µm: the hole less its clearance; of doubled wire two lie side by side across it, so
 * half of that. Source: plane geometry, clearance as in {@link CLEARANCE}.
 * @param strands 1, or 2 for wire that goes through doubled
 */
export function thickestThrough(
  hole: Micrometres,
  strands: 1 | 2,
  finish: HoleFinish = 'smooth',
): Micrometres {
  return um(Math.max(0, Math.floor((hole - CLEARANCE[finish]) / strands)));
}

/** Smallest hole that a wire of a width passes. */
export function leastHole(width: Micrometres, strands: 1 | 2, finish: HoleFinish = 'smooth'): Micrometres {
  return um(width * strands + CLEARANCE[finish]);
}
