import type { Body, Course, Piece, Side, WirePlace } from '../piece/piece';
import { ok, refuse, type Result } from '../result';
import { counted } from '../units/counted';
import type { Act, ActTechnique, ActWire, FreeEnd, Port, Taken, TakenEnd, TakenWire, Takes } from './act';
import type { MarkedCourse } from './ofPiece';
import type { WireSize } from '../wire/wireSize';
import type { Values } from '../parameter/readValues';
import { leaverOf, type ChosenPorts } from './refs';
import type { OrderRule } from '../judgement/order';
import {
  freshHand,
  freshWires,
  SIDES,
  wireOf,
  type FreshWire,
  type HandState,
  type WireState,
} from './wireState';

/** A technique as a piece uses it. */
export interface ActUse {
  readonly id: string;
  /** What it is called in this piece. */
  readonly name: string;
  readonly technique: ActTechnique;
  /** Undefined when something that was typed for it cannot be read. */
  readonly values: Values | undefined;
  readonly takes: ChosenPorts;
}

/** Something that can be taken up: an end, or a wire that was not shaped yet. */
export interface Offer extends FreeEnd {
  /** “use.id”. */
  readonly ref: string;
  readonly label: string;
  readonly takes: Takes;
  /** Of a stretch: the course that it is. */
  readonly over?: string;
  readonly size: WireSize;
  /** The use that leaves it, and the step after which it is there. */
  readonly use: string;
  readonly after: string;
}

/** A use as it was joined to the others. */
export interface JoinedUse {
  readonly use: ActUse;
  /** With the sizes of what it takes up. */
  readonly values: Values | undefined;
  readonly act: Result<Act>;
  /** What it could take up: all that is free before it. */
  readonly offered: readonly Offer[];
}

/** A piece that uses make together, in their order. */
export interface JoinedPiece {
  readonly uses: readonly string[];
  readonly piece: Piece;
  /** Wires that are there already, and no cuts. */
  readonly given: readonly string[];
  /** By wire, what the place is from which it is worked. */
  readonly middles: Readonly<Record<string, string>>;
  readonly marked: readonly MarkedCourse[];
  /** Courses over which it hangs. */
  readonly hangs: NonNullable<Act['hangs']>;
  /** The use that each course is of. */
  readonly by: ReadonlyMap<Course, string>;
  /** The use that each of its stones and beads is of, by its id. */
  readonly bodyBy: ReadonlyMap<string, string>;
  /** What must be done before something is taken up; steps are “use.step”. */
  readonly rules: readonly PieceRule[];
}

/** What must be done before something is taken up; a stop when the piece is lost otherwise. */
export interface PieceRule extends OrderRule {
  readonly isStop: boolean;
}

/** Why a use is not made whose wires another one brings that cannot be made. */
export const waitsFor = (name: string): string =>
  `It goes on from “${name}”, which cannot be made as it is told.`;

/** What a maker calls what a port takes. */
const TAKES: Readonly<Record<Takes, { readonly one: string; readonly many: string }>> = {
  end: { one: 'an end', many: 'ends' },
  wire: { one: 'a whole wire', many: 'whole wires' },
  stretch: { one: 'a stretch of a wire', many: 'stretches of wires' },
};

const beyond = (place: WirePlace, long: number, side: Side): WirePlace =>
  typeof place === 'number'
    ? place + (side === 'first' ? long : -long)
    : { ...place, on: (place.on ?? 0) + long };

/** Joins uses in the order of the work: each takes up what was left by those before it. */
export function joinActs(uses: readonly ActUse[]): {
  readonly uses: readonly JoinedUse[];
  readonly pieces: readonly JoinedPiece[];
  /** What all of them leave. */
  readonly left: readonly Offer[];
} {
  const joining = new Joining();
  const joined = uses.map((use) => joining.take(use));
  return { uses: joined, pieces: joining.pieces(), left: joining.free() };
}

class Joining {
  readonly #wires = new Map<string, WireState>();
  readonly #bodies = new Map<string, { readonly body: Body; readonly use: string }>();
  readonly #offers = new Map<string, Offer>();
  readonly #takers = new Map<string, string>();
  readonly #by = new Map<Course, string>();
  readonly #marked: MarkedCourse[] = [];
  readonly #hangs: NonNullable<Act['hangs']>[number][] = [];
  readonly #rules: (PieceRule & { readonly use: string })[] = [];
  /** Uses that thread something. */
  readonly #threads = new Set<string>();
  /** By use, the piece it belongs to: the first use of it. */
  readonly #pieceOf = new Map<string, string>();
  /** Uses that could not be joined, and what they are called. */
  readonly #failed = new Map<string, string>();

