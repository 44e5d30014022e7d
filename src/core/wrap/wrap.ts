import { arc, line } from '../geometry/curve';
import { vec } from '../geometry/vector';
import type { Outline } from '../outline/outline';
import { parallelOf } from '../outline/outline';
import { roundedRectangle } from '../outline/shapes/rectangle';

/** Frame wires that lie side by side, in one row or in several on one another, mm. */
export interface FrameRow {
  readonly profile: 'round' | 'square';
  /** Diameter of round frame wire, side of square. */
  readonly size: number;
  /** How many lie side by side. */
  readonly count: number;
  /** Gap between neighbours; square wires lie close. */
  readonly gap: number;
  /** Rows that lie on one another; one when it is not told. */
  readonly rows?: number;
}

/** A half-round band lies with its flat inside: its centroid is 0.424 of its height off the flat (4/(3π) of a half disc). */
const CENTROID_OF_HALF = 4 / (3 * Math.PI);

/** The diameter of round wire whose centre would lie as far off the frame as the centroid of a half-round band of a height does. */
export const asRound = (halfRoundHeight: number): number => 2 * CENTROID_OF_HALF * halfRoundHeight;

/** How far the row reaches across, mm. */
export const acrossRow = ({ size, count, gap }: FrameRow): number => count * size + (count - 1) * gap;

/**
 * The way once round frame wires, as the centre of a wire wound tightly round them runs, centred on them: the hull of m rows of k
 * wires. Round wires: π(D + d) + 2(k − 1)(D + g) + 2(m − 1)D; square: 2ks + 2ms + πd. Source: handbook of the trade; plane geometry.
 * @param wire diameter of what is wound, mm
 */
export function sectionRound(row: FrameRow, wire: number): Outline {
  const { profile, size, rows = 1 } = row;
  if (profile === 'square') return parallelOf(roundedRectangle(rows * size, acrossRow(row), 0), wire / 2);
  const radius = (size + wire) / 2;
  const [halfX, halfY] = [(acrossRow(row) - size) / 2, ((rows - 1) * size) / 2];
  const quarter = Math.PI / 2;
  return {
    curves: [
      line(vec(-halfX, -halfY - radius), vec(halfX, -halfY - radius)),
      arc(vec(halfX, -halfY), radius, -quarter, quarter),
      line(vec(halfX + radius, -halfY), vec(halfX + radius, halfY)),
      arc(vec(halfX, halfY), radius, 0, quarter),
      line(vec(halfX, halfY + radius), vec(-halfX, halfY + radius)),
      arc(vec(-halfX, halfY), radius, quarter, quarter),
      line(vec(-halfX - radius, halfY), vec(-halfX - radius, -halfY)),
      arc(vec(-halfX, -halfY), radius, 2 * quarter, quarter),
    ].filter(({ length }) => length > 0),
  };
}

/**
 * Length of one turn round a row of frame wires that moves on by a pitch, mm: √(section² + p²), a helix unrolled.
 * @param pitch along the frame; the diameter of the wound wire when wound close
 */
export function oneWrap(
  { profile, size, count, gap, rows = 1 }: FrameRow,
  wire: number,
  pitch = wire,
): number {
  const round =
    profile === 'round'
      ? Math.PI * (size + wire) + 2 * (count - 1) * (size + gap) + 2 * (rows - 1) * size
      : 2 * count * size + 2 * (count - 1) * gap + 2 * rows * size + Math.PI * wire;
  return Math.hypot(round, pitch);
}

/**
 * Length of one figure-eight over two round wires, mm: a crossed belt, 2√(c² − 4r²) + 2r(π + 2 asin(2r/c)) with r = (D + d)/2.
 * Source: machinery’s handbooks on crossed belts.
 * @param apart distance of the two centres, at least D + d
 */
export function figureEight(size: number, wire: number, apart: number): number {
  const r = (size + wire) / 2;
  if (apart < 2 * r * (1 - 1e-9))
    throw new RangeError(`centres ${apart} mm apart leave no room to pass between`);
  const sine = Math.min(1, (2 * r) / apart);
  return 2 * Math.sqrt(Math.max(0, apart ** 2 - 4 * r ** 2)) + 2 * r * (Math.PI + 2 * Math.asin(sine));
}

/** The way of a figure-eight over two centres on the x axis: two arcs and the two lines that cross between them. */
export function eightRound(size: number, wire: number, apart: number): Outline {
  const r = (size + wire) / 2;
  const half = apart / 2;
  const lean = Math.asin(Math.min(1, (2 * r) / apart));
  const sweep = Math.PI + 2 * lean;
  const right = arc(vec(half, 0), r, -Math.PI / 2 - lean, sweep);
  const left = arc(vec(-half, 0), r, -Math.PI / 2 + lean, -sweep);
  const lines = [line(right.at(1), left.at(0)), line(left.at(1), right.at(0))];
  return {
    curves: [right, lines[0], left, lines[1]].filter(
      (each) => each !== undefined && each.length > 1e-9,
    ) as Outline['curves'],
  };
}
