import AxeBuilder from '@axe-core/playwright';
import {
  DEMO_HELPER,
  DEMO_OWNER,
  DEMO_URL,
  expect,
  listen,
  pressUntil,
  signIn,
  test,
} from './support/studio';
import { ANSWERED, PAGES, UNKNOWN_ROUTES } from './support/routes';

test('the sign-in page of the demo shows its sign-in and passes axe', async ({ page }) => {
  await page.goto(`${DEMO_URL}/sign-in`);
  await expect(page.getByText('Sign in as marit')).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
});

test('every answer carries a strict policy with its own nonce', async ({ request }) => {
  const policies = await Promise.all(
    [1, 2].map(async () => (await request.get(`${DEMO_URL}/sign-in`)).headers()),
  );
  const [first, second] = policies.map((headers) => headers['content-security-policy'] ?? '');
  expect(first).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic';/);
  expect(first).not.toMatch(/unsafe/);
  expect(first).not.toBe(second);
  expect(policies[0]).toMatchObject({
    'x-content-type-options': 'nosniff',
    'x-frame-options': 'DENY',
    'referrer-policy': 'same-origin',
  });
  expect(policies[0]?.['x-powered-by']).toBeUndefined();
});

test('the session cookie is out of reach of scripts', async ({ owner: page, context }) => {
  const cookie = (await context.cookies()).find(({ name }) => name === 'pewterer-session');
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Lax', secure: false });
  const behindHttps = await page.request.get(`${DEMO_URL}/sign-in`, {
    headers: { 'x-forwarded-proto': 'https' },
  });
  expect(behindHttps.headers()['strict-transport-security']).toBeTruthy();
});

test('behind https the session cookie travels by https only', async ({ browser }) => {
  const context = await browser.newContext({ extraHTTPHeaders: { 'x-forwarded-proto': 'https' } });
  const page = await context.newPage();
  const answered = page.waitForResponse((response) => response.request().method() === 'POST');
  await page.goto(`${DEMO_URL}/sign-in`);
  await page.getByLabel('Name').fill(DEMO_OWNER.login);
  await page.getByLabel('Password').fill(DEMO_OWNER.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  expect(await (await answered).headerValue('set-cookie')).toMatch(/^pewterer-session=.*; Secure/);
  await context.close();
});

test('the rack is filtered, searched and paged; a wire shows its history', async ({ owner: page }) => {
  await page.getByLabel('Metal', { exact: true }).selectOption('sterling');
  await expect(page).toHaveURL(/metal=sterling/);
  await expect(page.getByText('round copper')).toHaveCount(0);
  await page.getByPlaceholder('Words or a number').fill('half-round');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/words=half-round/);
  const groups = page.getByRole('heading', { level: 2 });
  for (const text of await groups.allTextContents()) expect(text).toContain('half-round');
  await page.goto(`${DEMO_URL}/rack`);
  await page.getByRole('link', { name: 'Further along the rack' }).click();
  await expect(page.getByRole('link', { name: 'Back to the beginning' })).toBeVisible();
  await page.goto(`${DEMO_URL}/rack?words=nothing+is+like+this`);
  await expect(page.getByText('No wire on the rack is like that.')).toBeVisible();
  await page.goto(`${DEMO_URL}/rack/W-0318`);
  await expect(page.getByRole('heading', { name: 'What happened to it' })).toBeVisible();
  await expect(page.getByRole('row', { name: /received/ })).toBeVisible();
});

test('works without a mouse: find, shortcuts, units, places', async ({ owner: page }) => {
  await pressUntil(page, '/', page.getByRole('combobox', { name: 'Find anything' }));
  await page.getByRole('combobox', { name: 'Find anything' }).fill('F-0007');
  await expect(page.getByRole('dialog').getByRole('option', { selected: true })).toContainText('F-0007');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/shelf\/F-0007$/);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toContainText(
    'Inches or millimetres',
  );
  await page.keyboard.press('Escape');
  await page.keyboard.press('1');
  await expect(page).toHaveURL(/\/rack$/);
  await expect(page.getByRole('heading', { level: 1 })).toContainText(' ft of wire');
  await page.keyboard.press('u');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(' m of wire');
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(' m of wire');
  await pressUntil(page, 'j', page.getByRole('link', { name: /^W-\d{4}/ }).and(page.locator(':focus')));
  await page.keyboard.press('j');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/rack\/W-\d{4}$/);
});

