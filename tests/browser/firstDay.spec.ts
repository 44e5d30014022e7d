import { utils, write } from '@e965/xlsx';
import { expect, test } from '@playwright/test';
import { FIRST_DAY_URL, listen } from './support/studio';

/**
 * The first day of a studio that keeps its stock in spreadsheets: from nothing to a piece with every part in its cost. What a person
 * does is counted: it has to stay under sixty.
 */

const MOST_ACTIONS = 60;

type Row = readonly (string | number)[];

/** A workbook as it would be chosen from a folder. */
function workbook(name: string, rows: readonly Row[]) {
  const book = utils.book_new();
  utils.book_append_sheet(book, utils.aoa_to_sheet(rows.map((row) => [...row])), 'Sheet1');
  return {
    name,
    mimeType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    buffer: Buffer.from(write(book, { type: 'buffer', bookType: 'xlsx' }) as Uint8Array),
  };
}

const METALS = ['Sterling silver', 'bare copper', 'brass', 'Gold filled 14/20', 'bronze'];
const GAUGES = [18, 20, 22, 24, 26, 28];
/** Sixty spools: five metals in six gauges, soft and half hard, 25 ft each at a price of its own. */
const SPOOLS: readonly Row[] = METALS.flatMap((metal, m) =>
  GAUGES.flatMap((gauge, g) =>
    ['DS', 'HH'].map((temper, t): Row => [metal, gauge, 'rnd', temper, 25, 10 + m * 5 + g + t]),
  ),
);

const WIRE = workbook('wire.xlsx', [
  ['Our wire, counted on Sunday'],
  [],
  ['Metal', 'Gauge', 'Shape', 'Hardness', 'Feet left', 'Price paid'],
  ...SPOOLS,
  ['Total', '', '', '', 1500, ''],
]);
const BEADS = workbook('beads.xlsx', [
  ['Beads', 'Shape', 'Size', 'Hole', 'Qty', 'Price paid'],
  ['garnet', 'rounds', 2, 0.6, 120, 18],
]);
const STONES = workbook('stones.xlsx', [
  ['Stone', 'Shape', 'Dimensions', 'Edge', 'Price paid'],
  ['Prehnite', 'pear', '21x15x6', 2, 14],
]);

test('spreadsheets in, a pattern with a stone and beads, its price, and the piece with every part in its cost', async ({
  page,
}) => {
  const complaints = listen(page);
  let actions = 0;
  /** One thing that a person does. */
  const does = async <T>(action: Promise<T>): Promise<T> => {
    actions += 1;
    return action;
  };
  const fill = (label: string, text: string) =>
    does(page.getByLabel(label, { exact: true }).first().fill(text));
  const press = (name: string | RegExp) => does(page.getByRole('button', { name }).first().click());
  const go = (name: string | RegExp) => does(page.getByRole('link', { name }).first().click());
  const heading = page.getByRole('heading', { level: 1 });

  await test.step('set up', async () => {
    await page.goto(FIRST_DAY_URL);
    await fill('Name of the studio', 'Tern Street');
    await fill('Your name', 'Odile');
    await fill('Name to sign in with', 'odile');
    await fill('Password', 'long enough now');
    await fill('Your hour at the bench is worth', '24');
    await fill('Overhead per bench hour', '6');
    await press('Open the studio');
    await expect(page).toHaveURL(/\/rack$/);
  });

  await test.step('sixty spools, beads and a stone come in from spreadsheets', async () => {
    await go('Bring in a list');
    for (const [list, file, rows] of [
      ['wire', WIRE, 60],
      ['beads', BEADS, 1],
      ['stones', STONES, 1],
    ] as const) {
      await does(page.getByRole('combobox', { name: 'List' }).selectOption(list));
      await does(page.getByLabel('CSV or spreadsheet file').setInputFiles(file));
      await press('Read it, post nothing yet');
      await expect(heading).toHaveText(`${rows === 1 ? '1 row is' : `${rows} rows are`} good, 0 are not`);
      await press(/^Post all/);
      await expect(heading).toHaveText(`${rows} ${rows === 1 ? 'row' : 'rows'} came in`);
      if (list !== 'stones') await go('All lists');
    }
  });

  await test.step('a pattern with the stone, and beads bound on its bail', async () => {
    await go(/Pattern room/);
    await go('Compose the first pattern');
    await fill('Name of the pattern', 'Harbour light');
    await does(page.getByLabel('Begin with a technique').selectOption('bundle-frame'));
    await press('Add it');
    await does(page.getByLabel('A stone of the studio').selectOption({ index: 1 }));
    await expect(page.getByLabel('Stone: Length')).toHaveValue('21 mm');
    await does(page.getByLabel('Add a technique').selectOption('bound-beads'));
    await press('Add it');
    const parts = page.getByRole('region', { name: 'Wires and parts' });
    await expect(parts.getByLabel('Bead, stone or finding')).toHaveValue('Prehnite teardrop stone');
    await expect(parts).toContainText('Prehnite teardrop, 21 × 15 × 6 mm, 1 free');
    await expect(parts).toContainText('garnet round, 2 mm, 120 free');
    // Before it is kept it says what it costs: the stone, and 15 cents for every bead.
    await expect(page.getByRole('heading', { name: /^Costs \$\d+\.\d\d to make/ })).toBeVisible();
    await press('Save pattern');
    await expect(heading).toHaveText(/^Harbour light: wire for \d+ more$/);
  });

  const beads = Number(/\b(\d{1,4}) × bead, 2 mm/.exec(await page.locator('main').innerText())?.[1]);
  expect(beads).toBeGreaterThan(3);
  /** 14.00 for the stone, and its share of 18.00 for 120 beads each. */
  const partsCost = `$${(14 + beads * 0.15).toFixed(2)}`;

  await test.step('its price before making', async () => {
    const ladder = page.getByRole('region', { name: 'Costs and prices by metal' });
    await expect(ladder.getByRole('row', { name: /Beads, stones and findings/ })).toContainText(partsCost);
    await does(page.getByLabel(/^What such pieces sell for/).fill('95'));
    await expect(ladder.getByRole('row', { name: /^Going price/ })).toContainText(/\$95\.00.*an hour/);
    await expect(ladder.getByRole('columnheader', { name: 'In sterling' })).toBeVisible();
  });

  await test.step('the piece at the bench, with its stone and beads out of the drawers', async () => {
    await go('Make one');
    await expect(page.getByLabel(/^Taken from/)).toHaveCount(2);
    await press('It is made');
    await expect(heading).toContainText('F-0001 “Harbour light” cost $');
    await expect(page.getByRole('row', { name: /Beads, stones and findings/ })).toContainText(partsCost);
  });

  await test.step('what went into it is gone from the drawers', async () => {
    await page.goto(`${FIRST_DAY_URL}/beads/B-0001`);
    await expect(heading).toContainText(String(120 - beads));
    await page.goto(`${FIRST_DAY_URL}/stones`);
    await expect(page.getByText('Prehnite teardrop')).toHaveCount(0);
  });

  expect(actions).toBeLessThan(MOST_ACTIONS);
  expect(complaints).toEqual([]);
});
