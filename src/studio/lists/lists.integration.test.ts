import sharp from 'sharp';
import { FINDING, STONE, SUPPLY } from '../../../tests/support/purchases';
import {
  addTestHelper,
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
  receive,
} from '../../../tests/support/studio';
import { settledImport } from '../../../tests/support/imports';
import { showDrawer, showDrawerPiece } from '../drawers/drawers';
import { receiveBeads, receiveFindings, receiveStone, receiveSupply } from '../drawers/receive';
import type { StudioSession } from '../kernel/useCase';
import { labelPdf } from '../labels/labelPdf';
import { labelsOf, tagsInPlace } from '../labels/labels';
import { keepPhoto, MOST_PHOTO_BYTES, showPhoto } from '../photos/keepPhoto';
import { changeStock } from '../stock/changeStock';
import { listPlaces } from '../stock/places';
import { takeOut } from '../stock/takeOut';
import { partWire } from '../wire/partWire';
import { showRack, showStockPiece } from '../wire/rack';
import { twistWire } from '../wire/twistWire';
import { csvLines, readCsv } from './csv';
import { exportList } from './exportList';
import { guessMapping, type ImportView } from './importFile';
import { answerImport, cancelImport, mapImport, openImport, postImport, showImport } from './importList';
import { listOf, STOCK_LISTS } from './lists';

afterAll(closeBooks);

async function written(session: StudioSession, id: string): Promise<string> {
  let text = '';
  for await (const part of exportList(session, id) ?? []) text += part;
  return text;
}

async function bringIn(session: StudioSession, list: string, content: string): Promise<ImportView> {
  const { id } = done(await openImport(session, list, `${list}.csv`, content));
  const checked = await settledImport(session, id);
  if (checked.good === 0) return checked;
  done(await postImport(session, id, 'good rows'));
  return settledImport(session, id);
}

async function fillEverything(session: StudioSession): Promise<void> {
  const bought = {
    price: '12.34 USD',
    supplier: 'Gull & Sons',
    boughtOn: '2026-05-04',
    place: 'Box',
    note: 'no 7',
    paid: '10 EUR',
  };
  const spool = await receive(session, { place: 'Rail', note: 'invoice "A", 3' });
  await receive(session, {
    metal: 'copper',
    gaugeSystem: 'mm',
    gaugeNumber: '0.4',
    finish: 'coated',
    finishName: 'teal',
    temper: 'dead soft',
  });
  await receive(session, { profile: 'half-round', height: '0.4 mm', supplier: '' });
  done(await partWire(session, newKey(), spool, { form: 'bobbin', length: '3 m 1 mm', place: '=SUM(A1)' }));
  done(
    await takeOut(session, newKey(), 'wire', spool, { kind: 'spoiled', quantity: '1 ft', reason: 'kinked' }),
  );
  const square = await receive(session, { profile: 'square', gaugeNumber: '22' });
  done(
    await twistWire(session, newKey(), square, {
      before: '1 m',
      after: '99 cm',
      turns: '150',
      second: '',
      place: '',
    }),
  );
  const keep = {
    version: '1',
    place: 'Rail',
    note: 'first, to be used',
    spoolType: 'Reel',
    emptyMass: '11.4 g',
  };
  done(await changeStock(session, newKey(), 'wire', spool, keep));
  const bead = {
    material: 'iolite',
    shape: 'rondelle',
    size: '3 mm',
    largest: '6 mm',
    hole: '0.5 mm',
    form: 'strand',
    count: '40',
    shades: 'pale 14, deep 20',
  };
  done(await receiveBeads(session, newKey(), { ...bead, ...bought }));
  const stone = { ...STONE, ...bought };
  done(await receiveStone(session, newKey(), stone));
  done(await receiveStone(session, newKey(), { ...stone, holeAxis: 'through', hole: '0.6 mm' }));
  done(
    await receiveFindings(session, newKey(), {
      ...FINDING,
      ...bought,
    }),
  );
  done(
    await receiveSupply(session, newKey(), {
      ...SUPPLY,
      perPiece: '1.5',
      ...bought,
    }),
  );
}

it('what goes out comes in again as it was: every list, to the last figure', async () => {
  const [here, there] = [await openStudio(), await openStudio()];
  await fillEverything(here);
  for (const { id } of STOCK_LISTS) {
    const first = await written(here, id);
    expect(readCsv(first).rows.length).toBeGreaterThan(0);
    expect(await bringIn(there, id, first)).toMatchObject({ state: 'posted', bad: [] });
    expect([id, await written(there, id)]).toEqual([id, first]);
  }
  expect((await showRack(there, {})).totalCost).toBe((await showRack(here, {})).totalCost);
  expect(await showStockPiece(there, 1)).toMatchObject({
    place: 'Rail',
    spoolType: 'Reel',
    emptyMass: 11_400_000,
  });
  // The next thing to come in gets a number of its own.
  expect(await receive(there)).toBe((await showRack(here, {})).pieceCount + 1);
  expect((await written(here, 'ledger')).split('\r\n').length).toBeGreaterThan(12);
});

