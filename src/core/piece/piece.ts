import type { Path, Vec3 } from '../geometry/path';
import type { Pose } from '../geometry/pose';
import type { StoneSize } from '../stone/stoneSize';
import type { WireSize } from '../wire/wireSize';
import type { WeaveGroup } from '../weave/notation';

/**
 * A whole piece: its physical wires, each with the way it really goes, and the bodies that they hold. Lengths in mm, angles in degrees, clockwise
 * on the paper positive. x runs right, y down, z towards the eye.
 */
export interface Piece {
  readonly wires: readonly PieceWire[];
  readonly bodies: readonly Body[];
}

/** One physical wire: one cut. */
export interface PieceWire {
  readonly id: string;
  readonly name: string;
  /** What it is cut from, as whoever made the piece calls it. */
  readonly cutFrom: string;
  /** The wire from whose cut it is taken, of what that leaves over; undefined for one that is cut by itself. */
  readonly restOf?: string;
  readonly size: WireSize;
  /** How often it is twisted on its own axis, in turns for each mm; undefined for one that is not. */
  readonly twisted?: number;
  /** Where its work begins, and which way its first hand sets out; undefined for a wire that begins with its first wound course. */
  readonly start?: Pose;
  /** What each hand does, one course after the other. The first hand sets out as the start says, the second the other way. */
  readonly first: readonly Course[];
  readonly second: readonly Course[];
  /** What is held on to and trimmed off at the end of each hand. */
  readonly tails: { readonly first: number; readonly second: number };
}

/** A cabochon: flat behind, its outline in the plane of its pose, its length upright in it, its face up. */
export interface Cab {
  readonly kind: 'cab';
  readonly id: string;
  readonly size: StoneSize;
  /** A hole through it, to the right of its way, half as high as its edge: of a coin; how wide. */
  readonly drilled?: number;
  readonly pose: Pose;
}

/** A bead or a drop with a hole through its middle, on the wire that threads it; or a place of its own. */
export interface Bead {
  readonly kind: 'bead';
  readonly id: string;
  /** Across its hole, at its widest. */
  readonly width: number;
  /** Along its hole. */
  readonly length: number;
  readonly hole: number;
  /** Undefined for one that lies where a wire threads it. */
  readonly pose?: Pose;
}

/**
 * A stone that is longer than wide: a point, a pebble, or a drop that is drilled across; its axis is the way of its pose, from its first tip.
 */
export interface Point {
  readonly kind: 'point';
  readonly id: string;
  readonly length: number;
  readonly width: number;
  /** How long each end tapers straight to its tip; rounded all over like a pebble when it is not told. */
  readonly tapers?: readonly [number, number];
  /** Whether its other end is rounded, as a drop’s, instead of tapering straight. */
  readonly isDrop?: boolean;
  /** A hole across it, to the right of its way: how far from its first tip, and how wide. */
  readonly drilled?: { readonly at: number; readonly hole: number };
  readonly pose: Pose;
}

/** What a piece holds. */
export type Body = Cab | Bead | Point;

/** A hand of a wire. */
export type Side = 'first' | 'second';

/** Where a course of a hand ends, or so many mm beyond it; before it when that is negative. */
export interface AtEnd {
  readonly side: Side;
  /** The id of the course, or its name when it has none; the first of that name. */
  readonly endOf: string;
  readonly on?: number;
}

/** A place along a wire: mm from where its work begins, towards its first hand, negative on the second; or where a course of it ends. */
export type WirePlace = number | AtEnd;

/** A place along a wire from which something goes on along it. */
export interface Along {
  readonly wire: string;
  /** Where that is; of several places the one that is farthest from where the work of the wire begins. */
  readonly from: WirePlace | readonly WirePlace[];
  /** Whether it goes on towards the end of the first hand or of the second. */
  readonly towards: Side;
  /** Within how many mm on from there it really begins: at the place that is nearest to where the hand has come to. */
  readonly within?: number;
  /**
   * That the middle of what is wound lies where the courses that end there pass nearest to one another, on the way that the first of them goes: how
   * long it is, mm.
   */
  readonly passing?: number;
}

/** A way across a stone, over its face or behind its back. */
export interface Across {
  readonly body: string;
  readonly face: 'front' | 'back';
  readonly name: string;
  /** How thick that is which lies on the stone already: it goes over that. */
  readonly over?: number;
}

