import { BEADS, FINDING, STONE, SUPPLY } from '../../../tests/support/purchases';
import {
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
  receive,
  SPOOL,
  simplePattern,
} from '../../../tests/support/studio';
import { showLedger } from '../ledger/ledgerPage';
import { reverseMovement } from '../corrections/reverseMovement';
import { makePiece } from '../making/makePiece';
import { proposeMaking } from '../making/proposeMaking';
import { showPiece, showShelf } from '../shelf/shelf';
import { showPricing } from '../prices/replacement';
import { takeOut } from '../stock/takeOut';
import { receiveWire } from '../wire/receiveWire';
import { showRack, showStockPiece } from '../wire/rack';
import { countOutSet } from './countOutSet';
import { showDrawer, showDrawerPiece } from './drawers';
import { makeFindings } from './makeFindings';
import { receiveBeads, receiveFindings, receiveStone, receiveSupply } from './receive';
import { setAside } from './setAside';
import { traceStone } from './traceStone';

afterAll(closeBooks);

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
    const asideFor = async () => {
      const detail = (await showDrawerPiece(session, 'stone', first))?.detail;
      return detail?.ware === 'stone' ? detail.setAsideFor : undefined;
    };
    done(await setAside(session, newKey(), first, { purpose: ' a neighbour ' }));
    expect(await asideFor()).toBe('a neighbour');
    done(await setAside(session, newKey(), first, { purpose: '' }));
    expect([await asideFor(), await tags('free')]).toEqual(['', [first]]);
    // What is used is set aside for nobody any more.
    done(await setAside(session, newKey(), first, { purpose: 'a neighbour' }));
    done(await takeOut(session, newKey(), 'stone', first, { kind: 'used', quantity: '1', reason: 'F-0002' }));
    expect([await asideFor(), await tags('set aside')]).toEqual(['', []]);
    expect(problemOf(await receiveStone(session, newKey(), { ...STONE, edge: '9 mm' })).message).toMatch(
      /more than the stone’s depth/,
    );
  });

  it('keep the outline of a freeform stone with it, as large as its calliper says', async () => {
    const session = await openStudio();
    const freeform = { ...STONE, outline: 'freeform', length: '31 mm', width: '22 mm' };
    const { number } = done(await receiveStone(session, newKey(), freeform));
    const detail = async (of: number) => {
      const piece = await showDrawerPiece(session, 'stone', of);
      return piece?.detail.ware === 'stone' ? piece.detail : undefined;
    };
    expect((await detail(number))?.traced).toEqual([]);
    const points = '-10,-15 10,-15.5 11.5,4 2,15.5 -10.5,6';
    done(await traceStone(session, newKey(), number, { points }));
    const traced = (await detail(number))?.traced ?? [];
    expect(traced).toHaveLength(5);
    expect(Math.max(...traced.map(({ x }) => x)) - Math.min(...traced.map(({ x }) => x))).toBeCloseTo(22, 2);
    // Traced anew it has the new one; what is none, or of another stone, changes nothing.
    const trace = async (of: number, typed: string) =>
      problemOf(await traceStone(session, newKey(), of, { points: typed })).message;
    expect(await trace(number, '1,2 3,4')).toMatch(/2 points/);
    expect(await trace(number, '-5,-7 5,-7 5,7 -5,7')).toMatch(/By the photograph it is 14\.0 × 10\.0 mm/);
    expect((await detail(number))?.traced).toEqual(traced);
    const oval = done(await receiveStone(session, newKey(), { ...STONE, outline: 'oval' })).number;
    expect(await trace(oval, points)).toMatch(/a freeform one is traced/);
    // Nobody else traces it.
    expect(problemOf(await traceStone(await openStudio(), newKey(), number, { points })).message).toMatch(
      /There is no S-0001/,
    );
    done(await traceStone(session, newKey(), number, { points: '-11,-15 11,-15 11,15 0,16 -11,15' }));
    expect((await detail(number))?.traced).not.toEqual(traced);
  });

  it('take old stock at an estimate, and gifts at nothing, and say which they are', async () => {
    const session = await openStudio();
    const gift = done(
      await receiveFindings(session, newKey(), { ...FINDING, costIs: 'free', price: '' }),
    ).number;
    expect(await showDrawerPiece(session, 'finding', gift)).toMatchObject({
      cost: 0,
      lot: { costIs: 'free', price: 0 },
    });
    const old = { ...FINDING, size: '6 mm', costIs: 'estimated', price: '5.00 USD' };
    const { number } = done(await receiveFindings(session, newKey(), old));
    expect(await showDrawerPiece(session, 'finding', number)).toMatchObject({
      cost: 500_000,
      lot: { costIs: 'estimated' },
    });
    // A gift is no price to go by: what was paid before stands, and nothing where nothing was.
    const wire = await receive(session, { length: '1 m', price: '10.00 USD' });
    done(await receiveWire(session, newKey(), { ...SPOOL, length: '1 m', costIs: 'free', price: '' }));
    const articleId = (await showStockPiece(session, wire))?.spec.id ?? '';
    expect((await showPricing(session, articleId))?.now).toEqual({ price: 1_000_000, quantity: 1_000_000 });
    const nothing = { ...FINDING, price: '0.00 USD' };
    expect(problemOf(await receiveFindings(session, newKey(), nothing)).fields?.['price']).toMatch(
      /say that it was free/,
    );
  });

  it('take findings by the gross, and made ones with what their wire and their hours cost', async () => {
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
      minutes: '30',
      place: '',
    };
    const made = done(await makeFindings(session, newKey(), make)).number;
    // The last 3 cm are under the useful minimum of 5 cm: they are scrapped at the rings' expense.
    expect(await showDrawerPiece(session, 'finding', made)).toMatchObject({
      quantity: 60,
      // 10.00 for the wire, half an hour at 20.00 and 6.00.
      cost: 1_000_000 + 1_300_000,
    });
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
