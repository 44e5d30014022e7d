import { cost, COST_UNITS_PER_MINOR, sumCosts, type CostUnits, type MinorUnits } from '../units/money';

/** A cost at what was paid, and at what it would be to buy again today. */
export interface Cost2 {
  readonly actual: CostUnits;
  readonly replacement: CostUnits;
}

/** Everything one finished piece took. */
export interface PieceOutlay {
  readonly wire: Cost2;
  readonly scrap: Cost2;
  readonly spoilage: Cost2;
  /** Beads, stones and findings. */
  readonly parts: Cost2;
  /** Polish, antiquing, packaging: what every piece uses up. */
  readonly supplies: Cost2;
  /** Minutes on this piece. */
  readonly minutes: number;
  /** Minutes of setting up, once for the sitting. */
  readonly setUpMinutes: number;
  /** Pieces made in the sitting: they share the setting-up. One or more. */
  readonly sharedBy: number;
}

/** What an hour at the bench costs. */
export interface Rates {
  readonly hourlyRate: MinorUnits;
  readonly overheadPerHour: MinorUnits;
}

export const COST_LINES = ['wire', 'scrap', 'spoilage', 'parts', 'supplies', 'labour', 'overhead'] as const;
export type CostLineId = (typeof COST_LINES)[number];

/** One line of the sheet. */
export interface CostLine extends Cost2 {
  readonly id: CostLineId;
}

/** What a piece cost. */
export interface CostSheet {
  readonly lines: readonly CostLine[];
  readonly total: Cost2;
  /** Wire, scrap, spoilage, parts and supplies together. */
  readonly materials: Cost2;
  /** Minutes on the piece with its share of setting up. */
  readonly minutes: number;
}

/** Cost of `minutes` at an hourly rate, to the nearest cost unit. */
export const costOfMinutes = (minutes: number, perHour: MinorUnits): CostUnits =>
  cost(Math.round((minutes * perHour * COST_UNITS_PER_MINOR) / 60));

/**
 * The cost sheet of one piece. Labour is minutes × rate with setting-up shared by the pieces of the sitting; overhead is
 * per bench hour; rework and spoilage count, since they happened.
 * @throws RangeError when `sharedBy` is less than one
 */
export function costSheet(outlay: PieceOutlay, rates: Rates): CostSheet {
  if (!(outlay.sharedBy >= 1)) throw new RangeError('a sitting makes at least one piece');
  const minutes = outlay.minutes + outlay.setUpMinutes / outlay.sharedBy;
  const same = (amount: CostUnits): Cost2 => ({ actual: amount, replacement: amount });
  const line = (id: CostLineId, amounts: Cost2): CostLine => ({ id, ...amounts });
  const lines = [
    line('wire', outlay.wire),
    line('scrap', outlay.scrap),
    line('spoilage', outlay.spoilage),
    line('parts', outlay.parts),
    line('supplies', outlay.supplies),
    line('labour', same(costOfMinutes(minutes, rates.hourlyRate))),
    line('overhead', same(costOfMinutes(minutes, rates.overheadPerHour))),
  ];
  const material = lines.filter(({ id }) => id !== 'labour' && id !== 'overhead');
  return { lines, total: totalOf(lines), materials: totalOf(material), minutes };
}

const totalOf = (lines: readonly Cost2[]): Cost2 => ({
  actual: sumCosts(lines.map(({ actual }) => actual)),
  replacement: sumCosts(lines.map(({ replacement }) => replacement)),
});
