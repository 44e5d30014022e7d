import type { Day } from '../calendar/day';
import { minor, type MinorUnits } from '../units/money';
import { PAID_BY, type PaidBy } from './sale';

/** A sale as it is typed: everything as text. */
export interface SaleTyped {
  readonly channel: string;
  readonly soldOn: string;
  readonly pieces: readonly { readonly piece: string; readonly asked: string }[];
  readonly letGo: string;
  readonly off: string;
  readonly paidBy: string;
  readonly given: string;
  readonly buyer: string;
  readonly note: string;
}

/** A sale that was made on a device, as it is told to the studio. */
export interface ToldSale {
  /** It is told under this, so that it is entered once however often it is told. */
  readonly id: string;
  /** When, on the clock of the device. */
  readonly at: number;
  readonly typed: SaleTyped;
  /** What was taken for it. */
  readonly gross: MinorUnits;
}

/**
 * What became of a sale that was told to the studio: it has a receipt; it cannot be entered as it is, and waits to be settled; or somebody settled that
 * it was none.
 */
export type Fate =
  | { readonly is: 'sold'; readonly number: number }
  | { readonly is: 'unsettled'; readonly why: string }
  | { readonly is: 'no sale' };

/** A sale on the device that made it. */
export interface StallSale extends ToldSale {
  /** The numbers of its pieces, and what was given back of cash. */
  readonly pieces: readonly number[];
  readonly change: MinorUnits | null;
  /** Whether it was on its way to the studio at least once. */
  readonly isTold: boolean;
  /** Null while the studio has not answered. */
  readonly fate: Fate | null;
}

/** What a device keeps of a stall, so that selling goes on without a connection and through a reload. */
export interface StallKept {
  /** The channel that is sold in, by its id, and the box that pieces are taken from; empty until somebody says. */
  readonly channel: string;
  readonly box: string;
  /** Numbers of what somebody is about to buy. */
  readonly basket: readonly number[];
  readonly sales: readonly StallSale[];
}

export const EMPTY_STALL: StallKept = { channel: '', box: '', basket: [], sales: [] };

/** What is settled stays on the device so long, so that it can be looked up there. */
const KEPT_MS = 14 * 86_400_000;

/** A piece is laid into the basket, or taken out again. */
export const toggled = (kept: StallKept, piece: number): StallKept => ({
  ...kept,
  basket: kept.basket.includes(piece)
    ? kept.basket.filter((each) => each !== piece)
    : [...kept.basket, piece],
});

/** What is in the basket is sold: it is kept at once, and told to the studio when that can be reached. */
export function sellHere(kept: StallKept, sale: Omit<StallSale, 'isTold' | 'fate'>): StallKept {
  if (kept.sales.some(({ id }) => id === sale.id)) return kept;
  const isOver = ({ fate, at }: StallSale): boolean =>
    fate !== null && fate.is !== 'unsettled' && at < sale.at - KEPT_MS;
  return {
    ...kept,
    basket: kept.basket.filter((piece) => !sale.pieces.includes(piece)),
    sales: [...kept.sales.filter((each) => !isOver(each)), { ...sale, isTold: false, fate: null }],
  };
}

/** Whether a sale can still be taken back as if it had not been: while the studio cannot know of it. */
export const isOnlyHere = ({ isTold, fate }: StallSale): boolean => !isTold && fate === null;

/** A sale is taken back that the studio cannot know of; what it sold lies in the basket again. */
export function takeBackHere(kept: StallKept, id: string): StallKept {
  const sale = kept.sales.find((each) => each.id === id);
  if (!sale || !isOnlyHere(sale)) return kept;
  return {
    ...kept,
    basket: [...kept.basket, ...sale.pieces.filter((piece) => !kept.basket.includes(piece))],
    sales: kept.sales.filter((each) => each !== sale),
  };
}

/** Those that the studio has not answered to, the oldest first. */
export const waiting = ({ sales }: StallKept): readonly StallSale[] =>
  sales.filter(({ fate }) => fate === null);

/** Those of which it is still open what becomes of them. */
export const unsettled = ({ sales }: StallKept): readonly StallSale[] =>
  sales.filter(({ fate }) => fate?.is === 'unsettled');

/** Sales are on their way to the studio: from now on only it knows what becomes of them. */
export const told = (kept: StallKept, ids: readonly string[]): StallKept => ({
  ...kept,
  sales: kept.sales.map((sale) => (ids.includes(sale.id) ? { ...sale, isTold: true } : sale)),
});

/** The studio has answered. @param fates by the ids of sales */
export const answered = (kept: StallKept, fates: Readonly<Record<string, Fate>>): StallKept => ({
  ...kept,
  sales: kept.sales.map((sale) => ({ ...sale, fate: fates[sale.id] ?? sale.fate })),
});

