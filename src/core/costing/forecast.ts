import { partKey } from '../part/partKey';
import { misfit, readWantedPart, type PartKind } from '../part/wantedPart';
import { minutesOf, wireBySpec, type PatternBody, type PatternPart } from '../pattern/pattern';
import { cost, sumCosts } from '../units/money';
import type { Cost2, PieceOutlay } from './costSheet';
import { costAt, type PriceFor } from './unitPrice';

/** What an article cost, on average of what there is of it, and what it would cost today. */
export interface Price2 {
  readonly paid: PriceFor;
  readonly today: PriceFor;
}

/** A bead, stone or finding that the studio knows, with its price; null where none was ever paid or typed. */
export interface PricedPart {
  readonly name: string;
  /** What parts of patterns are said to be it, as {@link partKey}. */
  readonly aliases: readonly string[];
  readonly kind: PartKind;
  readonly free: number;
  readonly price: Price2 | null;
}

/** What everything costs that a piece may take. */
export interface PriceBook {
  /** By spec; wires that were never bought are left out. */
  readonly wires: Readonly<Record<string, Price2>>;
  readonly parts: readonly PricedPart[];
  /** Polish, antiquing, packaging of one piece. */
  readonly supplies: Cost2;
  /** What is lost on the way for each piece, as a part of what its wire costs; nothing when it is left out. */
  readonly spoils?: number;
}

/** A part of a pattern with what it would cost. */
export interface PartForecast {
  readonly name: string;
  readonly count: number;
  /** What it would be in the drawers; null when nothing there is it or fits it. */
  readonly found: PricedPart | null;
  /** Of all of them; null when neither the drawers nor the pattern know it. */
  readonly cost: Cost2 | null;
}

/** What one piece of a pattern would take, before it is made. */
export interface Forecast {
  /** Everything but how many pieces share the setting-up. */
  readonly outlay: Omit<PieceOutlay, 'sharedBy'>;
  readonly parts: readonly PartForecast[];
  /** Wires of which no price is known; they are in the outlay at nothing. */
  readonly unpricedWires: readonly string[];
}

const NOTHING: Cost2 = { actual: cost(0), replacement: cost(0) };
const at = ({ paid, today }: Price2, quantity: number): Cost2 => ({
  actual: costAt(paid, quantity),
  replacement: costAt(today, quantity),
});
const sum = (costs: readonly Cost2[]): Cost2 => ({
  actual: sumCosts(costs.map(({ actual }) => actual)),
  replacement: sumCosts(costs.map(({ replacement }) => replacement)),
});

const partOf = ({ actual, replacement }: Cost2, part: number): Cost2 => ({
  actual: cost(Math.round(actual * part)),
  replacement: cost(Math.round(replacement * part)),
});

/**
 * What a part would be taken from: what it is said to be or is called, else what fits best of what there is enough of.
 * @returns undefined when the drawers hold nothing that is it or fits it
 */
export function findPart(
  { name, count }: Pick<PatternPart, 'name' | 'count'>,
  parts: readonly PricedPart[],
): PricedPart | undefined {
  const key = partKey(name);
  const said =
    parts.find(({ aliases }) => aliases.includes(key)) ?? parts.find((part) => partKey(part.name) === key);
  const wanted = said ? undefined : readWantedPart(name);
  if (!wanted) return said;
  const fitting = parts.flatMap((part) => {
    const off = misfit(wanted, part.kind);
    return off === undefined ? [] : [{ part, off }];
  });
  fitting.sort((a, b) => a.off - b.off);
  const enough = fitting.find(({ part }) => part.free >= (part.kind.ware === 'stone' ? 1 : count));
  return (enough ?? fitting[0])?.part;
}

function partForecast(part: PatternPart, parts: readonly PricedPart[]): PartForecast {
  const { name, count, unitCost } = part;
  const found = findPart(part, parts) ?? null;
  const typed = unitCost === null ? null : cost(count * unitCost);
  if (found?.price) return { name, count, found, cost: at(found.price, count) };
  return { name, count, found, cost: typed === null ? null : { actual: typed, replacement: typed } };
}

/**
 * What one piece would take at what was paid for what lies in the studio, and at what it would cost today: its whole cuts, its parts,
 * what every piece uses up, what is lost on the average, and its minutes. Scrap is not foreseen: tails are cut with the wire and cost with it.
 */
export function forecast(body: Pick<PatternBody, 'cuts' | 'parts' | 'steps'>, book: PriceBook): Forecast {
  const wires = [...wireBySpec(body)];
  const { each, setUp } = minutesOf(body);
  const parts = body.parts.map((part) => partForecast(part, book.parts));
  const wire = sum(
    wires.flatMap(([specId, length]) => {
      const price = book.wires[specId];
      return price ? [at(price, length)] : [];
    }),
  );
  return {
    outlay: {
      wire,
      scrap: NOTHING,
      spoilage: partOf(wire, book.spoils ?? 0),
      parts: sum(parts.flatMap((part) => part.cost ?? [])),
      supplies: book.supplies,
      minutes: each,
      setUpMinutes: setUp,
    },
    parts,
    unpricedWires: wires.map(([specId]) => specId).filter((specId) => !book.wires[specId]),
  };
}
