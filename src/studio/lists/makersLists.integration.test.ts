import { utils, write } from '@e965/xlsx';
import { closeBooks, done, openStudio, problemOf, receive } from '../../../tests/support/studio';
import { settledImport } from '../../../tests/support/imports';
import { showDrawer } from '../drawers/drawers';
import type { StudioSession } from '../kernel/useCase';
import { showRack, showStockPiece } from '../wire/rack';
import type { ImportView } from './importFile';
import { answerImport, mendImport, openImport, postImport } from './importList';

/** Lists as makers keep them: invented ones, each with the habits of its own keeper. */

afterAll(closeBooks);

type Cell = string | number | Date | null;

/** A spreadsheet of one sheet, as a program writes it. */
const spreadsheet = (rows: readonly (readonly Cell[])[], bookType: 'xlsx' | 'ods') => {
  const book = utils.book_new();
  utils.book_append_sheet(
    book,
    utils.aoa_to_sheet(
      rows.map((row) => [...row]),
      { cellDates: true },
    ),
    'Stock',
  );
  return { base64: write(book, { type: 'base64', bookType }) as string };
};

async function opened(session: StudioSession, list: string, file: Parameters<typeof openImport>[3]) {
  const { id } = done(await openImport(session, list, 'mine', file));
  return settledImport(session, id);
}

/** Answers what is asked, as often as something new is asked. */
async function answered(session: StudioSession, view: ImportView, answers: Readonly<Record<string, string>>) {
  let now = view;
  for (let round = 0; round < 3 && now.questions.length > 0; round += 1) {
    const known = now.questions.map(({ id }) => ({ question: id, answer: answers[id] ?? '' }));
    expect(known.filter(({ answer }) => answer === '')).toEqual([]);
    done(await answerImport(session, now.id, { answers: known }));
    now = await settledImport(session, now.id);
  }
  return now;
}

/** At least 95 % of the rows come in once the questions are answered. */
function expectNearlyAll({ good, total, bad }: ImportView): void {
  expect({ share: good / total, bad: bad.map(({ why }) => why) }).toMatchObject({
    share: expect.any(Number) as number,
  });
  expect(good / total).toBeGreaterThanOrEqual(0.95);
}

it('an American workbook: titles above, unit in the title, totals below, month first, price for the spool', async () => {
  const session = await openStudio();
  const sheet = spreadsheet(
    [
      ['Wire on hand', null, null, null, null, null, null],
      ['counted in the spring', null, null, null, null, null, null],
      [],
      ['Metal', 'Gauge', 'Shape', 'Hardness', 'Feet left', 'Price paid', 'Date bought'],
      ['Sterling Silver', 20, 'rnd', 'DS', 25, 41.5, '3/14/2025'],
      ['sterling silver', 22, 'Sq', 'HH', 10, 18, '4/2/2025'],
      ['Gold filled 14/20', 26, 'round', 'dead-soft', 12.5, 63.25, '4/2/2025'],
      ['bare copper', 18, 'half round', '1/2 hard', 40, 9, '11/30/2024'],
      ['Total', null, null, null, 87.5, 131.75, null],
    ],
    'xlsx',
  );
  const view = await opened(session, 'wire', sheet);
  expect(view).toMatchObject({ total: 4, good: 4, passedOver: 1, questions: [] });
  done(await postImport(session, view.id, 'all or none'));
  expect((await settledImport(session, view.id)).state).toBe('posted');
  const rack = await showRack(session, {});
  // 87.5 ft, and what was paid for each.
  expect(rack.totalLength).toBe(87.5 * 304_800);
  expect(rack.totalCost).toBe(13_175_000);
  const piece = await showStockPiece(session, 1);
  expect(piece).toMatchObject({ lot: { boughtOn: '2025-03-14' } });
  expect(rack.groups.map(({ spec }) => [spec.metal, spec.profile, spec.temper])).toEqual([
    ['copper', 'half-round', 'half hard'],
    ['sterling', 'round', 'dead soft'],
    ['sterling', 'square', 'half hard'],
    ['gold-filled', 'round', 'dead soft'],
  ]);
});

