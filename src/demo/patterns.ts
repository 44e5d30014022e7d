import type { PatternKind } from '@/core/pattern/pattern';

/** A wire as the demo patterns name it: "sterling 20 round half hard". */
type WireName = string;

export interface DemoCut {
  readonly name: string;
  readonly wire: WireName;
  readonly count: number;
  /** mm. */
  readonly net: number;
  readonly allowances: readonly (readonly [name: string, mm: number])[];
}

export interface DemoPattern {
  readonly name: string;
  readonly kind: PatternKind;
  readonly notes: string;
  readonly cuts: readonly DemoCut[];
  readonly parts: readonly (readonly [name: string, count: number, dollars: number])[];
  readonly steps: readonly (readonly [name: string, minutes: number, perSitting?: 'sitting'])[];
  /** What such a piece goes for at the fair, in dollars. */
  readonly goingPrice: number;
  /** How often it is made, relative to the others. */
  readonly weight: number;
}

const cut = (
  name: string,
  wire: WireName,
  count: number,
  net: number,
  ...allowances: (readonly [string, number])[]
): DemoCut => ({ name, wire, count, net, allowances });

const TAILS = ['tails', 120] as const;
const WEAVE_TAILS = ['tails', 100] as const;
const TRIM = ['trim', 2] as const;
const SET_UP = ['lay out tools and straighten wire', 8, 'sitting'] as const;
const FINISH = ['antique, polish and inspect', 9] as const;

