import type { Id } from '@/core/id';
import type { PatternKind } from '@/core/pattern/pattern';
import type { StudioSession } from '@/studio/kernel/useCase';
import { makePiece } from '@/studio/making/makePiece';
import type { MakePieceInput } from '@/studio/making/makePiece.input';
import { proposeMaking, type MakingProposal } from '@/studio/making/proposeMaking';
import { composePattern } from '@/studio/patterns/composePattern';
import type { HousePattern } from '@/core/house/composedOf';
import { HOUSE_PATTERNS } from '@/core/house/housePatterns';
import { pricePiece } from '@/studio/shelf/shelf';
import { receiveWire } from '@/studio/wire/receiveWire';
import { listSpecs, type KnownSpec } from '@/studio/catalogue/wireSpecs';
import { bought, DAYS, nameOf } from './buying';
import { handMade, HELPERS_HAND, OWNERS_HAND, timedSteps, type Hand } from './handMade';
import { composeInput } from './composeInput';
import { isPosted } from './isPosted';
import { keyOf } from './keyOf';
import { Chance } from '@/core/chance';
import { taken } from './taken';
import { DEMO_WIRES } from './wires';

/** The day from which on the studio composes its patterns, and makes pieces of them. */
const COMPOSED_FROM = DAYS - 150;

/** How many pieces of composed patterns are made each time that something else is. */
const EACH_TIME = 2;
/** Of those that end on the shelf so many of three are made. */
const MADE_OF_THREE = 2;

/** Of so many pieces the helper makes one. */
const HELPED = 3;

/** What a piece of a kind goes for at the fair, in dollars. */
const GOES_FOR: Readonly<Record<PatternKind, number>> = {
  pendant: 84,
  earrings: 46,
  ring: 52,
  bracelet: 96,
  necklace: 118,
  brooch: 44,
  finding: 9,
  other: 30,
};

/** A pattern that was composed, and its number. */
interface ComposedPattern {
  readonly pattern: HousePattern;
  readonly number: number;
}

/** Composes all patterns of the house. */
async function composePatterns(session: StudioSession): Promise<readonly ComposedPattern[]> {
  const specs = Object.fromEntries((await listSpecs(session)).map((spec) => [spec.id, spec]));
  const composed: ComposedPattern[] = [];
  for (const pattern of HOUSE_PATTERNS) {
    const key = keyOf(`compose ${pattern.name}`);
    const outcome = await composePattern(session, key, null, composeInput(pattern, specs));
    composed.push({ pattern, number: taken(outcome).number });
  }
  return composed;
}

/** Those of the composed patterns that are made. */
const madeOf = (composed: readonly ComposedPattern[]): readonly ComposedPattern[] =>
  composed
    .filter(({ pattern: { kind } }) => kind !== 'finding')
    .filter((_, index) => index % 3 < MADE_OF_THREE);

/**
 * Makes and prices one piece of a composed pattern; wire that is not there is bought first.
 * @param maker who makes it
 * @param nth how many pieces of composed patterns were made before
 * @param on the day, counted from the first of the two years
 */
async function makeComposed(
  session: StudioSession,
  maker: StudioSession,
  { pattern, number }: ComposedPattern,
  nth: number,
  on: number,
): Promise<void> {
  const [makeKey, priceKey] = [keyOf(`make composed ${nth}`), keyOf(`price composed ${nth}`)];
  if (await isPosted(session, priceKey)) return;
  const hand = new Chance(nth + 1);
  const short = await proposeMaking(session, number);
  for (const { spec } of short?.shortages ?? []) if (spec) await buy(session, spec, nth, on, hand);
  const proposal = await proposeMaking(session, number);
  if (!proposal || proposal.shortages.length > 0) throw new Error(`“${pattern.name}” cannot be made`);
  const own = maker.role === 'helper' ? HELPERS_HAND : OWNERS_HAND;
  const made = await makePiece(
    maker,
    makeKey,
    { number, revision: proposal.pattern.revision },
    withTimes(handMade(proposal, hand, own), nth, proposal, own),
  );
  // A wire was spoiled, and there is no more for another.
  if (!made.ok) return;
  taken(
    await pricePiece(session, priceKey, made.value.number, {
      version: '1',
      school: hand.pick(['market', 'market', 'hourly', 'margin']),
      goingPrice: `${Math.round(GOES_FOR[pattern.kind] * hand.between(0.8, 1.3))}.00 USD`,
    }),
  );
}

/** Of so many makings one is timed step by step. */
const TIMED_OF = 2;

/** The same with what the watch counted, where somebody let it run. */
function withTimes(
  told: MakePieceInput,
  nth: number,
  { pattern: { body } }: MakingProposal,
  hand: Hand,
): MakePieceInput {
  if (nth % TIMED_OF > 0) return told;
  // What the watch counts changes nothing of all else that is drawn.
  const steps = timedSteps(body.steps, new Chance(nth + 7001), hand);
  const minutes = steps.reduce((sum, each) => sum + each.minutes, 0);
  return {
    ...told,
    steps: steps.map((each) => ({ step: each.step, minutes: String(each.minutes) })),
    minutes: String(Math.max(1, Math.round(minutes))),
  };
}

/** The work of the last months: composed patterns, made one after the other, beside what is made of the written ones. */
export class Craft {
  #made: readonly ComposedPattern[] = [];
  #count = 0;

  /**
   * @param day the studio on a day, counted from the first of the two years
   * @param helper who makes some of them
   */
  constructor(
    readonly day: (n: number) => StudioSession,
    readonly helper: Id<'user'>,
  ) {}

  /** Goes on with it on a day, when that is late enough. */
  async goOn(on: number): Promise<void> {
    if (on < COMPOSED_FROM) return;
    if (this.#made.length === 0) this.#made = madeOf(await composePatterns(this.day(on)));
    for (let each = 0; each < EACH_TIME; each += 1) {
      const pattern = this.#made[this.#count % this.#made.length];
      if (!pattern) throw new RangeError('no pattern of the house is made');
      const owner = this.day(on);
      const byHelper = this.#count % HELPED === HELPED - 1;
      const maker: StudioSession = byHelper ? { ...owner, userId: this.helper, role: 'helper' } : owner;
      await makeComposed(owner, maker, pattern, this.#count, on);
      this.#count += 1;
    }
  }
}

async function buy(
  session: StudioSession,
  spec: KnownSpec,
  nth: number,
  on: number,
  hand: Chance,
): Promise<void> {
  const { metal, label, profile, temper, finishName } = spec;
  const name = [metal, label.number, profile, temper, finishName].filter(Boolean).join(' ');
  const wire = DEMO_WIRES.find((each) => nameOf(each) === name);
  if (!wire) throw new Error(`the demo buys no “${name}”`);
  taken(await receiveWire(session, keyOf(`buy ${name} for ${nth}`), bought(wire, on, session.now, hand)));
}
