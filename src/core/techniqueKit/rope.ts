import type { Path } from '../geometry/path';
import { inPose, type Pose } from '../geometry/pose';
import type { SpaceLine } from '../geometry/spaceLine';
import type { Piece } from '../piece/piece';
import { runPiece } from '../piece/run';
import { offAxis } from '../piece/shape';
import { ok, type Result } from '../result';
import { roundWire } from '../parameter/parameter';

/** Why a rope is only sketched. */
export const PRESSED =
  'strands of a rope press into one another where they are laid close and where it is bent';

/** A place in the section of a rope, mm from its middle: to the right of its way, and up. */
interface Slot {
  readonly right: number;
  readonly up: number;
}

/** So many strands lie in one ring at most, whatever is in it. */
const INNERMOST = 5;

/** How far off the middle of a rope its rings of strands lie, and how many each holds, from the inside out. */
function ringsOf(
  strands: number,
  thick: number,
): readonly { readonly off: number; readonly holds: number }[] {
  const ringed = (inside: number) => {
    const rings: { off: number; holds: number }[] = [];
    let [off, left] = [offAxis(inside, thick), strands];
    while (left > 0) {
      const room = rings.length === 0 ? inside : Math.floor(Math.PI / Math.asin(thick / 2 / off) + 1e-9);
      const holds = Math.min(room, left);
      rings.push({ off, holds });
      left -= holds;
      off += thick;
    }
    return rings;
  };
  const all = Array.from({ length: Math.min(INNERMOST, strands) }, (_, index) => ringed(index + 1));
  const outermost = (rings: (typeof all)[number]) => rings.at(-1) ?? { off: 0, holds: 0 };
  return all.reduce((best, rings) => {
    const [a, b] = [outermost(best), outermost(rings)];
    return b.off < a.off - 1e-9 || (Math.abs(b.off - a.off) < 1e-9 && b.holds > a.holds) ? rings : best;
  });
}

/** How thick a rope of so many strands is, mm: they lie in rings about its middle, as close as round ones can. */
export const ropeThick = (strands: number, thick: number): number =>
  2 * (ringsOf(strands, thick).at(-1)?.off ?? 0) + thick;

/** Where the strands of a rope lie in its section: neighbours in their order lie beside one another. */
function slotsOf(strands: number, thick: number): readonly Slot[] {
  return ringsOf(strands, thick)
    .flatMap(({ off, holds }, ring) =>
      Array.from({ length: holds }, (_, index) => ({
        off,
        angle: (2 * Math.PI * (index + 0.5 * ring)) / holds,
      })),
    )
    .sort((a, b) => a.angle - b.angle)
    .map(({ off, angle }) => ({ right: off * Math.sin(angle), up: off * Math.cos(angle) }));
}

/** From where on a rope holds which strands, in their order about it. */
export interface RopeStage {
  /** mm along its line; where it changes, what stays has settled half a `settles` before and after. */
  readonly at: number;
  readonly strands: readonly string[];
}

/** A rope of strands that come to it and leave it. */
export interface Rope {
  readonly line: SpaceLine;
  /** Of each strand, mm. */
  readonly thick: number;
  /** How long one turn is, mm; all turns go the same way. */
  readonly lay: number;
  /** Rising. */
  readonly stages: readonly RopeStage[];
  /** Over how much of its line strands move to where they lie in the next stage, mm. */
  readonly settles: number;
}

/** Points to a turn of a rope. */
const POINTS = 12;

/**
 * The line of one strand of a rope, from one place along it to another. Before it comes it lies where it will, and after it left where it did.
 * @throws RangeError when the strand is in none
 */
export function strandOf(
  { line, thick, lay, stages, settles }: Rope,
  strand: string,
  from: number,
  to: number,
): Path {
  const slots = stages.map(({ strands }) => slotsOf(strands.length, thick)[strands.indexOf(strand)]);
  const [begins] = slots.filter((slot) => slot !== undefined);
  if (!begins) throw new RangeError(`no ${strand} is in the rope`);
  const slotAt = (s: number): Slot =>
    stages.reduce<Slot>((lies, { at }, index) => {
      const next = slots[index] ?? lies;
      const part = Math.min(1, Math.max(0, (s - at) / settles + 0.5));
      const eased = part * part * (3 - 2 * part);
      return {
        right: lies.right + (next.right - lies.right) * eased,
        up: lies.up + (next.up - lies.up) * eased,
      };
    }, begins);
  const steps = Math.max(4, Math.ceil((Math.abs(to - from) / lay) * POINTS));
  return Array.from({ length: steps + 1 }, (_, step) => {
    const s = from + ((to - from) * step) / steps;
    const { right, up } = slotAt(s);
    const [c, i] = [Math.cos((2 * Math.PI * s) / lay), Math.sin((2 * Math.PI * s) / lay)];
    return inPose(line.at(s), 0, right * c + up * i, up * c - right * i);
  });
}

/**
 * The line of a rope that is a bail: it stands up from a place, makes a loop, and is wound below it.
 * @param thick of the rope, mm
 * @param neck from the place up to the loop, mm
 * @param loop inside of it, mm
 */
export function ropeBail(
  thick: number,
  begin: Pose,
  neck: number,
  loop: number,
  wraps: number,
): Result<{ readonly path: Path; readonly long: number }> {
  const rope: Piece = {
    bodies: [],
    wires: [
      {
        id: 'rope',
        name: 'rope',
        cutFrom: 'rope',
        size: roundWire(thick),
        start: begin,
        first: [
          { kind: 'laid', name: 'neck', length: neck },
          { kind: 'bent', name: 'loop', about: thick, angle: 90 },
          { kind: 'coiled', name: 'loop', about: loop, turns: -1, pitch: thick },
          {
            kind: 'wound',
            name: 'wound below it',
            on: [{ wire: 'rope', from: { side: 'first', endOf: 'neck', on: -thick }, towards: 'second' }],
            groups: [{ kind: 'wrap', first: 0, last: 0, wraps }],
            begins: 'back',
          },
        ],
        second: [],
        tails: { first: 0, second: 0 },
      },
    ],
  };
  const run = runPiece(rope);
  if (!run.ok) return run;
  const [made] = run.value.wires;
  return ok({ path: made?.path ?? [], long: made?.net ?? 0 });
}
