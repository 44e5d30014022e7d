/** A metal that wire is made of. */
export interface Metal {
  readonly id: string;
  readonly name: string;
  /** Density in g/cm³. */
  readonly density: number;
  /** Where the density comes from. */
  readonly source: string;
  /** Off-cuts of it are money. */
  readonly precious: boolean;
}

/** Density of yellow 14 kt gold, g/cm³ (from memory; alloys run from 12.9 to 13.6). */
const GOLD_14KT = 13.07;
const BRASS = 8.53;

/** Density of two metals joined by mass fraction: the volumes add, so 1/ρ = Σ fraction/ρᵢ. */
const byVolume = (fraction: number, layer: number, core: number): number =>
  1 / (fraction / layer + (1 - fraction) / core);

const metal = <Id extends string>(
  id: Id,
  name: string,
  density: number,
  source: string,
  precious = false,
) => ({
  id,
  name,
  density,
  source,
  precious,
});

/** The metals of the trade, in the order they are listed everywhere. */
export const METALS = [
  metal('copper', 'copper', 8.89, 'standard annealed copper, IEC 60028'),
  metal('brass', 'brass', BRASS, '70/30 brass, handbook of metals'),
  metal('bronze', 'bronze', 8.78, 'jewelry bronze 87.5/12.5, handbook of metals'),
  metal('fine-silver', 'fine silver', 10.49, 'silver, handbook of metals', true),
  metal('sterling', 'sterling', 10.36, '925/75 Ag-Cu', true),
  metal(
    'gold-filled',
    'gold-filled',
    byVolume(1 / 20, GOLD_14KT, BRASS),
    '14 kt, 1/20 by mass over brass',
    true,
  ),
  metal('steel', 'stainless steel', 7.93, '300 series, 7.9 to 8.0'),
  metal('aluminium', 'aluminium', 2.7, 'aluminium, handbook of metals'),
  metal('niobium', 'niobium', 8.57, 'niobium, handbook of metals'),
  metal('titanium', 'titanium', 4.51, 'titanium, handbook of metals'),
] as const satisfies readonly Metal[];

export type MetalId = (typeof METALS)[number]['id'];

export const METAL_IDS: readonly MetalId[] = METALS.map(({ id }) => id);

/** The metal of an id. @example metalOf('sterling').name // 'sterling' */
export function metalOf(id: MetalId): Metal {
  const found = METALS.find((each) => each.id === id);
  if (!found) throw new RangeError(`${id} is not one of ${METAL_IDS.join(', ')}`);
  return found;
}

/** How hard wire has been drawn, softest first. */
export const TEMPERS = ['dead soft', 'quarter hard', 'half hard', 'hard', 'spring'] as const;
export type Temper = (typeof TEMPERS)[number];

/** What lies over the metal: nothing, a plating, or a coloured or clear coating. */
export const FINISHES = ['bare', 'plated', 'coated'] as const;
export type Finish = (typeof FINISHES)[number];
