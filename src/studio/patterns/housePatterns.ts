import { swapThroughout, withTechnique, withUse } from '@/core/pattern/changes';
import { EMPTY_COMPOSITION, type Composition, type Specs } from '@/core/pattern/composition';
import type { ChosenPorts } from '@/core/technique/joinActs';
import type { PatternKind } from '@/core/pattern/pattern';
import { techniqueOf } from '@/core/technique/registry';
import type { Texts } from '@/core/technique/readTexts';
import type { MetalId, Temper } from '@/core/wire/metal';

/** A technique of a pattern, what is typed over in it, and what it goes on from; the first is called a, the second b, and so on. */
type HouseUse = readonly [technique: string, texts?: Texts, takes?: ChosenPorts];

/** A pattern of the house, composed of techniques. */
export interface HousePattern {
  readonly name: string;
  readonly kind: PatternKind;
  readonly metal: MetalId;
  readonly temper?: Temper;
  readonly uses: readonly HouseUse[];
  readonly measures?: Texts;
  readonly copies?: number;
  readonly notes: string;
  /** Whether a studio that begins is offered a copy. */
  readonly isStarter?: true;
  readonly parts?: readonly (readonly [name: string, count: number, dollars: number])[];
}

/** What a technique of a pattern leaves. */
const ends = (use: string, ...left: readonly string[]): readonly string[] =>
  left.map((end) => `${use}.${end}`);

const stone = (outline: string, length: number, width: number, edge: number, depth: number): Texts => ({
  'stone.outline': outline,
  'stone.length': `${length} mm`,
  'stone.width': `${width} mm`,
  'stone.edge': `${edge} mm`,
  'stone.depth': `${depth} mm`,
});