it('a European sheet: millimetres, decimal comma, metres, day first, price for a metre', async () => {
  const session = await openStudio({ currency: 'EUR' });
  const sheet = spreadsheet(
    [
      ['Material', 'Ø mm', 'Temper', 'Length (m)', 'Price each', 'Bought on', 'Where'],
      ['925', '0,8', 'soft', '5,5', '2,40', '14.05.2025', 'box A'],
      ['Cu', '0,4', 'soft', '30', '0,10', '02.06.2025', 'box A'],
      ['brass', 1, 'hard', '4', '0,35', '02.06.2025', 'box B'],
    ],
    'ods',
  );
  const view = await opened(session, 'wire', sheet);
  expect(view).toMatchObject({ total: 3, good: 3, questions: [] });
  done(await postImport(session, view.id, 'good rows'));
  await settledImport(session, view.id);
  const rack = await showRack(session, {});
  // 5.5 × 2.40 + 30 × 0.10 + 4 × 0.35 are 17.60.
  expect(rack.totalCost).toBe(1_760_000);
  expect(rack.groups.map(({ spec }) => spec.width)).toEqual([400, 1000, 800]);
});

it('one column that says it all, and a word that nobody knows: asked once, and remembered', async () => {
  const session = await openStudio();
  const file = [
    'Wire;Feet;Value',
    '20ga dead soft copper;30;4.50',
    'silver plated copper 24ga soft;50;6',
    'half hard sterling 21 ga square;8;22',
    'jeweler gold 26ga ds;15;3',
    'jeweler gold 20ga ds;10;4',
  ].join('\n');
  const first = await opened(session, 'wire', file);
  expect(first.questions.map(({ id }) => id)).toEqual(['each cost', 'all metal']);
  const view = await answered(session, first, { 'each cost': 'all', 'all metal': 'brass' });
  expectNearlyAll(view);
  done(await postImport(session, view.id, 'good rows'));
  await settledImport(session, view.id);
  const rack = await showRack(session, {});
  expect(rack.groups.map(({ spec }) => [spec.metal, spec.finish, spec.finishName])).toEqual([
    ['copper', 'bare', ''],
    ['copper', 'plated', 'silver'],
    ['brass', 'bare', ''],
    ['brass', 'bare', ''],
    ['sterling', 'bare', ''],
  ]);
  const unknown = (word: string) => `Metal,Size,Temper,Left\n${word},20ga,soft,3 m\n${word},22ga,soft,2 m`;
  const asked = await opened(session, 'wire', unknown('Merlin'));
  expect(asked.questions).toMatchObject([{ id: 'word metal merlin', rows: 2 }]);
  expect((await answered(session, asked, { 'word metal merlin': 'bronze' })).good).toBe(2);
  // The next file is not asked about it again.
  expect(await opened(session, 'wire', unknown('merlin'))).toMatchObject({ good: 2, questions: [] });
});

it('wire by weight, without a unit in the title: asked once', async () => {
  const session = await openStudio();
  const file =
    'Metal,Gauge,Temper,Weight\nsterling,20,soft,15\nsterling,24,soft,8.5\nfine silver,26,soft,4\n';
  const first = await opened(session, 'wire', file);
  expect(first.questions.map(({ id }) => id)).toEqual(['unit quantity']);
  const view = await answered(session, first, { 'unit quantity': 'g' });
  expect(view.good).toBe(3);
  done(await postImport(session, view.id, 'good rows'));
  await settledImport(session, view.id);
  // 15 g of 20 ga sterling: 0.5178 mm² × 10.36 g/cm³ are 5.365 g a metre, 2.796 m.
  expect((await showStockPiece(session, 1))?.length).toBeGreaterThan(2_790_000);
  expect((await showStockPiece(session, 1))?.length).toBeLessThan(2_802_000);
});

