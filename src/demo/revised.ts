import { composePattern } from '@/studio/patterns/composePattern';
import type { HousePattern } from '@/core/house/composedOf';
import type { StudioSession } from '@/studio/kernel/useCase';
import { listSpecs } from '@/studio/catalogue/wireSpecs';
import { composeInput } from './composeInput';
import { isPosted } from './isPosted';
import { keyOf } from './keyOf';
import { taken } from './taken';

/** A pattern that was written by hand and is composed of techniques now, and the number that it has. */
export interface RevisedPattern extends HousePattern {
  readonly number: number;
}

/** What the studio has composed anew of the patterns that it had written by hand. What was made of them stays as it was made. */
export const REVISED_PATTERNS: readonly RevisedPattern[] = [
  {
    number: 2,
    name: 'Heron ear wires',
    kind: 'earrings',
    metal: 'sterling',
    copies: 2,
    uses: [['ear-wire']],
    notes: 'Made as a pair, step by step together. Round both ends.',
    parts: [['4 mm garnet bead', 2, 0.6]],
  },
  {
    number: 3,
    name: 'Saltmarsh hoops',
    kind: 'earrings',
    metal: 'sterling',
    copies: 2,
    uses: [
      ['bound-beads', { along: '18.5 mm' }],
      ['free-cut', { length: '94 mm', tail: '22 mm' }],
    ],
    measures: { bead: '2.2 mm' },
    notes: 'Five small beads bound on each hoop; two wraps between, four at each end.',
    parts: [['2 mm peridot bead', 10, 0.35]],
  },
  {
    number: 5,
    name: 'Quarry cuff',
    kind: 'bracelet',
    metal: 'copper',
    uses: [['straight-weave', { weave: 'A2 AB2 BC2 CD2 DE2', length: '146 mm', tail: '6 mm' }]],
    notes: 'Woven since its binding slipped: five wires side by side, bent to the mandrel last.',
  },
  {
    number: 6,
    name: 'Copper fern brooch',
    kind: 'brooch',
    metal: 'copper',
    uses: [
      ['flat-spiral', { across: '14 mm', way: 'to the left' }],
      ['flat-spiral', { across: '11 mm' }],
      ['flat-spiral', { across: '8 mm', way: 'to the left' }],
      ['free-cut', { length: '130 mm', tail: '60 mm' }],
    ],
    notes: 'The fronds from the foot of the stem up, the smallest last.',
  },
  {
    number: 7,
    name: 'Tidepool drop',
    kind: 'earrings',
    metal: 'gold-filled',
    copies: 2,
    uses: [['briolette-loop'], ['ear-wire']],
    notes: 'Briolettes hang from a wrapped loop; the drop sits at a third of the wire.',
    parts: [['iolite briolette', 2, 3.2]],
  },
  {
    number: 8,
    name: 'Sea glass cage',
    kind: 'pendant',
    metal: 'copper',
    uses: [['spiral-cage', { long: '19 mm', wide: '11.5 mm' }]],
    notes: 'Two flat spirals opened round an undrilled pebble.',
    parts: [['sea glass pebble', 1, 0.5]],
  },
  {
    number: 9,
    name: 'Lantern frame pendant',
    kind: 'pendant',
    metal: 'copper',
    uses: [['laced-frame']],
    notes: 'Both loops against a straight line before they are hammered, and nothing hammered that crosses.',
    parts: [['2 mm bronze bead', 8, 0.06]],
  },
  {
    number: 10,
    name: 'Rowan bead bracelet',
    kind: 'bracelet',
    metal: 'brass',
    uses: [['bead-chain', { long: '182 mm' }]],
    measures: { bead: '8 mm' },
    notes: 'Linked beads, wrapped loops, hook clasp.',
    parts: [['8 mm unakite bead', 8, 0.45]],
  },
  {
    number: 11,
    name: 'Thistledown weave ring',
    kind: 'ring',
    metal: 'sterling',
    uses: [['woven-band-ring', { cab: '6.8 mm' }]],
    measures: { ring: 'US 7 1/4' },
    notes: 'Three-wire woven band with a small cab; stretches a quarter size under the hammer.',
    parts: [['small garnet cab', 1, 4.2]],
  },
  {
    number: 4,
    name: 'Gatekeeper ring',
    kind: 'ring',
    metal: 'sterling',
    uses: [['bead-ring', { rounds: '3' }]],
    measures: { ring: 'US 8 1/2', bead: '8 mm' },
    notes: 'A bead wrapped on the mandrel; begin a size large.',
    parts: [['8 mm carnelian bead', 1, 1.4]],
  },
  {
    number: 12,
    name: 'Harbour crescent',
    kind: 'necklace',
    metal: 'sterling',
    uses: [
      ['band-frame', { bandsEach: '2', tail: '70 mm' }],
      [
        'straight-weave',
        { weave: 'A3 B3', length: '24 mm', weavingTail: '40 mm' },
        { frame: ['a.left', 'a.right'] },
      ],
      [
        'folded-bail',
        { wraps: '0', leg: '8 mm', inside: '5 mm', clear: '1 mm', tail: '40 mm' },
        { ends: ['b.end 1', 'b.end 2'] },
      ],
    ],
    measures: {
      'stone.outline': 'crescent',
      'stone.length': '38 mm',
      'stone.width': '16 mm',
      'stone.depth': '5.2 mm',
      'stone.edge': '3 mm',
    },
    notes: 'Crescent in a round-wire outline with half-round bands, two at each end.',
    parts: [
      ['unakite crescent', 1, 11],
      ['chain, 45 cm with clasp', 1, 9.8],
    ],
  },
];

/** Composes them anew. */
export async function revisePatterns(session: StudioSession): Promise<void> {
  const specs = Object.fromEntries((await listSpecs(session)).map((spec) => [spec.id, spec]));
  for (const pattern of REVISED_PATTERNS) {
    const key = keyOf(`revise ${pattern.name}`);
    if (await isPosted(session, key)) continue;
    const base = { number: pattern.number, revision: 1 };
    taken(await composePattern(session, key, base, composeInput(pattern, specs)));
  }
}
