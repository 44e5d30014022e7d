import { Place } from '../../src/data/models/articles';
import { Movement } from '../../src/data/models/books';
import { PIECE_TURNS } from '../../src/core/selling/life';
import { um } from '../../src/core/units/length';
import { massOfLength } from '../../src/core/wire/mass';
import fc from 'fast-check';
import { workOnBatches } from './randomBatches';
import { orderAtRandom, type RandomOrder } from './randomOrders';
import { SPOOL, ofGauge, closeBooks, done, newKey, openAsOwner, type OwnerClient } from './studio';
import { keepCounted, postCount, showCount, startCount } from '../../src/studio/counting/counting';
import { countOutSet } from '../../src/studio/drawers/countOutSet';
import { makeFindings } from '../../src/studio/drawers/makeFindings';
import { receiveBeads, receiveFindings } from '../../src/studio/drawers/receive';
import type { Outcome } from '../../src/studio/kernel/outcome';
import { look, type StudioSession } from '../../src/studio/kernel/useCase';
import { reverseMovement } from '../../src/studio/corrections/reverseMovement';
import { makePiece } from '../../src/studio/making/makePiece';
import { proposeMaking } from '../../src/studio/making/proposeMaking';
import { breakUp, couldComeOut } from '../../src/studio/shelf/breakUp';
import { turnPieces, undoTurn } from '../../src/studio/shelf/pieceLife';
import { sellPieces, takeReturn } from '../../src/studio/selling/sell';
import { sendForRefining } from '../../src/studio/scrap/jars';
import { takeOut } from '../../src/studio/stock/takeOut';
import { partWire } from '../../src/studio/wire/partWire';
import { showStockPiece } from '../../src/studio/wire/rack';
import { receiveWire } from '../../src/studio/wire/receiveWire';
import { relabelWire } from '../../src/studio/wire/relabelWire';
import { twistWire } from '../../src/studio/wire/twistWire';
import { weighIn } from '../../src/studio/wire/weighIn';

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
  'sell',
  'sell',
  'order',
  'come back',
  'turn',
  'undo',
  'break up',
] as const;

/** One thing that somebody does. */
export interface Operation {
  readonly kind: (typeof KINDS)[number] | 'batch';
  /** Which of what there is, and how much of it, as parts of a thousand. */
  readonly which: number;
  readonly part: number;
  readonly back: number;
  readonly byHelper: boolean;
}

export const operation = operationOf(KINDS);

/** Operations of some kinds. */
export function operationOf(kinds: readonly Operation['kind'][]): fc.Arbitrary<Operation> {
  return fc.record({
    kind: fc.constantFrom(...kinds),
    which: fc.integer({ min: 0, max: 999 }),
    part: fc.integer({ min: 1, max: 1100 }),
    back: fc.integer({ min: 0, max: 950 }),
    byHelper: fc.boolean(),
  });
}

/** Opens the books past the application for the tests of a file, and checks them in the end. @returns who asks */
export function openAsker(): () => OwnerClient {
  let asker: OwnerClient | undefined;
  beforeAll(() => {
    asker = openAsOwner();
    // A lost race is run again; each is told on the console with the lines it came from, which takes longer than the race.
    jest.spyOn(console, 'warn').mockImplementation(() => undefined);
  });
  afterAll(async () => {
    await asker?.close();
    await closeBooks();
  });
  return () => {
    if (!asker) throw new Error('nobody asks before the tests begin');
    return asker;
  };
}

/** What the test itself bought, by the key it was posted under. */
type Bought = Map<string, { readonly ware: string; readonly quantity: number; readonly price: number }>;

const PURCHASE = { supplier: '', boughtOn: '2026-05-04', place: 'Box', note: '', paid: '' };
const SPECS = [
  {},
  { gaugeNumber: '26', metal: 'copper' },
  { gaugeNumber: '22', profile: 'square', metal: 'brass' },
];

const dollars = (cents: number): string => `${(cents / 100).toFixed(2)} USD`;

/** What the test itself sold: every basket with what its tags said, and whether all of it came back. */
export interface Sold {
  readonly number: number;
  readonly pieces: readonly number[];
  readonly asked: readonly number[];
  isBack: boolean;
}

/** A studio at work, which remembers what it bought and sold. */
export class Bench {
  readonly bought: Bought = new Map();
  readonly sold: Sold[] = [];
  readonly orders: RandomOrder[] = [];
  taken = 0;

  constructor(
    readonly asker: OwnerClient,
    readonly owner: StudioSession,
    readonly helper: StudioSession,
    readonly pattern: { number: number; revision: number },
    /** The id of where it sells. */
    readonly channel = '',
  ) {}

