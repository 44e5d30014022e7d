import { um, type Micrometres } from '../units/length';
import { ug, type Micrograms } from '../units/mass';

/** When a ring is read on the mandrel. */
export const READ_WHEN = ['wound', 'hammered', 'finished'] as const;
export type ReadWhen = (typeof READ_WHEN)[number];

/** When a spool is weighed that wire is worked off. */
export const WEIGHED_WHEN = ['before', 'after'] as const;
export type WeighedWhen = (typeof WEIGHED_WHEN)[number];

/** What can be said of a sitting at the bench. Pieces, checks and cuts are counted from 0; what is said again replaces what was said before. */
export type Said =
  /** Somebody went to a station. */
  | { readonly kind: 'at'; readonly at: number }
  /** The watch counted so much more. @see reworkSlot */
  | { readonly kind: 'worked'; readonly slot: number; readonly ms: number }
  /** What a slot took in all, told by hand. */
  | { readonly kind: 'corrected'; readonly slot: number; readonly ms: number }
  /** What must be on before a station closes something is on. */
  | { readonly kind: 'passed'; readonly at: number }
  | {
      readonly kind: 'checked';
      readonly piece: number;
      readonly check: number;
      readonly isGood: boolean;
      /** What was measured or seen; may be empty. */
      readonly reading: string;
    }
  /** How a wire was really cut, and what of it came back. */
  | {
      readonly kind: 'cut';
      readonly piece: number;
      readonly cutIndex: number;
      readonly copy: number;
      readonly cut: Micrometres;
      readonly back: readonly Micrometres[];
    }
  /** Wire of a cut that was lost on the way; no length takes it back. */
  | {
      readonly kind: 'spoiled';
      readonly piece: number;
      readonly cutIndex: number;
      readonly copy: number;
      readonly length: Micrometres;
      readonly reason: string;
    }
  /** A wire that was cut too short is kept for less than was planned; no length takes it back. */
  | {
      readonly kind: 'shorter';
      readonly piece: number;
      readonly cutIndex: number;
      readonly copy: number;
      readonly length: Micrometres;
      /** What is done otherwise. */
      readonly does: string;
    }
  /** Beads, stones or findings of a part that were lost on the way, besides those that are in the piece; none takes it back. */
  | {
      readonly kind: 'broke';
      readonly piece: number;
      readonly part: number;
      readonly count: number;
      readonly reason: string;
    }
  | { readonly kind: 'size'; readonly piece: number; readonly when: ReadWhen; readonly inside: Micrometres }
  | { readonly kind: 'weighed'; readonly piece: number; readonly mass: Micrograms }
  /** What a wire weighs that is worked off its spool: with the spool, before the first piece and after the last; nothing takes it back. */
  | {
      readonly kind: 'spool';
      readonly cutIndex: number;
      readonly when: WeighedWhen;
      readonly mass: Micrograms;
    }
  /** What came of a turn that was bent round something, of all that is bent in the pattern by its place; no inside takes it back. */
  | { readonly kind: 'bent'; readonly turn: number; readonly on: Micrometres; readonly came: Micrometres }
  /** It is made, but not as it should be; an empty reason takes it back. */
  | { readonly kind: 'flawed'; readonly piece: number; readonly reason: string }
  /** It is lost; an empty reason takes it back. */
  | { readonly kind: 'lost'; readonly piece: number; readonly reason: string }
  | { readonly kind: 'noted'; readonly piece: number; readonly text: string };

/** Something that was said, told from everything else by an id that the device gave it. */
export interface Word {
  readonly id: string;
  readonly said: Said;
}

export interface Checked {
  readonly isGood: boolean;
  readonly reading: string;
  /** How often it was found not good. */
  readonly failures: number;
}

export interface WireDone {
  readonly cut: Micrometres;
  readonly back: readonly Micrometres[];
}

export interface WireLost {
  readonly cutIndex: number;
  readonly copy: number;
  readonly length: Micrometres;
  readonly reason: string;
}

/** A wire that was cut too short and is kept all the same. */
export interface ShorterWire {
  readonly cutIndex: number;
  readonly copy: number;
  readonly length: Micrometres;
  /** What is done otherwise than planned. */
  readonly does: string;
}

/** So many of a part that were lost on the way. */
export interface PartLost {
  readonly part: number;
  readonly count: number;
  readonly reason: string;
}

/** A ring as it was read on the mandrel. */
export interface SizeRead {
  readonly when: ReadWhen;
  readonly inside: Micrometres;
}

/** A spool that wire is worked off, on the scale before and after; null while it was not weighed. */
export type SpoolWeighed = Readonly<Record<WeighedWhen, Micrograms | null>>;

/** A turn as it was bent: what round, and its inside when it was let go. */
export interface BentTurn {
  readonly on: Micrometres;
  readonly came: Micrometres;
}

