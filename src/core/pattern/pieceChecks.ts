import type { PlacedBody } from '../piece/body';
import { bareOf, endsBehind, reachOf, type Reach } from '../piece/checks';
import type { Vec3 } from '../geometry/path';
import { plus3, vec3 } from '../geometry/vec3';
import type { RunPiece } from '../piece/run';
import type { PlannedPiece } from '../technique/planActs';
import { counted } from '../units/counted';
import { keptOf, type Kept, type KeptFrom } from '../piece/kept';
import { OPEN, sideAt } from '../judgement/holds';
import { saidIn, type Remark } from './remark';

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

/** Where the middle of a stone lies. */
function stoneAt({ bodies }: RunPiece, id: string): readonly Vec3[] {
  const stone = bodies.find((body) => body.id === id);
  return stone ? [stone.pose.at] : [];
}

/** Where a stone stands open, from in front and from behind, at its edge; nowhere on a side that holds it all round. */
function openPlaces({ bodies }: RunPiece, { body: id, front, back }: Kept): readonly Vec3[] {
  const stone = bodies.find((body) => body.id === id);
  if (stone?.kind !== 'cab') return [];
  const reach = Math.min(stone.size.length, stone.size.width) / 2;
  return [front, back].flatMap(({ openArc, openAt, bands }) => {
    if (openArc === 0 || bands >= KEPT_BY_BANDS) return [];
    const angle = (openAt * Math.PI) / 180;
    return [plus3(stone.pose.at, vec3(reach * Math.sin(angle), -reach * Math.cos(angle)))];
  });
}

/**
 * What is to be seen of a whole piece, a sentence each with its places: how much of its stone is bare, how it is kept, by how much its sides
 * differ, which ends point to the skin. It advises, and blocks nothing.
 */
export function checksIn({ run, hang }: Pick<PlannedPiece, 'run' | 'hang'>): readonly Remark[] {
  const bare = bareOf(run).map(({ body, face, back }): Remark => ({
    said: `Of its stone ${percent(face)} of the face and ${percent(back)} of the back are bare.`,
    at: stoneAt(run, body),
  }));
  const kept = keptOf(run).map((each): Remark => ({ said: saidKept(each), at: openPlaces(run, each) }));
  const ends = endsBehind(run);
  return [
    ...bare,
    ...kept,
    // A piece that neither hangs nor holds a stone has no middle to differ about.
    ...(hang || run.bodies.some(isStone) ? [sidesOf(reachOf(run, middleOf({ run, hang })))] : []),
    ...(ends.length > 0
      ? [
          {
            said: `${counted(ends.length, 'end')} of wire ${ends.length === 1 ? 'points' : 'point'} backward, towards skin: tuck ${ends.length === 1 ? 'it' : 'them'} between frame and stone.`,
            at: ends.map(({ at }) => at),
          },
        ]
      : []),
  ];
}

/** {@link checksIn}, as it is read. */
export const saidChecks = (piece: Pick<PlannedPiece, 'run' | 'hang'>): readonly string[] =>
  saidIn(checksIn(piece));

const isStone = ({ kind }: PlacedBody): boolean => kind !== 'bead';

/** Where the upright of a piece stands, x in mm: where it hangs, or through its stone, or where it was begun. */
export const middleOf = ({ run, hang }: Pick<PlannedPiece, 'run' | 'hang'>): number =>
  hang?.x ?? run.bodies.find(isStone)?.pose.at.x ?? 0;

function sidesOf({ left, right, leftAt, rightAt }: Reach): Remark {
  const apart = Math.abs(left - right);
  const reaches = `It reaches ${left.toFixed(1)} mm to the left of its middle and ${right.toFixed(1)} mm to the right`;
  return {
    said: apart < ALIKE ? `${reaches}: alike.` : `${reaches}: ${apart.toFixed(1)} mm apart.`,
    at: [leftAt, rightAt].flatMap((at) => at ?? []),
  };
}
