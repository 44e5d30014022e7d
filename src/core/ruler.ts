import { UM_PER_FOOT, UM_PER_INCH, UM_PER_METRE, UM_PER_MM, um, type Micrometres } from './units/length';

/** One mark of a ruler. */
export interface Tick {
  /** Distance from the left end as a part of the whole, 0 to 1. */
  readonly at: number;
  readonly label: string | null;
}

/** One edge of a ruler. */
export interface Edge {
  readonly unit: string;
  readonly ticks: readonly Tick[];
}

const METRIC_STEPS = [1, 2, 5, 10, 20, 50, 100, 200, 500].map((value) => value * UM_PER_MM);
const METRE_STEPS = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000].map((value) => value * UM_PER_METRE);
const INCH_STEPS = [0.25, 0.5, 1, 2, 6, 12].map((value) => value * UM_PER_INCH);
const FOOT_STEPS = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000].map((value) => value * UM_PER_FOOT);

/** Labelled marks a ruler carries at most, so that they do not run into each other on a phone. */
const MOST_LABELS = 7;
const MINOR_PARTS = 5;

function edge(span: number, steps: readonly number[], per: number, unit: string, parts: number): Edge {
  const step = steps.find((each) => span / each <= MOST_LABELS) ?? steps.at(-1) ?? span;
  const minorStep = step / parts;
  const count = Math.floor(span / minorStep + 1e-9);
  const ticks = Array.from({ length: count + 1 }, (_, index): Tick => {
    const position = index * minorStep;
    const labelled = index % parts === 0;
    return { at: position / span, label: labelled ? String(Number((position / per).toFixed(2))) : null };
  });
  return { unit, ticks };
}

/**
 * The two edges of a ruler that is `span` long: metric above, inches (or feet) below.
 * @param span length the ruler covers, more than zero
 */
export function rulerEdges(span: Micrometres): { metric: Edge; imperial: Edge } {
  const long = span > 2 * UM_PER_METRE;
  return {
    metric: long
      ? edge(span, METRE_STEPS, UM_PER_METRE, 'm', MINOR_PARTS)
      : edge(span, METRIC_STEPS.concat(UM_PER_METRE), UM_PER_MM, 'mm', MINOR_PARTS),
    imperial: long
      ? edge(span, FOOT_STEPS, UM_PER_FOOT, 'ft', MINOR_PARTS)
      : edge(span, INCH_STEPS, UM_PER_INCH, 'in', 4),
  };
}

/** The smallest round span that holds a length: 1, 2 or 5 times a power of ten, in metric. */
export function roundSpan(longest: Micrometres, least: Micrometres = um(10 * UM_PER_MM)): Micrometres {
  const wanted = Math.max(longest, least);
  const power = 10 ** Math.floor(Math.log10(wanted));
  const factor = [1, 1.5, 2, 3, 4, 5, 6, 8, 10].find((each) => each * power >= wanted) ?? 10;
  return um(Math.round(factor * power));
}
