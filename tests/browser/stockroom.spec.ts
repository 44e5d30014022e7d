import { deflateSync } from 'node:zlib';
import { DEMO_URL, expect, pressUntil, signIn, test } from './support/studio';
import { inMetric, receiveSpool, tagOf, unfold } from './support/stockroom';

/** The stockroom as its maker uses it, on the demo studio. */

test('a bobbin is wound, wire is spoiled, and the ledger takes the spoiling back', async ({
  owner: page,
}) => {
  const spool = await receiveSpool(page);
  await inMetric(page);
  await unfold(page, 'Wind a bobbin, or cut a length off');
  const part = page.locator('details[open]');
  await part.getByLabel('Length').fill('99 m');
  await part.getByRole('button', { name: 'Part it' }).click();
  await expect(part.getByText(/ left; 99 m is more/).first()).toBeVisible();
  await expect(part.getByLabel('Length')).toHaveValue('99 m');
  await part.getByLabel('Length').fill('4 m');
  await part.getByLabel('Put it in').fill('Bobbin tin');
  await part.getByRole('button', { name: 'Part it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('4 m left on bobbin');
  const bobbin = tagOf(page);

  await unfold(page, 'Take some out, or say what was spoiled');
  const take = page.locator('details[open]');
  await take.getByLabel('Length').fill('50 cm');
  await take.getByLabel('Why').fill('marred by pliers');
  await take.getByRole('button', { name: 'Post it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('3.5 m left');

  await page.goto(`${DEMO_URL}/ledger?item=${bobbin}`);
  await page
    .getByRole('row', { name: /spoiled · marred by pliers/ })
    .getByRole('button', { name: 'Take back' })
    .click();
  await page.getByRole('dialog').getByLabel('Why').fill('it was another one');
  await page.getByRole('dialog').getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('cell', { name: /taken back: spoiled/ })).toBeVisible();
  await page.goto(`${DEMO_URL}/rack/${bobbin}`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('4 m left');

  // The winding is refused on the spool's side once the bobbin has been used.
  await unfold(page, 'Take some out, or say what was spoiled');
  await page.locator('details[open]').getByLabel('Length').fill('1 m');
  await page.locator('details[open]').getByLabel('Why').fill('a sample');
  await page.locator('details[open]').getByRole('button', { name: 'Post it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('3 m left');
  await page.goto(`${DEMO_URL}/ledger?item=${spool}`);
  await page
    .getByRole('row', { name: /split off/ })
    .getByRole('button', { name: 'Take back' })
    .click();
  await page.getByRole('dialog').getByLabel('Why').fill('a slip');
  await page.getByRole('dialog').getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText(`${bobbin} has been used since`);
});

test('a spool is put on the scale, read at rest, and the books are set to it', async ({ owner: page }) => {
  const spool = await receiveSpool(page);
  await inMetric(page);
  await page.getByRole('link', { name: 'Weigh it in' }).click();
  const scale = page.getByRole('region', { name: 'Scale' });
  await scale.getByLabel('In a draught').check();
  await scale.getByLabel('On the pan').fill('50.3 g');
  await expect(scale).toContainText('drifting');
  await expect(scale.getByRole('button', { name: /Take this reading/ })).toBeDisabled();
  await scale.getByLabel('In a draught').uncheck();
  await expect(scale).toContainText('at rest');
  await page.getByLabel('Empty spool').fill('14.2 g');
  await scale.getByRole('button', { name: 'Take this reading (50.3 g)' }).click();
  // 36.1 g of 20 ga copper at 4.604 g a metre (0.812 mm, 8.89 g/cm³).
  await expect(page.getByText(/^7\.84\d* m left, give or take/)).toBeVisible();

  // Lighter than the empty spool cannot be.
  await page.getByLabel('Empty spool').fill('60 g');
  await page.getByRole('button', { name: 'Set the books to this' }).click();
  await expect(page.getByRole('main').getByRole('alert')).toContainText('less than the empty spool');
  await page.getByLabel('Empty spool').fill('14.2 g');
  await page.getByLabel('Why they differ').fill('used for a sample');
  await page.getByRole('button', { name: 'Set the books to this' }).click();
  await page.waitForURL(new RegExp(`/rack/${spool}$`));
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/7[.,]?84/);
  await expect(page.getByRole('row', { name: /weighed in · used for a sample/ })).toBeVisible();
});

test('the calliper says another gauge, and the wire is relabelled; square wire is twisted', async ({
  owner: page,
}) => {
  await receiveSpool(page);
  await unfold(page, 'Relabel it: the calliper says another size');
  const calliper = page.getByRole('region', { name: 'Calliper' });
  await calliper.getByLabel('Between the jaws, or typed').fill('0.722');
  await calliper.getByRole('button', { name: 'Close it' }).click();
  // 21 AWG is 0.723 mm (ASTM B258).
  await expect(calliper.getByRole('status')).toContainText('most likely 21 ga');
  const relabel = page.locator('details[open]');
  await calliper.getByRole('button', { name: 'Take 21 ga' }).click();
  await expect(relabel.getByLabel('Size on the label')).toHaveValue('21');
  await relabel.getByLabel('Why').fill('calliper says 0.72');
  await relabel.getByRole('button', { name: 'Relabel it' }).click();
  await expect(page.getByRole('row', { name: /relabelled · calliper says 0.72/ }).first()).toBeVisible();
  await expect(page.locator('main')).toContainText('21 ga round copper');

  // A wire without a label: the calliper suggests the whole of one that the studio has.
  await page.goto(`${DEMO_URL}/rack/receive`);
  await page.getByLabel('Metal', { exact: true }).selectOption('sterling');
  await page.getByLabel('Temper').selectOption('half hard');
  await unfold(page, 'No label? Measure it');
  await calliper.getByLabel('Between the jaws, or typed').fill('0.41');
  await calliper.getByRole('button', { name: 'Close it' }).click();
  const suggested = calliper.getByRole('region', { name: 'Wires of the studio it may be' });
  await suggested.getByRole('button', { name: /26 ga round sterling/ }).click();
  await expect(page.getByLabel('Size on the label')).toHaveValue('26');
  await expect(page.getByLabel('Temper')).toHaveValue('dead soft');

  await receiveSpool(page);
  await inMetric(page);
  await unfold(page, 'Twist two of it together');
  const twist = page.locator('details[open]');
  await twist.getByLabel('Each strand before').fill('1 m');
  await twist.getByLabel('Length after').fill('93 cm');
  await twist.getByLabel('Turns put in').fill('140');
  await twist.getByRole('button', { name: 'It is twisted' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('930 mm left on coil');
  await expect(page.locator('main')).toContainText('twisted pair copper');
});

test('beads come in with a hole: what passes is said, and a set is counted out', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/beads/receive`);
  await page.getByLabel('Material').fill('amazonite');
  await page.getByLabel('Size across').fill('6 mm');
  await page.getByLabel('Hole').fill('7 mm');
  await page.getByLabel('How many').fill('4 dozen');
  await page.getByLabel('Shades or sizes, in stringing order').fill('pale 20, deep 28');
  await page.getByLabel('Paid for it').fill('14.40');
  await page.getByRole('button', { name: 'Put it in the drawer' }).click();
  await expect(page.getByText('A hole of 7 mm is as wide as the bead.')).toBeVisible();
  await page.getByLabel('Hole').fill('0.9 mm');
  await page.getByRole('button', { name: 'Put it in the drawer' }).click();
  await page.waitForURL(/\/beads\/B-\d+$/);
  const strand = tagOf(page);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('48 left of');
  // 0.9 mm less 0.05 mm of clearance (common practice), and half of that.
  await expect(page.getByText('Single: up to 0.85 mm')).toBeVisible();
  await expect(page.getByText('Doubled: up to 0.425 mm')).toBeVisible();
  await page.getByLabel('Beads a side').fill('30');
  await expect(page.getByRole('status').filter({ hasText: 'It does not yield that' })).toContainText(
    '24 a side at most',
  );
  await page.getByLabel('Beads a side').fill('8');
  await expect(page.getByRole('status').filter({ hasText: 'It yields the set' })).toContainText(
    '3 pale, 5 deep a side',
  );
  await page.getByRole('button', { name: 'Count it out' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('16 left of');
  await page.goto(`${DEMO_URL}/beads/${strand}`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('32 left of');

  await page.goto(`${DEMO_URL}/fit`);
  await page.getByLabel('Or a wire: its tag, size or gauge').fill('26 ga');
  await page.getByRole('button', { name: 'What fits?' }).click();
  await expect(page.getByRole('link', { name: strand })).toBeVisible();
  await page.getByLabel('Or a wire: its tag, size or gauge').fill('');
  await page.getByLabel('A hole of').fill('nothing');
  await page.getByRole('button', { name: 'What fits?' }).click();
  await expect(page.getByRole('main').getByRole('alert')).toContainText('“nothing” is not a length');
});

/** A picture of one colour, made here: PNG, 8 bits a channel. */
function png(width: number, height: number): Buffer {
  const crc = (bytes: Buffer) => {
    let value = ~0;
    for (const byte of bytes) {
      value ^= byte;
      for (let bit = 0; bit < 8; bit += 1) value = value & 1 ? (value >>> 1) ^ 0xedb88320 : value >>> 1;
    }
    return ~value >>> 0;
  };
  const chunk = (name: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(name), data]);
    const [size, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
    size.writeUInt32BE(data.length);
    sum.writeUInt32BE(crc(body));
    return Buffer.concat([size, body, sum]);
  };
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header.set([8, 2, 0, 0, 0], 8);
  const rows = Buffer.alloc((width * 3 + 1) * height, 120);
  for (let y = 0; y < height; y += 1) rows[y * (width * 3 + 1)] = 0;
  return Buffer.concat([
    Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]),
    chunk('IHDR', header),
    chunk('IDAT', deflateSync(rows)),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

test('a stone comes in by its measures, is photographed, set aside and used', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/stones/receive`);
  await page.getByLabel('Stone', { exact: true }).fill('sunstone');
  await page.getByLabel('Outline').selectOption('teardrop');
  await page.getByLabel('Length', { exact: true }).fill('18 mm');
  await page.getByLabel('Width').fill('13 mm');
  await page.getByLabel('Depth').fill('5 mm');
  await page.getByLabel('Height of its edge').fill('3 mm');
  await page.getByLabel('Paid for it').fill('9');
  await page.getByRole('button', { name: 'Put it in the drawer' }).click();
  await page.waitForURL(/\/stones\/S-\d+$/);
  await page
    .getByLabel('A photograph of it')
    .setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: png(1600, 900) });
  const photo = page.getByRole('img', { name: /sunstone teardrop/ });
  await expect(photo).toBeVisible();
  // Made small before it was sent: 1280 px at its longer side.
  expect(await photo.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(1280);
  await page
    .getByLabel('Another photograph')
    .setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByText('This is not a picture that can be kept')).toBeVisible();

  await unfold(page, 'Set it aside');
  await page.getByLabel('For', { exact: true }).fill('an order');
  await page.locator('details[open]').getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('set aside: an order')).toBeVisible();
  await unfold(page, 'Take some out, or say what was spoiled');
  await page.getByLabel('What for, or why').fill('set in a ring');
  await page.getByRole('button', { name: 'Post it' }).click();
  await expect(page.getByRole('definition').filter({ hasText: /^used$/ })).toBeVisible();
});

test('findings are bought by the gross and made out of wire; a supply is used up by pieces', async ({
  owner: page,
}) => {
  const wire = await receiveSpool(page, { size: '18', length: '2 m', price: '6' });
  await page.goto(`${DEMO_URL}/findings/receive`);
  await page.getByLabel('Material').fill('pewter');
  await page.getByLabel('How many').fill('1 gross');
  await page.getByLabel('Paid for it').fill('7');
  await page.getByRole('button', { name: 'Put it in the drawer' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('144 left of');

  await page.goto(`${DEMO_URL}/findings/make`);
  await page.getByLabel('Size').fill('5 mm');
  await page.getByLabel('Of the wire').fill(wire);
  await page.getByLabel('All the wire they took').fill('1 m');
  await page.getByLabel('How many').fill('4 dozen');
  await page.getByLabel('Minutes at the bench').fill('20');
  await page.getByRole('button', { name: 'Put them in the drawer' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('48 left of');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('$11.83');

  await page.goto(`${DEMO_URL}/supplies/receive`);
  await page.getByLabel('Supply', { exact: true }).fill('Beeswax');
  await page.getByLabel('By the').selectOption('g');
  await page.getByLabel('How much').fill('1 oz');
  await page.getByLabel('A finished piece takes').fill('0.5');
  await page.getByLabel('Paid for it').fill('4');
  await page.getByRole('button', { name: 'Put it in the drawer' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('28.35 g left of');
});

test('a drawer is counted on a phone while the connection drops; the differences are posted together', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await signIn(page);
  await page.goto(`${DEMO_URL}/counts`);
  await page.getByRole('button', { name: 'Count Stone tray' }).click();
  await page.waitForURL(/\/counts\/T-\d+$/);
  const boxes = page.getByRole('textbox', { name: /counted$/ });
  await boxes.nth(0).fill('1');
  await expect(page.getByText('Saved.')).toBeVisible();
  await context.setOffline(true);
  await boxes.nth(1).fill('0');
  await boxes.nth(2).fill('half');
  await expect(page.getByText(/No connection: 2 kept on this device/)).toBeVisible();
  await expect(page.getByText('“half” is not a count')).toBeVisible();
  await boxes.nth(2).fill('1');
  await context.setOffline(false);
  await expect(page.getByText('Saved.')).toBeVisible();
  // Loaded anew: everything is still there.
  await page.reload();
  await expect(boxes.nth(1)).toHaveValue('0');
  await expect(boxes.nth(2)).toHaveValue('1');
  await page.getByRole('button', { name: 'Look at the differences' }).click();
  await expect(page.getByRole('heading', { name: '1 difference' })).toBeVisible();
  await page.getByRole('button', { name: 'Post them together' }).click();
  await expect(page.getByText(/, posted/)).toBeVisible();
  await expect(page.getByRole('cell', { name: '−1', exact: true })).toBeVisible();
  await context.close();
});

test('what runs out is listed by supplier, rounded to how it is sold', async ({ owner: page }) => {
  await receiveSpool(page, { size: '23', length: '3 m', price: '6' });
  await inMetric(page);
  await unfold(page, 'The least that should be there');
  await page.getByLabel('It goes by').selectOption('typed');
  await page.getByLabel('At least').fill('11 m');
  await page.getByLabel('Sold by the').fill('5 m');
  await page.getByRole('button', { name: 'Keep this much' }).click();
  await expect(page.getByText('11 m', { exact: false }).first()).toBeVisible();
  await page.goto(`${DEMO_URL}/to-buy`);
  // Eight metres short: two coils of five.
  await expect(page.getByRole('row', { name: /23 ga round copper/ })).toContainText('2 × 5 m');
});

test('a drilled stone says which way its hole goes and how wide it is', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/stones?words=iolite+teardrop`);
  await page
    .getByRole('link', { name: /iolite teardrop/ })
    .first()
    .click();
  await expect(page.getByText('side to side, 0.5 mm', { exact: true })).toBeVisible();
});

test('the ledger is filtered, and the stock’s value on a past day is told', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/ledger`);
  await page.getByRole('combobox', { name: 'What' }).selectOption('refined');
  await page.getByRole('button', { name: 'Show' }).click();
  await expect(page.getByRole('row', { name: /sent for refining/ }).first()).toBeVisible();
  await expect(page.getByRole('row', { name: /received/ })).toHaveCount(0);
  const value = page.getByRole('region', { name: 'What the stock cost' });
  await value.getByLabel('On another day').fill('2025-06-01');
  await value.getByRole('button', { name: 'Look back' }).click();
  await expect(
    page.getByRole('heading', { name: /At the end of Jun 1, 2025 the stock cost \$[\d,]+\.\d\d/ }),
  ).toBeVisible();
});

test('labels are printed as PDF and on the printer; a scanned tag opens its thing', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/labels?items=W-0001+B-0002,W-99999`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('2 labels to print');
  await expect(page.getByRole('main').getByRole('alert')).toContainText('W-99999');
  const address = await page.getByRole('link', { name: 'Open the PDF' }).getAttribute('href');
  const pdf = await page.request.get(DEMO_URL + (address ?? ''));
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  const printer = page.getByRole('region', { name: 'Label printer' });
  await printer.getByRole('button', { name: 'Print 2' }).click();
  await expect(printer.getByRole('listitem')).toHaveText(['B-0002', 'W-0001']);

  // As a scanner does: the tag and Enter, faster than anything can be found.
  await pressUntil(page, '/', page.getByRole('combobox', { name: 'Find anything' }));
  await page.getByRole('combobox', { name: 'Find anything' }).pressSequentially('B-0002');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/beads\/B-0002$/);
});

test('a list comes in: read first, then posted; what goes out is what came in', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/lists`);
  const file =
    'Stuff,Kind,Left,Cost left,Place\ntin,bail,12,3.5,Import box\ntin,spaceship,3,1,\ntin,clasp,1 dozen,2,Import box\n';
  await page.getByRole('combobox', { name: 'List' }).selectOption('findings');
  await page
    .getByLabel('CSV or spreadsheet file')
    .setInputFiles({ name: 'tin.csv', mimeType: 'text/csv', buffer: Buffer.from(file) });
  await page.getByRole('button', { name: 'Read it, post nothing yet' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('0 rows are good, 3 are not');
  await page.getByRole('combobox', { name: /^Material/ }).selectOption({ label: 'Stuff' });
  await page.getByRole('button', { name: 'Read it this way' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('2 rows are good, 1 is not');
  const questions = page.getByRole('region', { name: 'Questions about the file' });
  await expect(questions).toContainText('What does “spaceship” mean in “Finding”?');
  // What is answered but not sent is there again after a reload.
  await questions.getByLabel(/spaceship/).selectOption({ label: 'spacer' });
  await page.reload();
  await expect(questions.getByLabel(/spaceship/)).toHaveValue('spacer');
  await page.getByRole('button', { name: 'Post the 2 good rows' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('2 rows came in');
  const csv = await (await page.request.get(`${DEMO_URL}/export/findings.csv`)).text();
  expect(csv).toMatch(/H-\d+,bail,,tin,,12,3\.50000,Import box/);
  expect(csv).toMatch(/H-\d+,clasp,,tin,,12,2\.00000,Import box/);
});

test('metal prices are fetched; a feed that fails changes nothing', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/metal`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    /Silver is at \$\d+\.\d\d the troy ounce/,
  );
  const feed = page.getByRole('region', { name: 'Metal price feed' });
  await feed.getByLabel('The feed fails').check();
  await expect(async () => {
    await feed.getByRole('button', { name: 'Fetch today’s prices' }).click();
    await expect(feed.getByRole('alert')).toContainText('cannot be reached', { timeout: 2000 });
  }).toPass();
  await feed.getByLabel('The feed fails').uncheck();
  await expect(async () => {
    await feed.getByRole('button', { name: 'Fetch today’s prices' }).click();
    await expect(page.getByText(/Fetched: prices of/).first()).toBeVisible({ timeout: 2000 });
  }).toPass();
  await page.goto(`${DEMO_URL}/jars`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('The scrap would melt to about $');
});