interface Named {
  /** What the maker calls it; the term of the cut's sum. */
  readonly name: string;
  /** What it is called by others that begin where it ends, when several courses of a hand have its name. */
  readonly id?: string;
  /** What the way to it is called when it is drawn taut: straight, and a term of its own. */
  readonly taut?: string;
  /** The stone that the way to it goes across, and what that way is called. */
  readonly across?: Across;
  /** Whether it lies in a hole, where nobody sees it. */
  readonly isHidden?: true;
  /** Why its line is only about right, where it is: it may lie in others that are so. */
  readonly sketched?: string;
}

/** Straight on. */
export interface Laid extends Named {
  readonly kind: 'laid';
  readonly length: number;
}

/** Straight on as far as a place of its own wire: what is wound on it ends there. Nothing when it has come so far already. */
export interface Reaching extends Named {
  readonly kind: 'reaching';
  readonly to: readonly WirePlace[];
}

/** On to its place in a row with other wires, side by side in the plane that they are worked in, about the middle of where they all are. */
export interface Parted extends Named {
  readonly kind: 'parted';
  /** Where each wire of the row is before it, itself among them, from one end of the row to the other. */
  readonly row: readonly { readonly wire: string; readonly at: WirePlace; readonly towards: Side }[];
  /** Its own place in the row, 0 for the first. */
  readonly index: number;
  /** Between the middles of neighbours: between all alike, or between each two of them. */
  readonly step: number | readonly number[];
  /** How far on along the wires the row stands. */
  readonly along: number;
}

/** Bent about something round. */
export interface Bent extends Named {
  readonly kind: 'bent';
  /** Diameter of what it is bent about; 0 for a sharp fold. */
  readonly about: number;
  /** How far it is turned, to the right; negative to the left. */
  readonly angle: number;
  /** How far the plane of the bend is turned up from the plane that it is worked in: 90 bends it upright. */
  readonly roll?: number;
}

/** Wound as an open or close helix about something round, such as a mandrel. */
export interface Coiled extends Named {
  readonly kind: 'coiled';
  readonly about: number;
  /** Turns to the right; negative to the left. */
  readonly turns: number;
  /** How far each turn moves on towards the way up; its own thickness when wound close. */
  readonly pitch: number;
  readonly roll?: number;
}

/** Rolled up in its plane, from wide to narrow. */
export interface Curled extends Named {
  readonly kind: 'curled';
  /** Inside diameter of the narrowest turn. */
  readonly inside: number;
  /** Turns to the right; negative to the left. */
  readonly turns: number;
  /** From one turn to the next, centre to centre. */
  readonly pitch: number;
  /** How far each turn stands up from the one before: rolled flat when it is not told, drawn out to a cone when it is. */
  readonly rise?: number;
}

/** Round a stone, along its outline. */
export interface Round extends Named {
  readonly kind: 'round';
  readonly body: string;
  /** Where it begins and where it ends: at an angle from its top, clockwise; or so far along, from the top clockwise too. */
  readonly from: number | { readonly mm: number };
  readonly to: number | { readonly mm: number };
  /** Air between stone and wire. */
  readonly play: number;
  /** Height of its centre line over the stone's back. */
  readonly height: number;
  /** Where it is pulled in over the edge of the stone, or in under it. */
  readonly pulls?: readonly Pull[];
}

/** A part of a way round a stone that is pulled in, softly on both sides. */
export interface Pull {
  /** Where its middle lies along the outline, clockwise from the top; mm along the line of the wire. */
  readonly at: number;
  /** How much of the line it takes. */
  readonly long: number;
  /** How far in its middle is pulled. */
  readonly inward: number;
  /** How high over the back of the stone its middle lies. */
  readonly height: number;
  /** Over how much of it the line comes in, and goes out again at its end; over half of it when it is not told. */
  readonly ramp?: number;
}

/** Through a bead, which comes to lie there; or through one that lies there already. */
export interface Threaded extends Named {
  readonly kind: 'threaded';
  readonly bead: string;
  /** How far beside the middle of the hole it goes, to the right of its way, where several go through one that lies there. */
  readonly aside?: number;
}

