import type { PlacedBody } from '../piece/body';
import { bareOf, endsBehind, reachOf, type Reach } from '../piece/checks';
import type { PlannedPiece } from '../technique/planActs';
import { counted } from '../units/counted';

/** Sides that differ by less than this nobody sees, mm. */
const ALIKE = 0.3;

const percent = (part: number): string => `${Math.round(100 * part)} %`;

/**
 * What is to be seen of a whole piece, a sentence each: how much of its stone is bare, by how much its sides differ, which ends point to the skin.
 * It advises, and blocks nothing.
 */
export function saidChecks({ run, hang }: Pick<PlannedPiece, 'run' | 'hang'>): readonly string[] {
  const bare = bareOf(run).map(
    ({ face, back }) =>
      `Of its stone ${percent(face)} of the face and ${percent(back)} of the back are bare.`,
  );
  const ends = endsBehind(run);
  return [
    ...bare,
    // A piece that neither hangs nor holds a stone has no middle to differ about.
    ...(hang || run.bodies.some(isStone) ? [saidSides(reachOf(run, middleOf({ run, hang })))] : []),
    ...(ends.length > 0
      ? [
          `${counted(ends.length, 'end')} of wire ${ends.length === 1 ? 'points' : 'point'} backward, towards skin: tuck ${ends.length === 1 ? 'it' : 'them'} between frame and stone.`,
        ]
      : []),
  ];
}

const isStone = ({ kind }: PlacedBody): boolean => kind !== 'bead';

/** Where the upright of a piece stands, x in mm: where it hangs, or through its stone, or where it was begun. */
export const middleOf = ({ run, hang }: Pick<PlannedPiece, 'run' | 'hang'>): number =>
  hang?.x ?? run.bodies.find(isStone)?.pose.at.x ?? 0;

function saidSides({ left, right }: Reach): string {
  const apart = Math.abs(left - right);
  const reaches = `It reaches ${left.toFixed(1)} mm to the left of its middle and ${right.toFixed(1)} mm to the right`;
  return apart < ALIKE ? `${reaches}: alike.` : `${reaches}: ${apart.toFixed(1)} mm apart.`;
}
