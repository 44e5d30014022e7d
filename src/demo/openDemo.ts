import { tag } from '@/core/tag';
import { findSignIn } from '@/data/beforeStudio';
import type { StudioSession } from '@/studio/kernel/useCase';
import { makePiece } from '@/studio/making/makePiece';
import { proposeMaking } from '@/studio/making/proposeMaking';
import type { Id } from '@/core/id';
import { listSpecs } from '@/studio/catalogue/wireSpecs';

import { writePattern } from '@/studio/patterns/writePattern';
import { addHelper, listPeople } from '@/studio/people/helpers';
import { setUpStudio } from '@/studio/people/setUpStudio';
import { DEVICES } from '@/devices/devices';
import { setDevice } from '@/studio/settings/devices';
import { setRounds } from '@/studio/settings/setRounds';
import { changeSettings } from '@/studio/settings/settings';
import { pricePiece } from '@/studio/shelf/shelf';
import { receiveWire } from '@/studio/wire/receiveWire';
import type { KnownSpec } from '@/studio/catalogue/wireSpecs';
import { planDemoBatches } from './batches';

import { bought, DAYS, nameOf } from './buying';
import { Craft } from './composed';
import { handMade, OWNERS_HAND } from './handMade';
import { isPosted } from './isPosted';
import { keyOf } from './keyOf';
import { DEMO_PATTERNS, type DemoPattern } from './patterns';
import { revisePatterns } from './revised';
import { takeOrders } from './orders';
import { sellTwoYears } from './selling';
import { beginDemoSitting } from './sitting';
import { keepToken } from '@/studio/tokens/tokens';
import { DEMO_HELPER, DEMO_OWNER, DEMO_TOKEN } from './people';
import { fillDrawers, settleStockroom, tidyUp } from './stockUp';
import { taken } from './taken';
import { Chance } from '@/core/chance';
import { receiveParcel } from './parcel';
import { DEMO_WIRES, type DemoWire } from './wires';

const SEED = 20_240_611;
const DAY_MS = 86_400_000;
const PIECES = 240;
/** What the studio bends on. */
const DEMO_ROUNDS = [
  'hat pin: 1.4 mm',
  'bamboo skewer: 3 mm',
  'oak dowel: 6.2 mm',
  'cedar dowel: 9.5 mm',
  'bail pliers, thin jaw: 5 mm',
  'marker cap: 14 mm',
  'jam spoon handle: 18.5 mm',
  'spool core: 23 mm',
].join('\n');

const DONE_KEY = '00000000-0000-4000-a000-00000000d0e0';
const TOKEN_KEY = '00000000-0000-4000-a000-00000000d0e1';

/**
 * Opens the demonstration studio: two years of invented work, all of it done through the use cases themselves, so that
 * its books add up as anybody's would. The same seed gives the same studio. Every posting has a key from the seed, so a
 * run that was cut off goes on where it stopped.
 *
 * @param today the day the two years end
 * @param progress told now and then how far it is, 0 to 1
 */
