import type { Path } from '../geometry/path';
import { turnsRound } from './turnsRound';
import { asRound, oneWrap, sectionRound, type FrameRow } from './wrap';
import type { WireSize } from '../wire/wireSize';

/** Frame wires of one kind that lie side by side, a gap apart, mm. */
export const frameRow = ({ profile, width }: WireSize, count: number, gap = 0): FrameRow => ({
  profile: profile === 'square' ? 'square' : 'round',
  size: width,
  count,
  gap,
});

/** How a wire lies when it is bent or wound, flat side in, mm. */
export interface Bend {
  /** Twice what its centroid stands off what it is bent round: the diameter of round wire that would lie as far off. */
  readonly thick: number;
  /** What it stands off with all of its thickness. */
  readonly height: number;
  /** How far each turn of it moves on. */
  readonly pitch: number;
}

/** Half-round and flat wire are bent over their height, and lie beside one another with their width. */
export function bendOf({ profile, width, height }: WireSize): Bend {
  if (profile === 'half-round') return { thick: asRound(height), height, pitch: width };
  return profile === 'flat'
    ? { thick: height, height, pitch: width }
    : { thick: width, height: width, pitch: width };
}

/** Turns of a wire round frame wires: what they take, how far they reach along the frame, and the way they run along x, from 0. */
export interface Winding {
  readonly length: number;
  readonly along: number;
  readonly path: Path;
}

/**
 * Turns of a wire round a row of frame wires; a half-round band lies with its flat inside.
 * @param turns how often, parts of a turn too
 * @param open gap between turns, mm
 */
export function winding(row: FrameRow, wound: WireSize, turns: number, open = 0): Winding {
  const { thick, pitch: close } = bendOf(wound);
  const pitch = close + open;
  return {
    length: turns * oneWrap(row, thick, pitch),
    along: turns * pitch,
    path: turns > 0 ? turnsRound(sectionRound(row, thick), turns, pitch) : [],
  };
}
