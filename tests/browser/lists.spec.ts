import { DEMO_URL, expect, test } from './support/studio';

test('the shelf is searched, narrowed and sorted by its address, and turned page by page', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/shelf`);
  const shelf = page.getByRole('search', { name: 'The shelf' });
  await shelf.getByLabel('Sorted').selectOption('Sorted: dearest');
  await expect(page).toHaveURL(/sort=dearest/);
  const cards = page.locator('main li').filter({ has: page.getByRole('checkbox') });
  const amounts = cards.locator('.text-lg');
  const prices = (await amounts.allInnerTexts()).map((text) => Number(text.replace(/[^\d.]/g, '')));
  expect(prices.length).toBeGreaterThan(20);
  expect(prices).toEqual(prices.toSorted((a, b) => b - a));
  const first = await cards.first().innerText();
  await page.getByRole('link', { name: 'Further along the shelf' }).click();
  await expect(page).toHaveURL(/sort=dearest.*after=/);
  expect(Number((await amounts.first().innerText()).replace(/[^\d.]/g, ''))).toBeLessThanOrEqual(
    prices.at(-1) ?? 0,
  );
  await page.getByRole('link', { name: 'Back to the beginning' }).click();
  await expect(cards.first()).toHaveText(first, { useInnerText: true });

  await shelf.getByLabel('Kind').selectOption('ring');
  await expect(page).toHaveURL(/kind=ring/);
  for (const text of await cards.allInnerTexts()) expect(text).toMatch(/^ring( ·|, US)/m);
  await shelf.getByPlaceholder(/Words or a number/).fill('F-0007');
  await page.keyboard.press('Enter');
  await shelf.getByRole('link', { name: 'Show all' }).click();
  await expect(page).toHaveURL(/\/shelf$/);
});

test('patterns are found at the bench, and batches by how they stand', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/bench`);
  await page.getByPlaceholder(/Words or a number/).fill('gatekeeper');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/words=gatekeeper/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('1 pattern under this filter');
  await expect(page.getByRole('main').getByRole('link', { name: /Gatekeeper ring/ })).toBeVisible();
  await page.goto(`${DEMO_URL}/batches`);
  await page.getByLabel('Standing').selectOption('cancelled');
  await expect(page).toHaveURL(/state=cancelled/);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('under this filter');
});
