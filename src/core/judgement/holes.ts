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
