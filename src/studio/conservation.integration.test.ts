import fc from 'fast-check';
import { um } from '@/core/units/length';
import { massOfLength } from '@/core/wire/mass';
import { checkBooks } from '@/data/checkBooks';
import { closeDatabase } from '@/data/database';
import {
  SPOOL,
  addTestHelper,
  done,
  newKey,
  openAsOwner,
  openStudio,
  receive,
  simplePattern,
  type OwnerClient,
} from '../../tests/support/studio';
import { keepCounted, postCount, showCount, startCount } from './counting/counting';
import { countOutSet } from './drawers/countOutSet';
import { makeFindings } from './drawers/makeFindings';
import { receiveBeads, receiveFindings } from './drawers/receive';
import type { Outcome } from './kernel/outcome';
import { look, type StudioSession } from './kernel/useCase';
import { reverseMovement } from './ledger/reverse';
import { makePiece } from './making/makePiece';
import { proposeMaking } from './making/proposeMaking';
import { sendForRefining } from './scrap/jars';
import { takeOut } from './stock/takeOut';
import { partWire } from './wire/partWire';
import { showStockPiece } from './wire/rack';
import { receiveWire } from './wire/receiveWire';
import { relabelWire } from './wire/relabelWire';
import { specsById } from './wire/specs';
import { twistWire } from './wire/twistWire';
import { weighIn } from './wire/weighIn';

/** Ten thousand random operations of a stockroom, several at a time: nothing may be lost or made up. */

let asker: OwnerClient;

beforeAll(() => {
  asker = openAsOwner();
  // A lost race is run again; each is told on the console with the lines it came from, which takes longer than the race.
  jest.spyOn(console, 'warn').mockImplementation(() => undefined);
});

afterAll(async () => {
  await asker.close();
  await closeDatabase();
});

const RUNS = 25;
const OPERATIONS = 400;
const AT_ONCE = 4;

const KINDS = [
  'receive',
  'receive beads',
  'receive findings',
  'part',
  'part',
  'twist',
  'spoil',
  'use',
  'use beads',
  'use findings',
  'weigh',
  'count',
  'make',
  'make',
  'make',
  'make findings',
  'relabel',
  'set',
  'reverse',
  'reverse',
  'refine',
] as const;

interface Operation {
  readonly kind: (typeof KINDS)[number];
  /** Which of what there is, and how much of it, as parts of a thousand. */
  readonly which: number;
  readonly part: number;
  readonly back: number;
  readonly byHelper: boolean;
}

const operation: fc.Arbitrary<Operation> = fc.record({
  kind: fc.constantFrom(...KINDS),
  which: fc.integer({ min: 0, max: 999 }),
  part: fc.integer({ min: 1, max: 1100 }),
  back: fc.integer({ min: 0, max: 950 }),
  byHelper: fc.boolean(),
});

/** What the test itself bought, by the key it was posted under. */
type Bought = Map<string, { readonly ware: string; readonly quantity: number; readonly price: number }>;

const PURCHASE = { supplier: '', boughtOn: '2026-05-04', place: 'Box', note: '', paid: '' };
const SPECS = [
  {},
  { gaugeNumber: '26', metal: 'copper' },
  { gaugeNumber: '22', profile: 'square', metal: 'brass' },
];

const dollars = (cents: number): string => `${(cents / 100).toFixed(2)} USD`;

class Bench {
  readonly bought: Bought = new Map();
  taken = 0;

  constructor(
    readonly owner: StudioSession,
    readonly helper: StudioSession,
    readonly pattern: { number: number; revision: number },
  ) {}

