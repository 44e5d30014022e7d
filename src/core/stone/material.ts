import { metalOf, METAL_IDS, type MetalId } from '../wire/metal';
import { METAL_COLOURS } from '../wire/metalColour';

/** What stones and beads are made of: how heavy it is, and how it looks. */
export interface Material {
  /** g/cm³ */
  readonly density: number;
  /** sRGB */
  readonly colour: `#${string}`;
  readonly isMetal: boolean;
}

type Kind = readonly [names: string, density: number, colour: Material['colour']];

/**
 * Stones by name. Densities: as measured, Handbook of Mineralogy (Mineralogical Society of America), the middle of its range for the species that
 * the gem is of; rocks, glass and what grew in animals and trees as commonly given in gem tables. All from memory. Colours: as most of it comes.
 */
const STONES: readonly Kind[] = [
  // Quartz, and what is mostly quartz: 2.65; chalcedony a little less, for its water and pores.
  ['quartz', 2.65, '#e4e6e3'],
  ['rock crystal', 2.65, '#e9eceb'],
  ['rose quartz', 2.65, '#e3b9bd'],
  ['smoky quartz', 2.65, '#7b6a5c'],
  ['amethyst', 2.65, '#8a63ab'],
  ['citrine', 2.65, '#d9a53f'],
  ['aventurine', 2.65, '#6f9f78'],
  ['tiger eye', 2.65, '#9b6b2f'],
  ['agate', 2.6, '#a9a29a'],
  ['moss agate', 2.6, '#7f9277'],
  ['carnelian', 2.6, '#b4301c'],
  ['chalcedony', 2.6, '#a9b8c9'],
  ['chrysoprase', 2.6, '#8cc08a'],
  ['jasper', 2.6, '#9c5140'],
  ['onyx', 2.6, '#2f3033'],
  ['bloodstone', 2.6, '#3f5a45'],
  // Feldspars.
  ['moonstone', 2.57, '#dbe1e6'],
  ['labradorite', 2.7, '#6d8496'],
  ['amazonite', 2.56, '#74b5a8'],
  ['sunstone', 2.65, '#d08c5e'],
  // Other species.
  ['garnet', 4.2, '#7d2233'],
  ['peridot', 3.32, '#9bae3d'],
  ['prehnite', 2.9, '#b9c892'],
  ['iolite', 2.65, '#5a6199'],
  ['rhodonite', 3.6, '#c0687b'],
  ['rhodochrosite', 3.7, '#d98594'],
  ['fluorite', 3.18, '#8fb2a6'],
  ['serpentine', 2.57, '#8da15f'],
  ['malachite', 3.9, '#2f8a5c'],
  ['azurite', 3.77, '#2f55a0'],
  ['turquoise', 2.7, '#58b3b0'],
  ['tourmaline', 3.06, '#5d8a6c'],
  ['topaz', 3.55, '#a9cadb'],
  ['aquamarine', 2.7, '#9cc7cf'],
  ['emerald', 2.7, '#3f8f63'],
  ['sapphire', 4, '#3b5596'],
  ['ruby', 4, '#a82c46'],
  ['kyanite', 3.6, '#5f84b3'],
  ['apatite', 3.2, '#4f9aa5'],
  ['sodalite', 2.28, '#44588f'],
  ['howlite', 2.58, '#e6e4df'],
  ['hematite', 5.26, '#4c4f54'],
  ['pyrite', 5.02, '#b79f5a'],
  ['jade', 3, '#7fa37c'],
  ['opal', 2.1, '#d5dfdc'],
  ['zircon', 4.65, '#a9c4cf'],
  ['calcite', 2.71, '#e2cfa5'],
  ['obsidian', 2.4, '#2b2c2f'],
  // Rocks.
  ['unakite', 2.8, '#9a8b6a'],
  ['lapis lazuli', 2.75, '#2f4790'],
  ['lava', 1.9, '#45413f'],
  // Grown, and made.
  ['pearl', 2.7, '#e9e1d3'],
  ['mother of pearl', 2.7, '#e3e0d5'],
  ['shell', 2.7, '#dccbb5'],
  ['coral', 2.65, '#d4745e'],
  ['amber', 1.07, '#c98a2c'],
  ['jet', 1.3, '#26262a'],
  ['bone', 1.9, '#e5dac2'],
  ['wood', 0.7, '#8e6a46'],
  ['glass', 2.5, '#9dbfc4'],
  ['sea glass', 2.5, '#a3c9bd'],
  ['ceramic', 2.3, '#c9bda9'],
  ['resin', 1.2, '#c7b27f'],
];

const NAMED: ReadonlyMap<string, Material> = new Map([
  ...METAL_IDS.map((id): [string, Material] => [plain(id), ofMetal(id)]),
  ...STONES.map(([name, density, colour]): [string, Material] => [name, { density, colour, isMetal: false }]),
]);

function ofMetal(id: MetalId): Material {
  return { density: metalOf(id).density, colour: METAL_COLOURS[id].fill, isMetal: true };
}

function plain(id: string): string {
  return id.replace('-', ' ');
}

/**
 * The material that words name: the longest name that stands in them.
 * @returns undefined when they name none that is known
 * @example materialIn('moss agate') // { density: 2.6, colour: '#7f9277', isMetal: false }
 */
export function materialIn(words: string): Material | undefined {
  const said = ` ${words.toLowerCase().replaceAll('-', ' ')} `;
  const [name] = [...NAMED.keys()]
    .filter((each) => said.includes(` ${each} `) || said.includes(` ${each}s `))
    .sort((a, b) => b.length - a.length);
  return name === undefined ? undefined : NAMED.get(name);
}