it('beads by the strand, about so many, without a hole: what is not said is asked once', async () => {
  const session = await openStudio();
  const sheet = spreadsheet(
    [
      ['Beads', 'Shape', 'Size', 'Qty', 'Price per strand', 'Vendor'],
      ['garnet', 'rounds', 4, '1 strand', 9, 'Fen Beads'],
      ['iolite', 'rondelles', '3', '2 strands', 7.5, 'Fen Beads'],
      ['peridot', 'chips', '5 mm', '~64', 4, 'the fair'],
      ['unakite', 'round', 6, 24, 3, 'the fair'],
    ],
    'xlsx',
  );
  const first = await opened(session, 'beads', sheet);
  const view = await answered(session, first, {
    'all hole': '0.8 mm',
    'strand quantity': '90',
    'each price': 'all',
  });
  expectNearlyAll(view);
  done(await postImport(session, view.id, 'good rows'));
  await settledImport(session, view.id);
  const { pieces } = await showDrawer(session, 'bead', {});
  expect(pieces.map(({ quantity }) => quantity).sort((a, b) => a - b)).toEqual([24, 64, 90, 180]);
});

it('stones measured in one cell, edges and depths not at all', async () => {
  const session = await openStudio();
  const file = [
    'Stone,Shape,Dimensions,Price,Bought',
    'Prehnite,pear,25x18,12,',
    'Unakite,oval,30 × 22 mm,8,',
    'Carnelian,Navette,"22 x 11 x 5",9,',
    'sea glass,free form,31x24x7,,',
  ].join('\n');
  const first = await opened(session, 'stones', file);
  const view = await answered(session, first, { 'all depth': '6 mm', 'all edge': '2 mm' });
  expect(view).toMatchObject({ good: 4, total: 4 });
  done(await postImport(session, view.id, 'good rows'));
  await settledImport(session, view.id);
  const { pieces } = await showDrawer(session, 'stone', {});
  expect(pieces.map(({ detail }) => detail)).toEqual(
    expect.arrayContaining([
      expect.objectContaining({
        material: 'Prehnite',
        outline: 'teardrop',
        length: 25_000,
        width: 18_000,
        depth: 6_000,
      }),
      expect.objectContaining({ material: 'Carnelian', outline: 'marquise', depth: 5_000 }),
    ]),
  );
});

it('findings by the dozen and gross, under headings, day or month first unknown', async () => {
  const session = await openStudio();
  const file = [
    'My findings,,,,',
    'Item,Metal,Size,How many,Bought,Total cost',
    'Silver,,,,',
    'Jump rings,sterling,5 mm,2 dozen,05/06/2025,11',
    'Lobster,sterling,,6,05/06/2025,14.50',
    'Copper,,,,',
    'Head pins,copper,50 mm,1 gross,,7',
    'Grand total,,,,,32.50',
  ].join('\n');
  const first = await opened(session, 'findings', file);
  expect(first).toMatchObject({ total: 3, passedOver: 3 });
  const view = await answered(session, first, { 'order boughtOn': 'day first' });
  expect(view.good).toBe(3);
  done(await postImport(session, view.id, 'good rows'));
  await settledImport(session, view.id);
  const { pieces } = await showDrawer(session, 'finding', {});
  expect(pieces.reduce((sum, { quantity }) => sum + quantity, 0)).toBe(24 + 6 + 144);
});

it('a row is mended in place before anything is posted', async () => {
  const session = await openStudio();
  await receive(session);
  const file = 'Tag,Metal,Size,Temper,Left\nW-0001,copper,20ga,soft,3 m\nW-0009,copper,99ga,soft,2 m\n';
  const view = await opened(session, 'wire', file);
  expect(view.good).toBe(0);
  expect(view.bad[1]?.wrong).toMatchObject([{ key: 'size', text: '99ga' }]);
  const cells = [
    { line: '2', column: 'tag', text: '' },
    { line: '3', column: 'size', text: '18ga' },
  ];
  done(await mendImport(session, view.id, { cells }));
  expect(await settledImport(session, view.id)).toMatchObject({ good: 2, bad: [] });
  const odd = { cells: [{ line: '2', column: 'owner', text: 'me' }] };
  expect(problemOf(await mendImport(session, view.id, odd)).message).toMatch(/no column “owner”/);
});

it('says that a broken spreadsheet cannot be read', async () => {
  const session = await openStudio();
  const broken = { base64: Buffer.from('PK\u0003\u0004 not a workbook at all').toString('base64') };
  expect(problemOf(await openImport(session, 'wire', 'x.xlsx', broken)).message).toMatch(
    /cannot be read|empty/,
  );
});
