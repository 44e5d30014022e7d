import { mm } from '@/core/units/length';
import { differencesIn } from '../../../tests/support/cuttingTable';
import { BEADS, STONE } from '../../../tests/support/purchases';
import {
  addTestHelper,
  asOwner,
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
  SPOOL,
} from '../../../tests/support/studio';
import { showDrawerPiece } from '../drawers/drawers';
import { showLedger } from '../ledger/ledgerPage';
import { reverseMovement } from '../corrections/reverseMovement';
import { replacementPrices } from '../prices/replacement';
import { look } from '../kernel/useCase';
import { receiveWire } from '../wire/receiveWire';
import { showStockPiece } from '../wire/rack';
import { purchaseAgain } from './again';
import { deliveryAgain, listDeliveries, showDelivery } from './deliveries';
import { receiveDelivery } from './receiveDelivery';
import { listSpecs } from '../catalogue/wireSpecs';

afterAll(closeBooks);

const { metal, profile, gaugeSystem, gaugeNumber, height, temper, finish, finishName, form } = SPOOL;
const got = (price: string, more: object = {}) => ({ costIs: 'paid', price, place: '', weight: '', ...more });
const WIRE = {
  ware: 'wire',
  metal,
  profile,
  gaugeSystem,
  gaugeNumber,
  height,
  temper,
  finish,
  finishName,
  form,
};
const { material, shape, size, largest, hole, form: strung, count, shades } = BEADS;
const BEAD = { ware: 'bead', material, shape, size, largest, hole, form: strung, count, shades };
const FINDING = { ware: 'finding', finding: 'clasp', material: 'brass', size: '12 mm', count: '1 dozen' };

const delivery = (lines: readonly object[], more: object = {}) => ({
  supplier: 'Tern & Daughter Metals',
  boughtOn: '2026-05-04',
  note: 'No. 118',
  currency: 'USD',
  postage: '9.00 USD',
  tax: '7.20 USD',
  sharedBy: 'value',
  cameTo: '',
  lines,
  ...more,
});
const spool = (price: string, more: object = {}) => ({
  ...WIRE,
  length: '10 m',
  mass: '',
  ...got(price, more),
});

describe('a delivery', () => {
  it('comes in as one: each line carries its price and its share of postage and tax', async () => {
    const session = await openStudio();
    const lines = [
      spool('30.00 USD'),
      { ...BEAD, ...got('60.00 USD') },
      { ...FINDING, ...got('', { costIs: 'free' }) },
    ];
    const key = newKey();
    const sent = () => receiveDelivery(session, key, delivery(lines));
    expect(done(await sent())).toEqual({ number: 1, lines: 3 });
    // Sent twice it is one.
    expect(done(await sent())).toEqual({ number: 1, lines: 3 });
    const shown = await showDelivery(session, 1);
    // By hand: a third and two thirds of 9.00 and of 7.20; the gift bears nothing.
    expect(shown).toMatchObject({ total: 10_620, isTakenBack: false, supplier: 'Tern & Daughter Metals' });
    expect(shown?.lines).toMatchObject([
      { ware: 'wire', number: 1, goods: 3000, postage: 300, tax: 240, cost: 3540 },
      { ware: 'bead', number: 1, goods: 6000, postage: 600, tax: 480, cost: 7080 },
      { ware: 'finding', number: 1, goods: 0, postage: 0, tax: 0, cost: 0, costIs: 'free', quantity: 12 },
    ]);
    expect((await showStockPiece(session, 1))?.lot).toMatchObject({ price: 3540, delivery: 1, extras: 540 });
    expect((await showDrawerPiece(session, 'bead', 1))?.cost).toBe(7080 * 1000);
    expect((await listDeliveries(session)).deliveries).toMatchObject([
      { number: 1, lines: 3, total: 10_620 },
    ]);
    // What it costs today is what it cost with the way here.
    const [article] = (await showLedger(session, { kind: 'received' })).lines.slice(-1);
    expect(article).toBeDefined();
    expect(await differencesIn(session)).toEqual([]);
  });

  it('shares the postage by weight: of wire it is known, of the rest it is asked', async () => {
    const session = await openStudio();
    // 10 m of this wire weigh what receiving by weight says; twice as much of it weighs twice as much.
    const lines = [
      spool('20.00 USD'),
      spool('40.00 USD', { length: '20 m' }),
      { ...BEAD, ...got('6.00 USD') },
    ];
    const asked = delivery(lines, { sharedBy: 'weight', tax: '' });
    const problem = problemOf(await receiveDelivery(session, newKey(), asked));
    expect(problem.fields).toEqual({ 'lines.2.weight': expect.stringContaining('Say what this weighs') });
    expect(await listDeliveries(session)).toEqual({ deliveries: [], next: null });
    const [first, second] = lines;
    done(await receiveDelivery(session, newKey(), { ...asked, lines: [first, second] }));
    expect((await showDelivery(session, 1))?.lines.map(({ postage }) => postage)).toEqual([300, 600]);
  });

  it('in another currency carries what it came to in the studio’s, and keeps what stands on the invoice', async () => {
    const session = await openStudio();
    const lines = [spool('30.00 EUR'), { ...FINDING, ...got('10.00 EUR') }];
    const abroad = delivery(lines, { currency: 'EUR', postage: '4.00 EUR', tax: '' });
    expect(problemOf(await receiveDelivery(session, newKey(), abroad)).fields).toEqual({
      cameTo: 'The invoice is in EUR; say what it came to in USD.',
    });
    done(await receiveDelivery(session, newKey(), { ...abroad, cameTo: '55.00 USD' }));
    // 33.00 and 11.00 euros are three quarters and one quarter of 55 dollars.
    expect((await showDelivery(session, 1))?.lines).toMatchObject([
      { goods: 3000, postage: 300, cost: 4125 },
      { goods: 1000, postage: 100, cost: 1375 },
    ]);
    expect((await showStockPiece(session, 1))?.lot).toMatchObject({ paid: 3300, paidCurrency: 'EUR' });
    expect(await differencesIn(session)).toEqual([]);
  });

  it('is taken back whole', async () => {
    const session = await openStudio();
    done(
      await receiveDelivery(
        session,
        newKey(),
        delivery([spool('30.00 USD'), { ...BEAD, ...got('60.00 USD') }]),
      ),
    );
    const [movement] = (await showLedger(session, { kind: 'received' })).lines;
    done(await reverseMovement(session, newKey(), movement?.id ?? 0, { reason: 'went back' }));
    expect((await showDelivery(session, 1))?.isTakenBack).toBe(true);
    expect((await showStockPiece(session, 1))?.length).toBe(0);
    expect((await showDrawerPiece(session, 'bead', 1))?.quantity).toBe(0);
  });

  it('tells what is wrong beside the line, and posts nothing', async () => {
    const session = await openStudio();
    const fields = async (lines: readonly object[], more: object = {}) =>
      problemOf(await receiveDelivery(session, newKey(), delivery(lines, more))).fields;
    expect(await fields([spool('30.00 USD'), spool('0.00 USD')])).toEqual({
      'lines.1.price': '“0.00 USD” is nothing; say that it was a gift, or what it cost.',
    });
    expect(await fields([spool('30.00 EUR')])).toEqual({ 'lines.0.price': expect.stringContaining('USD') });
    expect(await fields([{ ...spool('3.00 USD'), ware: 'spaceship' }])).toMatchObject({
      'lines.0.ware': expect.stringContaining('Choose what came'),
    });
    expect(await fields([])).toEqual({ lines: 'A delivery has one line at least.' });
    expect(await fields([{ ...spool('30.00 USD'), length: '', mass: '0.000001 g' }])).toEqual({
      'lines.0.mass': expect.stringContaining('no length worth keeping'),
    });
    expect((await listDeliveries(session)).deliveries).toEqual([]);
    const gift = got('', { costIs: 'free' });
    expect(
      problemOf(await receiveDelivery(session, newKey(), delivery([{ ...FINDING, ...gift }]))).message,
    ).toMatch(/Every line is a gift/);
  });

  it('is the owner’s to enter and to see', async () => {
    const owner = await openStudio();
    const helper = await addTestHelper(owner);
    expect(problemOf(await receiveDelivery(helper, newKey(), delivery([spool('3.00 USD')]))).kind).toBe(
      'forbidden',
    );
    expect(() => listDeliveries(helper)).toThrow(/owner/);
  });

  it('is compared by check-books with the shares of its lines', async () => {
    const session = await openStudio();
    done(await receiveDelivery(session, newKey(), delivery([spool('30.00 USD')])));
    await asOwner('UPDATE deliveries SET postage = postage + 1 WHERE studio_id = $1', [session.studioId]);
    expect(await differencesIn(session)).toMatchObject([{ what: 'delivery D-0001' }]);
    await asOwner('UPDATE deliveries SET postage = postage - 1 WHERE studio_id = $1', [session.studioId]);
  });
});

