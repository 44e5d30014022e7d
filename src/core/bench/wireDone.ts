import type { WantedCut } from '../pattern/pattern';
import { sumLengths, um, type Micrometres } from '../units/length';
import { ug, type Micrograms } from '../units/mass';
import { lengthOfMass } from '../wire/mass';
import type { WireSpec } from '../wire/spec';
import {
  pieceIn,
  spoolIn,
  wireKey,
  type PieceSoFar,
  type ShorterWire,
  type Sitting,
  type WireDone,
} from './sitting';

/** A wire of a piece as it was meant when its sitting began. */
export interface WireMeant {
  readonly cutIndex: number;
  readonly copy: number;
  readonly length: Micrometres;
  /** What should come back of it, where that is not what is planned. */
  readonly back?: readonly Micrometres[];
}

/** The mass of wire that was worked off a spool; null until it was weighed before and after, and was lighter then. */
export function spoolUsed(sitting: Pick<Sitting, 'spools'>, cutIndex: number): Micrograms | null {
  const { before, after } = spoolIn(sitting, cutIndex);
  return before !== null && after !== null && before > after ? ug(before - after) : null;
}

/**
 * How long each wire of a cut was that was worked off a spool, by what the spool weighs less: what was spoiled of it is taken off first, and
 * every piece that was begun took as much as the next.
 * @param wires how many of the cut there are in all pieces of the sitting
 * @returns null while the spool was not weighed twice, and when more was spoiled than it weighs less
 */
export function workedOff(
  sitting: Sitting,
  cutIndex: number,
  wires: number,
  spec: WireSpec,
): Micrometres | null {
  const used = spoolUsed(sitting, cutIndex);
  if (used === null) return null;
  const spoiled = [...sitting.pieces.values()]
    .flatMap(({ lostWires }) => lostWires.filter((each) => each.cutIndex === cutIndex))
    .reduce((sum, { length }) => sum + length, 0);
  const each = um(Math.floor((lengthOfMass(spec, used) - spoiled) / wires));
  return each > 0 ? each : null;
}

/** A wire of a piece that was cut too short and is kept all the same; undefined for one that is as it should be. */
export const shorterIn = (
  { shorterWires }: Pick<PieceSoFar, 'shorterWires'>,
  wire: Pick<WantedCut, 'cutIndex' | 'copy'>,
): ShorterWire | undefined => shorterWires.find((each) => wireKey(each) === wireKey(wire));

/**
 * How a wire was cut and what came back of it: as it was said, else the short length that it was kept at, else by the spool that it was worked off, else as it was meant when the sitting
 * began, else as planned.
 * @param offSpool {@link workedOff}
 */
export function wireDone(
  so: Pick<PieceSoFar, 'wires' | 'shorterWires'>,
  wanted: Pick<WantedCut, 'cutIndex' | 'copy' | 'length' | 'tails'>,
  meant?: WireMeant,
  offSpool: Micrometres | null = null,
): WireDone {
  const said = so.wires.get(wireKey(wanted));
  if (said) return said;
  const back = meant?.back ?? wanted.tails;
  const cut = shorterIn(so, wanted)?.length ?? offSpool;
  if (cut === null) return { cut: meant?.length ?? wanted.length, back };
  // Of a wire that is shorter than the ends that are trimmed of it as a rule, nothing was trimmed.
  return { cut, back: sumLengths(back) < cut ? back : [] };
}

/**
 * Wires of a piece that somebody measured, by their keys: those that were spoken of, and those whose spool was weighed. The spool tells what
 * all pieces took together, so that it stands in the log once, with the first of them. A wire that was kept for less tells nothing of how long
 * the next is cut.
 */
export function measuredWires(
  sitting: Sitting,
  { piece, isFirst }: { readonly piece: number; readonly isFirst: boolean },
  wanted: readonly Pick<WantedCut, 'cutIndex' | 'copy'>[],
): ReadonlySet<string> {
  const so = pieceIn(sitting, piece);
  return new Set(
    wanted
      .filter((each) => !shorterIn(so, each))
      .filter(
        (each) => so.wires.has(wireKey(each)) || (isFirst && spoolUsed(sitting, each.cutIndex) !== null),
      )
      .map(wireKey),
  );
}
