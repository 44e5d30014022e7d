import { lengthOfPath } from '../geometry/path';
import { facingBack, type Pose } from '../geometry/pose';
import { dot3 } from '../geometry/vec3';
import { CannotBeMade } from './cannotBeMade';
import type { Carrier } from './carriers';
import type { Stretch } from './laying';
import { nearestOn, whereNearest, type Reach } from './nearest';
import type { Along, AtEnd, PieceWire, Side, WirePlace } from './piece';
import { cameTo, NEAR, poseIn, type HandRun } from './steps';

/** The hands of a piece that is being run: places are looked for on them as far as they have come, and they go on when that is not enough. */
export interface Hands {
  /** @throws CannotBeMade when there is no such wire */
  readonly wireOf: (id: string, where: string) => PieceWire;
  readonly handOf: (wire: PieceWire, side: Side) => HandRun;
  /** Goes on with a hand until it has come so far, mm, or has done all it does. */
  readonly goOn: (wire: PieceWire, side: Side, until: number) => HandRun;
  /** Notes that what is being worked out goes by a hand as far as a place, mm. */
  readonly goesBy: (hand: HandRun, reach: number) => void;
}

/** Places along the wires of a piece that is being run, and the wires that something is wound about from there. */
export class Places {
  constructor(private readonly hands: Hands) {}

  /** The wires that something is wound about, where it begins on each, and their poses from there. */
  carriersOf(along: readonly Along[], here: Pose | undefined, where: string) {
    const carried = along.map(({ wire }) => this.hands.wireOf(wire, where));
    const carrierOn = (index: number, { from, towards }: Stretch): Carrier => {
      const carrier = carried[index] as PieceWire;
      return (x) => {
        const here = this.poseOn(carrier, towards === 'first' ? from + x : from - x);
        return towards === 'first' ? here : facingBack(here);
      };
    };
    const reaches = along.map(({ from, passing }, index): Reach => {
      const wire = carried[index] as PieceWire;
      const places = Array.isArray(from) ? (from as readonly WirePlace[]) : [from as WirePlace];
      const to = this.farthest(wire, places, where);
      const reach = passing === undefined ? 0 : this.#beginOf(wire, places, where) - to;
      return { poseOn: (place) => this.poseOn(wire, place), from: to, reach };
    });
    const [first, second] = reaches;
    const meets =
      along[0]?.passing !== undefined && first && second ? whereNearest(first, second) : undefined;
    const on = along.map(({ wire, towards, within, passing = 0 }, index): Stretch => {
      const stretch = reaches[index] as Reach;
      const sense = towards === 'first' ? 1 : -1;
      if (meets) {
        const middle = { wire, towards, from: nearestOn(stretch, meets.at) };
        const isAgainst = dot3(carrierOn(index, middle)(0).along, meets.along) < 0;
        const way: Side = isAgainst === sense > 0 ? 'second' : 'first';
        return { wire, towards: way, from: middle.from - ((way === 'first' ? 1 : -1) * passing) / 2 };
      }
      if (within === undefined || !here) return { wire, towards, from: stretch.from };
      return { wire, towards, from: nearestOn({ ...stretch, reach: sense * within }, here.at) };
    });
    const carriers = on.map((stretch, index) => carrierOn(index, stretch));
    return { on, carried, carriers };
  }

  /** The one of several places of a wire that is farthest from where its work begins. */
  farthest(wire: PieceWire, places: readonly WirePlace[], where: string): number {
    return places
      .map((place) =>
        typeof place === 'number' ? this.#cameTo(wire, place) : this.#endOf(wire, place, where).end,
      )
      .reduce((far, each) => (Math.abs(each) > Math.abs(far) ? each : far), 0);
  }

  /** How far along a wire the course begins that ends at the farthest of several places. */
  #beginOf(wire: PieceWire, places: readonly WirePlace[], where: string): number {
    const begins = places.map((place) =>
      typeof place === 'number' ? this.#cameTo(wire, place) : this.#endOf(wire, place, where).begin,
    );
    return begins.reduce((far, each) => (Math.abs(each) > Math.abs(far) ? each : far), 0);
  }

  /** Where a place of a wire has come to that is told as it was before any of it was pulled in. */
  #cameTo(wire: PieceWire, told: number): number {
    const side: Side = told >= 0 ? 'first' : 'second';
    const away = Math.abs(told);
    const hand = this.hands.handOf(wire, side);
    let came = cameTo(hand, away);
    while (came > hand.measured - NEAR && hand.next < wire[side].length && !hand.isBusy) {
      this.hands.goOn(wire, side, hand.measured + 2 * NEAR);
      came = cameTo(hand, away);
    }
    return told >= 0 ? came : -came;
  }

  /** How far along a wire a course of it begins and ends. */
  #endOf(
    wire: PieceWire,
    { side, endOf, on = 0 }: AtEnd,
    where: string,
  ): { readonly begin: number; readonly end: number } {
    const wanted = wire[side].findIndex((course) => (course.id ?? course.name) === endOf);
    const hand = this.hands.handOf(wire, side);
    while (hand.next <= wanted && !hand.isBusy) this.hands.goOn(wire, side, hand.measured + 2 * NEAR);
    const run = hand.courses.findIndex(({ course }) => course && (course.id ?? course.name) === endOf);
    const begin = hand.starts[run];
    if (begin === undefined)
      throw new CannotBeMade(
        `${where}: “${endOf}” of ${wire.name} is not there to begin at, or not done yet.`,
      );
    const end = begin + lengthOfPath(hand.courses[run]?.path ?? []);
    this.hands.goesBy(hand, end);
    const sense = side === 'first' ? 1 : -1;
    return { begin: sense * begin, end: sense * (end + on) };
  }

  /** The pose of a wire at a place along it, heading from its second hand to its first; beyond what it does it goes on straight. */
  poseOn(wire: PieceWire, along: number): Pose {
    const side: Side = along >= 0 ? 'first' : 'second';
    const s = Math.abs(along);
    const hand = this.hands.goOn(wire, side, s);
    this.hands.goesBy(hand, s);
    const here = poseIn(hand, s);
    if (!here) throw new CannotBeMade(`${wire.name}: say where it begins before something is wound on it.`);
    return side === 'first' ? here : facingBack(here);
  }
}
