import { DEMO_HELPER, DEMO_URL, expect, signIn, test } from './support/studio';

test('the bench says what the log knows of a wire; the plan stands until the maker takes the other length', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/bench/P-0018`);
  const really = page.getByLabel('Really cut').first();
  const planned = await really.inputValue();
  await expect(page.getByText(/^It takes .* planned, ± /).first()).toBeVisible();
  const other = page.getByRole('button', { name: /^Cut \d/ }).first();
  const length = (await other.innerText()).replace(/^Cut\s+/, '');
  expect(length).not.toBe(planned);
  await other.click();
  await expect(really).toHaveValue(length);

  // As sure as is asked for instead; and what each length would cost.
  const fold = page.getByText('How sure, and why').first();
  await fold.click();
  const surer = page.getByRole('button', { name: /^95 % sure: / }).first();
  const asSure = (await surer.innerText()).replace(/^95 % sure:\s+/, '');
  await surer.click();
  await expect(really).toHaveValue(asSure);
  await expect(
    page.getByRole('img', { name: /^What each length costs on the average: least at / }),
  ).toBeVisible();
  await page
    .getByRole('link', { name: /makings? of yours/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/logbook\?pattern=P-0018&with=measured$/);
  await expect(page.getByRole('list', { name: 'What was made' })).toContainText('P-0018');
});

test('the logbook shows what was planned and what came of it, and finds what is asked', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/logbook?with=measured`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('were measured');
  const made = page.getByRole('list', { name: 'What was made' }).locator(':scope > li');
  await expect(made.first()).toContainText(/cut .* of .* planned; .* stayed/);
  await page.getByLabel('What is logged').selectOption('spoiled');
  await page.getByRole('button', { name: 'Show' }).click();
  await expect(page).toHaveURL(/with=spoiled/);
  await expect(made.first()).toContainText('Spoiled: ');
  for (const each of await made.all()) await expect(each).toContainText('Spoiled: ');
  await page.getByLabel('Maker').selectOption({ label: 'Made by Tobin' });
  await page.getByRole('button', { name: 'Show' }).click();
  await expect(page).toHaveURL(/maker=/);
  await expect(made.first()).toContainText('Tobin');
  for (const each of await made.all()) await expect(each).toContainText('Tobin');
});

test('a helper sees their own minutes in the logbook, and no others', async ({ page }) => {
  await signIn(page, DEMO_HELPER);
  await page.goto(`${DEMO_URL}/logbook`);
  const made = page.getByRole('list', { name: 'What was made' }).locator(':scope > li');
  const minutes = / min(,|$)/m;
  await expect(made.filter({ hasText: 'Tobin' }).filter({ hasText: minutes }).first()).toBeVisible();
  await expect(made.filter({ hasText: 'Marit' }).filter({ hasText: minutes })).toHaveCount(0);
});
