import { atPart } from '../geometry/onLine';
import type { Path, Vec3 } from '../geometry/path';
import { distance3, minus3, plus3, scaled3, unit3 } from '../geometry/vec3';
import type { RunPiece, RunWire } from '../piece/run';
import type { Side } from '../piece/piece';
import type { Offer } from '../technique/joinActs';

/** Something that a piece leaves to go on from, where it lies. */
export interface PlaceLeft {
  readonly offer: Offer;
  /** What one points at: where an end ends, the middle of a stretch, the middle of a whole wire. */
  readonly at: Vec3;
  /** What shows it: an end straight on as long as it is held, a stretch as it lies. */
  readonly line: Path;
  /** Of an end: what is left of it there, held and trimmed when nothing takes it on, and how long its wire is cut, mm. */
  readonly left?: number;
  readonly cut?: number;
}

/** Where a hand ends, and which way it goes there; undefined for a hand that lies nowhere. */
function endOf(wire: RunWire, side: Side): { readonly at: Vec3; readonly along: Vec3 } | undefined {
  const line = wire[side].flatMap(({ path }) => path);
  const [before, last] = [line.findLast((at) => distance3(at, line.at(-1) as Vec3) > 1e-6), line.at(-1)];
  if (before && last) return { at: last, along: unit3(minus3(last, before)) };
  const { start } = wire.wire;
  return start && { at: start.at, along: side === 'first' ? start.along : scaled3(start.along, -1) };
}

function placeOf(offer: Offer, wire: RunWire): PlaceLeft | undefined {
  if (offer.takes === 'stretch') {
    const line = wire[offer.side].find(({ course }) => course?.id === offer.over)?.path ?? [];
    return line.length > 1 ? { offer, at: atPart(line, 1 / 2), line } : undefined;
  }
  if (offer.takes === 'wire') {
    const [first, second] = [endOf(wire, 'first'), endOf(wire, 'second')];
    const line = wire.path.length > 1 ? wire.path : first && second ? [second.at, first.at] : [];
    const at = wire.wire.start?.at ?? line[0];
    return at && { offer, at, line };
  }
  const end = endOf(wire, offer.side);
  if (!end) return undefined;
  const left = wire.wire.tails[offer.side];
  return {
    offer,
    at: end.at,
    line: [end.at, plus3(end.at, scaled3(end.along, left))],
    left,
    cut: wire.cut,
  };
}

/**
 * Everything that pieces leave to go on from, where it lies.
 * @param offers what is left, as the acts were joined
 * @returns of each that lies somewhere its place, in the same order
 */
export function placesLeft(
  offers: readonly Offer[],
  pieces: readonly { readonly run: RunPiece }[],
): readonly PlaceLeft[] {
  const wires = new Map(pieces.flatMap(({ run }) => run.wires.map((each) => [each.wire.id, each] as const)));
  return offers.flatMap((offer) => {
    const wire = wires.get(offer.wire);
    return (wire && placeOf(offer, wire)) ?? [];
  });
}