export async function openDemo(today: Date, progress: (part: number) => void): Promise<void> {
  const owner = await demoOwner(today);
  taken(await keepToken(owner, TOKEN_KEY, { name: 'Demonstration', role: 'owner' }, DEMO_TOKEN));
  if (await isPosted(owner, DONE_KEY)) return;
  const chance = new Chance(SEED);
  const day = (n: number): StudioSession => ({
    ...owner,
    now: new Date(today.valueOf() - (DAYS - n) * DAY_MS),
  });
  await houseRules(day(0), chance);
  taken(await addHelper(day(30), chance.key(), DEMO_HELPER));

  // Every wire is bought once at the beginning; the common ones again and again.
  const orders = [...DEMO_WIRES.map((wire) => ({ at: chance.whole(0, 40), wire })), ...repeats(chance)].sort(
    (a, b) => a.at - b.at,
  );
  const makings = Array.from({ length: PIECES }, (_, index) => ({
    at: 45 + Math.floor((index * (DAYS - 46)) / PIECES) + chance.whole(0, 2),
  }));
  let ordered = 0;
  const receiveUntil = async (limit: number) => {
    for (; ordered < orders.length; ordered += 1) {
      const order = orders[ordered];
      if (!order || order.at > limit) return;
      taken(
        await receiveWire(
          day(order.at),
          chance.key(),
          bought(order.wire, order.at, day(order.at).now, chance),
        ),
      );
    }
  };

  await receiveUntil(44);
  await fillDrawers(day(44), chance);
  const patterns = await writePatterns(day(44), chance);
  const craft = new Craft(day, await demoHelper(owner));
  for (const [index, { at }] of makings.entries()) {
    await receiveUntil(at);
    await makeAndPrice(day(Math.min(at, DAYS)), patterns, chance);
    await craft.goOn(Math.min(at, DAYS));
    if (index % 12 === 0) {
      await tidyUp(day(Math.min(at, DAYS)), chance, index / 12);
      progress(index / PIECES);
    }
  }
  await receiveUntil(DAYS);
  await settleStockroom(day(DAYS));
  await planDemoBatches(day(DAYS));
  await receiveParcel(day(DAYS));
  await revisePatterns(day(DAYS));
  await beginDemoSitting(day(DAYS));
  await sellTwoYears(day, DAYS);
  await takeOrders(day, DAYS);
  await changeSettingsOnce(day(DAYS), DONE_KEY, '2');
  progress(1);
}

/** Who helps the owner. */
async function demoHelper(owner: StudioSession): Promise<Id<'user'>> {
  const helper = (await listPeople(owner)).find(({ login }) => login === DEMO_HELPER.login);
  if (!helper) throw new Error('nobody helps in the demonstration studio');
  return helper.userId;
}

async function demoOwner(now: Date): Promise<StudioSession> {
  const found = await findSignIn(DEMO_OWNER.login);
  if (found) return { studioId: found.studioId, userId: found.userId, role: 'owner', now };
  const made = await setUpStudio(
    {
      studioName: 'Sparrowgate Wire Studio',
      ownerName: DEMO_OWNER.name,
      login: DEMO_OWNER.login,
      password: DEMO_OWNER.password,
      currency: 'USD',
      lengthSystem: 'in',
      hourlyRate: '22.00 USD',
      overheadPerHour: '4.50 USD',
    },
    new Date(now.valueOf() - DAYS * DAY_MS),
  );
  return taken(made).session;
}

async function houseRules(session: StudioSession, chance: Chance): Promise<void> {
  await changeSettingsOnce(session, chance.key(), '1');
  taken(await setRounds(session, keyOf('rounds'), { rounds: DEMO_ROUNDS }));
  // What the demonstration studio has are the stand-ins that ship.
  for (const device of DEVICES)
    taken(await setDevice(session, keyOf(`device ${device}`), { device, kind: 'simulated', address: '' }));
}

async function changeSettingsOnce(session: StudioSession, key: string, version: string): Promise<void> {
  taken(
    await changeSettings(session, key, {
      version,
      name: 'Sparrowgate Wire Studio',
      lengthSystem: 'in',
      timeZone: 'UTC',
      numbers: 'point',
      days: 'month',
      rings: 'US',
      sheet: 'Letter',
      letterhead: '12 Millrace Lane\nHollow Weir\nTax number SW-40417',
      payTo: 'Weir Savings, account 00 4417 88\nPlease give the number of the invoice.',
      hourlyRate: '22.00 USD',
      overheadPerHour: '4.50 USD',
      targetPerHour: '30.00 USD',
      materialsFactor: '4',
      targetMargin: '25',
      feePercent: '3.5',
      feeFixed: '0.30 USD',
      taxPercent: '0',
      taxIncluded: false,
      priceFrom: 'replacement',
      rounding: 'up',
      priceEndings: ['0.00 USD', '4.00 USD', '8.00 USD'],
      usefulMinimum: '2 in',
      minimums: [
        { scope: 'metal', of: 'sterling', length: '1 in' },
        { scope: 'metal', of: 'gold-filled', length: '1 in' },
        { scope: 'metal', of: 'copper', length: '3 in' },
      ],
    }),
  );
}

