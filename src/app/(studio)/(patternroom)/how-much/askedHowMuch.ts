import type { Search } from '@/app/lib/search';
import type { Texts } from '@/core/technique/readTexts';
import { techniqueOf } from '@/core/technique/registry';
import { takesWire, type AnyTechnique } from '@/core/technique/technique';
import { METALS, type MetalId } from '@/core/wire/metal';

/** Longest text that an address carries for a field: a traced outline has hundreds of figures. */
const MOST = 5000;

/** What an address asks how much wire it takes; undefined when it names no technique that there is. */
export async function askedHowMuch(
  search: Search,
): Promise<{ readonly technique: AnyTechnique; readonly texts: Texts; readonly metal: MetalId } | undefined> {
  const { of, ...asked } = await search;
  const named = typeof of === 'string' ? techniqueOf(of) : undefined;
  const technique = named && takesWire(named) ? named : undefined;
  const texts = Object.fromEntries(
    Object.entries(asked).flatMap(([field, text]) =>
      typeof text === 'string' ? [[field, text.slice(0, MOST)]] : [],
    ),
  );
  const metal = METALS.find(({ id }) => id === texts['metal'])?.id ?? 'copper';
  return technique && { technique, texts, metal };
}
