import type { WireSize } from '../wire/wireSize';
import { CLEARANCE } from '../bead/holeFit';
import { UM_PER_MM } from '../units/length';
import { advice, type Judgement } from './judgement';

/**
 * Whether a wire passes the hole of a bead: it must be thinner by a working clearance. All in mm.
 * @param strands 2 when the wire goes through doubled
 */
export function judgeHole(wire: number, hole: number, strands: 1 | 2, about: string): Judgement[] {
  const room = CLEARANCE.smooth / UM_PER_MM;
  const most = (hole - room) / strands;
  if (wire <= most + 1e-9) return [];
  const said = (mm: number) => `${Number(mm.toFixed(2))} mm`;
  return [
    advice(
      about,
      `Wire of ${said(wire)} does not pass a hole of ${said(hole)}${strands === 2 ? ' doubled' : ''}.`,
      `It wants ${said(room)} of room beside it (common practice).`,
      most > 0 ? `Up to ${said(most)} passes.` : 'Nothing passes that hole.',
    ),
  ];
}

/** Corners of drawn square wire are slightly rounded: 1.25 of its side and more pass a round hole, 1.41 is the sharp diagonal. */
const SQUARE = 1.25;

/** Width of a wire as a round hole takes it, mm: a square passes by its diagonal, a flat by its own. Source: handbook of the trade. */
export function throughHole({ profile, width, height }: WireSize): number {
  if (profile === 'square') return SQUARE * width;
  return profile === 'flat' ? Math.hypot(width, height) : width;
}
