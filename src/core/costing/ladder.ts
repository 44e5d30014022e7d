import { bodyFor } from '../batch/lineBody';
import type { Specs } from '../pattern/composition';
import { wireBySpec, type PatternBody } from '../pattern/pattern';
import type { Techniques } from '../technique/technique';
import type { LengthSystem } from '../units/length';
import { METALS, type MetalId } from '../wire/metal';
import type { PieceOutlay } from './costSheet';
import { forecast, type Forecast, type PriceBook } from './forecast';

/** One rung of the ladder: the same piece in one metal. */
export interface Rung extends Forecast {
  /** The metal that all its wires are of; null for the pattern as it stands, be it of several. */
  readonly metal: MetalId | null;
  /** The metal that most of its wire is of. */
  readonly shown: MetalId;
}

/** The metal that most wire of a pattern is of, by length; copper when there is none. */
export function mainMetal(body: Pick<PatternBody, 'cuts'>, specs: Specs): MetalId {
  const lengths = new Map<MetalId, number>();
  for (const [specId, length] of wireBySpec(body)) {
    const metal = specs[specId]?.metal;
    if (metal) lengths.set(metal, (lengths.get(metal) ?? 0) + length);
  }
  return [...lengths].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 'copper';
}

/** The metals that the wires of a pattern are of, that of most wire first; copper when there is none. */
export function metalsOf(body: Pick<PatternBody, 'cuts'>, specs: Specs): readonly MetalId[] {
  const all = [...wireBySpec(body).keys()].flatMap((specId) => specs[specId]?.metal ?? []);
  return [...new Set([mainMetal(body, specs), ...all])];
}

/** What is sold as the same piece in other metals (handbook section 11); the others follow by what they cost. */
const USUAL: readonly MetalId[] = ['copper', 'sterling', 'gold-filled'];

const materials = ({ wire, parts }: Pick<PieceOutlay, 'wire' | 'parts'>): number =>
  wire.replacement + parts.replacement;

/**
 * The same piece in the studio's other metals, beside the pattern as it stands. Metals that the studio lacks a wire of, or knows no price
 * of, are left out.
 * @param most other metals: the usual ones first, then from the cheapest on
 */
export function metalsLadder(
  body: PatternBody,
  specs: Specs,
  book: PriceBook,
  techniques: Techniques,
  system: LengthSystem,
  most = 2,
): Rung[] {
  const shown = mainMetal(body, specs);
  const own: Rung = { ...forecast(body, book), metal: null, shown };
  if (most === 0) return [own];
  const known = new Set(Object.entries(specs).flatMap(([id, { metal }]) => (book.wires[id] ? [metal] : [])));
  const others = METALS.flatMap(({ id }): Rung[] => {
    if (id === shown || !known.has(id)) return [];
    const inMetal = bodyFor(body, { measures: {}, metal: id }, specs, techniques, system);
    if (!inMetal.ok) return [];
    // What it holds besides wire is the same in every metal.
    const seen = forecast({ ...inMetal.value, parts: body.parts }, book);
    return seen.unpricedWires.length > 0 ? [] : [{ ...seen, metal: id, shown: id }];
  });
  const isUsual = ({ shown: metal }: Rung) => (USUAL.includes(metal) ? 1 : 0);
  const byCost = (a: Rung, b: Rung) => materials(a.outlay) - materials(b.outlay);
  const chosen = others.sort((a, b) => isUsual(b) - isUsual(a) || byCost(a, b)).slice(0, most);
  return [own, ...chosen.sort(byCost)];
}
