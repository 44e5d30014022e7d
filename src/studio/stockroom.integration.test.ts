import { checkBooks } from '@/data/checkBooks';
import { closeDatabase } from '@/data/database';
import { simulatedPrices } from '@/devices/metalFeed/simulated';
import {
  addTestHelper,
  asOwner,
  done,
  newKey,
  openStudio,
  problemOf,
  receive,
  simplePattern,
  SPOOL,
} from '../../tests/support/studio';
import { keepCounted, listCounts, postCount, showCount, startCount } from './counting/counting';
import { countOutSet } from './drawers/countOutSet';
import { showDrawer, showDrawerPiece } from './drawers/drawers';
import { makeFindings } from './drawers/makeFindings';
import { receiveBeads, receiveFindings, receiveStone, receiveSupply } from './drawers/receive';
import { setAside } from './drawers/setAside';
import type { StudioSession } from './kernel/useCase';
import { showLedger } from './ledger/ledgerPage';
import { reverseMovement } from './ledger/reverse';
import { stockValueOn } from './ledger/valueOn';
import { makePiece } from './making/makePiece';
import { proposeMaking } from './making/proposeMaking';
import { fetchMetalPrices, readMetalPrices } from './prices/metalPrices';
import { setPricing, showPricing } from './prices/replacement';
import { sendForRefining, showJar, showJars } from './scrap/jars';
import { showPiece, showShelf } from './shelf/shelf';
import { changeStock } from './stock/changeStock';
import { keepSpoolType, listPlaces, listSpoolTypes, orderPlaces, renamePlace } from './stock/places';
import { takeOut } from './stock/takeOut';
import { listToBuy, setMinimum, showMinimum } from './toBuy/toBuy';
import { partWire } from './wire/partWire';
import { showRack, showStockPiece } from './wire/rack';
import { relabelWire } from './wire/relabelWire';
import { twistWire } from './wire/twistWire';
import { weighIn } from './wire/weighIn';

afterAll(async () => {
  expect((await checkBooks(process.env['PEWTERER_OWNER_URL'] ?? '')).differences).toEqual([]);
  await closeDatabase();
});

const PURCHASE = {
  price: '12.00 USD',
  supplier: 'Gull & Sons',
  boughtOn: '2026-05-04',
  place: 'Bead box',
  note: '',
  paid: '',
};
const BEADS = {
  ...PURCHASE,
  material: 'garnet',
  shape: 'round',
  size: '4 mm',
  largest: '',
  hole: '0.8 mm',
  form: 'strand',
  count: '40',
  shades: 'pale 14, deep 20',
};
const STONE = {
  ...PURCHASE,
  material: 'prehnite',
  outline: 'teardrop',
  length: '18 mm',
  width: '13 mm',
  depth: '5 mm',
  edge: '3 mm',
  holeAxis: 'none',
  hole: '',
};
const FINDING = { ...PURCHASE, finding: 'jump ring', material: 'sterling', size: '4 mm', count: '1 gross' };
const SUPPLY = { ...PURCHASE, name: 'Antiquing solution', unit: 'ml', quantity: '250 ml', perPiece: '2 ml' };
const SQUARE = { profile: 'square', gaugeNumber: '22', temper: 'dead soft', metal: 'copper' };

const lastMovement = async (session: StudioSession) => (await showLedger(session, {})).lines[0]?.id ?? 0;
const take = (length: string, kind = 'used') => ({ kind, quantity: length, reason: 'marred by pliers' });