test('the box finds wire by its size, techniques and places; single keys can be switched off', async ({
  owner: page,
}) => {
  const box = page.getByRole('combobox', { name: 'Find anything' });
  await pressUntil(page, '/', box);
  await box.fill('20ga copper');
  await expect(page.getByRole('dialog').getByRole('option').first()).toContainText('20 ga round copper');
  await box.fill('coil');
  const technique = page.getByRole('option', { name: 'wire for Coil', exact: true });
  await expect(technique).toBeVisible();
  // The last of many is brought into view.
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('dialog').getByRole('option', { selected: true })).toBeInViewport({
    ratio: 0.9,
  });
  await technique.click();
  await expect(page).toHaveURL(/\/how-much\?of=coil/);
  // The search of techniques has the focus, and is empty.
  await page.getByRole('searchbox', { name: 'Find a technique' }).focus();
  await page.keyboard.press('?');
  const list = page.getByRole('dialog', { name: 'Keyboard shortcuts' });
  await list.getByRole('checkbox', { name: 'Single keys do these things' }).uncheck();
  await list.getByRole('button', { name: 'Close' }).click();
  await page.reload();
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('1');
  await page.keyboard.press('/');
  await expect(page).toHaveURL(/\/how-much/);
  await expect(box).toBeHidden();
  await page.getByRole('button', { name: 'Find anything' }).click();
  await expect(box).toBeVisible();
});

const SHOWN_MONEY = /\$\s?\d|worth|sells for|carrying/;
const SENT_MONEY =
  /hourlyRate|overheadPerHour|"(price|totalCost|cost|melt|perKilogram|paid|proceeds|premium)\\?":\s?\d|\$\d+\.\d\d/;

/** What pieces cost and what sales leave is nobody’s but the owner’s, even where prices are seen. */
const SHOWN_COST = /cost|fees|comes to you|after materials|What it left/;
const SENT_COST =
  /hourlyRate|overheadPerHour|"(cost|left|earned|fees|sending|feePercent|feeFixed|postage|packing)\\?":\s?-?[1-9]/;

test('a helper sees no money on any page but what buyers pay, and no page of the owner’s', async ({
  page,
}) => {
  const complaints = listen(page);
  await signIn(page, DEMO_HELPER);
  expect(UNKNOWN_ROUTES).toEqual([]);
  for (const { address, ownerOnly = false, showsPrices = false } of PAGES) {
    const response = await page.goto(DEMO_URL + address);
    const { pathname } = new URL(page.url());
    const wanted = ownerOnly || address === '/' ? '/rack' : new URL(DEMO_URL + address).pathname;
    expect([address, pathname]).toEqual([address, wanted]);
    // Neither in what is shown nor in what is sent.
    expect([address, await page.locator('main').innerText()]).toEqual([
      address,
      expect.not.stringMatching(showsPrices ? SHOWN_COST : SHOWN_MONEY),
    ]);
    expect([address, (await response?.text()) ?? '']).toEqual([
      address,
      expect.not.stringMatching(showsPrices ? SENT_COST : SENT_MONEY),
    ]);
  }
  for (const { address, ownerOnly = false } of ANSWERED) {
    const answer = await page.request.get(DEMO_URL + address);
    if (ownerOnly) expect([address, answer.status()]).toEqual([address, 403]);
    const body = (await answer.body()).toString('latin1');
    expect([address, body]).toEqual([address, expect.not.stringMatching(SENT_MONEY)]);
  }
  expect(complaints).toEqual([]);
});

