'use client';

import { memo, useCallback, useDeferredValue, useMemo, useState } from 'react';
import type { SaleRules } from '@/core/costing/expectedSale';
import type { PriceBook } from '@/core/costing/forecast';
import { metalsLadder } from '@/core/costing/ladder';
import { allParts } from '@/core/pattern/allParts';
import { cutsOf, stepsOf } from '@/core/pattern/bodyOf';
import type { Composition, Specs } from '@/core/pattern/composition';
import type { Resolved } from '@/core/pattern/resolve';
import type { PatternPart } from '@/core/pattern/pattern';
import { fetchedTechniques } from '@/core/techniques/fetchTechnique';
import { parseMoney, toCost } from '@/core/units/money';
import { useLengths } from '../lengths';
import { useCurrency } from '../currency';
import { PriceLadder } from './PriceLadder';

/** A bead or finding as it is typed; its cost is in the studio’s currency. */
export interface PartDraft {
  readonly name: string;
  readonly count: string;
  readonly unitCost: string;
}

interface PriceLiveProps {
  readonly composition: Composition;
  readonly resolved: Resolved;
  readonly parts: readonly PartDraft[];
  readonly specs: Specs;
  readonly book: PriceBook;
  readonly rules: SaleRules;
}

/** Parts as far as they can be read while they are typed. */
const readParts = (drafts: readonly PartDraft[], currency: string): PatternPart[] =>
  drafts.flatMap(({ name, count, unitCost }) => {
    if (name.trim() === '' || !/^\d{1,5}$/.test(count.trim())) return [];
    const typed = parseMoney(unitCost, currency);
    return [{ name: name.trim(), count: Number(count), unitCost: typed.ok ? toCost(typed.value) : null }];
  });

/** What a pattern would cost and sell for as it stands, a moment behind what is typed. */
export const PriceLive = memo(function PriceLive({ specs, book, rules, ...typed }: PriceLiveProps) {
  const { system } = useLengths();
  const currency = useCurrency();
  const composition = useDeferredValue(typed.composition);
  const resolved = useDeferredValue(typed.resolved);
  const parts = useDeferredValue(typed.parts);
  // Each other metal is the whole pattern worked out once more, so it waits until it is wanted.
  const [isCompared, setCompared] = useState(false);
  const rungs = useMemo(() => {
    const body = {
      name: '',
      kind: 'other' as const,
      notes: '',
      composition,
      cuts: cutsOf(resolved, system),
      parts: allParts(resolved.parts, readParts(parts, currency)),
      steps: stepsOf(resolved),
    };
    return body.cuts.length > 0
      ? metalsLadder(body, specs, book, fetchedTechniques, system, isCompared ? undefined : 0)
      : [];
  }, [composition, resolved, parts, specs, book, system, currency, isCompared]);
  const compare = useCallback(() => setCompared(true), []);
  return rungs.length > 0 ? (
    <PriceLadder rungs={rungs} rules={rules} onCompare={isCompared ? undefined : compare} />
  ) : null;
});