it('reads a file from elsewhere: other names, another order, units and gauges in the cells', async () => {
  const session = await openStudio();
  const file = [
    'Location;Qty;Gauge;Material;Hardness;Cost',
    'Tin;50 ft;20ga;Sterling;half hard;12.5',
    'Tin;3 m;0.8 mm;copper;dead soft;2',
    ';10;20ga;copper;dead soft;2',
    'Tin;1 m;99ga;copper;dead soft;2',
    'Tin;1 m;20ga;unobtainium;soft;two',
  ].join('\n');
  const { id } = done(await openImport(session, 'wire', 'mine.csv', file));
  expect((await settledImport(session, id)).questions.map((each) => each.id)).toEqual([
    'each cost',
    'unit quantity',
    'word metal unobtainium',
  ]);
  done(await answerImport(session, id, { answers: [{ question: 'each cost', answer: 'all' }] }));
  const view = await settledImport(session, id);
  expect(view).toMatchObject({ state: 'checked', total: 5, good: 2 });
  expect(view.bad.map(({ line }) => line)).toEqual([4, 5, 6]);
  const [noUnit, noGauge, allWrong] = view.bad.map(({ why }) => why.join(' '));
  expect(noUnit).toMatch(/Left: Which unit is “Qty” in/);
  expect(noGauge).toMatch(/Size: There is no AWG number “99”/);
  expect(allWrong).toMatch(
    /Metal: What does “unobtainium” mean in “Metal”\?.*Cost left: “two” is not a cost/,
  );
  expect((await showRack(session, {})).pieceCount).toBe(0);

  expect(problemOf(await postImport(session, id, 'all or none')).message).toMatch(/3 rows are not good/);
  done(await postImport(session, id, 'good rows'));
  expect(await settledImport(session, id)).toMatchObject({ state: 'posted', done: 2 });
  expect(problemOf(await postImport(session, id, 'good rows')).message).toMatch(/posted already/);
  // Fifty feet are 15.24 m.
  expect((await showRack(session, {})).totalLength).toBe(15_240_000 + 3_000_000);
  const history = (await showStockPiece(session, 1))?.history ?? [];
  expect(history).toMatchObject([{ kind: 'opened', cost: 1_250_000, reason: 'brought in from a file' }]);
});

it('takes a tag once, maps columns anew, and can be stopped', async () => {
  const session = await openStudio();
  await receive(session);
  const file = csvLines([
    ['Tag', 'Stuff', 'Size', 'Temper', 'Left'],
    ['W-0001', 'copper', '20', 'dead soft', '1 m'],
    ['W-0009', 'copper', '20', 'dead soft', '1 m'],
    ['W-0009', 'copper', '20', 'dead soft', '1 m'],
  ]);
  const { id } = done(await openImport(session, 'wire', 'tags.csv', file));
  const unmapped = await settledImport(session, id);
  expect(unmapped).toMatchObject({ good: 0, mapping: { metal: -1, size: 2 } });
  done(await mapImport(session, id, { ...unmapped.mapping, metal: 1 }));
  const mapped = await settledImport(session, id);
  expect(mapped.good).toBe(1);
  expect(mapped.bad.map(({ why }) => why[0])).toEqual([
    'Tag: W-0001 is here already.',
    'Tag: W-0009 stands in line 3 too.',
  ]);
  done(await cancelImport(session, id));
  expect(await showImport(session, id)).toMatchObject({ state: 'cancelled' });
  expect(problemOf(await postImport(session, id, 'good rows')).message).toMatch(/not checked yet/);
  expect((await showRack(session, {})).pieceCount).toBe(1);
});

it.each<[string, string, string, RegExp]>([
  ['an empty file', 'wire', '', /nothing to read/],
  ['a file of one column', 'wire', 'a\nb\nc', /nothing to read/],
  ['a list nobody has', 'ledger', 'a,b\n1,2', /no such list/],
])('refuses %s', async (_what, list, content, message) => {
  const session = await openStudio();
  expect(problemOf(await openImport(session, list, 'x.csv', content)).message).toMatch(message);
});

it('says of beads, stones, findings and supplies what is wrong with them', async () => {
  const session = await openStudio();
  const why = async (list: string, rows: string[][]) =>
    (await bringIn(session, list, csvLines(rows))).bad.map((row) => row.why.join(' '));
  expect(
    await why('beads', [
      ['Material', 'Shape', 'Size', 'Hole', 'Left', 'Shades'],
      ['', 'blob', '4 mm', '5 mm', '2.5', 'pale 9'],
    ]),
  ).toEqual([
    expect.stringMatching(
      /Hole: is as wide.*Material: is empty.*Shape: What does “blob” mean in “Shape”.*Left: “2.5” is not a whole/,
    ),
  ]);
  const stones = [
    ['Material', 'Outline', 'Length', 'Width', 'Depth', 'Edge', 'Left', 'Supplier'],
    ['x', 'oval', '900 mm', '1 mm', '2 mm', '3 mm', '2', 'Gull'],
  ];
  expect(await why('stones', stones)).toEqual([
    expect.stringMatching(/Length: “900 mm” is outside.*Edge: is more than the depth.*Left: is 1/),
  ]);
  expect(
    await why('findings', [
      ['Finding', 'Material', 'Left'],
      ['spaceship', 'tin', '0'],
    ]),
  ).toEqual([expect.stringMatching(/Finding: What does “spaceship” mean.*Left: “0” is nothing/)]);
  expect(
    await why('supplies', [
      ['Supply', 'By the', 'Left'],
      ['Polish', 'bucket', '1'],
    ]),
  ).toEqual([expect.stringMatching(/By the: What does “bucket” mean/)]);
  expect(
    await why('scrap', [
      ['Metal', 'Left'],
      ['copper', '3 g'],
      ['copper', '4 g'],
    ]),
  ).toEqual([expect.stringMatching(/a jar of it already/)]);
});

