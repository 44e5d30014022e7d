import type { Path, Vec3 } from '../geometry/path';
import { between3, minus3, plus3, scaled3, unit3, vec3 } from '../geometry/vec3';
import { pose } from '../geometry/pose';
import type { Along, Bead, Course } from '../piece/piece';
import { counted } from '../units/counted';
import type { WireSize } from '../wire/wireSize';
import { bendOf } from '../wrap/winding';

/** A place of a channel where a bead lies across it. */
export interface Station {
  /** The middle of the inner rail there, and the way out to the other rail, 1 long. */
  readonly at: Vec3;
  readonly out: Vec3;
  /** How far along each rail it is, mm. */
  readonly inner: number;
  readonly outer: number;
}

/** Beads between two rails that a thin wire laces, in the order in which it does. */
export interface Channel {
  readonly stations: readonly Station[];
  readonly beads: readonly Bead[];
  readonly inner: Omit<Along, 'from'>;
  readonly outer: Omit<Along, 'from'>;
  readonly rail: WireSize;
  readonly thin: WireSize;
  /** Turns on each rail between beads, the one that comes from a bead and goes back behind it among them. */
  readonly wraps: number;
  /** Turns on the outer rail that finish it. */
  readonly close: number;
  /** On which side of the rails, as they go on, the channel goes outward. */
  readonly outward: 'left' | 'right';
}

/** The part of its last turn that a wire leaves out where it goes into a hole. */
const SPARED = 1 / 3;
/** Where it comes from a hole onto a rail, and leaves one for it, degrees from the face of the channel. */
const HOLE = 60;
/** Where its first turn begins, degrees on from the back of the inner rail. */
const INSIDE = 90;
/** Turns beside a hole are not wound dead tight: from one to the next, in thicknesses. */
const AIR = 1.1;

/** How far along a rail the turns between two beads reach, mm. */
export const reachOnRail = (thin: WireSize, wraps: number): number => wraps * bendOf(thin).pitch * AIR;

/** Points of the way back behind a bead. */
const BACK_POINTS = 16;

/** A place so many mm along a rail from where its work begins. */
const onRail = ({ wire, towards }: Omit<Along, 'from'>, mm: number): Along => ({ wire, from: mm, towards });

/** How far the middles of both rails stand apart: by the beads, and the thin wire that goes into their holes. */
export const railsApart = (rail: WireSize, thin: WireSize, bead: number): number =>
  bead + rail.width + bendOf(thin).thick;

/** Beads where the stations have them: across the channel, between both rails. */
export const channelBeads = (
  stations: readonly Station[],
  apart: number,
  bead: number,
  hole: number,
  idOf: (index: number) => string,
): readonly Bead[] =>
  stations.map(({ at, out }, index) => ({
    kind: 'bead',
    id: idOf(index),
    width: bead,
    length: bead,
    hole,
    pose: pose(plus3(at, scaled3(out, apart / 2)), out),
  }));

/**
 * Laces beads between two rails: round the inner one, through a bead across the front, round the outer one, back behind the bead to the inner
 * one before the next.
 */
export function laced(channel: Channel): readonly Course[] {
  const { stations, beads, inner, outer, thin, wraps, close, outward } = channel;
  const { pitch } = bendOf(thin);
  const sense = outward === 'right' ? 1 : -1;
  const angle = (degrees: number) => (360 + sense * degrees) % 360;
  const turns = wraps - SPARED;
  const inWraps = `${counted(2 * beads.length * wraps + 1 + close, 'turn')} on the rails`;
  return stations.flatMap((station, index): Course[] => {
    const isLast = index === stations.length - 1;
    const next = stations[index + 1];
    const forward = inner.towards === 'first' ? 1 : -1;
    const more = isLast ? close : 0;
    // The first begins on the inside of its rail, and goes once round it before.
    const before = index === 0 ? turns + 1 - INSIDE / 360 : turns;
    return [
      {
        kind: 'bound',
        name: inWraps,
        on: [onRail(inner, station.inner - forward * before * pitch * AIR)],
        begin: index === 0 ? angle(180 + INSIDE) : 180,
        turns: sense * before,
        long: before * pitch * AIR,
      },
      {
        kind: 'threaded',
        name: `across the front, through ${counted(beads.length, 'bead')}`,
        bead: (beads[index] as Bead).id,
        taut: INTO,
      },
      {
        kind: 'bound',
        name: inWraps,
        on: [onRail(outer, station.outer)],
        begin: angle(-HOLE),
        turns: sense * (turns + more),
        long: (turns + more) * pitch * AIR,
        taut: INTO,
      },
      ...(next ? [behind(channel, station, next)] : []),
    ];
  });
}

const INTO = 'into the holes and out of them';

/** From behind the outer rail round the back of the bead to behind the inner one before the next bead. */
function behind({ beads, rail, thin, wraps }: Channel, from: Station, to: Station): Course {
  const bead = beads[0] as Bead;
  const { thick, pitch } = bendOf(thin);
  const [flat, round] = [(rail.width + thick) / 2, (bead.width + thick) / 2];
  const wide = railsApart(rail, thin, bead.length);
  const share = Math.min(
    0.9,
    ((wraps - SPARED) * pitch * AIR) / Math.max(pitch, Math.abs(to.inner - from.inner)),
  );
  const on = scaled3(unit3(minus3(to.at, from.at)), (wraps - SPARED) * pitch * AIR);
  const begin = plus3(plus3(from.at, scaled3(from.out, wide)), on);
  const end = between3(to.at, from.at, share);
  const line: Path = Array.from({ length: BACK_POINTS + 1 }, (_, step) => {
    const part = step / BACK_POINTS;
    const deep = flat + Math.max(0, round - flat) * Math.sin(Math.PI * part);
    return plus3(between3(begin, end, part), vec3(0, 0, -deep));
  });
  return { kind: 'free', name: 'back behind the beads', line, up: unit3(minus3(end, begin)) };
}