  take(use: ActUse): JoinedUse {
    const offered = this.free();
    const done = this.#done(use);
    if (!done.ok) this.#failed.set(use.id, use.name);
    return done.ok
      ? { use, ...done.value, act: ok(done.value.act), offered }
      : { use, values: use.values, act: done, offered };
  }

  /** What is free so far. */
  free(): readonly Offer[] {
    return [...this.#offers.values()].filter(({ ref }) => !this.#takers.has(ref));
  }

  #done(use: ActUse): Result<{ readonly values: Values; readonly act: Act }> {
    const { id, technique, takes } = use;
    if (!use.values) return refuse('Something in it cannot be read.');
    const chosen = new Map<string, readonly Offer[]>();
    for (const [key, port] of Object.entries(technique.ports)) {
      const refs = takes[key] ?? [];
      if (refs.length === 0) continue;
      const offers = this.#chosen(refs, port);
      if (!offers.ok) return offers;
      chosen.set(key, offers.value);
    }
    const all = [...chosen.values()].flat();
    const ends = all.filter(({ takes: kind }) => kind !== 'stretch');
    const twice = ends.find(({ wire, side }, index) =>
      ends.slice(0, index).some((other) => other.wire === wire && other.side === side),
    );
    if (twice) return refuse(`“${twice.label}” is chosen twice; an end is taken on once.`);
    const values = this.#valuesOf(technique, use.values, chosen);
    const own = (name: string) => `${id}.${name}`;
    const handed = new Map<string, readonly FreeEnd[]>();
    const fresh: FreshWire[] = [];
    for (const [key, port] of Object.entries(technique.ports)) {
      const offers = chosen.get(key);
      if (offers) {
        handed.set(key, offers);
        continue;
      }
      const cut = freshWires(own, id, key, port, values);
      fresh.push(...cut);
      handed.set(
        key,
        cut.map(({ id: wire, side }) => ({ wire, side })),
      );
    }
    for (const each of fresh) this.#wires.set(each.id, each);
    const taken: Taken = {
      ends: (port) => (handed.get(port) ?? []).map((end) => this.#takenEnd(end)),
      isWhole: (port) =>
        technique.ports[port]?.takes.includes('wire') === true &&
        (chosen.get(port)?.[0]?.takes ?? 'wire') === 'wire',
      wires: (port) => (handed.get(port) ?? []).map(({ wire }) => this.#takenWire(wire)),
      own,
    };
    const act = actKnown(
      use.values,
      [technique.id, own(''), sizesIn(values), handedIn(technique, taken)],
      () => technique.act(values as never, taken),
    );
    if (!act.ok) {
      for (const each of fresh) this.#wires.delete(each.id);
      return act;
    }
    this.#belongs(use, all, act.value);
    this.#put(use, act.value);
    return ok({ values, act: act.value });
  }

  /** What was chosen for a port, when it is there and free. */
  #chosen(refs: readonly string[], port: Port): Result<readonly Offer[]> {
    const offers: Offer[] = [];
    for (const ref of refs) {
      const offer = this.#offers.get(ref);
      const from = leaverOf(ref);
      const waits = this.#failed.get(from);
      if (waits !== undefined) return refuse(waitsFor(waits));
      if (!offer) return refuse(`${port.label}: what was chosen is not there before this; choose again.`);
      const taker = this.#takers.get(ref);
      if (taker !== undefined)
        return refuse(
          `${port.label}: “${offer.label}” was taken on by “${taker}” before; choose another end.`,
        );
      if (!port.takes.includes(offer.takes))
        return refuse(
          `${port.label}: “${offer.label}” is ${TAKES[offer.takes].one}; ${port.takes
            .map((each) => TAKES[each].many)
            .join(' or ')} are taken.`,
        );
      offers.push(offer);
    }
    if (new Set(offers.map(({ takes }) => takes)).size > 1)
      return refuse(`${port.label}: take ends, or whole wires, not both.`);
    if (offers.length < port.from || offers.length > port.to)
      return refuse(
        `${port.label}: ${port.from === port.to ? port.from : `${port.from} to ${port.to}`} are taken; ${counted(offers.length, 'is', 'are')} chosen.`,
      );
    return ok(offers);
  }

  /** The values of a use, with the size of what it takes up in place of what it would be cut from. */
  #valuesOf(technique: ActTechnique, values: Values, chosen: ReadonlyMap<string, readonly Offer[]>): Values {
    const sizes = [...chosen].flatMap(([key, [first]]) => {
      const wire = technique.ports[key]?.wire;
      const size = this.#wires.get(first?.wire ?? '')?.size;
      return wire !== undefined && size ? [[wire, size] as const] : [];
    });
    return { ...values, ...Object.fromEntries(sizes) };
  }

