import type { Looks } from '../drawing/look';
import type { Vec3 } from '../geometry/path';
import { hangingFrom, massesOf, together, type Hanging, type Mass } from '../piece/balance';
import type { PlannedPiece } from '../technique/planActs';
import { plainSpec } from '../plan/totals';
import { gramsPerMetre } from '../wire/mass';

/** How a piece hangs, and how heavy it is. */
export interface PieceHanging extends Hanging {
  /** Wire that stays in it, and its stones and beads; g. */
  readonly wireGrams: number;
  readonly bodyGrams: number;
  /** How many stones and beads it has, and how many of them are reckoned as quartz, since nobody has said what they are. */
  readonly bodies: number;
  readonly asQuartz: number;
  /** Its centre of mass, mm. */
  readonly middle: Vec3;
  /** How far that lies aside of where it hangs, to the right and to the front, mm. */
  readonly aside: number;
  readonly before: number;
}

/** The wires of a piece as they lie, and its stones and beads, as masses of what they are of. */
const massesIn = (run: PlannedPiece['run'], { wireOf, materialOf }: Looks) =>
  massesOf(
    run,
    ({ wire: { size, cutFrom } }) => gramsPerMetre(plainSpec(size, wireOf(cutFrom).metal)),
    ({ id }) => materialOf(id)?.density,
  );

const gramsOf = (masses: readonly Mass[]): number => masses.reduce((sum, { grams }) => sum + grams, 0);

/** How heavy a piece is, g: the wire that stays in it, its stones and its beads; what nobody has said more of is reckoned as quartz. */
export function gramsOfPiece(run: PlannedPiece['run'], looks: Looks): number {
  const { wires, bodies } = massesIn(run, looks);
  return gramsOf([...wires, ...bodies]);
}

/**
 * How a piece hangs from what was made for a chain.
 * @returns undefined when nothing was made for a chain
 */
export function hangingOf(
  { run, hang }: Pick<PlannedPiece, 'run' | 'hang'>,
  looks: Looks,
): PieceHanging | undefined {
  if (!hang) return undefined;
  const { wires, bodies } = massesIn(run, looks);
  const { at } = together([...wires, ...bodies]);
  return {
    ...hangingFrom(hang, at),
    wireGrams: gramsOf(wires),
    bodyGrams: gramsOf(bodies),
    bodies: bodies.length,
    asQuartz: run.bodies.filter(({ id }) => !looks.materialOf(id)).length,
    middle: at,
    aside: at.x - hang.x,
    before: at.z - hang.z,
  };
}

/** Tilts that nobody sees, degrees. */
const STRAIGHT = { front: 1, side: 4 };

/** How a piece hangs, in a sentence, and what would mend it. */
export function saidHanging({ front, side, aside, before }: PieceHanging): string {
  const way = (mm: number) => `${Math.abs(mm).toFixed(1)} mm`;
  const tilts = [
    ...(Math.abs(front) < STRAIGHT.front
      ? []
      : [
          `It tilts ${Math.abs(front).toFixed(0)}° ${front > 0 ? 'clockwise' : 'against the clock'}: its middle lies ${way(aside)} to the ${
            aside > 0 ? 'right' : 'left'
          } of its bail; a bail that much farther ${aside > 0 ? 'right' : 'left'} mends that.`,
        ]),
    ...(Math.abs(side) < STRAIGHT.side
      ? []
      : [
          `From the side its foot swings ${side > 0 ? 'forward' : 'back'} by ${Math.abs(side).toFixed(0)}°: its middle lies ${way(before)} ${
            before > 0 ? 'before' : 'behind'
          } its bail; a bail that comes over farther to the ${before > 0 ? 'front' : 'back'} mends that.`,
        ]),
  ];
  return tilts.length > 0
    ? tilts.join(' ')
    : 'It hangs straight from its bail, from the front and from the side.';
}
