import type { Pose } from '../geometry/pose';
import type { Body, Course, PieceWire, Side, WirePlace } from '../piece/piece';
import type { Result } from '../result';
import type { MarkedCourse } from './ofPiece';
import type { Parameters, ValuesOf } from '../parameter/parameter';
import type { WireSize } from '../wire/wireSize';
import type { AnyTechnique, Plan, Technique } from './technique';

/** An end of a wire that is free: the hand of it that goes on. */
export interface FreeEnd {
  readonly wire: string;
  readonly side: Side;
}

/** A free end as it is handed to an act; or where a stretch ends, in the way that its hand goes. */
export interface TakenEnd extends FreeEnd {
  /** What a maker calls it: its wire, and which end. */
  readonly label: string;
  readonly size: WireSize;
  /** Where it ends, and where what is wound on it ends; the farthest of these is where something wound goes on. */
  readonly places: readonly WirePlace[];
  /** Where it ends; what goes on from here takes what is wound on it along. */
  readonly at: WirePlace;
}

/** A wire that was not shaped yet, from its middle: both its hands set out from there. */
export interface TakenWire {
  readonly wire: string;
  readonly name: string;
  readonly size: WireSize;
  /** What is wound on it already; mm, 0 when nothing is. */
  readonly wound: WoundOn;
}

/** What is wound on a wire before it is shaped; mm. */
export interface WoundOn {
  /** How far it stands from its neighbour by that. */
  readonly apart: number;
  /** How thick that lies on it. */
  readonly thick: number;
  /** Where it lies, from the middle of the wire; positive towards the end of the first hand. */
  readonly stretches: readonly WovenStretch[];
}

/** A stretch of a wire that something is wound on, mm from its middle: positive towards the end of its first hand. */
export interface WovenStretch {
  readonly from: number;
  readonly to: number;
}

/** What an act was handed. */
export interface Taken {
  /** The ends of a port, as they were chosen or cut afresh. */
  readonly ends: (port: string) => readonly TakenEnd[];
  /** Whether a port was handed whole wires; their ends are then those that set out first. */
  readonly isWhole: (port: string) => boolean;
  /** The whole wires of a port. */
  readonly wires: (port: string) => readonly TakenWire[];
  /** An id of the act's own, for its wires and bodies, that no other act has. */
  readonly own: (id: string) => string;
}

/** Wires that are cut afresh for a port when nothing is chosen for it. */
export interface Fresh {
  readonly count: number;
  readonly name: string;
  /** The parameter of what they are cut from, where it is another than the port’s. */
  readonly wire?: string;
  /** Held on to and trimmed at each end, mm. */
  readonly tail: number;
  /** Whether it is there already, and no cut of this piece: what a coil is wound on. */
  readonly isGiven?: boolean;
  /** Where one of them lies; side by side upright when it is not told. */
  readonly start?: (index: number, size: WireSize) => Pose;
  /** The end of each that is free; the first when it is not told. */
  readonly side?: Side;
}

/** What a port takes: free ends, whole wires that were not shaped yet, or stretches of wires that were: these stay there for others. */
export type Takes = 'end' | 'wire' | 'stretch';

/** What a technique takes of what was made before it. */
export interface Port<P extends Parameters = Parameters> {
  readonly label: string;
  /** What something that it takes does next, as a maker says it: “curl up in a flat spiral”. */
  readonly does: string;
  readonly takes: readonly Takes[];
  /** How many, at least and at most. */
  readonly from: number;
  readonly to: number;
  /** How many are proposed when it is added to a piece, of those left last; as many as it takes when it is not told. */
  readonly proposed?: number;
  /** The parameter of the wire that they are, when they are cut afresh. */
  readonly wire: string;
  /** Further parameters that are asked only then. */
  readonly freshOnly: readonly string[];
  readonly fresh: (values: ValuesOf<P>) => Fresh | readonly Fresh[];
}

/** A wire that an act cuts; what it is cut from is a parameter. */
export interface ActWire extends PieceWire {
  /** What the place is from which it is worked. */
  readonly middle?: string;
}

/** How an end goes on. */
export interface GoesOn {
  readonly end: FreeEnd;
  readonly courses: readonly Course[];
  /** Over how much of it, from there on, something is wound; and what that is called. */
  readonly covered?: { readonly long: number; readonly name: string };
  /** What is trimmed off it when nothing else takes it on, mm; as it was when it is not told. */
  readonly tail?: number;
}

/** What an act leaves for others to take. */
export interface Leaving extends FreeEnd {
  /** Its own within the act. */
  readonly id: string;
  readonly label: string;
  readonly takes: Takes;
  /** The step after which it is there; the last one when it is not told. */
  readonly after?: string;
  /** Of a stretch: the course of its hand that it is. */
  readonly over?: string;
}

/** What a technique does to a piece. */
export interface Act extends Pick<Plan, 'steps'>, Partial<Omit<Plan, 'cuts' | 'run' | 'steps'>> {
  readonly bodies?: readonly Body[];
  readonly wires?: readonly ActWire[];
  /** What it does to ends, one after the other. */
  readonly goesOn?: readonly GoesOn[];
  /** Where the work of whole wires lies, once they are shaped. */
  readonly starts?: readonly {
    readonly wire: string;
    readonly pose: Pose;
    readonly middle?: string;
    /** How often it is twisted on its own axis, in turns for each mm. */
    readonly twisted?: number;
  }[];
  /** What is woven on whole wires: how far they stand from one another by it, how thick it lies on them, and where; mm. */
  readonly woven?: WovenStretch & {
    readonly wires: readonly string[];
    readonly apart: number;
    readonly thick: number;
  };
  readonly leaves?: readonly Leaving[];
  /** What a chain goes through: courses of ends over which the piece hangs. */
  readonly hangs?: readonly (FreeEnd & { readonly over: string })[];
  readonly marked?: readonly MarkedCourse[];
}

/** A technique that is done to a piece: it takes ends and wires that are there, and leaves others. */
export interface ActTechnique<P extends Parameters = Parameters> extends Technique<P> {
  readonly ports: Readonly<Record<string, Port<P>>>;
  readonly act: (values: ValuesOf<P>, taken: Taken) => Result<Act>;
}

/** Whether a technique is done to a piece, so that it can take up what others leave. */
export const isActed = (technique: AnyTechnique): technique is ActTechnique => 'act' in technique;