it('guesses columns by their titles before other words for them', () => {
  const wire = listOf('wire');
  if (!wire) throw new Error('no wire');
  expect(guessMapping(wire, ['length', 'Left', 'GAUGE', 'metal'])).toMatchObject({
    quantity: 1,
    size: 2,
    metal: 3,
    tag: -1,
  });
});

it('guards cells that a spreadsheet would take for a formula, and only those', () => {
  const cells = ['=1+1', '-5', '@x', '+44', "'=1", "it's", 'a,b', 'line\nbreak', '"'];
  const text = csvLines([['h', ...cells.slice(1)], cells]);
  expect(text).toContain("'=1+1");
  expect(readCsv(text).rows[0]).toEqual(cells);
});

it('a helper takes nothing out and brings nothing in', async () => {
  const helper = await addTestHelper(await openStudio());
  expect(() => exportList(helper, 'wire')).toThrow(/Only the studio’s owner/);
  expect(problemOf(await openImport(helper, 'wire', 'x.csv', 'a,b\n1,2')).kind).toBe('forbidden');
});

describe('labels', () => {
  it('are a PDF with the tag of everything that was asked for', async () => {
    const session = await openStudio();
    await fillEverything(session);
    const box = (await listPlaces(session)).find(({ name }) => name === 'Box');
    const tags = await tagsInPlace(session, box?.id ?? '');
    expect(tags).toEqual(['B-0001', 'H-0001', 'S-0001', 'S-0002', 'C-0001']);
    const labels = await labelsOf(session, ['w-1', ...tags, 'W-0999', 'rubbish']);
    expect(labels.map(({ tag }) => tag)).toEqual(['W-0001', ...tags]);
    for (const layout of ['sheet', 'small'] as const) {
      for (const code of ['qr', 'code128'] as const) {
        const pdf = await labelPdf(labels, layout, code, 'A4');
        expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
        // One page of the sheet holds all six; the label printer takes one a page.
        expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(layout === 'sheet' ? 1 : 6);
      }
    }
  });
});

describe('photographs', () => {
  const picture = (width: number) =>
    sharp({ create: { width, height: 900, channels: 3, background: '#884422' } })
      .withExif({ IFD0: { Copyright: 'somebody', Artist: 'at home' } })
      .jpeg()
      .toBuffer();

  it('are kept small, by what they are, with nothing but the picture', async () => {
    const session = await openStudio();
    const { number } = done(
      await receiveFindings(session, newKey(), {
        finding: 'bail',
        material: 'copper',
        size: '',
        count: '3',
        price: '1 USD',
        supplier: '',
        boughtOn: '2026-05-04',
        place: '',
        note: '',
        paid: '',
      }),
    );
    const articleId = (await showDrawerPiece(session, 'finding', number))?.articleId ?? '';
    const sent = await picture(2400);
    expect((await sharp(sent).metadata()).exif).toBeDefined();
    const { photoId } = done(await keepPhoto(session, newKey(), articleId, sent));
    const kept = await showPhoto(session, photoId);
    const { width, height, exif, format } = await sharp(kept?.bytes).metadata();
    expect({ width, height, exif, format }).toEqual({
      width: 1280,
      height: 480,
      exif: undefined,
      format: 'jpeg',
    });
    expect((await showDrawer(session, 'finding', {})).pieces[0]?.photoId).toBe(photoId);
    expect(await showPhoto(await openStudio(), photoId)).toBeNull();
    expect(await showPhoto(session, 'rubbish')).toBeNull();

    const refuse = async (bytes: Uint8Array, id = articleId) =>
      problemOf(await keepPhoto(session, newKey(), id, bytes)).message;
    expect(await refuse(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'))).toMatch(
      /not a picture that can be kept/,
    );
    expect(await refuse(Buffer.from('GIF89a'))).toMatch(/not a picture/);
    expect(await refuse(sent.subarray(0, 2000))).toMatch(/broken or cut off|not a picture/);
    expect(await refuse(new Uint8Array())).toMatch(/Nothing was sent/);
    expect(await refuse(new Uint8Array(MOST_PHOTO_BYTES + 1))).toMatch(/2 MB are allowed/);
    expect(await refuse(sent, newKey())).toMatch(/no longer there/);
  });
});