test('two browsers want the last wire: one gets it, the other is told', async ({ owner: page, browser }) => {
  const unique = `${Date.now()}`.slice(-6);
  await page.goto(`${DEMO_URL}/rack/receive`);
  await page.getByLabel('Finish').selectOption('coated');
  await page.getByLabel('Which colour or plating').fill(`moss ${unique}`);
  await page.getByLabel('Size on the label').fill('22');
  await page.getByLabel('Length', { exact: true }).fill('6 in');
  await page.getByLabel('Paid for it').fill('2');
  await page.getByRole('button', { name: 'Put it on the rack' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('6 in left');
  await page.goto(`${DEMO_URL}/patterns/new`);
  await page.getByLabel('Name of the pattern').fill(`Last of the moss ${unique}`);
  await page.getByLabel('Called').fill('wire');
  await page
    .getByLabel('Cut from')
    .selectOption({ label: `22 ga round moss ${unique} coated copper, dead soft` });
  await page.getByLabel('Net length of each').fill('5 in');
  await page.getByLabel('Step 1').fill('bend');
  await page.getByLabel('Minutes').fill('5');
  await page.getByRole('button', { name: 'Save pattern' }).click();
  await page.getByRole('link', { name: 'Make one' }).click();
  await expect(page.getByRole('button', { name: 'It is made' })).toBeVisible();

  const other = await (await browser.newContext()).newPage();
  await signIn(other, DEMO_HELPER);
  await other.goto(page.url());
  await Promise.all([page, other].map((each) => each.getByRole('button', { name: 'It is made' }).click()));
  const made = (each: typeof page) => each.waitForURL(/\/shelf\/F-/).then(() => 'made');
  const told = (each: typeof page) =>
    each
      .getByText(/is used up; 5 in is wanted from it/)
      .first()
      .waitFor()
      .then(() => 'told');
  const outcomes = await Promise.all([page, other].map((each) => Promise.race([made(each), told(each)])));
  expect(outcomes.sort()).toEqual(['made', 'told']);
  await other.context().close();
});

test('not enough wire: the bench says how much of what', async ({ owner: page }) => {
  const unique = `${Date.now()}`.slice(-6);
  await page.goto(`${DEMO_URL}/patterns/new`);
  await page.getByLabel('Name of the pattern').fill(`Very long ${unique}`);
  await page.getByLabel('Called').fill('wire');
  await page.getByLabel('Cut from').selectOption({ label: '14 ga round copper, dead soft' });
  await page.getByLabel('Net length of each').fill('90 ft');
  await page.getByLabel('Step 1').fill('bend');
  await page.getByLabel('Minutes').fill('5');
  await page.getByRole('button', { name: 'Save pattern' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/not enough wire/i);
  await page.getByRole('link', { name: 'Make one' }).click();
  await expect(page.getByRole('alert').first()).toContainText('90 ft short of 14 ga round copper, dead soft');
  await page.getByRole('button', { name: 'It is made' }).click();
  await expect(page.getByText('Choose which wire this was cut from.')).toBeVisible();
});

test('wrong passwords are slowed down, by account', async ({ page }) => {
  await page.goto(`${DEMO_URL}/sign-in`);
  for (let attempt = 0; attempt < 5; attempt += 1) {
    await page.getByLabel('Name').fill('somebody-else');
    await page.getByLabel('Password').fill(`guess ${attempt}`);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByText('That name and password do not go together.')).toBeVisible();
    await page.reload();
  }
  await page.getByLabel('Name').fill('somebody-else');
  await page.getByLabel('Password').fill('guess again');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText(/Too many wrong passwords. Try again in \d+ seconds/)).toBeVisible();
});

test('an address that is no page says so', async ({ page }) => {
  await signIn(page);
  const response = await page.request.get(`${DEMO_URL}/rack/W-99999999`);
  expect(response.status()).toBe(404);
  await page.goto(`${DEMO_URL}/patterns/nonsense`);
  await expect(page.getByRole('heading', { name: 'There is nothing under this address' })).toBeVisible();
});

test('the icon is there under the address that browsers try by themselves, for anybody', async ({
  request,
}) => {
  const answer = await request.get(`${DEMO_URL}/favicon.ico`);
  expect(answer.status()).toBe(200);
  expect(answer.headers()['content-type']).toContain('image/svg+xml');
});
