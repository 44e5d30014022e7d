import { textsAsked, type Search } from '@/app/lib/search';
import type { Texts } from '@/core/parameter/readTexts';
import { techniqueOf } from '@/core/techniques/registry';
import { takesWire, type AnyTechnique } from '@/core/technique/technique';
import { METALS, type MetalId } from '@/core/wire/metal';

/** What an address asks how much wire it takes; undefined when it names no technique that there is. */
export async function askedHowMuch(
  search: Search,
): Promise<{ readonly technique: AnyTechnique; readonly texts: Texts; readonly metal: MetalId } | undefined> {
  const { of, ...texts } = await textsAsked(search);
  const named = of === undefined ? undefined : techniqueOf(of);
  const technique = named && takesWire(named) ? named : undefined;
  const metal = METALS.find(({ id }) => id === texts['metal'])?.id ?? 'copper';
  return technique && { technique, texts, metal };
}