/** What is known of one piece of a sitting. */
export interface PieceSoFar {
  readonly checks: ReadonlyMap<number, Checked>;
  /** Wires that were not as planned, by {@link wireKey}. */
  readonly wires: ReadonlyMap<string, WireDone>;
  readonly lostWires: readonly WireLost[];
  readonly shorterWires: readonly ShorterWire[];
  readonly lostParts: readonly PartLost[];
  /** In the order they were read; finished is read once, and a second reading corrects it. */
  readonly sizes: readonly SizeRead[];
  readonly mass: Micrograms | null;
  /** Why it is sold as less than it should be; empty when it is as it should be. */
  readonly flaw: string;
  /** Why it is lost; empty while it is made. */
  readonly lost: string;
  readonly note: string;
}

/** A sitting as it stands. */
export interface Sitting {
  readonly at: number;
  /** Milliseconds by slot. */
  readonly spent: ReadonlyMap<number, number>;
  /** Stations whose stop was passed. */
  readonly passed: ReadonlySet<number>;
  readonly pieces: ReadonlyMap<number, PieceSoFar>;
  /** Spools that were weighed, by the cut that is worked off them. */
  readonly spools: ReadonlyMap<number, SpoolWeighed>;
  /** Turns that were measured when they were bent, by their place among all that are. */
  readonly bends: ReadonlyMap<number, BentTurn>;
}

export const NEW_SITTING: Sitting = {
  at: 0,
  spent: new Map(),
  passed: new Set(),
  pieces: new Map(),
  spools: new Map(),
  bends: new Map(),
};

const NOT_WEIGHED: SpoolWeighed = { before: null, after: null };

const NOTHING_SAID: PieceSoFar = {
  checks: new Map(),
  wires: new Map(),
  lostWires: [],
  shorterWires: [],
  lostParts: [],
  sizes: [],
  mass: null,
  flaw: '',
  lost: '',
  note: '',
};

/** Which of its wires. */
export const wireKey = ({ cutIndex, copy }: { readonly cutIndex: number; readonly copy: number }): string =>
  `${cutIndex}.${copy}`;

/** What is known of a piece. */
export const pieceIn = ({ pieces }: Sitting, piece: number): PieceSoFar => pieces.get(piece) ?? NOTHING_SAID;

/** The spool that a cut is worked off, as it was weighed. */
export const spoolIn = ({ spools }: Pick<Sitting, 'spools'>, cutIndex: number): SpoolWeighed =>
  spools.get(cutIndex) ?? NOT_WEIGHED;

/** Whether a piece is lost. */
export const isLost = (sitting: Sitting, piece: number): boolean => pieceIn(sitting, piece).lost !== '';

/** Milliseconds that were counted to a slot. */
export const spentIn = ({ spent }: Sitting, slot: number): number => spent.get(slot) ?? 0;

/**
 * How a sitting stands when all that was said is taken together in its order. What was said twice counts once, whoever sent it again.
 */
export function standing(words: readonly Word[]): Sitting {
  const known = new Set<string>();
  const fresh = words.filter(({ id }) => !known.has(id) && known.add(id));
  return fresh.reduce((sitting, { said }) => after(sitting, said), NEW_SITTING);
}

/** How a sitting stands when one more thing is said. */
export function after(sitting: Sitting, said: Said): Sitting {
  switch (said.kind) {
    case 'at':
      return { ...sitting, at: said.at };
    case 'worked':
      return withSpent(sitting, said.slot, spentIn(sitting, said.slot) + said.ms);
    case 'corrected':
      return withSpent(sitting, said.slot, said.ms);
    case 'passed':
      return { ...sitting, passed: new Set([...sitting.passed, said.at]) };
    case 'spool': {
      const { cutIndex, when, mass } = said;
      const weighed = { ...spoolIn(sitting, cutIndex), [when]: mass > 0 ? mass : null };
      return { ...sitting, spools: new Map(sitting.spools).set(cutIndex, weighed) };
    }
    case 'bent': {
      const { turn, on, came } = said;
      const bends = new Map(sitting.bends);
      if (came > 0) bends.set(turn, { on, came });
      else bends.delete(turn);
      return { ...sitting, bends };
    }
    default:
      return {
        ...sitting,
        pieces: new Map(sitting.pieces).set(said.piece, {
          ...pieceIn(sitting, said.piece),
          ...changed(sitting, said),
        }),
      };
  }
}

const withSpent = (sitting: Sitting, slot: number, ms: number): Sitting => ({
  ...sitting,
  spent: new Map(sitting.spent).set(slot, ms),
});

type SaidOfPiece = Extract<Said, { readonly piece: number }>;