describe('wire', () => {
  it('is wound on a bobbin and cut by hand: the parts keep their share of the cost and their purchase', async () => {
    const session = await openStudio();
    const spool = await receive(session, { place: 'Rail' });
    const bobbin = done(
      await partWire(session, newKey(), spool, { form: 'bobbin', length: '4 m', place: '' }),
    ).number;
    const offCut = done(
      await partWire(session, newKey(), bobbin, { form: 'off-cut', length: '1 m', place: 'Tin' }),
    ).number;
    expect(await showStockPiece(session, spool)).toMatchObject({
      length: 6_000_000,
      cost: 3_000_000,
      place: 'Rail',
    });
    expect(await showStockPiece(session, bobbin)).toMatchObject({
      form: 'bobbin',
      length: 3_000_000,
      cost: 1_500_000,
      place: 'Rail',
    });
    expect(await showStockPiece(session, offCut)).toMatchObject({
      form: 'off-cut',
      length: 1_000_000,
      cost: 500_000,
      place: 'Tin',
      lot: { supplier: 'Tern & Daughter Metals' },
    });
    const more = problemOf(
      await partWire(session, newKey(), offCut, { form: 'off-cut', length: '2 m', place: '' }),
    );
    expect(more.fields?.['length']).toMatch(/has 1 m left; 2 m is more/);
  });

  it('is spoiled into its metal’s jar, or taken out; both with a reason', async () => {
    const session = await openStudio();
    const spool = await receive(session);
    done(await takeOut(session, newKey(), 'wire', spool, take('1 m', 'spoiled')));
    done(await takeOut(session, newKey(), 'wire', spool, take('1 m')));
    expect(await showStockPiece(session, spool)).toMatchObject({ length: 8_000_000, cost: 4_000_000 });
    // A metre of 20 ga sterling is 5.365 g.
    const [jar] = await showJars(session);
    expect(jar).toMatchObject({ metal: 'sterling', cost: 500_000 });
    expect((jar?.mass ?? 0) / 1e6).toBeCloseTo(5.365, 2);
    expect(
      problemOf(await takeOut(session, newKey(), 'wire', spool, { ...take('1 m'), reason: ' ' })).message,
    ).toMatch(/Give the reason/);
    expect(problemOf(await takeOut(session, newKey(), 'wire', 77, take('1 m'))).message).toBe(
      'There is no W-0077.',
    );
  });

  it('is twisted: square on its axis, rounds in pairs, with all that it carried', async () => {
    const session = await openStudio();
    const square = await receive(session, SQUARE);
    const input = { before: '1 m', after: '98 cm', turns: '200', second: '', place: '' };
    const twisted = done(await twistWire(session, newKey(), square, input)).number;
    expect(await showStockPiece(session, twisted)).toMatchObject({
      length: 980_000,
      cost: 500_000,
      spec: { profile: 'twisted square', temper: 'quarter hard', twist: 204 },
    });
    const [one, two] = [
      await receive(session, { gaugeNumber: '26' }),
      await receive(session, { gaugeNumber: '26' }),
    ];
    // Two of 0.405 mm with 200 turns a metre: each strand is √(1 + (π·0.405·0.2)²) = 1.032 of the stock.
    const pair = done(
      await twistWire(session, newKey(), one, {
        ...input,
        after: '969 mm',
        turns: '194',
        second: `W-${two}`,
      }),
    ).number;
    expect(await showStockPiece(session, pair)).toMatchObject({
      cost: 1_000_000,
      spec: { profile: 'twisted pair' },
    });
    const alone = done(
      await twistWire(session, newKey(), one, { ...input, after: '969 mm', turns: '194' }),
    ).number;
    expect((await showStockPiece(session, one))?.length).toBe(7_000_000);
    expect((await showStockPiece(session, alone))?.cost).toBe(1_000_000);

    const wrong = async (changed: object, from = one) =>
      problemOf(await twistWire(session, newKey(), from, { ...input, ...changed })).message;
    expect(await wrong({ after: '2 m' })).toMatch(/never longer/);
    expect(await wrong({ after: '60 cm' })).toMatch(/should leave about/);
    expect(await wrong({ second: `W-${square}` })).toMatch(/not the same wire/);
    expect(await wrong({ second: 'rubbish' })).toMatch(/not a tag of wire/);
    expect(await wrong({ before: '6 m', after: '6 m' })).toMatch(/more/);
    const flat = await receive(session, { profile: 'half-round', height: '0.4 mm' });
    expect(await wrong({}, flat)).toMatch(/half-round wire is not twisted/);
  });

  it('is relabelled when the calliper shows another gauge: what is left changes, what was cut does not', async () => {
    const session = await openStudio();
    const spool = await receive(session);
    done(await takeOut(session, newKey(), 'wire', spool, take('1 m')));
    const { metal, profile, gaugeSystem, height, temper, finish, finishName } = SPOOL;
    const spec = {
      metal,
      profile,
      gaugeSystem,
      height,
      temper,
      finish,
      finishName,
      gaugeNumber: '21',
      reason: 'calliper says 0.72',
    };
    done(await relabelWire(session, newKey(), spool, spec));
    expect(await showStockPiece(session, spool)).toMatchObject({
      length: 9_000_000,
      cost: 4_500_000,
      spec: { label: { number: '21' } },
    });
    const used = (await showLedger(session, { kind: 'used' })).lines[0];
    expect(used?.article).toMatch(/^20 ga/);
    expect(problemOf(await relabelWire(session, newKey(), spool, spec)).message).toMatch(/already/);
  });

  it('is weighed in: the difference is one movement, and nonsense needs a reason', async () => {
    const session = await openStudio();
    const spool = await receive(session);
    const reading = {
      expected: '10000000',
      gross: '60 g',
      empty: '12 g',
      resolution: '0.01 g',
      reason: 'month’s end',
      override: '',
    };
    const found = done(await weighIn(session, newKey(), spool, reading));
    // 48 g at 5.365 g a metre.
    expect(found.length / 1e6).toBeCloseTo(48 / 5.365, 2);
    const piece = await showStockPiece(session, spool);
    expect(piece?.length).toBe(found.length);
    // The missing wire took its share: round(5,000,000 × missing ÷ 10,000,000) cost units.
    expect(piece?.cost).toBe(5_000_000 - Math.round((10_000_000 - found.length) / 2));
    const again = { ...reading, expected: String(found.length) };
    expect(problemOf(await weighIn(session, newKey(), spool, reading)).kind).toBe('stale');
    expect(problemOf(await weighIn(session, newKey(), spool, { ...again, gross: '11 g' })).message).toMatch(
      /less than the empty spool/,
    );
    const heavy = { ...again, gross: '90 g' };
    expect(problemOf(await weighIn(session, newKey(), spool, heavy)).fields?.['override']).toMatch(/say why/);
    done(await weighIn(session, newKey(), spool, { ...heavy, override: 'two spools were joined on it' }));
    const history = (await showStockPiece(session, spool))?.history ?? [];
    expect(history[0]).toMatchObject({
      kind: 'weighed',
      cost: 0,
      reason: 'month’s end; two spools were joined on it',
    });
  });

  it('is kept in a place on a kind of spool; somebody else’s change is not written over', async () => {
    const session = await openStudio();
    const spool = await receive(session);
    const change = {
      version: '1',
      place: 'Top peg',
      note: 'soft end',
      spoolType: 'Black reel',
      emptyMass: '11.4 g',
    };
    done(await changeStock(session, newKey(), 'wire', spool, change));
    expect(await showStockPiece(session, spool)).toMatchObject({
      place: 'Top peg',
      spoolType: 'Black reel',
      emptyMass: 11_400_000,
    });
    expect(problemOf(await changeStock(session, newKey(), 'wire', spool, change)).kind).toBe('stale');
    done(await keepSpoolType(session, newKey(), { name: 'black reel', emptyMass: '12 g' }));
    expect(await listSpoolTypes(session)).toMatchObject([{ name: 'Black reel', emptyMass: 12_000_000 }]);
    await receive(session, { place: 'Drawer' });
    const [peg, drawer] = await listPlaces(session);
    done(await orderPlaces(session, newKey(), [drawer?.id ?? '', peg?.id ?? '']));
    expect((await listPlaces(session)).map(({ name }) => name)).toEqual(['Drawer', 'Top peg']);
    expect(problemOf(await orderPlaces(session, newKey(), [peg?.id ?? ''])).message).toMatch(
      /changed meanwhile/,
    );
    done(await renamePlace(session, newKey(), peg?.id ?? '', { name: 'Upper peg' }));
    expect(
      problemOf(await renamePlace(session, newKey(), peg?.id ?? '', { name: 'drawer' })).message,
    ).toMatch(/already/);
  });
});

