import type { Curve } from '../geometry/curve';
import { distance, unit, type Vec } from '../geometry/vector';
import { parallelOf, perimeterOf, type Outline } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
import { ok, type Result } from '../result';
import type { Cab } from './piece';

/** A line round a stone that is measured along itself, from the top clockwise; mm. */
export interface LineRound {
  readonly outline: Outline;
  readonly whole: number;
  /** The place at a length along it, and which way the line runs there; beyond its end it goes round again. */
  readonly at: (along: number) => { readonly point: Vec; readonly direction: Vec };
}

/** Samples to each mm by which a curve is measured, and at least. */
const SAMPLES = 4;
const LEAST = 16;

interface Measured {
  readonly curve: Curve;
  /** Length of the line before it. */
  readonly before: number;
  /** Length of the curve at each sample, evenly parted in t. */
  readonly lengths: readonly number[];
}

const lines = new WeakMap<Cab, Map<number, Result<LineRound>>>();

/** The line round a stone that the centre of a wire takes, so far off it: worked out once for each stone. A sentence when there is none. */
export function lineRound(body: Cab, off: number): Result<LineRound> {
  const known = lines.get(body) ?? new Map<number, Result<LineRound>>();
  lines.set(body, known);
  const before = known.get(off);
  if (before) return before;
  const outline = outlineOf(body.size);
  const line = outline.ok ? ok(measured(parallelOf(outline.value, off))) : outline;
  known.set(off, line);
  return line;
}

function measured(outline: Outline): LineRound {
  let before = 0;
  const parts = outline.curves.map((curve): Measured => {
    const part = { curve, before, lengths: lengthsOf(curve) };
    before += curve.length;
    return part;
  });
  const whole = perimeterOf(outline);
  return {
    outline,
    whole,
    at: (along) => {
      const wanted = ((along % whole) + whole) % whole;
      const part = parts.findLast((each) => each.before <= wanted) as Measured;
      const t = partAt(part, wanted - part.before);
      return { point: part.curve.at(t), direction: unit(part.curve.slope(t)) };
    },
  };
}

/** Length of a curve at even parts of it: its chords, stretched to how long it really is. */
function lengthsOf(curve: Curve): number[] {
  const count = Math.max(LEAST, Math.ceil(curve.length * SAMPLES));
  const points = Array.from({ length: count + 1 }, (_, index) => curve.at(index / count));
  let behind = 0;
  const chords = points.map((point, index) => {
    const last = points[index - 1];
    if (last) behind += distance(last, point);
    return behind;
  });
  return chords.map((chord) => (behind > 0 ? (chord * curve.length) / behind : 0));
}

/** The t at which a length of a curve is behind, between two of its samples. */
function partAt({ lengths }: Measured, wanted: number): number {
  let [low, high] = [0, lengths.length - 1];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if ((lengths[middle] as number) <= wanted) low = middle;
    else high = middle;
  }
  const [from, to] = [lengths[low] as number, lengths[high] as number];
  return (low + (to > from ? Math.min(1, (wanted - from) / (to - from)) : 0)) / (lengths.length - 1);
}
