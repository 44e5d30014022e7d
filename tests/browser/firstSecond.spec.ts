import { DEMO_OWNER, DEMO_URL, expect, signIn, test } from './support/studio';

/** How long everything that a page fetches besides itself is held back. */
const HELD_MS = 1_500;

test('a key that is pressed long before the page listens is not lost', async ({ page }) => {
  await signIn(page, DEMO_OWNER);
  await page.route(/_next\/static\/.*\.js/, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 5 * HELD_MS));
    await route.continue();
  });
  // The page is there, and none of its scripts.
  await page.goto(`${DEMO_URL}/shelf`, { waitUntil: 'commit' });
  await expect(page.getByRole('heading', { level: 1 })).toContainText('finished pieces');
  await page.keyboard.press('2');
  await expect(page).toHaveURL(/\/patterns$/);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('in the room');
});

test('a key is forgotten when one points at something since, before the page listens', async ({ page }) => {
  await signIn(page, DEMO_OWNER);
  await page.route(/_next\/static\/.*\.js/, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, HELD_MS));
    await route.continue();
  });
  await page.goto(`${DEMO_URL}/shelf`, { waitUntil: 'commit' });
  await expect(page.getByRole('heading', { level: 1 })).toContainText('finished pieces');
  await page.keyboard.press('2');
  expect(await page.evaluate(() => window.earlyKeys)).toEqual(['2']);
  await page.getByRole('heading', { level: 1 }).click();
  await expect(page.getByRole('button', { name: 'Find anything' })).toBeEnabled();
  await page.waitForLoadState('networkidle');
  await expect(page).toHaveURL(/\/shelf$/);
});

test('what is typed early into a field is no shortcut', async ({ page }) => {
  await signIn(page, DEMO_OWNER);
  await page.route(/_next\/static\/.*\.js/, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, HELD_MS));
    await route.continue();
  });
  await page.goto(`${DEMO_URL}/shelf`, { waitUntil: 'commit' });
  const words = page.getByPlaceholder(/Words or a number/);
  await words.pressSequentially('12');
  await expect(page.getByRole('button', { name: 'Find anything' })).toBeEnabled();
  await page.waitForLoadState('networkidle');
  await expect(page).toHaveURL(/\/shelf$/);
  await expect(words).toHaveValue('12');
});

test('the card of a technique that comes late leaves the focus to who types already', async ({ page }) => {
  await signIn(page, DEMO_OWNER);
  await page.goto(`${DEMO_URL}/patterns/compose`);
  let letCome = () => {};
  const mayCome = new Promise<void>((resolve) => (letCome = resolve));
  await page.route(/_next\/static\/.*\.js/, async (route) => {
    const response = await route.fetch();
    if ((await response.text()).includes('Its measures and wires')) await mayCome;
    await route.fulfill({ response });
  });
  await page.getByLabel('Begin with a technique').selectOption('Bundle frame round a stone');
  await page.getByRole('button', { name: 'Add it' }).click();
  const long = page
    .getByRole('region', { name: 'What it is made for' })
    .getByRole('textbox', { name: 'Stone: Length', exact: true });
  await long.fill('');
  await expect(page.getByRole('region', { name: /^Bundle frame round a stone/ })).toHaveCount(0);
  letCome();
  await expect(page.getByRole('region', { name: /^Bundle frame round a stone/ })).toBeVisible();
  // A digit that is no part of a number leads to another room.
  await page.keyboard.type('24 mm');
  await expect(long).toHaveValue('24 mm');
  await expect(page).toHaveURL(/\/patterns\/compose$/);
});

