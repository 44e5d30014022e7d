import {
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
  receive,
  simplePattern,
  SPOOL,
} from '../../../tests/support/studio';
import { findAnything } from '../find/findAnything';
import { writePattern } from '../patterns/writePattern';
import { listSuppliers, showRack, showStockPiece } from './rack';
import { receiveWire } from './receiveWire';
import { listSpecs } from '../catalogue/wireSpecs';

afterAll(closeBooks);

describe('receiving wire', () => {
  it('asks which ounce is meant when precious metal comes in by it', async () => {
    const session = await openStudio();
    const by = (mass: string, metal = 'sterling') =>
      receiveWire(session, newKey(), { ...SPOOL, metal, length: '', mass });
    expect(problemOf(await by('2 oz')).fields).toEqual({
      mass: '“2 oz”: troy or avoirdupois ounces? Write oz t (31.1 g) or oz av (28.3 g).',
    });
    const lengthOf = async (mass: string, metal?: string) =>
      (await showStockPiece(session, done(await by(mass, metal)).number))?.length ?? 0;
    expect((await lengthOf('2 troy oz')) / (await lengthOf('2 oz av'))).toBeCloseTo(
      31.1034768 / 28.349523125,
      4,
    );
    // Copper is sold by the ordinary ounce.
    expect(await lengthOf('2 oz', 'copper')).toBe(await lengthOf('2 oz av', 'copper'));
  });

  it('works out the length from the weight', async () => {
    const session = await openStudio();
    const number = await receive(session, { length: '', mass: '1 oz t' });
    const piece = await showStockPiece(session, number);
    // 31.1034768 g at 5.365 g/m (20 ga, 0.812 mm, sterling 10.36): 5.80 m.
    expect((piece?.length ?? 0) / 1e6).toBeCloseTo(5.8, 2);
    expect(piece).toMatchObject({
      cost: 5_000_000,
      lot: { supplier: 'Tern & Daughter Metals', boughtOn: '2026-05-04', label: '20 AWG' },
    });
  });

  it('knows the same wire under another label, and keeps the label as bought', async () => {
    const session = await openStudio();
    await receive(session);
    const number = await receive(session, { gaugeSystem: 'mm', gaugeNumber: '0.812' });
    expect(await listSpecs(session)).toHaveLength(1);
    expect((await showStockPiece(session, number))?.lot?.label).toBe('0.812 mm');
    await receive(session, { temper: 'dead soft' });
    expect(await listSpecs(session)).toHaveLength(2);
    expect(await listSuppliers(session)).toEqual(['Tern & Daughter Metals']);
  });

  it.each<[string, object, RegExp]>([
    ['neither length nor weight', { length: '', mass: '' }, /Enter a length/],
    ['a negative length', { length: '-3 m' }, /negative/],
    ['a bare number', { length: '10' }, /no unit/],
    ['a gauge that does not exist', { gaugeNumber: '77' }, /no AWG number “77”/],
    ['a price of nothing', { price: '0 USD' }, /say that it was free/],
    ['a price in another currency', { price: '5 EUR' }, /in EUR, but this studio keeps its books in USD/],
    ['a coating without a colour', { finish: 'coated' }, /which colour/],
    ['a metal nobody knows', { metal: 'unobtainium' }, /Choose a metal: copper/],
    ['a day to come', { boughtOn: '2199-01-01' }, /still to come/],
    ['a day that is none', { boughtOn: '2026-02-30' }, /is not a day/],
    ['an endless supplier', { supplier: 'x'.repeat(5000) }, /5,000 characters long; 120 are allowed/],
    ['a number for a text', { price: 12 }, /as text/],
  ])('refuses %s and posts nothing', async (_what, changed, message) => {
    const session = await openStudio();
    expect(problemOf(await receiveWire(session, newKey(), { ...SPOOL, ...changed })).message).toMatch(
      message,
    );
    expect((await showRack(session, {})).pieceCount).toBe(0);
  });

  it('posts one form once, and refuses its key for another', async () => {
    const session = await openStudio();
    const key = newKey();
    const first = done(await receiveWire(session, key, SPOOL));
    expect(done(await receiveWire(session, key, SPOOL))).toEqual(first);
    expect((await showRack(session, {})).pieceCount).toBe(1);
    expect(problemOf(await writePattern(session, key, null, {})).kind).toBe('invalid');
    expect(problemOf(await receiveWire(session, 'no key', SPOOL)).message).toMatch(/lost its key/);
  });
});

describe('the rack', () => {
  it('pages in its own order without losing or repeating a length', async () => {
    const session = await openStudio();
    for (let n = 0; n < 45; n += 1)
      await receive(session, { gaugeNumber: String(16 + (n % 5) * 2), length: `${n + 1} m` });
    const numbers: number[] = [];
    for (let after: string | undefined; ;) {
      const page = await showRack(session, after === undefined ? {} : { after });
      numbers.push(...page.groups.flatMap(({ pieces }) => pieces.map(({ number }) => number)));
      expect(page).toMatchObject({
        pieceCount: 45,
        specCount: 5,
        totalLength: 1_035_000_000,
        totalCost: 225_000_000,
      });
      if (page.next === null) break;
      after = page.next;
    }
    expect(numbers).toHaveLength(45);
    expect(new Set(numbers).size).toBe(45);
  });

  it('filters and searches, treating what is typed as words, not as patterns', async () => {
    const session = await openStudio();
    await receive(session);
    await receive(session, {
      metal: 'copper',
      gaugeNumber: '26',
      temper: 'dead soft',
      finish: 'coated',
      finishName: 'teal',
    });
    const count = async (query: Parameters<typeof showRack>[1]) =>
      (await showRack(session, query)).pieceCount;
    expect(await count({ metal: 'copper' })).toBe(1);
    expect(await count({ gauge: '26 AWG' })).toBe(1);
    expect(await count({ temper: 'half hard' })).toBe(1);
    expect(await count({ words: 'TEAL copper' })).toBe(1);
    expect(await count({ words: 'W-0001' })).toBe(1);
    expect(await count({ words: '%' })).toBe(0);
    expect(await count({ words: `' OR 1=1 --` })).toBe(0);
    expect(await count({ after: 'no cursor' })).toBe(2);
  });

  it('is found by tag or words from the command box', async () => {
    const session = await openStudio();
    await receive(session);
    await simplePattern(session);
    expect(await findAnything(session, 'w-1')).toMatchObject([
      { kind: 'wire', tag: 'W-0001', name: '20 ga round sterling, half hard' },
    ]);
    expect((await findAnything(session, 'loop')).map(({ kind }) => kind).slice(0, 2)).toEqual([
      'pattern',
      'technique',
    ]);
    expect(await findAnything(session, '   ')).toEqual([]);
    await receive(session);
    await receive(session, { metal: 'copper' });
    for (const typed of ['20ga sterling', 'Sterling #20', '20 gauge half sterling'])
      expect((await findAnything(session, typed)).map(({ tag: on, href }) => [on, href])).toEqual([
        ['all 2', '/rack?metal=sterling&profile=round&gauge=20+AWG&temper=half+hard'],
        ['W-0001', '/rack/W-0001'],
        ['W-0002', '/rack/W-0002'],
      ]);
    expect(await findAnything(session, '20ga brass')).toEqual([]);
    expect(await findAnything(session, 'jump ring')).toMatchObject([
      { kind: 'technique', name: 'Jump rings from a coil', href: '/how-much?of=jump-rings' },
    ]);
  });
});