  /** A stock piece of a ware that still holds something. */
  async #some(ware: string, which: number): Promise<{ number: number; quantity: number } | undefined> {
    const rows = await asked<{ number: number; quantity: number }>(
      'SELECT number, quantity::float8 AS quantity FROM stock_pieces WHERE studio_id = $1 AND ware = $2 AND quantity > 0 ORDER BY number',
      this.owner.studioId,
      ware,
    );
    return rows[which % Math.max(1, rows.length)];
  }

  async #buy(
    ware: string,
    quantity: number,
    price: number,
    post: (key: string) => Promise<Outcome<unknown>>,
  ) {
    const key = newKey();
    const outcome = await post(key);
    if (outcome.ok) this.bought.set(key, { ware, quantity, price });
    return outcome;
  }

  async run({ kind, which, part, back, byHelper }: Operation): Promise<void> {
    const outcome = await this.#do(kind, which, part, back, byHelper ? this.helper : this.owner);
    if (outcome?.ok) this.taken += 1;
    // Refusals are expected: more is asked for than there is, things are gone meanwhile, or a slow machine lost the race too
    // often and says that nothing was posted. What nobody foresaw is thrown, and fails the test.
    if (outcome && !outcome.ok && outcome.problem.kind === 'fault')
      expect(outcome.problem.message).toMatch(/Nothing was posted/);
  }

  async #do(
    kind: Operation['kind'],
    which: number,
    part: number,
    back: number,
    who: StudioSession,
  ): Promise<Outcome<unknown> | undefined> {
    const { owner } = this;
    const price = 1 + ((which * 37 + part) % 5000);
    const wire = () => this.#some('wire', which);
    const of = (quantity: number) => Math.max(1, Math.floor((quantity * part) / 1000));
    switch (kind) {
      case 'receive': {
        const length = 1000 * part + which;
        const input = {
          ...SPOOL,
          ...SPECS[which % SPECS.length],
          length: `${length} µm`,
          price: dollars(price),
        };
        return this.#buy('wire', length, price, (key) => receiveWire(owner, key, input));
      }
      case 'receive beads': {
        const bead = {
          material: 'garnet',
          shape: 'round',
          size: '4 mm',
          largest: '',
          hole: '0.8 mm',
          form: 'strand',
          shades: `pale ${Math.floor(part / 2)}`,
        };
        return this.#buy('bead', part, price, (key) =>
          receiveBeads(owner, key, { ...PURCHASE, ...bead, count: String(part), price: dollars(price) }),
        );
      }
      case 'receive findings': {
        const finding = { finding: 'head pin', material: 'brass', size: '' };
        return this.#buy('finding', part, price, (key) =>
          receiveFindings(owner, key, {
            ...PURCHASE,
            ...finding,
            count: String(part),
            price: dollars(price),
          }),
        );
      }
      case 'part': {
        const from = await wire();
        return (
          from &&
          partWire(who, newKey(), from.number, {
            form: which % 2 ? 'bobbin' : 'off-cut',
            length: `${of(from.quantity)} µm`,
            place: '',
          })
        );
      }
      case 'twist': {
        const from = await wire();
        const before = from ? Math.floor(of(from.quantity) / 3) + 1 : 0;
        return (
          from &&
          twistWire(who, newKey(), from.number, {
            before: `${before} µm`,
            after: `${Math.max(1, Math.floor(before * 0.99))} µm`,
            turns: String(Math.max(1, Math.floor(before / 20_000))),
            second: '',
            place: '',
          })
        );
      }
      case 'spoil':
      case 'use': {
        const from = await wire();
        const taking = {
          kind: kind === 'spoil' ? 'spoiled' : 'used',
          quantity: `${of(from?.quantity ?? 0)} µm`,
          reason: 'random',
        };
        return from && takeOut(who, newKey(), 'wire', from.number, taking);
      }
      case 'use beads':
      case 'use findings': {
        const ware = kind === 'use beads' ? 'bead' : 'finding';
        const from = await this.#some(ware, which);
        return (
          from &&
          takeOut(who, newKey(), ware, from.number, {
            kind: 'used',
            quantity: String(of(from.quantity)),
            reason: 'random',
          })
        );
      }
      case 'weigh': {
        const from = await wire();
        const spec = from && (await showStockPiece(owner, from.number))?.spec;
        if (!from || !spec) return undefined;
        const gross = massOfLength(spec, um(Math.floor((from.quantity * part) / 1000))) + 1_000_000;
        return weighIn(who, newKey(), from.number, {
          expected: String(from.quantity),
          gross: `${gross / 1e6} g`,
          empty: '1 g',
          resolution: '0.01 g',
          reason: '',
          override: 'random',
        });
      }
      case 'count':
        return this.#count(who, part);
      case 'make':
        return this.#make(who, part, back);
      case 'make findings': {
        const from = await wire();
        return (
          from &&
          makeFindings(who, newKey(), {
            finding: 'jump ring',
            size: '',
            from: `W-${from.number}`,
            length: `${of(from.quantity)} µm`,
            count: String(1 + (which % 40)),
            place: '',
          })
        );
      }
      case 'relabel': {
        const from = await wire();
        const { metal, gaugeSystem, height, temper, finish, finishName } = SPOOL;
        return (
          from &&
          relabelWire(who, newKey(), from.number, {
            metal,
            profile: 'round',
            gaugeSystem,
            gaugeNumber: String(18 + (part % 12)),
            height,
            temper,
            finish,
            finishName,
            reason: 'random',
          })
        );
      }
      case 'set': {
        const from = await this.#some('bead', which);
        return (
          from &&
          countOutSet(who, newKey(), from.number, {
            aSide: String(1 + (part % 12)),
            withCentre: which % 2 === 0,
            place: '',
          })
        );
      }
      case 'reverse': {
        const found = await look(owner, (tx) =>
          tx.first<{ id: number }>(
            'SELECT movement_id AS id FROM movements WHERE studio_id = $1 ORDER BY movement_id DESC OFFSET $2 LIMIT 1',
            [owner.studioId, which % 60],
          ),
        );
        return found && reverseMovement(owner, newKey(), found.id, { reason: 'random' });
      }
      case 'refine': {
        const jar = await this.#some('scrap', which);
        const sending = {
          mass: `${of(jar?.quantity ?? 0) / 1e6} g`,
          refiner: 'Heron',
          sentOn: '2026-05-05',
          proceeds: '1 USD',
        };
        return jar && sendForRefining(owner, newKey(), jar.number, sending);
      }
    }
  }

  async #make(who: StudioSession, part: number, back: number): Promise<Outcome<unknown>> {
    const proposal = await proposeMaking(who, this.pattern.number);
    const cuts = (proposal?.cuts ?? []).map(({ cutIndex, copy, from, length }) => {
      const cut = Math.max(1, Math.floor((length * part) / 500));
      return {
        cutIndex,
        copy,
        from: from ?? newKey(),
        cut: `${cut} µm`,
        back: `${Math.floor((cut * back) / 1000)} µm`,
      };
    });
    return makePiece(who, newKey(), this.pattern, {
      cuts,
      spoiled: [],
      minutes: '1',
      setUpMinutes: '0',
      sharedBy: '1',
    });
  }

  async #count(who: StudioSession, part: number): Promise<Outcome<unknown>> {
    const box = await look(who, (tx) =>
      tx.first<{ id: string }>('SELECT place_id AS id FROM places WHERE studio_id = $1', [who.studioId]),
    );
    const { number } = done(await startCount(who, newKey(), box?.id ?? null));
    const lines = ((await showCount(who, number))?.lines ?? []).slice(0, 3);
    const typed = lines.map(({ id, ware, expected }) => {
      const counted = Math.floor((expected * (900 + (part % 150))) / 1000);
      return { id, typed: ware === 'wire' ? `${counted} µm` : String(counted) };
    });
    done(await keepCounted(who, newKey(), number, typed));
    return postCount(
      who,
      newKey(),
      number,
      Object.fromEntries(lines.map(({ id, expected }) => [id, expected])),
    );
  }
}

