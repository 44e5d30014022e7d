import AxeBuilder from '@axe-core/playwright';
import { DEMO_HELPER, DEMO_URL, expect, signIn, test } from './support/studio';

const MINUTE = 60_000;

test('the steps of a piece are timed at the bench; the watch survives a reload and sleep, and its times go into the log', async ({
  owner: page,
}) => {
  await page.clock.install();
  await page.goto(`${DEMO_URL}/patterns/P-0014/steps`);
  const timer = page.getByRole('timer', { name: 'Time on this step' });
  await expect(timer).toHaveText('0:00');
  await page.getByRole('button', { name: 'Run', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Pause', exact: true })).toBeVisible();
  await page.clock.runFor(2 * MINUTE);
  await expect(timer).toHaveText(/^2:0\d$/);

  // It runs on for the next step, and over a reload.
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(timer).toHaveText(/^0:0\d$/);
  await page.clock.runFor(MINUTE);
  await page.reload();
  await expect(timer).toHaveText(/^1:0\d$/);
  await expect(page.getByRole('button', { name: 'Pause', exact: true })).toBeVisible();

  // A tablet that slept has not worked; whoever was at the bench says so.
  await page.clock.fastForward(20 * MINUTE);
  await expect(page.getByText(/Nothing was open for \d+ minutes while it ran/)).toBeVisible();
  await expect(timer).toHaveText(/^1:\d\d$/);
  await page.getByRole('button', { name: 'Count them' }).click();
  await expect(timer).toHaveText(/^2[12]:\d\d$/);

  // It is corrected by hand, and stands when it is told to.
  await page.keyboard.press('t');
  await expect(page.getByRole('button', { name: 'Run', exact: true })).toBeVisible();
  await page.getByLabel('It really took, min').fill('many');
  await expect(page.getByText('“many” was given; 0 to 10000 minutes are allowed.')).toBeVisible();
  await page.getByLabel('It really took, min').fill('95');
  await page.getByRole('button', { name: 'Correct' }).click();
  await expect(timer).toHaveText('95:00');
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);

  await page.goto(`${DEMO_URL}/bench/P-0014`);
  const timed = page.getByRole('region', { name: 'Timed at the bench' });
  await expect(timed).toContainText(/The watch counted 97(\.\d)? min on 2 steps/);
  await timed.getByRole('button', { name: 'Take these times' }).click();
  await expect(timed).toContainText('they go into the log with the piece');
  await page.getByRole('radio', { name: 'On the shelf, to be sold by itself' }).check();
  await page.getByRole('button', { name: 'It is made' }).click();
  await expect(page).toHaveURL(/\/shelf\/F-\d{4}$/);
  await page.goto(`${DEMO_URL}/patterns/P-0014`);
  await expect(page.getByText(/What takes longest against its plan: .*, from 1 making\./)).toBeVisible();
  // What was counted is not counted again.
  await page.goto(`${DEMO_URL}/bench/P-0014`);
  await expect(page.getByRole('button', { name: 'It is made' })).toBeVisible();
  await expect(timed).toHaveCount(0);
});

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