describe('the same again', () => {
  it('sends a delivery as it was, before postage and tax', async () => {
    const session = await openStudio();
    const stone = {
      ware: 'stone',
      material: STONE.material,
      outline: STONE.outline,
      length: '21 mm',
      width: '14 mm',
    };
    const lines = [
      spool('30.00 USD', { place: 'Silver drawer' }),
      { ...BEAD, ...got('60.00 USD') },
      { ...stone, depth: '6 mm', edge: '3 mm', holeAxis: 'none', hole: '', ...got('18.00 USD') },
      { ...FINDING, ...got('7.00 USD') },
      { ware: 'supply', name: 'Box', unit: 'piece', quantity: '25', perPiece: '1', ...got('12.50 USD') },
    ];
    done(await receiveDelivery(session, newKey(), delivery(lines)));
    const again = await deliveryAgain(session, 1);
    expect(again?.lines.map(({ ware, price }) => [ware, price])).toEqual(
      lines.map(({ ware, price }) => [ware, price]),
    );
    const { number } = done(
      await receiveDelivery(session, newKey(), { ...delivery([]), ...again, note: '', cameTo: '' }),
    );
    const [one, two] = [await showDelivery(session, 1), await showDelivery(session, number)];
    const told = (from: typeof one) => from?.lines.map(({ number: _, ...each }) => each);
    expect(told(two)).toEqual(told(one));
    expect((await showStockPiece(session, 2))?.length).toBe(mm(10_000));
  });

  it('fills a single purchase in; what was made is not bought again', async () => {
    const session = await openStudio();
    done(await receiveWire(session, newKey(), { ...SPOOL, price: '41.00 USD' }));
    expect(await purchaseAgain(session, 'W-0001')).toMatchObject({
      ware: 'wire',
      supplier: SPOOL.supplier,
      line: { price: '41.00 USD', gaugeNumber: '20', length: '10000 mm' },
    });
    expect(await purchaseAgain(session, 'W-0009')).toBeNull();
    expect(await purchaseAgain(session, 'P-0001')).toBeNull();
    const [spec] = await listSpecs(session);
    const prices = await look(session, (tx) => replacementPrices(tx, [spec?.id ?? '']));
    expect([...prices.values()]).toMatchObject([{ price: 4100 * 1000 }]);
  });
});