interface Sum {
  readonly ware: string;
  readonly kind: string;
  readonly quantity: number;
  readonly cost: number;
}

/** Asks the database itself, past the application. */
async function asked<Row extends object>(sql: string, ...bind: readonly unknown[]): Promise<Row[]> {
  return asker.ask<Row>(sql, bind);
}

async function expectConserved({ owner, bought }: Bench): Promise<void> {
  const { studioId } = owner;
  const sums = await asked<Sum>(
    `SELECT a.ware, m.kind, sum(m.quantity)::float8 AS quantity, sum(m.cost_units)::float8 AS cost FROM movements m
       JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id WHERE m.studio_id = $1 GROUP BY 1, 2`,
    studioId,
  );
  const stock = await asked<Omit<Sum, 'kind'>>(
    'SELECT ware, sum(quantity)::float8 AS quantity, sum(cost_units)::float8 AS cost FROM stock_pieces WHERE studio_id = $1 GROUP BY 1',
    studioId,
  );
  const undone = new Set(
    (
      await asked<{ key: string }>(
        `SELECT m.post_key AS key FROM movements m JOIN movements r ON r.studio_id = m.studio_id AND r.reverses = m.movement_id
          WHERE m.studio_id = $1 AND m.kind = 'received'`,
        studioId,
      )
    ).map(({ key }) => key),
  );
  const of = (ware: string, ...kinds: string[]) => {
    const found = sums.filter((each) => each.ware === ware && kinds.includes(each.kind));
    return {
      quantity: found.reduce((total, each) => total + each.quantity, 0),
      cost: found.reduce((total, each) => total + each.cost, 0),
    };
  };
  for (const ware of ['wire', 'bead', 'finding']) {
    const mine = [...bought]
      .filter(([key, each]) => each.ware === ware && !undone.has(key))
      .map(([, each]) => each);
    const received = of(ware, 'received');
    // What the test bought and did not take back is what came in.
    expect(received).toEqual({
      quantity: mine.reduce((total, each) => total + each.quantity, 0),
      cost: mine.reduce((total, each) => total + each.price * 1000, 0),
    });
    const held = stock.find((each) => each.ware === ware) ?? { quantity: 0, cost: 0 };
    const gone = of(ware, 'cut', 'returned', 'used', 'scrapped', 'spoiled');
    const corrected = of(ware, 'weighed', 'counted');
    const made = of(ware, 'made');
    const turned = of(ware, 'twisted', 'relabelled', 'split');
    expect(turned.cost).toBe(0);
    expect(received.quantity + made.quantity).toBe(
      held.quantity - gone.quantity - corrected.quantity - turned.quantity,
    );
    expect(received.cost + made.cost).toBe(held.cost - gone.cost - corrected.cost);
  }
  // The jars hold what was scrapped and spoiled and not sent off, in weight and in money.
  const held = stock.find(({ ware }) => ware === 'scrap') ?? { quantity: 0, cost: 0 };
  const [jarred, refined, lost] = [
    of('scrap', 'jarred'),
    of('scrap', 'refined'),
    of('wire', 'scrapped', 'spoiled'),
  ];
  expect({ quantity: jarred.quantity + refined.quantity, cost: jarred.cost + refined.cost }).toEqual({
    quantity: held.quantity,
    cost: held.cost,
  });
  expect(jarred.cost + lost.cost).toBe(0);
  await expectMassKept(owner, jarred.quantity);
}

