import type { Id } from '@/core/id';
import { costAt } from '@/core/costing/unitPrice';
import { type SettledMaking } from '@/core/making/making';
import { tag } from '@/core/tag';
import { um } from '@/core/units/length';
import { ug } from '@/core/units/mass';
import { cost, sumCosts, type CostUnits } from '@/core/units/money';
import { massOfLength } from '@/core/wire/mass';
import type { Tx } from '@/data/inStudio';
import { type WasteShare } from '../trayMaking/makeFromTray';
import { ensureFinding } from '../drawers/receive';
import { enterLabour } from '../ledger/labour';
import type { Posting } from '../ledger/posting';
import { replacementPrices } from '../prices/replacement';
import { type Settings } from '../settings/settings';
import { type KnownSpec } from '../catalogue/wireSpecs';
import { ensurePlace } from '../stock/places';
import type { MakingTold } from './makePiece.input';

import { specOf, type StockRow } from './checkMaking';

/** Of supplies: nothing. */
export const NO_SUPPLIES = { suppliesCost: cost(0), suppliesReplacement: cost(0) };

/** Lets what was made become findings that carry all it took: wire, scrap, parts, hours, and of a batch its waste. @returns their id */
export async function intoDrawer(
  tx: Tx,
  posting: Posting,
  { finding, material, size, count, place }: NonNullable<MakingTold['drawer']>,
  { movements, offCuts }: SettledMaking,
  parts: CostUnits,
  {
    minutes,
    settings,
    waste: { scrap, spoilage },
  }: { readonly minutes: number; readonly settings: Settings; readonly waste: WasteShare },
): Promise<string> {
  const wire = sumCosts([
    ...movements.map(({ cost: amount }) => cost(0 - amount)),
    ...offCuts.map(({ cost: amount }) => cost(0 - amount)),
  ]);
  const borne = sumCosts([scrap, spoilage]);
  const labour = await enterLabour(tx, posting.postKey, minutes, settings, borne);
  const article = await ensureFinding(tx, { finding, material, size });
  const placeId = await ensurePlace(tx, place);
  return posting.open(
    { ware: 'finding', ...article, lotId: null, form: 'pack', placeId },
    'made',
    count,
    sumCosts([wire, parts, labour]),
  );
}

/** What is borne of a batch’s waste counts as the piece’s own; today’s price of it is not asked, since it is a small part. */
export function withWaste<
  T extends Record<'scrapCost' | 'scrapReplacement' | 'spoilageCost' | 'spoilageReplacement', CostUnits>,
>(outlay: T, { scrap, spoilage }: WasteShare): T {
  return {
    ...outlay,
    scrapCost: sumCosts([outlay.scrapCost, scrap]),
    scrapReplacement: sumCosts([outlay.scrapReplacement, scrap]),
    spoilageCost: sumCosts([outlay.spoilageCost, spoilage]),
    spoilageReplacement: sumCosts([outlay.spoilageReplacement, spoilage]),
  };
}

/** Of a batch’s waste: nothing, since it was made by itself. */
export const NO_WASTE: WasteShare = { scrap: cost(0), spoilage: cost(0) };

/** What the piece took, at what was paid and at the last price paid for each spec. */
export async function outlayOf(
  tx: Tx,
  { movements, offCuts }: SettledMaking,
  stock: ReadonlyMap<string, StockRow>,
  specs: ReadonlyMap<string, KnownSpec>,
) {
  const prices = await replacementPrices(tx, [...specs.keys()]);
  const today = (specId: Id<'article'>, length: number, actual: CostUnits): CostUnits => {
    const price = prices.get(specId);
    return price ? costAt(price, length) : actual;
  };
  const entries = [
    ...movements.map(({ kind, from, length, cost: amount }) => ({
      kind,
      specId: stock.get(from)?.specId ?? '',
      length: -length,
      cost: cost(0 - amount),
    })),
    ...offCuts.map(({ specId, length, cost: amount }) => ({
      kind: 'cut' as const,
      specId,
      length: -length,
      cost: cost(0 - amount),
    })),
  ];
  const sum = (kind: string) => {
    const own = entries.filter((entry) => entry.kind === kind);
    const actual = sumCosts(own.map((entry) => entry.cost));
    const perSpec = [...new Set(own.map(({ specId }) => specId))].map((specId) => {
      const ofSpec = own.filter((entry) => entry.specId === specId);
      return today(
        specId,
        ofSpec.reduce((total, { length }) => total + length, 0),
        sumCosts(ofSpec.map((entry) => entry.cost)),
      );
    });
    return { actual, replacement: sumCosts(perSpec) };
  };
  const [wire, scrap, spoilage] = [sum('cut'), sum('scrapped'), sum('spoiled')];
  const mass = entries
    .filter(({ kind }) => kind === 'cut')
    .reduce((total, { specId, length }) => {
      const spec = specs.get(specId);
      return total + (spec ? massOfLength(spec, um(length)) : 0);
    }, 0);
  return {
    wireCost: wire.actual,
    wireReplacement: wire.replacement,
    scrapCost: scrap.actual,
    scrapReplacement: scrap.replacement,
    spoilageCost: spoilage.actual,
    spoilageReplacement: spoilage.replacement,
    wireMassUg: ug(mass),
  };
}

/** Enters what a making took from the rack, and what came back to it. */
export function enterMaking(
  posting: Posting,
  { movements, offCuts }: SettledMaking,
  stock: ReadonlyMap<string, StockRow>,
): void {
  posting.hold(...stock.values());
  for (const { kind, from, length, cost: amount, reason } of movements)
    posting.enter(from, kind, length, amount, { reason });
  for (const { from, specId, length, cost: amount } of offCuts) {
    const source = stock.get(from);
    posting.open(
      {
        ware: 'wire',
        articleId: specId,
        sortKey: source?.sortKey ?? '',
        lotId: source?.lotId ?? null,
        form: 'off-cut',
        placeId: source?.placeId ?? null,
      },
      'returned',
      length,
      amount,
      { reason: `cut from ${tag('wire', source?.number ?? 0)}` },
    );
  }
}

/** Lets what was scrapped or spoiled fall into the jars, with what it cost. */
export async function toJars(
  posting: Posting,
  { movements }: SettledMaking,
  specs: ReadonlyMap<string, KnownSpec>,
): Promise<void> {
  for (const { kind, from, length, cost: amount, reason } of movements) {
    if (kind === 'cut') continue;
    const spec = specOf(specs, posting.balance(from).articleId);
    await posting.toJar(spec.metal, massOfLength(spec, um(-length)), cost(0 - amount), reason);
  }
}
