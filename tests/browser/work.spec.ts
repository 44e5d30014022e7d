import { readPdf, textsIn } from '../support/readPdf';
import { DEMO_HELPER, DEMO_URL, expect, listen, pressUntil, signIn, test } from './support/studio';

test('a pattern is changed; pieces already made keep their revision', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/patterns/P-0013`);
  await page.getByRole('link', { name: 'Change it' }).click();
  await expect(page.getByLabel('Name of the pattern')).toHaveValue('Plum coil pendant');
  await page.getByLabel('Net length of each').first().fill('4 7/8');
  await page.getByRole('button', { name: 'Another step' }).click();
  await page.getByLabel('Step 4').fill('hang on the cord');
  await page.getByLabel('Minutes').last().fill('2.5');
  await page.getByRole('button', { name: 'Save the new revision' }).click();
  await expect(page.getByText('revision 2', { exact: false }).first()).toBeVisible();
  await expect(page.getByText('4 7/8 in net')).toBeVisible();
  await expect(page.getByText('hang on the cord')).toBeVisible();
  await pressUntil(page, '/', page.getByRole('combobox', { name: 'Find anything' }));
  await page.getByRole('combobox', { name: 'Find anything' }).fill('plum coil');
  const piece = page.getByRole('option', { name: /^F-/ }).first();
  await piece.click();
  await expect(page.getByText('revision 1', { exact: false })).toBeVisible();
});

test('another school is chosen, and stays chosen', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/shelf/F-0021`);
  const row = page.getByRole('row', { name: /Doubled twice/ });
  const price = await row.getByRole('cell').first().innerText();
  await row.getByRole('radio').check();
  await page.getByRole('button', { name: 'Put this price on it' }).click();
  await expect(page.getByText(`Priced at ${price}.`)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(`sells for ${price}`);
  await expect(row.getByRole('radio')).toBeChecked();
});

test('dark and light are kept on this browser', async ({ owner: page }) => {
  const paper = () => page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor);
  const light = await paper();
  await page.getByRole('button', { name: 'Dark' }).click();
  await expect(page.getByRole('button', { name: 'Light' })).toBeVisible();
  const dark = await paper();
  expect(dark).not.toBe(light);
  await page.reload();
  expect(await paper()).toBe(dark);
  await page.getByRole('button', { name: 'Light' }).click();
  expect(await paper()).toBe(light);
});

test('on paper: black on white, no places, and a bar of 100 mm', async ({ owner: page }) => {
  await page.emulateMedia({ media: 'print', colorScheme: 'dark' });
  await page.goto(`${DEMO_URL}/patterns/P-0001`);
  await expect(page.getByRole('navigation').first()).toBeHidden();
  await expect(page.getByRole('link', { name: 'Make one' })).toBeHidden();
  const note = page.getByText('This bar is 100 mm when the page is printed at full size.');
  await expect(note).toBeVisible();
  const bar = await page.locator('svg[width="100mm"]').boundingBox();
  // A CSS inch is 96 px: 100 mm are 377.95 px.
  expect(bar?.width).toBeCloseTo((100 / 25.4) * 96, 1);
  expect(await page.evaluate(() => getComputedStyle(document.body).color)).toBe('rgb(0, 0, 0)');
});

test('a piece goes on one page of paper', async ({ owner: page }) => {
  for (const piece of ['F-0011', 'F-0200']) {
    await page.goto(`${DEMO_URL}/shelf/${piece}`);
    await expect(page.getByRole('table').first()).toBeVisible();
    for (const format of ['A4', 'Letter'])
      expect([piece, format, readPdf(await page.pdf({ format })).length]).toEqual([piece, format, 1]);
  }
});

test('a pattern of many steps runs on from sheet to sheet', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/patterns/P-0058`);
  await expect(page.getByRole('heading', { name: 'After each step' })).toBeVisible();
  const [first = '', ...others] = readPdf(await page.pdf({ format: 'A4' })).map((sheet) =>
    textsIn([sheet]).join(' '),
  );
  // The piece stands under its name, and none of its sheets is left white before what is long.
  expect(first).toMatch(/Sluicegate pendant.*front.*back.*side/s);
  expect(first).toContain('After each step');
  expect(others.length).toBeLessThan(5);
});

test('a helper makes a piece on a phone', async ({ page }) => {
  const complaints = listen(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, DEMO_HELPER);
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Bench' }).click();
  await page.getByRole('link', { name: /Gatekeeper ring/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('1 wire to cut for “Gatekeeper ring”');
  const button = page.getByRole('button', { name: 'It is made' });
  expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(48);
  const size = await page
    .getByLabel('Really cut')
    .evaluate((input) => parseFloat(getComputedStyle(input).fontSize));
  expect(size).toBeGreaterThanOrEqual(20);
  await page.getByLabel('Time on this piece').fill('31');
  await button.click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('“Gatekeeper ring”');
  await expect(page.getByText('made by Tobin', { exact: false })).toBeVisible();
  await expect(page.getByText('31 min', { exact: false })).toBeVisible();
  expect(complaints).toEqual([]);
});

test('the maker takes a cut from another length than was proposed', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/bench/P-0014`);
  const from = page.getByLabel(/^Cuts? 1 /);
  const proposed = await from.inputValue();
  const choices = await from
    .locator('option')
    .evaluateAll((options) => options.map((option) => (option as HTMLOptionElement).value));
  const other = choices.filter((value) => value !== '' && value !== proposed).at(-1) ?? '';
  await from.selectOption(other);
  const label = (await from.locator('option:checked').innerText()).split(' ')[0] ?? '';
  await page.getByRole('radio', { name: 'On the shelf, to be sold by itself' }).check();
  await page.getByRole('button', { name: 'It is made' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('“Everyday jump rings”');
  await expect(page.getByRole('link', { name: label }).first()).toBeVisible();
});

