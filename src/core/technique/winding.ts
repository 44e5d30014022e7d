import { turnsRound, type Path } from '../geometry/path';
import { asRound, oneWrap, sectionRound, type FrameRow } from '../wrap/wrap';
import type { WireSize } from './parameter';

/** Frame wires of one kind that lie side by side, a gap apart, mm. */
export const frameRow = ({ profile, width }: WireSize, count: number, gap = 0): FrameRow => ({
  profile: profile === 'square' ? 'square' : 'round',
  size: width,
  count,
  gap,
});

/** How a wire lies when it is wound: how thick it works, from its centroid, and how far each turn of it moves on, mm. */
function laid({ profile, width, height }: WireSize): { thick: number; pitch: number } {
  if (profile === 'half-round') return { thick: asRound(height), pitch: width };
  return { thick: profile === 'flat' ? height : width, pitch: width };
}

/** Turns of a wire round frame wires: what they take, how far they reach along the frame, and the way they run along x, from 0. */
export interface Winding {
  readonly length: number;
  readonly along: number;
  readonly path: Path;
}

/**
 * Close turns of a wire round a row of frame wires; a half-round band lies with its flat inside.
 * @param turns how often, parts of a turn too
 */
export function winding(row: FrameRow, wound: WireSize, turns: number): Winding {
  const { thick, pitch } = laid(wound);
  return {
    length: turns * oneWrap(row, thick, pitch),
    along: turns * pitch,
    path: turns > 0 ? turnsRound(sectionRound(row, thick), turns, pitch) : [],
  };
}