  #takenEnd({ wire: id, side, label, over }: FreeEnd & Partial<Pick<Offer, 'label' | 'over'>>): TakenEnd {
    const { name, size, hands } = this.#stateOf(id);
    const { at, wound } = over === undefined ? hands[side] : { at: { side, endOf: over }, wound: [] };
    return { wire: id, side, label: label ?? name, size, at, places: [at, ...wound] };
  }

  #takenWire(id: string): TakenWire {
    const { name, size, hands, woven } = this.#stateOf(id);
    const ends = SIDES.flatMap((side) => hands[side].wound);
    const reach = Math.max(0, ...ends.map((place) => (typeof place === 'number' ? Math.abs(place) : 0)));
    // What is not told where it lies does so about the middle.
    const about = woven.length === 0 && reach > 0 ? [{ from: -reach, to: reach }] : woven;
    const most = (of: 'apart' | 'thick') => Math.max(0, ...woven.map((each) => each[of]));
    const stretches = about.map(({ from, to }) => ({ from, to }));
    return { wire: id, name, size, wound: { apart: most('apart'), thick: most('thick'), stretches } };
  }

  #stateOf(id: string): WireState {
    const state = this.#wires.get(id);
    if (!state) throw new RangeError(`an act works on a wire “${id}” that no act has`);
    return state;
  }

  /** What a use takes up is free no more; both belong to one piece, and what leaves it comes first. */
  #belongs({ id, name }: ActUse, offers: readonly Offer[], { steps }: Act): void {
    this.#pieceOf.set(id, id);
    const [begins] = steps;
    for (const { use, label, after, wire, side, takes } of offers) {
      // A wire that is taken whole has no free ends any more, and one whose end went on is whole no more.
      for (const other of this.#offers.values())
        if (takes === 'stretch' || other.takes === 'stretch') continue;
        else if (other.wire === wire && (takes === 'wire' || other.takes === 'wire' || other.side === side))
          this.#takers.set(other.ref, name);
      const [from, into] = [this.#pieceOf.get(id), this.#pieceOf.get(use)];
      for (const [each, piece] of this.#pieceOf) if (piece === from && into) this.#pieceOf.set(each, into);
      // A bead, a stone or a ring goes on before what carries it closes.
      const isStop = this.#threads.has(use);
      const why = isStop
        ? `nothing is threaded on ${label} when that is done`
        : `${label} is not there before that`;
      if (begins && !this.#rules.some((rule) => rule.first === after && rule.use === id))
        this.#rules.push({ use: id, first: after, then: `${id}.${begins.id}`, why, isStop });
    }
  }

  /** Adds what an act makes and does. */
  #put({ id }: ActUse, act: Act): void {
    if (act.bodies?.some(({ kind }) => kind === 'bead')) this.#threads.add(id);
    for (const body of act.bodies ?? []) this.#bodies.set(body.id, { body, use: id });
    for (const wire of act.wires ?? []) this.#wires.set(wire.id, this.#cutWire(wire, id));
    for (const { wire, pose: lies, middle, twisted } of act.starts ?? []) {
      const state = this.#stateOf(wire);
      state.start = lies;
      state.twisted = twisted ?? state.twisted;
      state.middle = middle ?? state.middle;
    }
    if (act.woven) for (const wire of act.woven.wires) this.#stateOf(wire).woven.push(act.woven);
    for (const { end, courses, covered, tail } of act.goesOn ?? []) {
      const hand = this.#stateOf(end.wire).hands[end.side];
      this.#goOn(hand, end.side, courses, id);
      hand.tail = tail ?? hand.tail;
      if (!covered) continue;
      hand.wound = [hand.at, ...hand.wound].map((place) => beyond(place, covered.long, end.side));
      hand.under = covered.name;
    }
    const last = act.steps.at(-1)?.id ?? '';
    for (const { id: own, after = last, ...left } of act.leaves ?? []) {
      const ref = `${id}.${own}`;
      const { size } = this.#stateOf(left.wire);
      this.#offers.set(ref, { ...left, ref, size, use: id, after: `${id}.${after}` });
    }
    this.#marked.push(...(act.marked ?? []));
    this.#hangs.push(...(act.hangs ?? []));
  }

  #cutWire(wire: ActWire, use: string): WireState {
    const handOf = (side: Side): HandState => {
      const hand = freshHand(wire.tails[side]);
      this.#goOn(hand, side, wire[side], use);
      return hand;
    };
    return {
      id: wire.id,
      name: wire.name,
      size: wire.size,
      start: wire.start,
      asCut: undefined,
      hands: { first: handOf('first'), second: handOf('second') },
      use,
      parameter: wire.cutFrom,
      isGiven: false,
      middle: wire.middle,
      twisted: wire.twisted,
      woven: [],
    };
  }

  /** Adds courses to a hand; the last of them can be told from all others. */
  #goOn(hand: HandState, side: Side, courses: readonly Course[], use: string): void {
    const last = courses.at(-1);
    if (!last) return;
    const told = last.id === undefined ? withId(last, `${use}, course ${hand.courses.length}`) : last;
    const added = [...courses.slice(0, -1), told];
    hand.courses.push(...added);
    for (const course of added) this.#by.set(course, use);
    hand.at = { side, endOf: told.id ?? '' };
  }

  pieces(): readonly JoinedPiece[] {
    const ids = [...new Set(this.#pieceOf.values())];
    return ids.map((piece): JoinedPiece => {
      const uses = [...this.#pieceOf].flatMap(([use, of]) => (of === piece ? [use] : []));
      const wires = [...this.#wires.values()].filter(({ use }) => uses.includes(use));
      const byWire = <T>(of: (state: WireState) => T | undefined): Record<string, T> =>
        Object.fromEntries(wires.flatMap((each) => [[each.id, of(each)] as const]).filter(isTold));
      const bodies = [...this.#bodies.values()].filter(({ use }) => uses.includes(use));
      return {
        uses,
        piece: { wires: wires.map(wireOf), bodies: bodies.map(({ body }) => body) },
        given: wires.flatMap(({ id, isGiven }) => (isGiven ? [id] : [])),
        middles: byWire(({ middle }) => middle),
        marked: this.#marked.filter(({ wire }) => wires.some(({ id }) => id === wire)),
        hangs: this.#hangs.filter(({ wire }) => wires.some(({ id }) => id === wire)),
        rules: this.#rules.filter(({ use }) => uses.includes(use)),
        by: this.#by,
        bodyBy: new Map(bodies.map(({ body, use }) => [body.id, use])),
      };
    });
  }
}

/** Courses by the id that they were given, so that the same course stays the same object while one types elsewhere. */
const withIds = new WeakMap<Course, Course>();

function withId(course: Course, id: string): Course {
  const known = withIds.get(course);
  if (known?.id === id) return known;
  const told = { ...course, id };
  withIds.set(course, told);
  return told;
}

/** What acts came to last, by the values of their use and what they were handed. */
const actsKnown = new WeakMap<Values, { readonly key: string; readonly act: Result<Act> }>();

function actKnown(values: Values, handed: readonly unknown[], made: () => Result<Act>): Result<Act> {
  const key = JSON.stringify(handed);
  const known = actsKnown.get(values);
  if (known?.key === key) return known.act;
  const act = made();
  actsKnown.set(values, { key, act });
  return act;
}

const sizesIn = (values: Values): readonly unknown[] =>
  Object.entries(values).filter(
    ([, value]) => typeof value === 'object' && value !== null && 'profile' in value,
  );

const handedIn = ({ ports }: ActTechnique, { ends, wires, isWhole }: Taken): readonly unknown[] =>
  Object.keys(ports).map((port) => (isWhole(port) ? wires(port) : ends(port)));

const isTold = <T>(entry: readonly [string, T | undefined]): entry is readonly [string, T] =>
  entry[1] !== undefined;
