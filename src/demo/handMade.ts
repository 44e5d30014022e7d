import { sumLengths, um, writableLengths, type Micrometres } from '@/core/units/length';
import type { MakePieceInput } from '@/studio/making/makePiece.input';
import type { MakingProposal } from '@/studio/making/proposeMaking';
import type { PatternStep } from '@/core/pattern/pattern';
import type { Chance } from '@/core/chance';

const REASONS = [
  'cut too short',
  'snapped at a kink',
  'marred by pliers',
  'wrong wire cut',
  'bent out of shape',
];

/** Of what is proposed, what a hand goes by. */
type ToMake = Pick<MakingProposal, 'cuts' | 'parts' | 'minutes' | 'choices' | 'ring'> & {
  readonly pattern: { readonly specs: Readonly<Record<string, { readonly width: number }>> };
};

/** How somebody works, whatever the plan says. */
export interface Hand {
  /** How much longer than they mean to they cut, as a factor. */
  readonly cutsLong: number;
  /** How much of a thin wire stays in a piece, of what is planned to: who winds loosely takes more. */
  readonly thin: number;
  /** The same of a thick one. */
  readonly thick: number;
  /** How far makings lie from that, as a standard deviation of the logarithm. */
  readonly steady: number;
  /** How long they take, of what is planned. */
  readonly time: number;
  /** How much larger their rings come out than they are made for, in US sizes. */
  readonly rings: number;
}

/** The hands of the demonstration studio: what its log is to find out. */
export const OWNERS_HAND: Hand = {
  cutsLong: 1,
  thin: 1.06,
  thick: 0.98,
  steady: 0.025,
  time: 1.05,
  rings: -0.3,
};
export const HELPERS_HAND: Hand = {
  cutsLong: 1.08,
  thin: 0.97,
  thick: 1.01,
  steady: 0.04,
  time: 1.4,
  rings: 0.1,
};

/** Steps that this studio takes so much longer for than anybody would plan. */
export const SLOW_STEP = { named: /^weave/, times: 2 };

/** What each step took of a making at which somebody let the watch run; minutes to a tenth. */
export function timedSteps(
  steps: readonly Pick<PatternStep, 'name' | 'minutes' | 'perSitting'>[],
  chance: Chance,
  hand: Hand,
): readonly { readonly step: number; readonly minutes: number }[] {
  return steps.flatMap(({ name, minutes, perSitting }, step) => {
    const slow = SLOW_STEP.named.test(name) ? SLOW_STEP.times : 1;
    const took = minutes * hand.time * slow * Math.exp(chance.normal(0, 0.2));
    return perSitting || minutes === 0 ? [] : [{ step, minutes: Math.max(0.1, Math.round(took * 10) / 10) }];
  });
}

/** Thinner wire than this, µm, is wound round other wire. */
const THIN = 500;
/** Of so many makings one is written down wrong. */
const WILD_OF = 90;

/** What a real hand does with a proposal: takes what it takes, trims the ends, sometimes cuts long or spoils one. */
export function handMade(
  { cuts, parts, minutes, choices, pattern, ring }: ToMake,
  chance: Chance,
  hand: Hand,
): MakePieceInput {
  const left = new Map(choices.map(({ id, length }) => [id, length]));
  const isWild = chance.whole(1, WILD_OF) === 1;
  const open = new Map<string, number>();
  for (const { from, length } of cuts) if (from) open.set(from, (open.get(from) ?? 0) + length);
  const done = cuts.map(({ cutIndex, copy, from, specId, length, tails }) => {
    const own = from ?? '';
    const isThin = (pattern.specs[specId]?.width ?? 0) < THIN;
    const trimmed = sumLengths(tails);
    const takes = (isThin ? hand.thin : hand.thick) * Math.exp(chance.normal(0, hand.steady));
    const stays = (length - trimmed) * takes * (isWild ? 1.6 : 1);
    const generous = chance.happens(0.15) ? chance.between(1.05, 1.25) : 1;
    // No longer than there is, when the other wires of the piece are cut from the same.
    const others = (open.get(own) ?? 0) - length;
    const most = (left.get(own) ?? length) - others;
    const cut = toMm(Math.min(most, Math.max(length * hand.cutsLong * generous, stays + trimmed / 2)));
    open.set(own, others);
    left.set(own, um((left.get(own) ?? 0) - cut));
    return {
      cutIndex,
      copy,
      from: own,
      cut: writableLengths([cut], 'mm'),
      back: writableLengths(ends(toMm(Math.max(0, cut - stays)), tails.length), 'mm'),
    };
  });
  const [first] = done;
  const room = first ? (left.get(first.from) ?? 0) - (open.get(first.from) ?? 0) : 0;
  const lost = toMm(chance.between(8_000, 60_000));
  const spoils = first !== undefined && chance.happens(0.14) && lost < room;
  return {
    cuts: done,
    spoiled: spoils
      ? [{ from: first.from, length: writableLengths([lost], 'mm'), reason: chance.pick(REASONS) }]
      : [],
    // Most stones of two years were bought for their piece; the tray holds what was bought besides.
    parts: parts.flatMap(({ part, picks, choices: lots }) =>
      picks.map(({ from, count }) => ({
        part,
        from: lots.some(({ id, ware }) => id === from && ware === 'stone') ? '' : (from ?? ''),
        count: String(count),
      })),
    ),
    ...(ring && { finished: readOnMandrel(ring, hand, chance) }),
    minutes: String(Math.max(1, Math.round(minutes.each * hand.time * Math.exp(chance.normal(0, 0.14))))),
    setUpMinutes: String(minutes.setUp),
    sharedBy: String(chance.pick([1, 1, 2, 3, 4])),
  };
}

/** What the mandrel says of a ring, to a quarter of a size. */
function readOnMandrel(ring: string, { rings }: Hand, chance: Chance): string {
  const wanted = /^US (\d+)([¼½¾]?)/.exec(ring);
  const size = Number(wanted?.[1]) + (QUARTERS[wanted?.[2] ?? ''] ?? 0);
  return `US ${Math.round(4 * (size + rings + chance.normal(0, 0.15))) / 4}`;
}

const QUARTERS: Readonly<Record<string, number>> = { '': 0, '¼': 0.25, '½': 0.5, '¾': 0.75 };

/** Nobody reads a ruler closer than to the millimetre; down, since no more can be cut than there is. */
const toMm = (length: number): Micrometres => um(Math.max(0, Math.floor(length / 1000) * 1000));

/** What was trimmed, as the ends of the wire: both are held where two tails are planned. */
function ends(back: Micrometres, tails: number): Micrometres[] {
  if (tails < 2) return [back];
  const first = toMm(back / 2);
  return [first, um(back - first)];
}
