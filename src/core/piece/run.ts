import type { Path, Vec3 } from '../geometry/path';
import { facingBack, inPose, pose, sideOf, smoothWay, type Pose } from '../geometry/pose';
import { dot3, minus3, norm3, plus3, scaled3, straightened, unit3, vec3 } from '../geometry/vec3';
import { bendOf } from '../wrap/winding';
import { ok, refuse, type Result } from '../result';
import { climbingPath, poseAtEnd, type PlacedBody } from './body';
import { acrossPath } from './across';
import { besideShape, poseBeside } from './beside';
import { bundlePath } from './bundle';
import { CannotBeMade, orStop } from './cannotBeMade';
import type { Carrier } from './carriers';
import type {
  Bead,
  Beside,
  Body,
  Bound,
  Course,
  Parted,
  Piece,
  PieceWire,
  Reaching,
  Side,
  Threaded,
  Wound,
} from './piece';
import { layingOf, wayAlong, type Laying } from './laying';
import { Places } from './places';
import { isSamePose, remembered, type Reliance, type Watched } from './remembered';
import {
  add,
  alongPath,
  asideWay,
  halvesWay,
  joined,
  NEAR,
  pathOfCourses,
  poseAtStart,
  shapeAndLaying,
  stepOf,
  type HandRun,
  type RunCourse,
  type Shaped,
  type Step,
} from './steps';

import {
  bentShape,
  coiledShape,
  curledShape,
  drawnShape,
  isThere,
  laidShape,
  roundShape,
  lengthOfStrand,
  twistedPath,
  type Shape,
} from './shape';

export type { RunCourse } from './steps';

/** A wire as it came to lie: one line from the end of its second hand to the end of its first, without its tails. */
export interface RunWire {
  readonly wire: PieceWire;
  readonly first: readonly RunCourse[];
  readonly second: readonly RunCourse[];
  /** From where one half begins to where the other does, of a wire that begins with what both halves wind. */
  readonly between: RunCourse | undefined;
  readonly path: Path;
  /** What stays in the piece, mm: the sum of its courses. */
  readonly net: number;
  /** What is cut: what stays and its tails. */
  readonly cut: number;
}

export interface RunPiece {
  readonly wires: readonly RunWire[];
  readonly bodies: readonly PlacedBody[];
}

/** Wires that stand behind one another, but for less than this part of how far they are apart, are on neither side of one another. */
const CLEARLY = 0.2;

/** How far a wire of a row stands beside its middle, mm. */
function besideMiddle(count: number, index: number, step: Parted['step']): number {
  if (typeof step === 'number') return (index - (count - 1) / 2) * step;
  const upTo = (steps: readonly number[]) => steps.reduce((sum, each) => sum + each, 0);
  return upTo(step.slice(0, index)) - upTo(step) / 2;
}

/**
 * Runs a piece: every wire goes its way, what is wound on a wire after that wire has come to lie as far as it is needed, so that it bends with
 * it whichever was done first.
 * @returns a sentence naming the wire and the course when something cannot be made
 */
export function runPiece(piece: Piece): Result<RunPiece> {
  try {
    return ok(new Run(piece).all());
  } catch (fault) {
    if (fault instanceof CannotBeMade) return refuse(fault.message);
    throw fault;
  }
}

/** A hand as it lies now, as far as something goes by it, mm. */
function relianceOn({ wire, side, begin, courses, starts, measured }: HandRun, reach: number): Reliance {
  const isBeyond = reach >= measured - NEAR;
  const count = starts.filter((start) => start < reach + NEAR).length;
  return { wire, side, reach, begin, courses: courses.slice(0, isBeyond ? undefined : count), isBeyond };
}

