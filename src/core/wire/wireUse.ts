import type { Temper } from './metal';
import type { DrawnProfile } from './profile';

/** What a wire is for; which sizes, profiles and tempers suit it is common practice (handbook of the trade). */
export interface WireUse {
  readonly name: string;
  /** AWG numbers that suit it: from the thickest to the thinnest. */
  readonly gauges: readonly [thickest: number, thinnest: number];
  readonly profiles: readonly DrawnProfile[];
  readonly tooThick: string;
  readonly tooThin: string;
  /** Softest and hardest temper that suits it. */
  readonly tempers?: readonly [softest: Temper, hardest: Temper];
  readonly temperWhy?: string;
}

const ROUND_OR_SQUARE = ['round', 'square'] as const;

export const WIRE_USES = {
  'heavy frame': {
    name: 'a heavy open frame or cradle',
    gauges: [14, 16],
    profiles: ROUND_OR_SQUARE,
    tooThick: 'hands and pliers hardly bend it to a stone',
    tooThin: 'a cradle of it gives under the weight of the stone',
  },
  'loop bezel': {
    name: 'a bezel of loops',
    gauges: [15, 17],
    profiles: ['round'],
    tooThick: 'small loops crack or open when they are turned in it',
    tooThin: 'its loops bend away from the shoulder of the stone',
  },
  cage: {
    name: 'a cage round an undrilled stone',
    gauges: [16, 18],
    profiles: ROUND_OR_SQUARE,
    tooThick: 'it does not follow a small stone',
    tooThin: 'it pulls open',
  },
  frame: {
    name: 'a frame, ring, link, pin or clasp',
    gauges: [18, 22],
    profiles: ROUND_OR_SQUARE,
    tooThick: 'it does not pass most beads and looks heavy beside small stones',
    tooThin: 'links and frames of it bend in wear',
  },
  'bead ring': {
    name: 'a ring that is wrapped or wound',
    gauges: [18, 22],
    profiles: ['round'],
    tooThick: 'its wraps cannot be drawn close',
    tooThin: 'the shank bends in wear',
    tempers: ['dead soft', 'half hard'],
    temperWhy:
      'half hard keeps the shank round, quarter hard is the compromise that still wraps, soft wraps best',
  },
  'ear wire': {
    name: 'an ear wire',
    gauges: [20, 22],
    profiles: ['round'],
    tooThick: 'it is too thick for comfort',
    tooThin: 'it bends open',
  },
  binding: {
    name: 'binding a bundle',
    gauges: [18, 21],
    profiles: ['half-round', 'round', 'flat'],
    tooThick: 'it cannot be drawn close round the bundle',
    tooThin: 'its bands cut in and look thin',
  },
  'bundle binding': {
    name: 'binding frame wires into a bundle',
    gauges: [18, 30],
    profiles: ['half-round', 'round', 'flat'],
    tooThick: 'it cannot be drawn close round the bundle',
    tooThin: 'it breaks where it is drawn tight',
    tempers: ['dead soft', 'dead soft'],
    temperWhy: 'springy wire will not pull tight round the bundle',
  },
  net: {
    name: 'a twisted net',
    gauges: [22, 28],
    profiles: ['round'],
    tooThick: 'its twists stand off the stone',
    tooThin: 'the net opens under the weight of the stone',
    tempers: ['dead soft', 'dead soft'],
    temperWhy: 'springy wire untwists',
  },
  band: {
    name: 'wires that lie flat in a bundle',
    gauges: [18, 22],
    profiles: ['square', 'round'],
    tooThick: 'the bundle grows wide and stiff',
    tooThin: 'the bundle bends in wear',
  },
  weaving: {
    name: 'weaving or binding with thin wire',
    gauges: [24, 30],
    profiles: ['round'],
    tooThick: 'it bends the frame wires instead of lying round them',
    tooThin: 'it breaks where it is drawn tight',
    tempers: ['dead soft', 'dead soft'],
    temperWhy: 'springy wire will not pull tight, beads slide on it, and it breaks at a sharp kink',
  },
  branch: {
    name: 'thin branches that are twisted',
    gauges: [26, 32],
    profiles: ['round'],
    tooThick: 'twists of it stand off the stone',
    tooThin: 'it breaks where it is twisted tight',
    tempers: ['dead soft', 'dead soft'],
    temperWhy: 'springy wire untwists',
  },
  hanging: {
    name: 'hanging a drop',
    gauges: [22, 28],
    profiles: ['round'],
    tooThick: 'it does not pass the hole of most drops',
    tooThin: 'the drop wears through it',
  },
  coiling: {
    name: 'coiling',
    gauges: [16, 30],
    profiles: ['round', 'square', 'half-round', 'flat'],
    tooThick: 'it does not coil by hand',
    tooThin: 'its coil has no hold',
  },
  any: {
    name: 'anything',
    gauges: [0, 44],
    profiles: ['round', 'square', 'half-round', 'flat'],
    tooThick: '',
    tooThin: '',
  },
} as const satisfies Readonly<Record<string, WireUse>>;
/** What a technique uses a wire for. */
export type WireUseId = keyof typeof WIRE_USES;