/** The house's own patterns: what the demonstration studio makes, a dozen of which any studio can take a copy of. */
export const HOUSE_PATTERNS: readonly HousePattern[] = [
  {
    name: 'Weir Pool pendant',
    isStarter: true,
    kind: 'pendant',
    metal: 'sterling',
    uses: [
      ['bundle-frame', { holds: '4', bound: '6 mm', bail: '2 mm', tail: '30 mm' }],
      [
        'neck-wraps',
        { turns: '6' },
        { bundle: ends('a', 'left 1', 'right 1', 'left 2', 'right 2', 'left 3', 'right 3') },
      ],
      [
        'folded-bail',
        { wraps: '0', gather: '5 mm', leg: '8 mm', inside: '4 mm', clear: '1.5 mm' },
        { ends: ends('b', 'end 5', 'end 6') },
      ],
      [
        'bent-ends',
        { about: '3 mm', degrees: '60', way: 'to the left', after: '1 mm' },
        { ends: ends('b', 'end 1') },
      ],
      [
        'bent-ends',
        { about: '3 mm', degrees: '60', way: 'to the right', after: '1 mm' },
        { ends: ends('b', 'end 2') },
      ],
      [
        'flat-spiral',
        { across: '6 mm', start: '1.6 mm', gap: '0.15 mm', way: 'mirrored' },
        { ends: [...ends('d', 'end 1'), ...ends('e', 'end 1')] },
      ],
      [
        'bent-ends',
        { about: '5 mm', degrees: '170', way: 'to the left', after: '3 mm' },
        { ends: ends('b', 'end 3') },
      ],
      [
        'bent-ends',
        { about: '5 mm', degrees: '170', way: 'to the right', after: '3 mm' },
        { ends: ends('b', 'end 4') },
      ],
    ],
    measures: stone('teardrop', 21, 15, 2, 5.5),
    notes:
      'For the small prehnite drops. Keep the bundle flat at the shoulder; curl both front ends together.',
    parts: [['prehnite teardrop cab', 1, 7.5]],
  },
  {
    name: 'Saltmarsh Crescent',
    isStarter: true,
    kind: 'pendant',
    metal: 'copper',
    uses: [
      ['band-frame', { bandsEach: '2', tail: '60 mm' }],
      [
        'straight-weave',
        { weave: 'A3 B3', length: '26 mm', weavingTail: '40 mm' },
        { frame: ends('a', 'left', 'right') },
      ],
      [
        'folded-bail',
        { wraps: '0', leg: '8 mm', inside: '5 mm', clear: '1 mm', tail: '40 mm' },
        { ends: ends('b', 'end 1', 'end 2') },
      ],
    ],
    measures: stone('crescent', 38, 16, 3, 5.2),
    notes: 'Two bands at each end, the stone in from the second on. Let the horns point up.',
    parts: [['unakite crescent', 1, 9]],
  },
  {
    name: 'Sundial bezel',
    kind: 'pendant',
    metal: 'copper',
    uses: [['looped-bezel']],
    measures: stone('oval', 25, 18, 3.3, 6.4),
    notes: 'Turn all loops before forming, and press them onto the shoulder one after another.',
    parts: [['carnelian oval cab', 1, 8]],
  },
  {
    name: 'Kelp cradle',
    kind: 'pendant',
    metal: 'copper',
    uses: [['cradle']],
    measures: stone('round', 30, 30, 4, 8),
    notes: 'The scrolls are what holds it: two at least on each side.',
    parts: [['sea glass round', 1, 4]],
  },
  {
    name: 'Lantern point',
    isStarter: true,
    kind: 'pendant',
    metal: 'copper',
    uses: [['point-spiral']],
    notes: 'Kink the spirals all round to tighten them.',
  },
  {
    name: 'Netmaker’s point',
    kind: 'pendant',
    metal: 'copper',
    uses: [['twisted-net']],
    notes: 'Three twists at every crossing, drawn even.',
  },
  {
    name: 'Snail cage',
    isStarter: true,
    kind: 'pendant',
    metal: 'copper',
    temper: 'half hard',
    uses: [['spiral-cage']],
    notes: 'For tumbled stones and sea glass.',
  },
  {
    name: 'Winter hawthorn',
    kind: 'pendant',
    metal: 'copper',
    uses: [['tree'], ['wrapped-bail']],
    measures: stone('oval', 40, 30, 3, 7),
    notes: 'Spread the lowest branches first.',
  },
  {
    name: 'Rime halo',
    kind: 'pendant',
    metal: 'sterling',
    uses: [['bundle-frame'], ['bead-halo']],
    measures: { ...stone('oval', 19, 14, 2, 6), bead: '2.5 mm' },
    notes: 'The halo goes on after the stone is held.',
    parts: [['iolite oval cab', 1, 11]],
  },
  {
    name: 'Hedgerow hoops',
    isStarter: true,
    kind: 'earrings',
    metal: 'copper',
    copies: 2,
    uses: [['bound-beads', { along: '40 mm' }], ['ear-wire']],
    notes: 'Two of each shade, the same on both sides.',
  },
  {
    name: 'Ladder channel cuff',
    kind: 'bracelet',
    metal: 'copper',
    uses: [['bead-channel', { along: '140 mm' }]],
    notes: 'Leave 40 mm at each end of the rails for the clasp.',
  },
  {
    name: 'Dewdrop earrings',
    isStarter: true,
    kind: 'earrings',
    metal: 'sterling',
    copies: 2,
    uses: [['briolette-loop'], ['ear-wire']],
    notes: 'The drop sits at a third of the wire.',
    parts: [['peridot briolette', 2, 3.5]],
  },
  {
    name: 'Foxglove earrings',
    kind: 'earrings',
    metal: 'sterling',
    copies: 2,
    uses: [['briolette-cap'], ['ear-wire']],
    notes: 'Caps of the same number of turns.',
    parts: [['garnet briolette', 2, 3]],
  },
  {
    name: 'Fern drop',
    kind: 'necklace',
    metal: 'copper',
    uses: [['briolette-swirl'], ['wrapped-loop-link']],
    notes: 'The swirl lies in front of the tip.',
  },
  {
    name: 'Stepping-stone links',
    isStarter: true,
    kind: 'finding',
    metal: 'sterling',
    copies: 12,
    uses: [['plain-loop-link']],
    notes: 'A dozen at a time.',
  },
  {
    name: 'Tideline links',
    kind: 'necklace',
    metal: 'copper',
    copies: 20,
    uses: [['wrapped-loop-link', { tail: '8 mm' }]],
    notes: 'Hang the last link before the loop is wound shut.',
  },
  {
    name: 'Pebble pins',
    kind: 'finding',
    metal: 'copper',
    copies: 10,
    uses: [['head-pin']],
    notes: '',
  },
  { name: 'Lattice pins', kind: 'finding', metal: 'copper', copies: 10, uses: [['eye-pin']], notes: '' },
  {
    name: 'Market jump rings',
    isStarter: true,
    kind: 'finding',
    metal: 'copper',
    uses: [['jump-rings', { rings: '48' }]],
    notes: 'Four millimetres inside; a coil lasts a fair.',
  },
  {
    name: 'Shepherd clasp',
    isStarter: true,
    kind: 'finding',
    metal: 'copper',
    uses: [['hook-clasp']],
    notes: '',
  },
  {
    name: 'Plain ear wires',
    kind: 'finding',
    metal: 'sterling',
    copies: 2,
    uses: [['ear-wire']],
    notes: 'Round and polish both ends.',
  },
  { name: 'Ribbon bail', kind: 'finding', metal: 'copper', uses: [['woven-bail']], notes: '' },
  {
    name: 'Spool beads',
    kind: 'finding',
    metal: 'brass',
    copies: 6,
    uses: [['coil-bead']],
    notes: '',
  },
  {
    name: 'Caterpillar bracelet',
    kind: 'bracelet',
    metal: 'copper',
    uses: [['coil-of-coil', { length: '60 mm' }], ['hook-clasp']],
    notes: 'Wind the inner coil in one go.',
  },
  {
    name: 'Rail spacers',
    kind: 'finding',
    metal: 'copper',
    copies: 10,
    uses: [['coil', { length: '6 mm' }]],
    notes: '',
  },
  {
    name: 'Whorl earrings',
    isStarter: true,
    kind: 'earrings',
    metal: 'copper',
    copies: 2,
    uses: [['flat-spiral'], ['ear-wire']],
    notes: 'Mirror the second whorl.',
  },
  {
    name: 'Ropewalk bangle',
    kind: 'bracelet',
    metal: 'copper',
    uses: [['twisted-wire', { length: '190 mm' }], ['hook-clasp']],
    notes: 'Twist under tension, evenly.',
  },
  {
    name: 'Wattle cuff',
    isStarter: true,
    kind: 'bracelet',
    metal: 'copper',
    uses: [['straight-weave', { length: '140 mm' }]],
    notes: 'Three on A, two on A and B, all the way.',
  },
  {
    name: 'Arbour collar',
    kind: 'necklace',
    metal: 'copper',
    uses: [['curved-weave', { inner: '60 mm', length: '120 mm' }]],
    notes: 'A wrap more on A now and then, as the pattern says.',
  },
  {
    name: 'Gatehouse ring',
    isStarter: true,
    kind: 'ring',
    metal: 'copper',
    uses: [['bead-ring']],
    measures: { ring: 'US 7', bead: '6 mm' },
    notes: 'Thread the bead first.',
  },
  {
    name: 'Wellhead ring',
    kind: 'ring',
    metal: 'copper',
    uses: [['coil-bezel-ring']],
    measures: { ring: 'US 7' },
    notes: 'The bezel is formed 1 mm over the stone.',
  },
  {
    name: 'Wheatear ring',
    kind: 'ring',
    metal: 'sterling',
    uses: [['herringbone-ring']],
    measures: { ring: 'US 7', bead: '8 mm' },
    notes: 'Mallet it to size at the end.',
  },
  {
    name: 'Ramshorn ring',
    kind: 'ring',
    metal: 'copper',
    uses: [['spiral-head-ring']],
    measures: { ring: 'US 8' },
    notes: 'Begun small, and grown by hammering before anything is trimmed.',
    parts: [['small labradorite cab', 1, 4]],
  },
  {
    name: 'Osier ring',
    kind: 'ring',
    metal: 'sterling',
    uses: [['woven-band-ring', { cab: '6.5 mm' }]],
    measures: { ring: 'US 6 1/2' },
    notes: 'Leave the gap a hair wide; it closes when the cab is set.',
    parts: [['small jasper cab', 1, 2.5]],
  },
  {
    name: 'Cooper ring',
    kind: 'ring',
    metal: 'copper',
    uses: [['bound-band-ring'], ['antique']],
    measures: { ring: 'US 9' },
    notes: 'Lay the square wires flat before binding.',
  },
  {
    name: 'Thornpin brooch',
    kind: 'brooch',
    metal: 'brass',
    uses: [['free-cut', { length: '90 mm', tail: '10 mm' }], ['flat-spiral']],
    notes: 'The pin is hardened last.',
  },
  {
    name: 'Withy Fen teardrop',
    kind: 'pendant',
    metal: 'copper',
    uses: [
      ['straight-weave', { weave: 'A3 AB BC', length: '6.2 mm', tail: '30 mm', weavingTail: '50 mm' }],
      [
        'bundle-frame',
        { stands: 'tip down', bound: '0 mm', bail: '2.5 mm', holds: '2', reach: '0.9 mm', tail: '35 mm' },
        { frame: ends('a', 'wire 1', 'wire 2', 'wire 3') },
      ],
      [
        'neck-wraps',
        { turns: '7', tail: '30 mm' },
        { bundle: ends('b', 'left 1', 'left 2', 'left 3', 'right 1', 'right 2', 'right 3') },
      ],
      [
        'straight-weave',
        { weave: 'A3 AB3', length: '20 mm', weavingTail: '40 mm' },
        { frame: ends('c', 'end 1', 'end 4') },
      ],
      [
        'folded-bail',
        { wraps: '0', leg: '6.5 mm', inside: '4.4 mm', clear: '3 mm', tail: '10 mm' },
        { ends: ends('d', 'end 1', 'end 2') },
      ],
      [
        'bent-ends',
        { about: '4 mm', degrees: '170', way: 'to the left', lie: 'behind one another', after: '2 mm' },
        { ends: ends('c', 'end 2', 'end 3') },
      ],
      [
        'bent-ends',
        { about: '4 mm', degrees: '170', way: 'to the right', lie: 'behind one another', after: '2 mm' },
        { ends: ends('c', 'end 5', 'end 6') },
      ],
    ],
    measures: stone('teardrop', 22, 15, 2.2, 5),
    notes:
      'Weave the foot flat first, its middle at the tip of the stone. Both scoops at one height before anything is trimmed.',
    parts: [['serpentine teardrop cab', 1, 6]],
  },
  {
    name: 'Undertow halo',
    kind: 'pendant',
    metal: 'copper',
    uses: [['kinked-halo']],
    notes: 'Keep the rounds loose until they are kinked; hammer only what juts out.',
    parts: [['moss agate bead, 12 mm', 1, 3]],
  },
  {
    name: 'Lobelia drop',
    kind: 'pendant',
    metal: 'sterling',
    uses: [['drop-channel']],
    notes: 'Pale beads at the top, the darkest at the foot, alike on both sides.',
    parts: [['fluorite drop', 1, 9]],
  },
  {
    name: 'Rushlight bracelet',
    kind: 'bracelet',
    metal: 'sterling',
    uses: [['bead-chain', { long: '188 mm', bead: '7 mm' }]],
    notes: 'Close every ring flush before the next link goes on.',
  },
  {
    name: 'Rookery tree',
    kind: 'pendant',
    metal: 'copper',
    uses: [['tree-without-frame', { trunk: '12 mm', roots: '8 mm', branches: '4' }]],
    measures: stone('oval', 38, 28, 3, 7),
    notes: 'Twist all of it in one sense. The lowest branches first; bend them alive when the rope is shut.',
    parts: [['moss agate cab', 1, 8]],
  },
  {
    name: 'Eelgrass lace',
    kind: 'pendant',
    metal: 'brass',
    uses: [['laced-frame', { high: '46 mm', wide: '30 mm', laced: '15 mm', beads: '6' }]],
    notes:
      'Check both loops against a straight line before they are hammered, and hammer nothing that crosses.',
  },
  {
    name: 'Daisywheel links',
    kind: 'finding',
    metal: 'copper',
    copies: 4,
    uses: [['beaded-link', { inside: '11 mm', bead: '3.2 mm' }]],
    notes: 'Spread the wraps evenly before the tails are wound.',
  },
  {
    name: 'Sluicegate pendant',
    kind: 'pendant',
    metal: 'sterling',
    uses: [
      [
        'bundle-frame',
        {
          stands: 'tip down',
          wires: '4',
          bound: '4 mm',
          bail: '2 mm',
          holds: '2',
          reach: '0.9 mm',
          tail: '40 mm',
          bindingTail: '10 mm',
        },
      ],
      [
        'neck-wraps',
        { turns: '3', tail: '8 mm' },
        {
          bundle: ends('a', 'left 1', 'left 2', 'left 3', 'left 4', 'right 1', 'right 2', 'right 3'),
          winder: ends('a', 'right 4'),
        },
      ],
      [
        'folded-bail',
        { wraps: '0', gather: '10 mm', leg: '7 mm', inside: '4.2 mm', clear: '2 mm', tail: '15 mm' },
        { ends: ends('b', 'end 4', 'end 3', 'end 7') },
      ],
      [
        'bent-ends',
        { about: '4 mm', degrees: '60', way: 'to the left', lie: 'behind one another', after: '1 mm' },
        { ends: ends('b', 'end 1', 'end 2') },
      ],
      [
        'straight-weave',
        { weave: 'A3 AB2; A3', length: '10 mm', weavingTail: '40 mm' },
        { frame: ends('d', 'end 1', 'end 2') },
      ],
      [
        'bent-ends',
        {
          about: '9 mm',
          degrees: '132',
          way: 'to the left',
          after: '0.5 mm',
          apart: '0.33 mm',
          tail: '6 mm',
        },
        { ends: ends('e', 'end 1', 'end 2') },
      ],
      [
        'threaded-bead',
        { across: '3.5 mm', before: '0.5 mm', drilled: '1.3 mm', after: '0.5 mm' },
        { end: ends('f', 'end 2') },
      ],
      [
        'bent-ends',
        { about: '3 mm', degrees: '180', way: 'to the back', after: '3 mm', tail: '4 mm' },
        { ends: ends('g', 'end') },
      ],
      [
        'bent-ends',
        { about: '3 mm', degrees: '114', way: 'to the right', after: '1.2 mm' },
        { ends: ends('b', 'end 5') },
      ],
      [
        'bent-ends',
        { about: '2 mm', degrees: '50', way: 'to the front', after: '0.8 mm' },
        { ends: ends('i', 'end 1') },
      ],
      ['bent-ends', { about: '2 mm', degrees: '50', way: 'to the back' }, { ends: ends('j', 'end 1') }],
      [
        'threaded-bead',
        { across: '3.5 mm', before: '0.4 mm', drilled: '1.3 mm', after: '1.2 mm' },
        { end: ends('k', 'end 1') },
      ],
      [
        'flat-spiral',
        { across: '8.2 mm', start: '1.6 mm', gap: '0.8 mm', way: 'to the right' },
        { ends: ends('l', 'end') },
      ],
      ['lashing', {}, { held: [...ends('a', 'round right 1'), ...ends('m', 'spiral 1')] }],
      [
        'bent-ends',
        { about: '5 mm', degrees: '150', way: 'to the right', after: '4 mm', tail: '6 mm' },
        { ends: ends('b', 'end 6') },
      ],
    ],
    measures: { ...stone('teardrop', 30, 18, 2.2, 5.5), bead: '3.5 mm' },
    notes:
      'Each bead goes on before its wire is curled or caught. The curl is lashed to the front wire, so that it cannot move.',
    parts: [['labradorite teardrop cab', 1, 9]],
  },
  {
    name: 'Kingcup marquise',
    kind: 'pendant',
    metal: 'copper',
    uses: [
      ['weave-round', { tail: '20 mm', weavingTail: '60 mm' }],
      [
        'bundle-frame',
        { bound: '0 mm', bail: '1 mm', holds: '2', reach: '0 mm', tail: '15 mm' },
        { frame: ends('a', 'wire 1', 'wire 2', 'wire 3') },
      ],
      [
        'crossed-behind',
        { gap: '2.8 mm', off: '3.4 mm', tail: '15 mm' },
        { ends: ends('b', 'left 3', 'right 3') },
      ],
      [
        'straight-weave',
        { weave: 'AB2 CD2', gap: '2.6 mm', length: '20 mm', weavingTail: '40 mm' },
        { frame: ends('b', 'left 1', 'left 2', 'right 2', 'right 1') },
      ],
      [
        'folded-bail',
        { wraps: '0', leg: '7.5 mm', inside: '4.6 mm', over: 'to the front', clear: '1 mm', tail: '15 mm' },
        { ends: ends('d', 'end 1', 'end 2', 'end 3', 'end 4') },
      ],
      [
        'bent-ends',
        {
          before: '4.4 mm',
          about: '2.6 mm',
          degrees: '180',
          way: 'to the front',
          after: '1 mm',
          tail: '15 mm',
        },
        { ends: ends('e', 'end 1', 'end 2', 'end 3', 'end 4') },
      ],
      ['coil-of-coil', { length: '24 mm', tail: '15 mm' }, { core: ends('c', 'left') }],
      [
        'along-edge',
        { side: 'right', from: '7.5 mm', to: '35 mm', off: '3.4 mm', over: '1.2 mm', tail: '10 mm' },
        { end: ends('g', 'core') },
      ],
      ['coil-of-coil', { length: '24 mm', tail: '15 mm' }, { core: ends('c', 'right') }],
      [
        'along-edge',
        { side: 'left', from: '7.5 mm', to: '35 mm', off: '3.4 mm', over: '1.2 mm', tail: '10 mm' },
        { end: ends('i', 'core') },
      ],
    ],
    measures: stone('marquise', 29, 14, 2.4, 5.5),
    notes: 'Try the stone before anything crosses behind. Bend each coil up its side before it is cut.',
    parts: [['rhodonite marquise cab', 1, 10]],
  },
  {
    name: 'Lapwing drops',
    kind: 'earrings',
    metal: 'sterling',
    copies: 2,
    uses: [['ear-wire'], ['uneven-link'], ['briolette-loop']],
    notes: 'Both loops of the link across each other, so that the drops face forward.',
    parts: [['amethyst briolette', 2, 3.2]],
  },
  {
    name: 'Lychgate ring',
    kind: 'ring',
    metal: 'sterling',
    uses: [['figure-eight-ring']],
    measures: { ...stone('teardrop', 15, 10.5, 1.6, 4.2), ring: 'US 7 1/2' },
    notes: 'Not all the way round: the stone takes the gap. All four loops point at it.',
    parts: [['small moonstone teardrop', 1, 6]],
  },
];

/** A pattern of the house as a composition, cut from the wires of a studio. */
export function composedOf(
  { metal, temper, uses, measures = {}, copies = 1 }: HousePattern,
  specs: Specs,
): Composition {
  let composition = EMPTY_COMPOSITION;
  for (const [id, texts = {}, takes = {}] of uses) {
    const technique = techniqueOf(id);
    if (!technique) throw new Error(`there is no technique “${id}”`);
    composition = withTechnique(composition, technique, techniqueOf, specs);
    const use = composition.uses.at(-1);
    if (use) composition = withUse(composition, use.id, { texts: { ...use.texts, ...texts }, takes });
  }
  const { composition: swapped } = swapThroughout(
    composition,
    { metal, ...(temper ? { temper } : {}) },
    specs,
  );
  return { ...swapped, measures: { ...swapped.measures, ...measures }, copies };
}