class Run {
  readonly #wires: ReadonlyMap<string, PieceWire>;
  readonly #places = new Places({
    wireOf: (id, where) => this.#wireOf(id, where),
    handOf: (wire, side) => this.#handOf(wire, side),
    goOn: (wire, side, until) => this.#goOn(wire, side, until),
    goesBy: (hand, reach) => this.#goesBy(hand, reach),
  });
  /** Where beads came to lie. */
  readonly #placed = new Map<string, Pose>();
  readonly #hands: Readonly<Record<Side, Map<string, HandRun>>> = { first: new Map(), second: new Map() };
  /** What the course that is being worked out goes by. */
  #watched: Watched | undefined;

  constructor(private readonly piece: Piece) {
    this.#wires = new Map(piece.wires.map((wire) => [wire.id, wire]));
  }

  all(): RunPiece {
    const wires = this.piece.wires.map((wire) => this.#whole(wire));
    const bodies = this.piece.bodies.map((body): PlacedBody => {
      const lies = body.pose ?? this.#placed.get(body.id);
      if (!lies)
        throw new CannotBeMade(`${body.id}: no wire threads this bead; thread it, or say where it lies.`);
      return { ...body, pose: lies };
    });
    return { wires, bodies };
  }

  #whole(wire: PieceWire): RunWire {
    const [first, second] = [this.#handOf(wire, 'first'), this.#handOf(wire, 'second')];
    this.#goOn(wire, 'first', Infinity);
    this.#goOn(wire, 'second', Infinity);
    const [forth, back] = [pathOfCourses(first.courses), pathOfCourses(second.courses)];
    const between = wire.start ? undefined : halvesWay(back, forth);
    const courses = [...second.courses, ...(between ? [between] : []), ...first.courses];
    const net = courses.reduce((sum, { length }) => sum + length, 0);
    const { tails } = wire;
    return {
      wire,
      first: first.courses,
      second: second.courses,
      between,
      path: joined([[...back].reverse(), between?.path ?? [], forth]),
      net,
      cut: net + tails.first + tails.second,
    };
  }

  #handOf({ id, start }: PieceWire, side: Side): HandRun {
    const known = this.#hands[side].get(id);
    if (known) return known;
    const begin = start && (side === 'first' ? start : facingBack(start));
    const fresh: HandRun = {
      wire: id,
      side,
      begin,
      courses: [],
      lines: [],
      starts: [],
      measured: 0,
      end: begin,
      wound: undefined,
      next: 0,
      isBusy: false,
    };
    this.#hands[side].set(id, fresh);
    return fresh;
  }

  /** Goes on with a hand until it has come so far, or has done all it does. */
  #goOn(wire: PieceWire, side: Side, until: number): HandRun {
    const hand = this.#handOf(wire, side);
    const courses = wire[side];
    while (hand.next < courses.length && hand.measured < until - NEAR) {
      const course = courses[hand.next] as Course;
      if (hand.isBusy)
        throw new CannotBeMade(
          `${wire.name}, ${course.name}: it goes round a wire that in turn lies where it has come to; begin one of the two without the other.`,
        );
      hand.isBusy = true;
      for (const step of this.#stepsOf(wire, course, hand)) add(hand, step);
      hand.isBusy = false;
      hand.next += 1;
    }
    return hand;
  }

  /** What a course comes to: as it came out last when it begins where it did and all it goes round lies as it did. */
  #stepsOf(wire: PieceWire, course: Course, hand: HandRun): readonly Step[] {
    const { end, wound: before } = hand;
    const known = remembered.get(course);
    if (
      known?.size === wire.size &&
      known.before === before?.flat &&
      isSamePose(known.from, end) &&
      known.bodies.every((body) => this.piece.bodies.includes(body)) &&
      known.relied.every((each) => this.#stillLies(each))
    ) {
      hand.wound =
        known.laying && course.kind === 'wound'
          ? { ...known.laying, carriers: this.#places.carriersOf(course.on, end, wire.name).carriers }
          : undefined;
      return known.steps;
    }
    const outer = this.#watched;
    const watched: Watched = { reaches: new Map(), bodies: new Set() };
    this.#watched = watched;
    let up = end?.up;
    const steps = this.#shapesOf(wire, course, hand).map((shaped) => {
      const step = stepOf(shaped, up);
      up = step.end.up;
      return step;
    });
    this.#watched = outer;
    // A bead comes to lie where it is threaded, and a way along a wire follows how far that has come: they are made anew.
    if (course.kind === 'threaded' || course.kind === 'beside' || course.kind === 'reaching') return steps;
    const relied = [...watched.reaches].map(([gone, reach]) => relianceOn(gone, reach));
    const bodies = [...watched.bodies];
    remembered.set(course, {
      size: wire.size,
      from: end,
      before: before?.flat,
      laying: hand.wound,
      relied,
      bodies,
      steps,
    });
    return steps;
  }

  /** Whether a hand lies as it lay when something went round it. */
  #stillLies({ wire: id, side, reach, begin, courses, isBeyond }: Reliance): boolean {
    const wire = this.#wires.get(id);
    if (!wire || this.#handOf(wire, side).isBusy) return false;
    const hand = this.#goOn(wire, side, reach);
    return (
      isSamePose(hand.begin, begin) &&
      (!isBeyond || hand.courses.length === courses.length) &&
      courses.every((course, index) => course === hand.courses[index])
    );
  }

  /** Notes that what is being worked out goes by a hand as far as a place. */
  #goesBy(hand: HandRun, reach: number): void {
    const reaches = this.#watched?.reaches;
    const before = reaches?.get(hand);
    if (before === undefined || reach > before) reaches?.set(hand, reach);
  }

  /** What a course comes to from where the hand is: the way to it where it is elsewhere, and itself. */
  #shapesOf(wire: PieceWire, course: Course, hand: HandRun): Shaped[] {
    const where = `${wire.name}, ${course.name}`;
    const { end, wound: before } = hand;
    if (course.kind === 'reaching') return this.#reached(wire, course, hand, where);
    const { shape, laying } =
      course.kind === 'wound'
        ? shapeAndLaying(this.#layingOf(wire, course, end, where))
        : { shape: this.#shapeOf(wire, course, end, where), laying: undefined };
    hand.wound = laying;
    const begin = poseAtStart(shape);
    const step = { name: course.name, shape, course };
    if (!end || isThere(end, begin)) return [step];
    const { taut, across } = course;
    const name = across?.name ?? taut ?? `way to ${course.name}`;
    const along = laying && before && wayAlong(before, laying, begin.at);
    const straight = taut === undefined ? undefined : [end.at, begin.at];
    const over = across && this.#wayAcross(wire, across, end.at, begin.at, where);
    const way = over ?? straight ?? along ?? smoothWay(end, begin);
    return [{ name, shape: drawnShape(way, begin), course: undefined }, step];
  }

  #wayAcross(
    { size }: PieceWire,
    { body, face, over = 0 }: NonNullable<Course['across']>,
    from: Vec3,
    to: Vec3,
    where: string,
  ): Path {
    return acrossPath(this.#bodyOf('cab', body, where), face, from, to, bendOf(size).thick, over);
  }

  /** Straight on as far as a place of its own wire, or nothing when it has come that far. */
  #reached(wire: PieceWire, { name, to }: Reaching, { end, measured }: HandRun, where: string): Shaped[] {
    const length = Math.abs(this.#places.farthest(wire, to, where)) - measured;
    if (length <= NEAR) return [];
    if (!end) throw new CannotBeMade(`${where}: say where this wire begins.`);
    const course = { kind: 'laid', name, length } as const;
    return [{ name, shape: laidShape(course, end), course }];
  }

  #shapeOf(
    wire: PieceWire,
    course: Exclude<Course, Wound | Reaching>,
    from: Pose | undefined,
    where: string,
  ): Shape {
    const { size } = wire;
    switch (course.kind) {
      case 'bound':
        return this.#aboutBundle(wire, course, from, where);
      case 'beside':
        return this.#besideWire(wire, course, from, where);
      case 'parted':
        return this.#intoRow(course, from, where);
      case 'round':
        return orStop(roundShape(course, this.#bodyOf('cab', course.body, where), size), where);
      case 'climbing': {
        const point = this.#bodyOf('point', course.body, where);
        return alongPath(climbingPath(course, point, bendOf(size).thick), point.pose.up);
      }
      case 'twisted':
        return {
          ...alongPath(twistedPath(course, size), course.axis.up),
          length: lengthOfStrand(course, size),
        };
      case 'threaded':
        return this.#throughBead(course, this.#bodyOf('bead', course.bead, where), from, where);
    }
    if (course.kind === 'free' && !course.isOfHand) return alongPath(course.line, course.up);
    if (!from) throw new CannotBeMade(`${where}: say where this wire begins.`);
    switch (course.kind) {
      case 'free': {
        const { line, up } = course;
        return alongPath(
          line.map(({ x, y, z }) => inPose(from, x, y, z)),
          minus3(inPose(from, up.x, up.y, up.z), from.at),
        );
      }
      case 'laid':
        return laidShape(course, from);
      case 'bent':
        return bentShape(course, from, size);
      case 'coiled':
        return coiledShape(course, from, size);
      case 'curled':
        return curledShape(course, from, size);
      case 'led':
        return drawnShape(smoothWay(from, course.to), course.to);
    }
  }

  #bodyOf<Kind extends Body['kind']>(kind: Kind, id: string, where: string): Extract<Body, { kind: Kind }> {
    const body = this.piece.bodies.find(
      (each): each is Extract<Body, { kind: Kind }> => each.kind === kind && each.id === id,
    );
    if (!body) throw new CannotBeMade(`${where}: there is no ${BODY_WORDS[kind]} “${id}” in this piece.`);
    this.#watched?.bodies.add(body);
    return body;
  }

  /** Straight through a bead; the first wire that threads one without a place gives it its place. */
  #throughBead({ aside = 0 }: Threaded, bead: Bead, from: Pose | undefined, where: string): Shape {
    const lies = bead.pose ?? this.#placed.get(bead.id);
    if (lies) {
      const way = scaled3(lies.along, bead.length / 2);
      const middle = plus3(lies.at, scaled3(sideOf(lies), aside));
      const [first, last] = [minus3(middle, way), plus3(middle, way)];
      return alongPath([first, last], lies.up);
    }
    if (!from) throw new CannotBeMade(`${where}: say where this wire begins.`);
    this.#placed.set(bead.id, { ...from, at: plus3(from.at, scaled3(from.along, bead.length / 2)) });
    return laidShape({ kind: 'laid', name: bead.id, length: bead.length }, from);
  }

  /** Through a bead that lies beside a wire; the first that goes through one without a place gives it its place. */
  #besideWire(wire: PieceWire, course: Beside, from: Pose | undefined, where: string): Shape {
    const bead = this.#bodyOf('bead', course.bead, where);
    const {
      carried: [carried],
      carriers: [carrier],
    } = this.#places.carriersOf([course.on], from, where);
    if (!carried || !carrier) throw new CannotBeMade(`${where}: say which wire the bead lies beside.`);
    const lies =
      bead.pose ?? this.#placed.get(bead.id) ?? poseBeside(course, bead, carrier(bead.length / 2), carried);
    this.#placed.set(bead.id, lies);
    return besideShape(course, bead, lies, wire);
  }

  #layingOf(wire: PieceWire, course: Wound, from: Pose | undefined, where: string): Laying {
    const { on, carried, carriers } = this.#places.carriersOf(course.on, from, where);
    return orStop(layingOf(course, wire, on, carried, carriers), where);
  }

  #aboutBundle({ size }: PieceWire, course: Bound, from: Pose | undefined, where: string): Shape {
    const { carried, carriers } = this.#places.carriersOf(course.on, from, where);
    if (carriers.length === 0) throw new CannotBeMade(`${where}: say which wires it is wound about.`);
    const { thick, pitch } = bendOf(size);
    const thicks = carried.map((carrier) => carrier.size.width);
    const isSquare = carried.every((carrier) => carrier.size.profile === 'square');
    const { turns, long = Math.abs(turns) * pitch, begin, over } = course;
    if (turns === 0 && long === 0) throw new CannotBeMade(`${where}: nothing is wound; give it a turn.`);
    const told = { carriers, thicks, isSquare, thick, turns, long, over, begin, from: from?.at };
    const { path, length } = bundlePath(told);
    const up = (carriers[0] as Carrier)(0).along;
    return { path, length, end: poseAtEnd(path, up) };
  }

  /** On to its place in a row, side by side with the others. */
  #intoRow({ row, index, step, along }: Parted, from: Pose | undefined, where: string): Shape {
    const poses = row.map(({ wire, at, towards }, place) => {
      if (from && place === index) return from;
      const carrier = this.#wireOf(wire, where);
      const here = this.#places.poseOn(carrier, this.#places.farthest(carrier, [at], where));
      return towards === 'first' ? here : facingBack(here);
    });
    const [first, last] = [poses[0], poses.at(-1)];
    if (!from || !first || !last) throw new CannotBeMade(`${where}: say where this wire begins.`);
    const middle = scaled3(
      poses.reduce((sum, { at }) => plus3(sum, at), vec3(0, 0)),
      1 / poses.length,
    );
    const way = unit3(poses.reduce((sum, each) => plus3(sum, each.along), vec3(0, 0)));
    // In the plane that its wires are worked in, in the order that they stand there.
    const right = sideOf({ along: way, up: straightened(first.up, way) });
    const between = minus3(last.at, first.at);
    const isLeft = dot3(between, right) < -CLEARLY * norm3(between);
    const across = isLeft ? scaled3(right, -1) : right;
    const at = plus3(
      plus3(middle, scaled3(way, along)),
      scaled3(across, besideMiddle(row.length, index, step)),
    );
    const to = pose(at, way, from.up);
    return drawnShape(asideWay(from.at, at, way, across), to);
  }

  #wireOf(id: string, where: string): PieceWire {
    const wire = this.#wires.get(id);
    if (!wire) throw new CannotBeMade(`${where}: there is no wire “${id}” in this piece.`);
    return wire;
  }
}

const BODY_WORDS: Readonly<Record<Body['kind'], string>> = { cab: 'stone', bead: 'bead', point: 'point' };
