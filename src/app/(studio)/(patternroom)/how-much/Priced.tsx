'use client';

import { memo, useMemo } from 'react';
import { ofOneTechnique } from '@/core/pattern/addTechnique';
import type { Specs } from '@/core/pattern/composition';
import { resolve } from '@/core/pattern/resolve';
import { fetchedTechniques } from '@/core/techniques/fetchTechnique';
import { PriceLive } from '@/ui/pricing/PriceLive';
import type { Pricing, Question } from './question';

const NO_PARTS: readonly [] = [];

/** What it would cost and sell for as a piece of its own. */
export const Priced = memo(function Priced({
  question: { technique, texts, metal },
  specs,
  ...pricing
}: Pricing & { question: Question }) {
  const byId: Specs = useMemo(() => Object.fromEntries(specs.map((spec) => [spec.id, spec])), [specs]);
  const composition = useMemo(
    () => ofOneTechnique(technique, texts, metal, byId),
    [technique, texts, metal, byId],
  );
  const resolved = useMemo(() => resolve(composition, byId, fetchedTechniques), [composition, byId]);
  return (
    <PriceLive composition={composition} resolved={resolved} parts={NO_PARTS} specs={byId} {...pricing} />
  );
});
