import { expectedSale } from '@/core/costing/expectedSale';
import { forecast } from '@/core/costing/forecast';
import { costAt } from '@/core/costing/unitPrice';
import { minutesOf, wireBySpec, type PatternBody } from '@/core/pattern/pattern';
import type { CostedPiece, StepShares } from '@/core/selling/whatIf';
import { cost, sumCosts, type CostUnits } from '@/core/units/money';
import type { MetalId } from '@/core/wire/metal';
import type { Tx } from '@/data/inStudio';
import { patternsMostMadeSql } from '@/data/sql/patterns';
import { specsById } from '../catalogue/wireSpecs';
import { bodyAsLearned, timesOf } from '../logbook/learnedTimes';
import { priceBookIn } from '../prices/priceBook';
import type { Settings } from '../settings/settings';

/** The most patterns that are looked at, the most made first. */
const MOST_PATTERNS = 300;

/** A pattern as one piece of it would be made today. */
export interface PatternToday extends CostedPiece {
  readonly name: string;
}

/** What new pieces take, and which part of the minutes each step of the work on them does. */
export interface PatternsToday {
  readonly patterns: readonly PatternToday[];
  readonly shares: StepShares;
}

/** Which part of all minutes each step takes, by its name; steps of one name together. */
function sharesOf(body: Pick<PatternBody, 'steps'>): Readonly<Record<string, number>> {
  const { each, setUp } = minutesOf(body);
  const shares = new Map<string, number>();
  for (const { name, minutes } of body.steps)
    if (minutes > 0) shares.set(name, (shares.get(name) ?? 0) + minutes / (each + setUp));
  return Object.fromEntries(shares);
}

/**
 * What one new piece of each pattern would take at today’s prices and by what was learned of its minutes, and what it should sell for: as the last
 * of it, else what keeps the studio’s margin. Findings for the studio’s own drawers are left out.
 */
export async function patternsToday(tx: Tx, settings: Settings): Promise<PatternsToday> {
  const rows = (await tx.rows(patternsMostMadeSql, { kind: 'any', most: MOST_PATTERNS })).filter(
    ({ body }) => body.kind !== 'finding',
  );
  const specIds = [...new Set(rows.flatMap(({ body }) => body.cuts.map(({ specId }) => specId)))];
  const book = await priceBookIn(tx, {
    specIds,
    parts: rows.flatMap(({ body }) => body.parts.map(({ name }) => name)),
  });
  const specs = await specsById(tx, specIds);
  const times = await timesOf(
    tx,
    rows.map(({ number: pattern, body }) => ({ pattern, body })),
  );
  const learned = rows.map((row) => ({
    ...row,
    body: bodyAsLearned(row.body, times({ pattern: row.number, body: row.body })),
  }));
  const lost = 1 + (book.spoils ?? 0);
  const patterns = learned.map(({ number, name, body, price }): PatternToday => {
    const { outlay, parts } = forecast(body, book);
    const wire: Partial<Record<MetalId, CostUnits>> = {};
    for (const [specId, length] of wireBySpec(body)) {
      const [today, spec] = [book.wires[specId]?.today, specs.get(specId)];
      if (!today || !spec) continue;
      wire[spec.metal] = sumCosts([
        wire[spec.metal] ?? cost(0),
        cost(Math.round(costAt(today, length) * lost)),
      ]);
    }
    const stones = sumCosts(
      parts.flatMap(({ found, cost: of }) =>
        of && (found?.kind.ware === 'bead' || found?.kind.ware === 'stone') ? [of.replacement] : [],
      ),
    );
    return {
      ...{ number, pattern: number, name, wire, stones },
      rest: cost(outlay.parts.replacement - stones + outlay.supplies.replacement),
      minutes: outlay.minutes + outlay.setUpMinutes,
      price: expectedSale({ ...outlay, sharedBy: 1 }, settings, price).price,
    };
  });
  return {
    patterns,
    shares: Object.fromEntries(learned.map(({ number, body }) => [number, sharesOf(body)])),
  };
}
