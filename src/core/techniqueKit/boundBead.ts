import type { Along, Bead, Course, WirePlace } from '../piece/piece';
import { counted } from '../units/counted';
import { choice } from '../parameter/parameter';
import type { WireSize } from '../wire/wireSize';
import { bendOf } from '../wrap/winding';

/** How often the wire goes through each bead: twice, round it and through again, holds it still. */
export const through = choice('The wire goes through each bead', ['once', 'twice'], 'once');

/** Beads that are bound along a frame wire, in the order in which they are bound on. */
export interface BoundBeads {
  /** Where it begins on the frame. */
  readonly on: Along;
  readonly frame: WireSize;
  /** The wire that binds. */
  readonly thin: WireSize;
  /** Wraps before the first bead, between neighbours, and behind the last. */
  readonly wraps: { readonly first: number; readonly between: number; readonly last: number };
  readonly beads: readonly Bead[];
  readonly times: 'once' | 'twice';
  /** On which side of the frame they lie, as it goes on. */
  readonly side: 'left' | 'right';
  /** From one bead to the next along the frame, where they are spread evenly; one behind the other when it is not told. */
  readonly step?: number;
  /** How much farther off than its neighbours the first and the last wraps stand, where beads are spread evenly; mm. */
  readonly apart?: number;
}

/** Where the hole of a bead lies on a side of its frame, degrees clockwise from up. */
const SIDE = { left: 270, right: 90 } as const;

/** How much farther on than flat, as a part, what is bound may have come round a bend; and how far around it is looked for, mm. */
const [LATE, NEAR] = [0.3, 1];

/**
 * How far the last turn before a bead is left out: the wire leaves it in a straight line to the hole, tangent to it, acos(r/h) before it is
 * beside it, h the height of the hole over the middle of the frame and r = (D + d)/2; degrees. Source: handbook of the trade; plane geometry.
 */
function leftOut(frame: WireSize, thin: WireSize, bead: Pick<Bead, 'width'>): number {
  const [r, h] = [(frame.width + bendOf(thin).thick) / 2, (frame.width + bead.width) / 2];
  return h > r ? (Math.acos(r / h) * 180) / Math.PI : 0;
}

/** So far on along a wire. */
const onFrom = (from: WirePlace, mm: number, towards: Along['towards']): WirePlace =>
  typeof from === 'number'
    ? from + (towards === 'first' ? mm : -mm)
    : { ...from, on: (from.on ?? 0) + (from.side === towards ? mm : -mm) };

/** A place so many mm on from another along a wire. */
function further(along: Along, mm: number): Along {
  const { from, towards } = along;
  const places: readonly WirePlace[] = Array.isArray(from) ? from : [from as WirePlace];
  return { ...along, from: places.map((place) => onFrom(place, mm, towards)) };
}

/** A group of wraps, or a bead, and how far along the frame it begins; mm. */
interface Placed {
  readonly at: number;
  readonly long: number;
}

/** Where wraps and beads come to lie: one behind the other, or spread evenly with a bead in the middle of each step. */
function placesOf({ thin, wraps, beads, step, apart = 0 }: BoundBeads): {
  readonly groups: readonly (Placed & { readonly turns: number })[];
  readonly beads: readonly Placed[];
} {
  const { pitch } = bendOf(thin);
  const turnsOf = (index: number) =>
    index === 0 ? wraps.first : index < beads.length ? wraps.between : wraps.last;
  const groups: (Placed & { turns: number })[] = [];
  const lie: Placed[] = [];
  let come = 0;
  for (let index = 0; index <= beads.length; index += 1) {
    const turns = turnsOf(index);
    const long = turns * pitch;
    const spread = step && index > 0 ? index * step - (index < beads.length ? long / 2 : long) : come;
    const outer = index === 0 ? -apart : index < beads.length ? 0 : apart;
    groups.push({ at: spread + outer, long, turns });
    const bead = beads[index];
    if (!bead) break;
    come = spread + long;
    lie.push({ at: step ? (index + 0.5) * step - bead.length / 2 : come, long: bead.length });
    come += bead.length;
  }
  return { groups, beads: lie };
}

/** What binds beads along a frame: wraps, up to a hole, through the bead, down again, wraps. */
export function boundBeads(told: BoundBeads): readonly Course[] {
  const { on, frame, thin, beads, times, side, step } = told;
  const { groups, beads: lie } = placesOf(told);
  const inWraps = counted(
    groups.reduce((sum, { turns }) => sum + turns, 0),
    'wrap',
  );
  // It comes to a bead from one face of the frame and goes on to the other.
  const off = ((side === 'left' ? -1 : 1) * (times === 'twice' ? bendOf(thin).thick : 0)) / 2;
  // Round a bend wraps come farther than flat: then it goes on from where it has come to.
  const placed = ({ at }: Placed): Along =>
    step || at === 0 ? further(on, at) : { ...further(on, at - NEAR), within: LATE * at + 2 * NEAR };
  const sparedAt = (index: number) => {
    const bead = beads[index];
    return bead ? leftOut(frame, thin, bead) : 0;
  };
  const wound = (index: number): Course[] => {
    const group = groups[index];
    if (!group || group.turns === 0) return [];
    const [before, behind] = [sparedAt(index - 1), sparedAt(index)];
    return [
      {
        kind: 'bound',
        name: inWraps,
        id: wrapsId(index),
        on: [placed(group)],
        begin: SIDE[side] + before,
        turns: group.turns - (before + behind) / 360,
        long: group.long,
        ...(index > 0 ? { taut: RISE } : {}),
      },
    ];
  };
  const threaded = ({ id, length }: Bead, index: number): Course[] => {
    const beside = {
      kind: 'beside',
      name: `through ${counted(beads.length, 'bead')}`,
      bead: id,
      on: placed(lie[index] ?? { at: 0, long: length }),
      side,
    } as const;
    const once: Course = { ...beside, id: beadId(index), does: 'through', off, taut: RISE };
    return times === 'once'
      ? [once]
      : [
          once,
          { ...beside, name: 'back round each bead', does: 'back over', off },
          { ...beside, does: 'through', off: -off },
        ];
  };
  return [...wound(0), ...beads.flatMap((bead, index) => [...threaded(bead, index), ...wound(index + 1)])];
}

/** What the wraps before a bead are called by others, the first of them 0, those behind the last among them; and what goes through a bead. */
export const wrapsId = (index: number): string => `wraps ${index}`;
export const beadId = (index: number): string => `through ${index}`;

/** What the way from the frame to a hole and back is called. */
const RISE = 'up to the holes and down again';