test('what is typed into the quick answer before the page listens is not lost', async ({ page }) => {
  await signIn(page, DEMO_OWNER);
  await page.route(/_next\/static\/.*\.js/, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, HELD_MS));
    await route.continue();
  });
  await page.goto(`${DEMO_URL}/how-much?of=bundle-frame`, { waitUntil: 'commit' });
  // The list is searched at once; a field opens when it listens.
  await page.getByRole('searchbox', { name: 'Find a technique' }).pressSequentially('briol');
  await expect(page.getByLabel('Places held in front')).toBeDisabled();
  await page.getByLabel('Places held in front').fill('1');
  await expect(page.getByText(/slides out: 2\d\d° stand open at the top/)).toBeVisible();
  const offered = page.getByRole('navigation', { name: 'Techniques' }).getByRole('button');
  await expect(offered).toHaveCount(3);
});

test('what is ticked or chosen over a picture before the page listens is done', async ({ page }) => {
  await signIn(page, DEMO_OWNER);
  await page.route(/_next\/static\/.*\.js/, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, HELD_MS));
    await route.continue();
  });
  await page.goto(`${DEMO_URL}/how-much?of=flat-spiral`, { waitUntil: 'commit' });
  await page.getByRole('radio', { name: 'back', exact: true }).check();
  await page.getByLabel('shape by hand').check();
  await expect(page.getByRole('textbox', { name: 'Across, outside' })).toBeDisabled();
  await expect(page.getByRole('textbox', { name: 'Across, outside' })).toBeEnabled();
  await expect(page.getByRole('radio', { name: 'back', exact: true })).toBeChecked();
  await expect(page.getByRole('img', { name: /drawn to scale, from the back/ })).toBeVisible();
  await page.getByRole('radio', { name: 'front', exact: true }).check();
  await expect(page.getByRole('slider', { name: 'Across, outside' })).toBeVisible();
});

for (const width of [1280, 390])
  test(`who scrolls before the page listens is not thrown back, ${width} px wide`, async ({ page }) => {
    await page.setViewportSize({ width, height: 720 });
    await signIn(page, DEMO_OWNER);
    await page.route(/_next\/static\/.*\.js/, async (route) => {
      await new Promise((resolve) => setTimeout(resolve, HELD_MS));
      await route.continue();
    });
    await page.goto(`${DEMO_URL}/ledger`, { waitUntil: 'commit' });
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.evaluate(() => window.scrollTo({ top: 400, behavior: 'instant' }));
    expect(await page.evaluate(() => window.scrollY)).toBe(400);
    await expect(page.getByRole('button', { name: 'Find anything' })).toBeEnabled();
    await page.waitForLoadState('networkidle');
    expect(await page.evaluate(() => window.scrollY)).toBe(400);
    // The part one is in is in sight among the others all the same.
    await page.evaluate(() => window.scrollTo({ top: 0, behavior: 'instant' }));
    await expect(page.getByRole('link', { name: 'Ledger', exact: true })).toBeInViewport({ ratio: 1 });
  });

for (const [name, address] of [
  ['the rack', '/rack'],
  ['the shelf', '/shelf'],
  ['a batch', '/batches/R-0001'],
] as const)
  test(`nothing of ${name} moves on a phone while its letters come`, async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page, DEMO_OWNER);
    let fonts = 0;
    await page.route(/\.woff2/, async (route) => {
      fonts += 1;
      await new Promise((resolve) => setTimeout(resolve, HELD_MS));
      await route.continue();
    });
    await page.addInitScript(() => {
      Object.assign(window, { moved: 0 });
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries() as (PerformanceEntry & {
          value: number;
          hadRecentInput: boolean;
        })[])
          if (!entry.hadRecentInput) (window as unknown as { moved: number }).moved += entry.value;
      }).observe({ type: 'layout-shift', buffered: true });
    });
    await page.goto(DEMO_URL + address, { waitUntil: 'networkidle' });
    await page.evaluate(() => document.fonts.ready);
    expect(fonts).toBeGreaterThan(0);
    expect(await page.evaluate(() => (window as unknown as { moved: number }).moved)).toBeLessThanOrEqual(
      0.05,
    );
  });