/** The patterns of the demo studio, all its own. */
export const DEMO_PATTERNS: readonly DemoPattern[] = [
  {
    name: 'Millrace pendant',
    kind: 'pendant',
    notes: 'For a 20 × 14 mm teardrop cab. Keep the three frame wires side by side at the shoulder.',
    cuts: [
      cut('frame wire', 'sterling 20 round half hard', 3, 76, TAILS, ['bail', 14]),
      cut('weaving wire', 'fine-silver 28 round dead soft', 1, 880, WEAVE_TAILS),
      cut('binding band', 'sterling 21 half-round half hard', 2, 38, TRIM),
    ],
    parts: [['prehnite teardrop cab 20 × 14 mm', 1, 7.5]],
    steps: [
      SET_UP,
      ['weave the base', 34],
      ['form to the stone and try it', 12],
      ['close the top', 6],
      ['turn back and front holds', 11],
      ['bail', 10],
      FINISH,
    ],
    goingPrice: 96,
    weight: 14,
  },
  {
    name: 'Heron ear wires',
    kind: 'earrings',
    notes: 'Made as a pair, step by step together. Round both ends.',
    cuts: [cut('ear wire', 'sterling 21 round half hard', 2, 55, ['to hold', 45])],
    parts: [['4 mm garnet bead', 2, 0.6]],
    steps: [
      ['set the jig', 4, 'sitting'],
      ['bend both', 6],
      ['hammer and round the ends', 5],
    ],
    goingPrice: 24,
    weight: 22,
  },
  {
    name: 'Saltmarsh hoops',
    kind: 'earrings',
    notes: 'Five small beads bound on each hoop; two wraps between, four at each end.',
    cuts: [
      cut('hoop', 'sterling 18 round half hard', 2, 94, ['loops', 22]),
      cut('binding wire', 'sterling 28 round dead soft', 2, 330, ['tails', 60]),
    ],
    parts: [['2 mm peridot bead', 10, 0.35]],
    steps: [
      SET_UP,
      ['form hoops on the mandrel', 7],
      ['bind the beads', 24],
      ['close and file ends', 6],
      FINISH,
    ],
    goingPrice: 58,
    weight: 12,
  },
  {
    name: 'Gatekeeper ring',
    kind: 'ring',
    notes: 'A bead wrapped on the mandrel; begin a size large.',
    cuts: [cut('band wire', 'sterling 20 round half hard', 1, 214, ['tails', 40])],
    parts: [['8 mm carnelian bead', 1, 1.4]],
    steps: [
      ['mark the mandrel', 3, 'sitting'],
      ['wrap the band', 9],
      ['wrap round the bead', 7],
      ['tuck the ends', 5],
      ['size and harden', 4],
    ],
    goingPrice: 38,
    weight: 18,
  },
  {
    name: 'Quarry cuff',
    kind: 'bracelet',
    notes: 'Five wires bound flat; half-round binding with its flat side in.',
    cuts: [
      cut('cuff wire', 'copper 16 round dead soft', 5, 152, ['trim', 6]),
      cut('binding', 'copper 21 half-round dead soft', 4, 60, TRIM),
    ],
    parts: [],
    steps: [
      SET_UP,
      ['cut and tape the bundle', 8],
      ['bind at four places', 22],
      ['bend to the mandrel', 6],
      ['file the ends', 8],
      FINISH,
    ],
    goingPrice: 44,
    weight: 8,
  },
  {
    name: 'Copper fern brooch',
    kind: 'brooch',
    notes: '',
    cuts: [
      cut('stem', 'copper 16 round dead soft', 1, 130, ['pin and catch', 60]),
      cut('fronds', 'copper 20 round dead soft', 6, 62, ['curls', 20]),
      cut('binding', 'copper 28 round dead soft', 1, 700, WEAVE_TAILS),
    ],
    parts: [],
    steps: [
      SET_UP,
      ['curl the fronds', 18],
      ['bind them to the stem', 26],
      ['form pin and catch', 9],
      FINISH,
    ],
    goingPrice: 36,
    weight: 7,
  },
  {
    name: 'Tidepool drop',
    kind: 'earrings',
    notes: 'Briolettes hang from a wrapped loop; the drop sits at a third of the wire.',
    cuts: [
      cut('hanging wire', 'gold-filled 26 round dead soft', 2, 58, ['tails', 17]),
      cut('ear wire', 'gold-filled 20 round half hard', 2, 55, ['to hold', 45]),
    ],
    parts: [['iolite briolette 9 × 6 mm', 2, 3.2]],
    steps: [
      ['match the pair', 4, 'sitting'],
      ['wrap the drops', 15],
      ['ear wires', 9],
      ['hang and inspect', 4],
    ],
    goingPrice: 72,
    weight: 12,
  },
  {
    name: 'Sea glass cage',
    kind: 'pendant',
    notes: 'Two flat spirals opened round an undrilled pebble.',
    cuts: [cut('cage wire', 'copper 18 round half hard', 1, 270, ['loop', 30])],
    parts: [['sea glass pebble', 1, 0.5]],
    steps: [
      ['sort the glass', 5, 'sitting'],
      ['wind the spirals', 11],
      ['open and set', 8],
      ['tighten', 3],
    ],
    goingPrice: 26,
    weight: 16,
  },
  {
    name: 'Lantern frame pendant',
    kind: 'pendant',
    notes: 'Open frame edged with 2 mm beads, then a two-wire weave.',
    cuts: [
      cut('frame', 'copper 1.0 round dead soft', 2, 132, ['tails', 68]),
      cut('weaving wire', 'copper 0.4 round dead soft', 1, 900, WEAVE_TAILS),
    ],
    parts: [['2 mm bronze bead', 18, 0.06]],
    steps: [SET_UP, ['edge with beads', 32], ['weave', 28], ['form and close', 9], ['bail', 8], FINISH],
    goingPrice: 54,
    weight: 9,
  },
  {
    name: 'Rowan bead bracelet',
    kind: 'bracelet',
    notes: 'Seven linked beads, wrapped loops, hook clasp.',
    cuts: [
      cut('link wire', 'brass 20 round dead soft', 7, 44, ['to hold', 31]),
      cut('clasp', 'brass 18 round dead soft', 1, 62, TRIM),
      cut('jump ring', 'brass 20 round dead soft', 2, 17, TRIM),
    ],
    parts: [['8 mm unakite bead', 7, 0.45]],
    steps: [
      ['count out the beads', 5, 'sitting'],
      ['wrap the links', 38],
      ['clasp and rings', 9],
      ['inspect', 3],
    ],
    goingPrice: 48,
    weight: 11,
  },
  {
    name: 'Thistledown weave ring',
    kind: 'ring',
    notes: 'Three-wire woven band with a small cab; stretches a quarter size under the hammer.',
    cuts: [
      cut('band wire', 'sterling 20 round dead soft', 3, 118, ['tails', 32]),
      cut('weaving wire', 'fine-silver 28 round dead soft', 1, 760, WEAVE_TAILS),
    ],
    parts: [['6 mm garnet cab', 1, 4.2]],
    steps: [
      SET_UP,
      ['weave the band', 41],
      ['form on the mandrel', 7],
      ['set the cab', 14],
      ['size and harden', 5],
      FINISH,
    ],
    goingPrice: 84,
    weight: 8,
  },
  {
    name: 'Harbour crescent',
    kind: 'necklace',
    notes: 'Crescent in a round-wire outline with half-round bands, three at each end.',
    cuts: [
      cut('outline', 'sterling 18 round dead soft', 1, 356, ['tails', 70]),
      cut('bands', 'sterling 21 half-round half hard', 6, 58, TRIM),
      cut('accent', 'sterling 21 square half hard', 1, 150, ['tails', 50]),
    ],
    parts: [
      ['unakite crescent 38 × 16 mm', 1, 11],
      ['chain, 45 cm with clasp', 1, 9.8],
    ],
    steps: [
      SET_UP,
      ['form the outline', 16],
      ['lay the bands', 29],
      ['accent and bail', 18],
      ['balance on the chain', 6],
      FINISH,
    ],
    goingPrice: 138,
    weight: 5,
  },
  {
    name: 'Plum coil pendant',
    kind: 'pendant',
    notes: 'Coated wire: do not hammer, do not antique.',
    cuts: [
      cut('core', 'copper 20 round dead soft plum', 1, 120, ['tails', 60]),
      cut('coil', 'copper 24 round dead soft plum', 1, 1180, ['first bend', 20]),
    ],
    parts: [['10 mm glass bead', 1, 0.8]],
    steps: [
      ['wind the coil', 16],
      ['coil the coil', 9],
      ['form and close', 10],
    ],
    goingPrice: 28,
    weight: 7,
  },
  {
    name: 'Everyday jump rings',
    kind: 'finding',
    notes: 'Ten rings of 5 mm inside, for stock.',
    cuts: [cut('ring', 'sterling 18 round half hard', 10, 19, ['saw', 1])],
    parts: [],
    steps: [
      ['wind on the mandrel', 4],
      ['saw apart', 6],
    ],
    goingPrice: 9,
    weight: 6,
  },
];