/** Every snip weighs what its length of its wire does. */
async function expectMassKept(owner: StudioSession, jarred: number): Promise<void> {
  const snips = await asked<{ article: string; length: number }>(
    `SELECT article_id AS article, -quantity::float8 AS length FROM movements WHERE studio_id = $1 AND kind IN ('scrapped', 'spoiled')`,
    owner.studioId,
  );
  const specs = await look(owner, (tx) => specsById(tx, [...new Set(snips.map(({ article }) => article))]));
  const mass = snips.reduce((total, { article, length }) => {
    const spec = specs.get(article);
    const each = spec ? Math.max(1, massOfLength(spec, um(Math.abs(length)))) : 0;
    return total + Math.sign(length) * each;
  }, 0);
  expect(jarred).toBe(mass);
}

it('received = in stock + used + scrapped + spoiled + corrections, in length, count, mass and money', async () => {
  let taken = 0;
  await fc.assert(
    fc.asyncProperty(
      fc.array(operation, { minLength: OPERATIONS, maxLength: OPERATIONS, size: 'max' }),
      async (operations) => {
        const owner = await openStudio();
        const helper = await addTestHelper(owner);
        await receive(owner, { length: '3 m', price: '12.34 USD' });
        const bench = new Bench(owner, helper, await simplePattern(owner, { count: '2' }));
        const [first] = await asked<{ key: string }>(
          'SELECT post_key AS key FROM movements WHERE studio_id = $1',
          owner.studioId,
        );
        bench.bought.set(first?.key ?? '', { ware: 'wire', quantity: 3_000_000, price: 1234 });
        for (let index = 0; index < operations.length; index += AT_ONCE)
          await Promise.all(operations.slice(index, index + AT_ONCE).map((each) => bench.run(each)));
        await expectConserved(bench);
        taken += bench.taken;
      },
    ),
    { numRuns: RUNS, endOnFailure: true },
  );
  // Most of the ten thousand are taken; the rest is refused, as it should be.
  expect(taken).toBeGreaterThan(0.4 * RUNS * OPERATIONS);
  expect((await checkBooks(process.env['PEWTERER_OWNER_URL'] ?? '')).differences).toEqual([]);
}, 2_400_000);