describe('drawers', () => {
  it('count a symmetrical set out of a strand, with its shades and its share', async () => {
    const session = await openStudio();
    const { number } = done(await receiveBeads(session, newKey(), BEADS));
    const { number: set } = done(
      await countOutSet(session, newKey(), number, { aSide: '10', withCentre: true, place: 'Tray' }),
    );
    const [strand, counted] = [
      await showDrawerPiece(session, 'bead', number),
      await showDrawerPiece(session, 'bead', set),
    ];
    expect(counted).toMatchObject({ quantity: 21, form: 'loose', place: 'Tray' });
    expect(strand).toMatchObject({ quantity: 19 });
    // 12.00 for forty beads: 0.30 each.
    expect([strand?.cost, counted?.cost]).toEqual([19 * 30_000, 21 * 30_000]);
    const named = (each: typeof strand) => each?.shades.reduce((sum, { count }) => sum + count, 0) ?? 0;
    expect(named(strand) + named(counted)).toBeLessThanOrEqual(34);
    expect(
      problemOf(await countOutSet(session, newKey(), set, { aSide: '11', withCentre: false, place: '' }))
        .message,
    ).toMatch(/yields \d+ a side/);
    done(
      await takeOut(session, newKey(), 'bead', number, {
        kind: 'used',
        quantity: '1 dozen',
        reason: 'bracelet',
      }),
    );
    expect((await showDrawerPiece(session, 'bead', number))?.quantity).toBe(7);
  });

  it.each<[string, object, RegExp]>([
    ['a hole as wide as the bead', { hole: '4 mm' }, /as wide as the bead/],
    ['more shades than beads', { shades: 'pale 30, deep 20' }, /hold 50 beads, but there are 40/],
    ['half a bead', { count: '2.5' }, /not a whole number/],
    ['a shape nobody knows', { shape: 'dodecahedron' }, /Choose a shape/],
    ['a graded strand the wrong way round', { largest: '3 mm' }, /smaller than the smallest/],
    ['no material', { material: ' ' }, /Give the material/],
  ])('refuse %s', async (_what, changed, message) => {
    const session = await openStudio();
    expect(problemOf(await receiveBeads(session, newKey(), { ...BEADS, ...changed })).message).toMatch(
      message,
    );
    expect((await showDrawer(session, 'bead', {})).count).toBe(0);
  });

  it('keep stones one by one: free, set aside, used', async () => {
    const session = await openStudio();
    const first = done(await receiveStone(session, newKey(), STONE)).number;
    const second = done(await receiveStone(session, newKey(), STONE)).number;
    done(await setAside(session, newKey(), first, { purpose: 'order of the harbour fair' }));
    const tags = async (state: string) =>
      (await showDrawer(session, 'stone', { state })).pieces.map(({ number }) => number);
    expect([await tags('free'), await tags('set aside')]).toEqual([[second], [first]]);
    done(
      await takeOut(session, newKey(), 'stone', second, { kind: 'used', quantity: '1', reason: 'F-0001' }),
    );
    expect([await tags('free'), await tags('used')]).toEqual([[], [second]]);
    expect(problemOf(await receiveStone(session, newKey(), { ...STONE, edge: '9 mm' })).message).toMatch(
      /more than the stone’s depth/,
    );
  });

  it('take findings by the gross, and made ones with what their wire cost', async () => {
    const session = await openStudio();
    const bought = done(await receiveFindings(session, newKey(), FINDING)).number;
    expect((await showDrawerPiece(session, 'finding', bought))?.quantity).toBe(144);
    const wire = await receive(session, { length: '1 m', price: '10.00 USD' });
    const make = {
      finding: 'jump ring',
      size: '4 mm',
      from: `W-${wire}`,
      length: '97 cm',
      count: '5 dozen',
      place: '',
    };
    const made = done(await makeFindings(session, newKey(), make)).number;
    // The last 3 cm are under the useful minimum of 5 cm: they are scrapped at the rings' expense.
    expect(await showDrawerPiece(session, 'finding', made)).toMatchObject({ quantity: 60, cost: 1_000_000 });
    expect((await showStockPiece(session, wire))?.length).toBe(0);
    expect((await showDrawer(session, 'finding', { words: 'sterling' })).count).toBe(2);
    expect(problemOf(await makeFindings(session, newKey(), { ...make, from: 'x' })).message).toMatch(
      /not a tag of wire/,
    );
  });

  it('take supplies, and every finished piece uses its share of them', async () => {
    const session = await openStudio();
    await receive(session);
    done(await receiveSupply(session, newKey(), SUPPLY));
    const pattern = await simplePattern(session);
    const proposal = await proposeMaking(session, pattern.number);
    const cuts = (proposal?.cuts ?? []).map(({ cutIndex, copy, from }) => ({
      cutIndex,
      copy,
      from: from ?? '',
      cut: '100 mm',
      back: '0 mm',
    }));
    const rest = { spoiled: [], minutes: '10', setUpMinutes: '0', sharedBy: '1' };
    const { number } = done(await makePiece(session, newKey(), pattern, { cuts, ...rest }));
    // 2 of 250 ml for 12.00: 0.096.
    const line = (await showPiece(session, number))?.money?.sheet.lines.find(({ id }) => id === 'supplies');
    expect(line).toMatchObject({ actual: 9600, replacement: 9600 });
    expect((await showDrawer(session, 'supply', {})).quantity).toBe(248_000);
    expect(
      problemOf(
        await receiveSupply(session, newKey(), { ...SUPPLY, unit: 'g', quantity: '5 g', perPiece: '0' }),
      ).message,
    ).toMatch(/kept by the ml/);

    // Taking the making back puts the wire and the solution back, and the piece off the shelf.
    const movement = (await showLedger(session, { item: `F-${number}` })).lines[0]?.id ?? 0;
    done(await reverseMovement(session, newKey(), movement, { reason: 'wrong pattern' }));
    expect((await showDrawer(session, 'supply', {})).quantity).toBe(250_000);
    expect((await showRack(session, {})).totalLength).toBe(10_000_000);
    expect((await showShelf(session)).total).toBe(0);
  });
});