/** Numbers of pieces that left the stall on this device, and that the studio may not know to be sold. */
export const goneHere = ({ sales }: StallKept): ReadonlySet<number> =>
  new Set(sales.flatMap(({ fate, pieces }) => (fate === null || fate.is === 'unsettled' ? pieces : [])));

/** What was taken on this device on a day. */
export interface Till {
  readonly sales: number;
  readonly pieces: number;
  readonly taken: Readonly<Record<PaidBy, MinorUnits>>;
  readonly all: MinorUnits;
}

/** What was taken on this device on a day, by how it was paid. What was settled to be no sale was not. */
export function tillOf({ sales }: StallKept, day: Day): Till {
  const made = sales.filter(({ typed, fate }) => typed.soldOn === day && fate?.is !== 'no sale');
  const sum = (some: readonly StallSale[]): MinorUnits =>
    minor(some.reduce((all, { gross }) => all + gross, 0));
  const by = (how: PaidBy): MinorUnits => sum(made.filter(({ typed }) => typed.paidBy === how));
  return {
    sales: made.length,
    pieces: made.reduce((all, { pieces }) => all + pieces.length, 0),
    taken: Object.fromEntries(PAID_BY.map((how) => [how, by(how)])) as Record<PaidBy, MinorUnits>,
    all: sum(made),
  };
}

const isRecord = (given: unknown): given is Readonly<Record<string, unknown>> =>
  typeof given === 'object' && given !== null && !Array.isArray(given);
const isWhole = (given: unknown): given is number => typeof given === 'number' && Number.isSafeInteger(given);
const isText = (given: unknown, most: number): given is string =>
  typeof given === 'string' && given.length <= most;

/** The longest text of a sale; what its fields allow is for the studio to say. */
const MOST_TEXT = 1000;
/** The most pieces of one sale that is read. */
const MOST_PIECES = 1000;
const TEXTS = ['channel', 'soldOn', 'letGo', 'off', 'paidBy', 'given', 'buyer', 'note'] as const;

function readTyped(given: unknown): SaleTyped | undefined {
  if (!isRecord(given) || !TEXTS.every((name) => isText(given[name], MOST_TEXT))) return undefined;
  const { pieces } = given;
  if (!Array.isArray(pieces) || pieces.length > MOST_PIECES) return undefined;
  const read = pieces.flatMap((each: unknown) => {
    if (!isRecord(each)) return [];
    const { piece, asked } = each;
    return isText(piece, 40) && isText(asked, 40) ? [{ piece, asked }] : [];
  });
  if (read.length !== pieces.length) return undefined;
  const texts = Object.fromEntries(TEXTS.map((name) => [name, given[name]])) as Omit<SaleTyped, 'pieces'>;
  return { ...texts, pieces: read };
}

/** A sale as it was told or kept; undefined when it cannot be read. */
export function readTold(given: unknown): ToldSale | undefined {
  if (!isRecord(given)) return undefined;
  const { id, at, gross } = given;
  const typed = readTyped(given['typed']);
  return isText(id, 40) && isWhole(at) && at >= 0 && isWhole(gross) && typed
    ? { id, at, typed, gross: minor(gross) }
    : undefined;
}

function readFate(given: unknown): Fate | null {
  if (!isRecord(given)) return null;
  const { is, number, why } = given;
  if (is === 'sold' && isWhole(number)) return { is, number };
  if (is === 'unsettled' && isText(why, MOST_TEXT)) return { is, why };
  return is === 'no sale' ? { is } : null;
}

function readSale(given: unknown): StallSale | undefined {
  const sale = readTold(given);
  if (!sale || !isRecord(given)) return undefined;
  const { pieces, change, isTold } = given;
  return {
    ...sale,
    pieces: Array.isArray(pieces) ? pieces.filter(isWhole) : [],
    change: isWhole(change) ? minor(change) : null,
    // Of what cannot be read it is not known whether the studio was told.
    isTold: isTold !== false,
    fate: readFate(given['fate']),
  };
}

/** What a device kept of a stall. Of something that is damaged as much as can be read is taken: no sale is lost with another. */
export function readStall(kept: string | null): StallKept {
  try {
    const read: unknown = JSON.parse(kept ?? 'null');
    if (!isRecord(read)) return EMPTY_STALL;
    const { channel, box, basket, sales } = read;
    return {
      channel: isText(channel, MOST_TEXT) ? channel : '',
      box: isText(box, MOST_TEXT) ? box : '',
      basket: Array.isArray(basket) ? basket.filter(isWhole) : [],
      sales: Array.isArray(sales) ? sales.flatMap((each: unknown) => readSale(each) ?? []) : [],
    };
  } catch {
    return EMPTY_STALL;
  }
}