/** What something that is said of a piece changes of it. */
function changed(sitting: Sitting, said: SaidOfPiece): Partial<PieceSoFar> {
  const piece = pieceIn(sitting, said.piece);
  switch (said.kind) {
    case 'checked': {
      const { check, isGood, reading } = said;
      const failures = (piece.checks.get(check)?.failures ?? 0) + (isGood ? 0 : 1);
      return { checks: new Map(piece.checks).set(check, { isGood, reading, failures }) };
    }
    case 'cut': {
      const { cut, back } = said;
      return { wires: new Map(piece.wires).set(wireKey(said), { cut, back }) };
    }
    case 'spoiled': {
      const { cutIndex, copy, length, reason } = said;
      const others = piece.lostWires.filter((each) => wireKey(each) !== wireKey(said));
      return { lostWires: length > 0 ? [...others, { cutIndex, copy, length, reason }] : others };
    }
    case 'shorter': {
      const { cutIndex, copy, length, does } = said;
      const others = piece.shorterWires.filter((each) => wireKey(each) !== wireKey(said));
      return { shorterWires: length > 0 ? [...others, { cutIndex, copy, length, does }] : others };
    }
    case 'broke': {
      const { part, count, reason } = said;
      const others = piece.lostParts.filter((each) => each.part !== part);
      return { lostParts: count > 0 ? [...others, { part, count, reason }] : others };
    }
    case 'size': {
      const { when, inside } = said;
      const before =
        when === 'finished' ? piece.sizes.filter((each) => each.when !== 'finished') : piece.sizes;
      return { sizes: [...before, { when, inside }] };
    }
    case 'weighed':
      return { mass: said.mass };
    case 'flawed':
      return { flaw: said.reason };
    case 'lost':
      return { lost: said.reason };
    case 'noted':
      return { note: said.text };
  }
}

/** What a ring read last when it was finished; null when nobody looked. */
export const finishedInside = ({ sizes }: PieceSoFar): Micrometres | null =>
  sizes.find(({ when }) => when === 'finished')?.inside ?? null;

/** The longest note, in characters. */
export const LONGEST_NOTE = 2000;
/** The longest reason or reading, in characters. */
export const LONGEST_REASON = 200;

const LARGEST_INDEX = 20_000;
const LONGEST_MS = 10_000 * 60_000;
const LONGEST_WIRE = 100_000_000;
const HEAVIEST = 100_000_000_000;

type Fields = Readonly<Record<string, unknown>>;

const aWhole = (most: number) => (given: unknown) =>
  typeof given === 'number' && Number.isSafeInteger(given) && given >= 0 && given <= most ? given : undefined;
const aTextOf = (longest: number) => (given: unknown) =>
  typeof given === 'string' && given.length <= longest ? given : undefined;

const anIndex = aWhole(LARGEST_INDEX);
const aTime = (given: unknown) =>
  typeof given === 'number' && given >= 0 && given <= LONGEST_MS ? given : undefined;
const aLength = (given: unknown) => {
  const read = aWhole(LONGEST_WIRE)(given);
  return read === undefined ? undefined : um(read);
};
const lengths = (given: unknown) => {
  if (!Array.isArray(given) || given.length > 50) return undefined;
  const read = given.map(aLength);
  return read.every((each) => each !== undefined) ? read : undefined;
};
const aReason = aTextOf(LONGEST_REASON);
const aMass = (given: unknown) => {
  const read = aWhole(HEAVIEST)(given);
  return read === undefined ? undefined : ug(read);
};
const oneOf =
  <Choice extends string>(choices: readonly Choice[]) =>
  (given: unknown) =>
    choices.find((each) => each === given);

/** How each field of what is said is read, by its kind. */
const FIELDS: { readonly [Kind in Said['kind']]: Readonly<Record<string, (given: unknown) => unknown>> } = {
  at: { at: anIndex },
  worked: { slot: anIndex, ms: aTime },
  corrected: { slot: anIndex, ms: aTime },
  passed: { at: anIndex },
  checked: {
    piece: anIndex,
    check: anIndex,
    isGood: (given) => (typeof given === 'boolean' ? given : undefined),
    reading: aReason,
  },
  cut: { piece: anIndex, cutIndex: anIndex, copy: anIndex, cut: aLength, back: lengths },
  spoiled: { piece: anIndex, cutIndex: anIndex, copy: anIndex, length: aLength, reason: aReason },
  shorter: { piece: anIndex, cutIndex: anIndex, copy: anIndex, length: aLength, does: aReason },
  broke: { piece: anIndex, part: anIndex, count: anIndex, reason: aReason },
  size: { piece: anIndex, when: oneOf(READ_WHEN), inside: aLength },
  weighed: { piece: anIndex, mass: aMass },
  spool: { cutIndex: anIndex, when: oneOf(WEIGHED_WHEN), mass: aMass },
  bent: { turn: anIndex, on: aLength, came: aLength },
  flawed: { piece: anIndex, reason: aReason },
  lost: { piece: anIndex, reason: aReason },
  noted: { piece: anIndex, text: aTextOf(LONGEST_NOTE) },
};

/**
 * Reads what was said, as a device sends or keeps it.
 * @returns undefined for what cannot be read
 * @example readSaid({ kind: 'at', at: -1 }) // undefined
 */
export function readSaid(given: unknown): Said | undefined {
  if (typeof given !== 'object' || given === null) return undefined;
  const fields = given as Fields;
  const kind = fields['kind'];
  if (typeof kind !== 'string' || !Object.hasOwn(FIELDS, kind)) return undefined;
  const read = Object.entries(FIELDS[kind as Said['kind']]).map(
    ([name, reads]) => [name, reads(fields[name])] as const,
  );
  return read.some(([, value]) => value === undefined)
    ? undefined
    : ({ kind, ...Object.fromEntries(read) } as Said);
}
