import { lengthOfPath, type Path, type Vec3 } from '../geometry/path';
import { distance3 } from '../geometry/vec3';
import { ok, refuse, type Result } from '../result';
import { said } from '../units/said';
import { bendOf } from '../wrap/winding';
import { halvesOfWeave, lengthOfHalves, weaveNeed, weavePath } from '../weave/consume';
import type { PieceWire, Side, Wound } from './piece';
import type { Carrier } from './carriers';
import { placeInRow } from '../weave/layFlat';
import { rideOn } from './rideOn';

/** Where something begins on a wire, mm from where the work of that wire begins, and in which sense it goes on. */
export interface Stretch {
  readonly wire: string;
  readonly from: number;
  readonly towards: Side;
}

/** Something wound, as it lies flat on its carriers; mm. */
export interface Laying {
  readonly on: readonly Stretch[];
  readonly carriers: readonly Carrier[];
  /** Where each carrier lies across, from the first. */
  readonly row: readonly number[];
  /** How far its wire lies off the middle of a carrier. */
  readonly off: number;
  /** Whether its middle stays where it is on them, and not its beginning. */
  readonly isCentred: boolean;
  readonly flat: Path;
  /** By its formula. */
  readonly length: number;
}

/**
 * Lays what is wound about wires of one size that lie side by side.
 * @param on where it begins on each of them
 * @param carried those wires
 * @param carriers their poses from where it begins on each, in the sense in which it goes on
 */
export function layingOf(
  { groups, pitch, gap: apart, steps, halves, skips = 0, begins, isCentred = false }: Wound,
  thin: PieceWire,
  on: readonly Stretch[],
  carried: readonly PieceWire[],
  carriers: readonly Carrier[],
): Result<Laying> {
  const [first] = carried;
  if (!first) return refuse('say which wires it is wound about.');
  const other = carried.find(
    ({ size: { width, profile } }) => width !== first.size.width || profile !== first.size.profile,
  );
  if (other)
    return refuse(
      `${first.name} is ${said(first.size.width)} and ${other.name} ${said(other.size.width)} thick; wires of one size are wound about together.`,
    );
  const { thick, pitch: close } = bendOf(thin.size);
  const wires = {
    base: first.size.width,
    profile: first.size.profile === 'square' ? ('square' as const) : ('round' as const),
    weaving: thick,
    pitch: pitch ?? close,
    ...(apart === undefined ? {} : { gap: apart }),
    ...(steps === undefined ? {} : { steps }),
  };
  const weave = { repeat: groups, close: [] };
  const { gap, wire } = weaveNeed(weave, wires);
  const all = halvesOfWeave(weave, 1).length;
  const laid = Math.min(all - skips, halves ?? all - skips);
  if (laid <= 0) return refuse('nothing is wound; give it a wrap.');
  const over = weavePath(weave, wires, 1, [skips, skips + laid]);
  const flat = begins === 'back' ? over.map((point) => ({ ...point, z: -point.z })) : over;
  const length = laid === all ? wire : lengthOfHalves(weave, wires, [skips, skips + laid]);
  const row = on.map((_, index) =>
    placeInRow({ step: wires.base + gap, ...(steps ? { steps } : {}) }, index),
  );
  return ok({ on, carriers, row, off: (wires.base + thick) / 2, isCentred, flat, length });
}

/** A laying where its carriers really run. */
export const pathOfLaying = ({ flat, carriers, row, off, isCentred }: Laying): Path =>
  rideOn(flat, carriers, row, off, isCentred);

/** A way along a wire that makes more of a detour than this, as over a loop of it, is none: it goes straight. */
const DETOUR = 1.5;
/** How near to where the next begins a way along a wire must come, mm: where its wires part it does not. */
const ARRIVES = 1e-3;
/** Points to each mm of a way along a wire. */
const POINTS = 2;

/**
 * The way from where one laying ends to where the next begins, along the wires that it was wound about, when the next goes round one of
 * them in the same sense; undefined when it lies elsewhere.
 * @param at where the next begins
 */
export function wayAlong(before: Laying, next: Laying, at: Vec3): Path | undefined {
  const shared = before.on.findIndex(({ wire }) => next.on.some((each) => each.wire === wire));
  const here = before.on[shared];
  const there = next.on.findIndex(({ wire }) => wire === here?.wire);
  const begin = next.on[there];
  const [from, to] = [before.flat.at(-1), next.flat[0]];
  if (!here || !begin || !from || !to || here.towards !== begin.towards) return undefined;
  const sense = here.towards === 'first' ? 1 : -1;
  const end = {
    x: sense * (begin.from - here.from) + to.x,
    y: to.y + (before.row[shared] as number) - (next.row[there] as number),
    z: to.z,
  };
  const steps = Math.max(1, Math.ceil(Math.abs(end.x - from.x) * POINTS));
  const flat = Array.from({ length: steps + 1 }, (_, index) => {
    const part = index / steps;
    return {
      x: from.x + (end.x - from.x) * part,
      y: from.y + (end.y - from.y) * part,
      z: from.z + (end.z - from.z) * part,
    };
  });
  const way = rideOn(flat, before.carriers, before.row, before.off);
  const arrived = way.at(-1) as Vec3;
  const straight = distance3(way[0] as Vec3, arrived);
  return lengthOfPath(way) > DETOUR * straight || distance3(arrived, at) > ARRIVES ? undefined : way;
}