/** Along a line of its own, as a hand bends it: points close together, from its first to its last. */
export interface Free extends Named {
  readonly kind: 'free';
  readonly line: Path;
  /** Whether it is told in the directions of the hand: on along it, to its right, up from its plane; of the piece when it is not told. */
  readonly isOfHand?: true;
  /** The way up from the plane that it is worked in, at its end. */
  readonly up: Vec3;
}

/** Through a bead that comes to lie beside a wire, its hole along it; or back over the outside of one that lies there. */
export interface Beside extends Named {
  readonly kind: 'beside';
  readonly bead: string;
  /** The wire that it lies at, and where on it the bead begins. */
  readonly on: Along;
  /** On which side of that wire, as it goes on. */
  readonly side: 'left' | 'right';
  readonly does: 'through' | 'back over';
  /** How far over the middle of the hole it goes through, up from the plane of the wire, and back over from there to as far under it. */
  readonly off?: number;
}

/** Twisted with other strands about a common line: each a helix, evenly parted round it. */
export interface Twisted extends Named {
  readonly kind: 'twisted';
  /** Where the twist begins and which way it goes; its up is where the first strand lies. */
  readonly axis: Pose;
  /** What it is twisted about where that is no straight line, as a rope that is bent to a loop: it begins at the axis. */
  readonly line?: Path;
  readonly strands: number;
  /** Which of them this is, 0 for the first. */
  readonly strand: number;
  /** How long the twist is. */
  readonly along: number;
  readonly turns: number;
}

/** Round a point, evenly up it from one height to another, tapering with it. */
export interface Climbing extends Named {
  readonly kind: 'climbing';
  readonly body: string;
  /** From its first tip, mm. */
  readonly from: number;
  readonly to: number;
  /** To the right, seen from its first tip; negative to the left. */
  readonly turns: number;
  /** Where it begins, degrees about the axis from the way up. */
  readonly begin: number;
  /** Air between stone and wire. */
  readonly play: number;
  /** Which of two strands this is that climb side by side, touching one another; the upper one when it is not told. */
  readonly strand?: 'upper' | 'lower';
}

/** On to a place, smoothly. */
export interface Led extends Named {
  readonly kind: 'led';
  readonly to: Pose;
}

/** Wound about other wires: wraps, figure-eights or a weave over wires that lie side by side. */
export interface Wound extends Named {
  readonly kind: 'wound';
  /** The wires that it is wound about, A first, and where on each it begins. */
  readonly on: readonly Along[];
  /** What is laid, repeats written out. */
  readonly groups: readonly WeaveGroup[];
  /** How far each wrap moves on; the thickness of the wire when wound close. */
  readonly pitch?: number;
  /** How far its wires stand apart; as far as the winding itself makes them when it is not told. */
  readonly gap?: number;
  /** From the middle of each of its wires to the next one’s, where they do not all stand alike: of a ladder over pairs. */
  readonly steps?: readonly number[];
  /** Whether it goes first over the front of its wires, as A to B and the way on see it, or behind them; the front when it is not told. */
  readonly begins?: 'front' | 'back';
  /** How many half wraps are laid, when it is not all of them: one that is caught goes half round or once and a half. */
  readonly halves?: number;
  /** Whether it is its middle that stays where it is where its wires are bent, and not its beginning. */
  readonly isCentred?: boolean;
  /** How many half wraps of it are left out at its beginning, so that it begins between its wires. */
  readonly skips?: number;
}

/** Wound about a bundle of wires, in whatever rows they stand: about all of them together, or about those that stand outermost. */
export interface Bound extends Named {
  readonly kind: 'bound';
  /** The wires of the bundle, and where on each it begins. */
  readonly on: readonly Along[];
  /** Clockwise as the bundle goes on away from the eye; negative the other way. Parts of a turn too. */
  readonly turns: number;
  /** How thick that is which lies on the bundle already: it goes over that. */
  readonly over?: number;
  /** Where it begins, degrees clockwise from the up of its first wire; on the side that it comes from when it is not told. */
  readonly begin?: number;
  /** How far all of them move on along the bundle; its own thickness for every turn when it is not told. */
  readonly long?: number;
}

/** What one hand of a wire does next. */
export type Course =
  | Laid
  | Reaching
  | Parted
  | Bent
  | Coiled
  | Curled
  | Round
  | Climbing
  | Threaded
  | Beside
  | Twisted
  | Led
  | Free
  | Wound
  | Bound;