describe('taking back', () => {
  it('undoes what moved together, and refuses what has been used since', async () => {
    const session = await openStudio();
    const spool = await receive(session);
    const bobbin = done(
      await partWire(session, newKey(), spool, { form: 'bobbin', length: '4 m', place: '' }),
    ).number;
    const winding = await lastMovement(session);
    done(await takeOut(session, newKey(), 'wire', bobbin, take('1 m')));
    const taking = await lastMovement(session);
    const reason = { reason: 'a slip' };
    expect(problemOf(await reverseMovement(session, newKey(), winding, reason)).message).toMatch(
      /W-0002 has been used since \(used on/,
    );
    done(await reverseMovement(session, newKey(), taking, reason));
    expect(problemOf(await reverseMovement(session, newKey(), taking, reason)).message).toMatch(
      /taken back already/,
    );
    expect(
      problemOf(await reverseMovement(session, newKey(), await lastMovement(session), reason)).message,
    ).toMatch(/takes something back itself/);
    done(await reverseMovement(session, newKey(), winding, reason));
    expect(await showStockPiece(session, spool)).toMatchObject({ length: 10_000_000, cost: 5_000_000 });
    expect((await showStockPiece(session, bobbin))?.length).toBe(0);
    const helper = await addTestHelper(session);
    expect(problemOf(await reverseMovement(helper, newKey(), winding, reason)).kind).toBe('forbidden');
  });

  it('leads a relabelled wire back through what it was, and keeps scrap that was sent off', async () => {
    const session = await openStudio();
    const spool = await receive(session);
    const { metal, profile, gaugeSystem, height, temper, finish, finishName } = SPOOL;
    const spec = {
      metal,
      profile,
      gaugeSystem,
      height,
      temper,
      finish,
      finishName,
      gaugeNumber: '21',
      reason: 'measured',
    };
    done(await takeOut(session, newKey(), 'wire', spool, take('1 m', 'spoiled')));
    const spoiling = (await showLedger(session, { kind: 'spoiled' })).lines[0]?.id ?? 0;
    done(await relabelWire(session, newKey(), spool, spec));
    expect(problemOf(await reverseMovement(session, newKey(), spoiling, { reason: 'x' })).message).toMatch(
      /relabelled on/,
    );
    done(
      await reverseMovement(session, newKey(), await lastMovement(session), { reason: 'measured wrongly' }),
    );
    expect((await showStockPiece(session, spool))?.spec.label.number).toBe('20');

    const [jar] = await showJars(session);
    const send = { mass: '2 g', refiner: 'Heron Refiners', sentOn: '2026-05-05', proceeds: '1.50 USD' };
    done(await sendForRefining(session, newKey(), jar?.number ?? 0, send));
    expect(problemOf(await reverseMovement(session, newKey(), spoiling, { reason: 'x' })).message).toMatch(
      /J-0001 has been used since \(refined/,
    );
    const after = await showJar(session, jar?.number ?? 0);
    expect(after?.refinings).toMatchObject([{ refiner: 'Heron Refiners', mass: 2_000_000, proceeds: 150 }]);
    expect((after?.mass ?? 0) / 1e6).toBeCloseTo(3.365, 2);
    expect(
      problemOf(await sendForRefining(session, newKey(), jar?.number ?? 0, { ...send, mass: '9 g' })).message,
    ).toMatch(/left; 9 g is more/);
  });
});

describe('the ledger', () => {
  it('is filtered by item, kind, ware, person and day, and paged without losing or repeating a line', async () => {
    const session = await openStudio();
    const helper = await addTestHelper(session);
    const spool = await receive(session);
    for (let n = 0; n < 65; n += 1)
      done(await takeOut(n % 2 ? session : helper, newKey(), 'wire', spool, take('1 mm')));
    done(await receiveBeads(session, newKey(), BEADS));
    const ids: number[] = [];
    for (let before: string | undefined; ;) {
      const page = await showLedger(session, before === undefined ? {} : { before });
      ids.push(...page.lines.map(({ id }) => id));
      if (page.next === null) break;
      before = page.next;
    }
    expect(ids).toHaveLength(67);
    expect(new Set(ids).size).toBe(67);
    const count = async (query: Parameters<typeof showLedger>[1]) =>
      (await showLedger(session, query)).lines.length;
    expect(await count({ kind: 'received' })).toBe(2);
    expect(await count({ ware: 'bead' })).toBe(1);
    expect(await count({ item: 'garnet round' })).toBe(1);
    expect(await count({ item: 'B-0001' })).toBe(1);
    expect(await count({ item: `F-0001` })).toBe(0);
    expect(await count({ person: helper.userId })).toBe(33);
    expect(await count({ to: '2001-01-01' })).toBe(0);
    expect(await count({ from: '2001-01-01', kind: 'received' })).toBe(2);
    expect(await count({ before: 'nonsense~1' })).toBe(60);
    expect((await showLedger(helper, {})).lines.every(({ cost }) => cost === null)).toBe(true);
  });

  it('knows what the stock carried on any past day', async () => {
    const now = Date.UTC(2026, 4, 20);
    const session = await openStudio();
    const on = (daysAgo: number): StudioSession => ({
      ...session,
      now: new Date(now - daysAgo * 86_400_000),
    });
    await receive(on(100), { price: '50.00 USD' });
    done(await takeOut(on(70), newKey(), 'wire', 1, take('5 m')));
    done(await receiveBeads(on(40), newKey(), BEADS));
    done(await takeOut(on(10), newKey(), 'wire', 1, take('5 m', 'spoiled')));
    const total = async (daysAgo: number) =>
      (await stockValueOn(on(0), on(daysAgo).now.toISOString().slice(0, 10))).total;
    expect(await Promise.all([101, 100, 71, 70, 40, 11, 10, 0].map(total))).toEqual([
      0, 5_000_000, 5_000_000, 2_500_000, 3_700_000, 3_700_000, 1_200_000, 1_200_000,
    ]);
    expect((await stockValueOn(on(0))).total).toBe(1_200_000);
    // The jar carries what was spoiled, apart from the total.
    expect((await stockValueOn(on(0))).wares.find(({ ware }) => ware === 'scrap')?.cost).toBe(2_500_000);
    const helper = await addTestHelper(session);
    await expect(stockValueOn(helper)).rejects.toThrow(/Only the studio’s owner/);
  });
});

describe('counting', () => {
  it('keeps lines sent twice and in any order, posts the differences together, and can be read again', async () => {
    const session = await openStudio();
    const helper = await addTestHelper(session);
    const spool = await receive(session, { place: 'Bead box' });
    done(await receiveBeads(session, newKey(), BEADS));
    const place = (await listPlaces(session)).find(({ name }) => name === 'Bead box')?.id ?? null;
    const { number } = done(await startCount(helper, newKey(), place));
    const lines = (await showCount(helper, number))?.lines ?? [];
    expect(lines.map(({ ware }) => ware)).toEqual(['bead', 'wire']);
    const [bead, wire] = lines.map(({ id }) => id);
    const keep = (typed: [string | undefined, string][]) =>
      keepCounted(
        helper,
        newKey(),
        number,
        typed.map(([id, text]) => ({ id: id ?? '', typed: text })),
      );
    expect(
      done(
        await keep([
          [bead, '3 dozen'],
          [wire, 'lots'],
        ]),
      ).wrong,
    ).toMatchObject({ [wire ?? '']: expect.stringMatching(/is not a length/) });
    done(await keep([[wire, '9.5 m']]));
    done(await keep([[wire, '9.5 m']]));
    done(await keep([[wire, '9.5 m']]));
    expect((await showCount(session, number))?.lines.map(({ counted }) => counted)).toEqual([36, 9_500_000]);

    const seen = { [bead ?? '']: 40, [wire ?? '']: 10_000_000 };
    done(await takeOut(session, newKey(), 'wire', spool, take('1 mm')));
    expect(problemOf(await postCount(session, newKey(), number, seen)).message).toMatch(
      /Somebody took from W-0001 meanwhile/,
    );
    const key = newKey();
    const now = { ...seen, [wire ?? '']: 9_999_000 };
    expect(done(await postCount(session, key, number, now))).toEqual({ differences: 2 });
    expect(done(await postCount(session, key, number, now))).toEqual({ differences: 2 });
    expect((await showStockPiece(session, spool))?.length).toBe(9_500_000);
    expect((await showDrawer(session, 'bead', {})).quantity).toBe(36);
    expect(problemOf(await keep([[bead, '1']])).message).toMatch(/posted already/);
    const past = await showCount(session, number);
    expect(past?.lines.map(({ expected }) => expected)).toEqual([40, 9_999_000]);
    expect((await listCounts(session))[0]).toMatchObject({ lines: 2, counted: 2, differences: 2 });
  });
});

describe('prices', () => {
  it('follow the metal, what was typed, or what was paid last', async () => {
    const session = await openStudio();
    const spool = await receive(session);
    const articleId = (await showStockPiece(session, spool))?.spec.id ?? '';
    const perMetre = async () => (await showPricing(session, articleId))?.now;
    expect(await perMetre()).toEqual({ price: 5_000_000, quantity: 10_000_000 });
    const rule = {
      version: '1',
      priceBy: 'typed',
      price: '6.00 USD',
      quantity: '1 m',
      premium: '',
      fabricationPerMetre: '',
    };
    done(await setPricing(session, newKey(), articleId, rule));
    expect(await perMetre()).toEqual({ price: 600_000, quantity: 1_000_000 });
    expect(problemOf(await setPricing(session, newKey(), articleId, rule)).kind).toBe('stale');

    const failing = { prices: () => Promise.reject(new Error('503')) };
    expect(problemOf(await fetchMetalPrices(session, failing)).message).toMatch(/cannot be reached \(503\)/);
    const working = {
      prices: (currency: string, from: string, to: string) =>
        Promise.resolve(simulatedPrices(currency, from, to)),
    };
    expect(done(await fetchMetalPrices(session, working)).days).toBeGreaterThan(400);
    const { last } = await readMetalPrices(session);
    expect(last.map(({ metal, stale }) => [metal, stale])).toEqual([
      ['gold', false],
      ['silver', false],
      ['copper', false],
    ]);
    done(
      await setPricing(session, newKey(), articleId, {
        ...rule,
        version: '2',
        priceBy: 'spot',
        premium: '20',
        fabricationPerMetre: '0.30 USD',
      }),
    );
    const silver = last.find(({ metal }) => metal === 'silver')?.perKilogram ?? 0;
    // 5.365 g × 0.925 × price × 1.2 + 0.30.
    expect(((await perMetre())?.price ?? 0) / 1000).toBeCloseTo(
      (5.365 / 1000) * 0.925 * silver * 1.2 + 30,
      0,
    );
    expect((await showPricing(session, articleId))?.history.map(({ source }) => source)).toEqual([
      'paid',
      'typed',
    ]);

    const later: StudioSession = { ...session, now: new Date(session.now.valueOf() + 10 * 86_400_000) };
    expect((await readMetalPrices(later)).last.every(({ stale }) => stale)).toBe(true);
    done(await takeOut(session, newKey(), 'wire', spool, take('1 m', 'spoiled')));
    expect((await showJars(session))[0]?.melt).toBe(Math.round((5.365 / 1000) * 0.925 * silver));
  });
});

describe('running out', () => {
  it('lists what to buy by supplier, rounded to how it is sold', async () => {
    const session = await openStudio();
    const { number } = done(await receiveFindings(session, newKey(), { ...FINDING, count: '30' }));
    const articleId = (await showDrawerPiece(session, 'finding', number))?.articleId ?? '';
    const rule = { version: '1', minimumBy: 'typed', minimum: '100', soldBy: '1 dozen' };
    done(await setMinimum(session, newKey(), articleId, rule));
    // Seventy short: six dozen at 12.00 for thirty.
    expect(await listToBuy(session)).toMatchObject([
      {
        name: 'sterling jump ring, 4 mm',
        short: 70,
        packs: 6,
        quantity: 72,
        supplier: 'Gull & Sons',
        cost: 2_880_000,
      },
    ]);
    expect(
      problemOf(await setMinimum(session, newKey(), articleId, { ...rule, version: '2', minimum: '0' }))
        .fields?.['minimum'],
    ).toMatch(/more than 0/);
    done(
      await takeOut(session, newKey(), 'finding', number, { kind: 'used', quantity: '29', reason: 'order' }),
    );
    done(
      await setMinimum(session, newKey(), articleId, {
        version: '2',
        minimumBy: 'use',
        minimum: '',
        soldBy: '',
      }),
    );
    expect(await showMinimum(session, articleId)).toMatchObject({ used: 29, least: 10 });
    expect(await listToBuy(session)).toMatchObject([{ short: 9, packs: 1, packOf: 30 }]);
    const helper = await addTestHelper(session);
    expect((await listToBuy(helper))[0]?.cost).toBeNull();
    expect(problemOf(await setMinimum(helper, newKey(), articleId, rule)).kind).toBe('forbidden');
  });
});

it('check-books finds a jar, a shade and a closing that were tampered with', async () => {
  const session = await openStudio();
  await receive(session);
  done(await takeOut(session, newKey(), 'wire', 1, take('1 m', 'spoiled')));
  const tamper = (sql: string) => asOwner(sql, [session.studioId]);
  const found = async () =>
    (await checkBooks(process.env['PEWTERER_OWNER_URL'] ?? '')).differences
      .filter(({ studio }) => studio === session.studioId)
      .map(({ what }) => what);
  await tamper(`UPDATE stock_pieces SET quantity = quantity + 1 WHERE studio_id = $1 AND ware = 'scrap'`);
  expect(await found()).toEqual(['J-0001', 'all scrap']);
  await tamper(`UPDATE stock_pieces SET quantity = quantity - 1 WHERE studio_id = $1 AND ware = 'scrap'`);
  await tamper(
    `UPDATE stock_pieces SET shades = '[{"name": "pale", "count": 99999999}]' WHERE studio_id = $1 AND ware = 'wire'`,
  );
  expect(await found()).toEqual(['W-0001 by its shades']);
  await tamper(`UPDATE stock_pieces SET shades = '[]' WHERE studio_id = $1`);
});