/** Wires that run out and are bought again: what the patterns take. */
function repeats(chance: Chance): { at: number; wire: DemoWire }[] {
  const used = new Set(DEMO_PATTERNS.flatMap(({ cuts }) => cuts.map(({ wire }) => wire)));
  const common = DEMO_WIRES.filter((wire) => used.has(nameOf(wire)));
  return common.flatMap((wire) =>
    Array.from({ length: 7 }, (_, n) => ({ at: 60 + n * 90 + chance.whole(0, 60), wire })),
  );
}

interface WrittenPattern {
  readonly pattern: DemoPattern;
  readonly number: number;
}

/** A length as somebody who measures in inches writes it down: to the eighth, the small ones to the sixteenth. */
function eighths(mm: number): string {
  const parts = mm < 30 ? 16 : 8;
  const count = Math.max(1, Math.round((mm / 25.4) * parts));
  return `${Math.floor(count / parts)} ${count % parts}/${parts} in`;
}

async function writePatterns(session: StudioSession, chance: Chance): Promise<WrittenPattern[]> {
  const specs = await listSpecs(session);
  const idOf = (name: string) => {
    const same = ({ metal, label, profile, temper, finishName }: KnownSpec) =>
      [metal, label.number, profile, temper, finishName].filter(Boolean).join(' ') === name;
    const spec = specs.find(same);
    if (!spec) throw new Error(`the demo has no wire “${name}”`);
    return spec.id;
  };
  const written: WrittenPattern[] = [];
  for (const pattern of DEMO_PATTERNS) {
    const { name, kind, notes, cuts, parts, steps } = pattern;
    const outcome = await writePattern(session, chance.key(), null, {
      name,
      kind,
      notes,
      cuts: cuts.map((each) => ({
        name: each.name,
        specId: idOf(each.wire),
        count: String(each.count),
        net: eighths(each.net),
        allowances: each.allowances.map(([called, mm]) => ({ name: called, length: eighths(mm) })),
      })),
      parts: parts.map(([called, count, dollars]) => ({
        name: called,
        count: String(count),
        unitCost: `${dollars.toFixed(2)} USD`,
      })),
      steps: steps.map(([called, minutes, per]) => ({
        name: called,
        minutes: String(minutes),
        perSitting: per === 'sitting',
      })),
    });
    written.push({ pattern, number: taken(outcome).number });
  }
  return written;
}

async function makeAndPrice(
  session: StudioSession,
  patterns: readonly WrittenPattern[],
  chance: Chance,
): Promise<void> {
  const tickets = patterns.flatMap((each) => Array.from({ length: each.pattern.weight }, () => each));
  const { pattern, number } = chance.pick(tickets);
  const [makeKey, priceKey, priced] = [chance.key(), chance.key(), chance.happens(0.9)];
  const hand = new Chance(chance.whole(1, 1_000_000_000));
  const proposal = await proposeMaking(session, number);
  if (!proposal) throw new Error(`pattern ${tag('pattern', number)} vanished`);
  if (proposal.shortages.length > 0) return;
  const made = await makePiece(
    session,
    makeKey,
    { number, revision: 1 },
    handMade(proposal, hand, OWNERS_HAND),
  );
  if (!made.ok || !priced) return;
  const school = hand.pick(['market', 'market', 'market', 'hourly', 'margin', 'materials']);
  const going = Math.round(pattern.goingPrice * hand.between(0.95, 1.1));
  taken(
    await pricePiece(session, priceKey, made.value.number, {
      version: '1',
      school,
      goingPrice: `${going}.00 USD`,
    }),
  );
}
