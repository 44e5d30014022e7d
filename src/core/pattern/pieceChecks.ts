import type { PlacedBody } from '../piece/body';
import { bareOf, endsBehind, reachOf, type Reach } from '../piece/checks';
import type { PlannedPiece } from '../technique/planActs';
import { counted } from '../units/counted';
import { keptOf, type Kept, type KeptFrom } from '../piece/kept';
import { OPEN, sideAt } from '../judgement/holds';

/** Sides that differ by less than this nobody sees, mm. */
const ALIKE = 0.3;

const percent = (part: number): string => `${Math.round(100 * part)} %`;

/** “About”: arcs a few degrees wider than good practice are not worth a word. */
const ABOUT = 8;
/** So many bands across a stone keep it wherever they lie. */
const KEPT_BY_BANDS = 2;

/** How a stone is kept from one side. @param where “in front” or “behind” */
function saidKeptFrom({ openArc, openAt, overlap, bands }: KeptFrom, where: string): string {
  if (openArc === 360) return `${where} nothing lies over its edge`;
  if (bands >= KEPT_BY_BANDS) return `${where} ${counted(bands, 'band')} of wire cross it`;
  const smaller = `the opening is at least ${overlap.toFixed(1)} mm smaller than the stone`;
  if (openArc === 0) return `${where} it is held all round, and ${smaller}`;
  return `${where} at most ${openArc}° stand open, at the ${sideAt(openAt)}, and ${smaller}`;
}

/** What is poor of how a stone is kept from one side; empty when it is well kept. */
function poorKeeping({ openArc, openAt, bands }: KeptFrom, where: string): string {
  if (bands >= KEPT_BY_BANDS || openArc <= OPEN.poor + ABOUT) return '';
  if (openArc === 360) return ` Nothing keeps it from coming out ${where}.`;
  const why =
    openArc >= OPEN.slides
      ? `It slides out of an arc of ${OPEN.slides}° or more`
      : `More than about ${OPEN.poor}° is poor practice`;
  return ` ${why}: add a hold ${where} at the ${sideAt(openAt)}.`;
}

/** How a stone is kept, and what is poor of it. */
function saidKept({ front, back }: Kept): string {
  if (front.openArc === 360 && back.openArc === 360)
    return 'Nothing lies over the edge of its stone, neither in front nor behind: something else must keep it.';
  const how = `${saidKeptFrom(front, 'in front')}; ${saidKeptFrom(back, 'behind')}`;
  return `How its stone is kept: ${how}.${poorKeeping(front, 'in front')}${poorKeeping(back, 'behind')}`;
}

/**
 * What is to be seen of a whole piece, a sentence each: how much of its stone is bare, how it is kept, by how much its sides differ, which ends
 * point to the skin.
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
    ...keptOf(run).map(saidKept),
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
