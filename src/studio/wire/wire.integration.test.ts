import {
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
  receive,
  ofGauge,
} from '../../../tests/support/studio';
import { showLedger } from '../ledger/ledgerPage';
import { showJars } from '../scrap/jars';
import { changeStock } from '../stock/changeStock';
import { keepSpoolType, listPlaces, listSpoolTypes, orderPlaces, renamePlace } from '../stock/places';
import { takeOut } from '../stock/takeOut';
import { partWire } from './partWire';
import { showStockPiece } from './rack';
import { relabelWire } from './relabelWire';
import { twistWire } from './twistWire';
import { weighIn } from './weighIn';

afterAll(closeBooks);

const SQUARE = { profile: 'square', gaugeNumber: '22', temper: 'dead soft', metal: 'copper' };
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
    const spec = ofGauge('21', 'calliper says 0.72');
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