test('findings of a pattern go into the drawer with their wire and hours', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/bench/P-0014`);
  await expect(page.getByRole('radio', { name: 'Into the findings drawer' })).toBeChecked();
  await page.getByRole('button', { name: 'It is made' }).click();
  await expect(page.getByText('Enter a count, like 24')).toBeVisible();
  await page.getByLabel('Finding', { exact: true }).selectOption('jump ring');
  await page.getByLabel('Size', { exact: true }).fill('5 mm');
  await page.getByLabel('How many came of it').fill('2 dozen');
  await page.getByRole('button', { name: 'It is made' }).click();
  await expect(page).toHaveURL(/\/findings\/H-\d{4}$/);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('24');
  await expect(page.getByRole('row', { name: /made/ })).toBeVisible();
  // The making itself says where it went.
  await page
    .getByRole('link', { name: /^F-\d{4}/ })
    .first()
    .click();
  await expect(page.getByText('It went into the drawer as')).toBeVisible();
});

test('a piece takes its stone out of the drawer, and says what the drawers do not have', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/bench/P-0012`);
  const short = page.getByRole('status').filter({ hasText: 'in the drawers' });
  await expect(short).toContainText('1 × chain, 45 cm with clasp: none in the drawers');
  const stone = page.getByLabel('Taken from for unakite crescent, 38 × 16 mm');
  const label = (await stone.locator('option:checked').innerText()).split(' ')[0] ?? '';
  expect(label).toMatch(/^S-\d{4}$/);
  await page.getByRole('button', { name: 'It is made' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('“Harbour crescent”');
  const piece = /F-\d{4}/.exec(page.url())?.[0] ?? '';
  await page.goto(`${DEMO_URL}/stones/${label}`);
  await expect(page.getByText(`in ${piece}`).first()).toBeVisible();
  await page.goto(`${DEMO_URL}/bench/P-0012`);
  await expect(page.getByRole('option', { name: new RegExp(label) })).toHaveCount(0);
});

test('more is cut than there is: the page says so before anything is sent', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/bench/P-0004`);
  await page.getByLabel('Really cut').first().fill('900 ft');
  await expect(page.getByText(/more than there is on it/).first()).toBeVisible();
  await page.getByRole('button', { name: 'It is made' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Nothing was posted.' })).toBeVisible();
  await expect(page.getByLabel('Really cut').first()).toHaveValue('900 ft');
});

test('the password is changed, and other browsers are signed out', async ({ page, browser }) => {
  const login = `reed${Date.now()}`;
  await signIn(page);
  await page.goto(`${DEMO_URL}/rules`);
  await page.getByText('Give a helper a sign-in').click();
  await page.getByLabel('Helper’s name').fill('Reed');
  await page.getByLabel('Signs in as').fill(login);
  await page.getByLabel('First password').fill('first password');
  await page.getByRole('button', { name: 'Add the helper' }).click();
  await expect(page.getByText(`signs in as ${login}`)).toBeVisible();

  const [one, two] = await Promise.all([0, 1].map(async () => (await browser.newContext()).newPage()));
  if (!one || !two) throw new Error('no pages');
  for (const each of [one, two]) await signIn(each, { login, password: 'first password' });
  await one.goto(`${DEMO_URL}/account`);
  await one.getByLabel('Present password').fill('first password');
  await one.getByLabel('New password').fill('second password');
  await one.getByRole('button', { name: 'Change it' }).click();
  await expect(one.getByText('Your password is changed; other browsers are signed out.')).toBeVisible();
  await one.goto(`${DEMO_URL}/shelf`);
  await expect(one).toHaveURL(/\/shelf$/);
  await two.goto(`${DEMO_URL}/shelf`);
  await expect(two).toHaveURL(/\/sign-in$/);
  await Promise.all([one, two].map((each) => each.context().close()));
});