  /** A stock piece of a ware that still holds something. */
  async #some(ware: string, which: number): Promise<{ number: number; quantity: number } | undefined> {
    const rows = await this.asker.ask<{ number: number; quantity: number }>(
      'SELECT number, quantity::float8 AS quantity FROM stock_pieces WHERE studio_id = $1 AND ware = $2 AND quantity > 0 ORDER BY number',
      [this.owner.studioId, ware],
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
    // Refusals are expected: more is asked for than there is, or things are gone meanwhile. A lost race is run again until it
    // is won; anything else is thrown. Either fails the test.
    if (outcome && !outcome.ok) expect(outcome.problem.kind).not.toBe('fault');
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
            minutes: String(part % 90),
            place: '',
          })
        );
      }
      case 'relabel': {
        const from = await wire();
        const spec = { ...ofGauge(String(18 + (part % 12)), 'random'), profile: 'round' } as const;
        return from && relabelWire(who, newKey(), from.number, spec);
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
          tx.one(Movement, ['movementId'], {
            where: {},
            order: [['movementId', 'DESC']],
            offset: which % 60,
          }),
        );
        return found && reverseMovement(owner, newKey(), found.movementId, { reason: 'random' });
      }
      case 'sell':
        return this.#sell(who, which, part);
      case 'order':
        return this.#order(which, part);
      case 'come back':
        return this.#comeBack(which);
      case 'turn': {
        const turn = PIECE_TURNS[part % PIECE_TURNS.length] ?? 'lost';
        return turnPieces(owner, newKey(), await this.#pieces(which, 2), { turn, to: 'Box', note: 'random' });
      }
      case 'undo':
        return this.#undo(which);
      case 'break up':
        return this.#breakUp(which, part);
      case 'batch':
        return workOnBatches(who, this.pattern.number, which, part);
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

  /** Pieces that are the studio's, a few of them in a row. */
  async #pieces(which: number, count: number): Promise<readonly number[]> {
    const rows = await this.asker.ask<{ number: number }>(
      `SELECT number FROM pieces WHERE studio_id = $1 AND struck_at IS NULL AND drawer_stock_id IS NULL
         AND state IN ('on the shelf', 'reserved', 'at a shop') ORDER BY number`,
      [this.owner.studioId],
    );
    const from = which % Math.max(1, rows.length);
    return rows.slice(from, from + count).map(({ number }) => number);
  }

  async #sell(who: StudioSession, which: number, part: number): Promise<Outcome<unknown> | undefined> {
    const pieces = await this.#pieces(which, 1 + (part % 3));
    if (pieces.length === 0) return undefined;
    const asked = pieces.map((_, index) => 100 + ((part * 7 + which * (index + 3)) % 9000));
    const outcome = await sellPieces(who, newKey(), {
      channel: this.channel,
      soldOn: '2026-05-04',
      pieces: pieces.map((piece, index) => ({ piece: `F-${piece}`, asked: dollars(asked[index] ?? 0) })),
      letGo: 'nothing',
      off: '',
      paidBy: 'card',
      given: '',
      buyer: '',
      note: '',
    });
    if (outcome.ok) this.sold.push({ number: outcome.value.number, pieces, asked, isBack: false });
    return outcome;
  }

  async #order(which: number, part: number): Promise<Outcome<unknown> | undefined> {
    const pieces = await this.#pieces(which, 1 + (part % 2));
    if (pieces.length === 0) return undefined;
    const { owner, channel, pattern } = this;
    const { order, outcome } = await orderAtRandom(owner, channel, pattern.number, pieces, part);
    if (order) this.orders.push(order);
    if (order?.sale) this.sold.push({ ...order.sale, pieces, isBack: false });
    return outcome;
  }

  async #comeBack(which: number): Promise<Outcome<unknown> | undefined> {
    const sale = this.sold[which % Math.max(1, this.sold.length)];
    if (!sale) return undefined;
    const outcome = await takeReturn(this.owner, newKey(), sale.number, {
      pieces: sale.pieces.map((piece) => ({ piece: `F-${piece}` })),
      soldOn: '2026-05-05',
      paidBy: 'card',
      keepsFees: false,
      note: 'random',
    });
    if (outcome.ok) sale.isBack = true;
    return outcome;
  }

  async #breakUp(which: number, part: number): Promise<Outcome<unknown> | undefined> {
    const [piece] = await this.#pieces(which, 1);
    const inside = piece === undefined ? null : await couldComeOut(this.owner, piece);
    if (piece === undefined || !inside) return undefined;
    return breakUp(this.owner, newKey(), piece, {
      metals: inside.metals.map(({ metal, mass }) => ({ metal, mass: `${Math.max(0, mass) / 1e6} g` })),
      parts: inside.parts.map(({ from, count }) => ({
        from,
        count: String(Math.floor((count * Math.min(part, 1000)) / 1000)),
      })),
      note: 'random',
    });
  }

  async #undo(which: number): Promise<Outcome<unknown> | undefined> {
    const [event] = await this.asker.ask<{ number: number; id: number }>(
      `SELECT f.number, e.event_id::int AS id FROM piece_events e JOIN pieces f USING (studio_id, piece_id)
        WHERE studio_id = $1 ORDER BY e.event_id DESC OFFSET $2 LIMIT 1`,
      [this.owner.studioId, which % 20],
    );
    return event && undoTurn(this.owner, newKey(), event.number, event.id);
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
    const box = await look(who, (tx) => tx.one(Place, ['placeId'], { where: {} }));
    const { number } = done(await startCount(who, newKey(), box?.placeId ?? null));
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
