import AxeBuilder from '@axe-core/playwright';
import { DEMO_HELPER, DEMO_URL, expect, signIn, test } from './support/studio';
import { inMetric, receiveSpool, tagOf, unfold, writeBar } from './support/stockroom';

test('wire is worked off its spool by weight, a check takes its figure, and what the log says is set against', async ({
  owner: page,
}) => {
  await receiveSpool(page, { size: '22', length: '6 m', metal: 'bronze' });
  await writeBar(page, 'Reedbed hoops', /22 ga.*bronze/, 'earrings');
  const pattern = tagOf(page);
  await inMetric(page);
  await page.goto(`${DEMO_URL}/bench/${pattern}`);
  await expect(page.getByLabel('Cut the wires')).toHaveCount(0);
  await page.getByLabel('Pieces together').fill('2');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page).toHaveURL(/\/bench\/sitting\//);
  await expect(page.getByRole('button', { name: 'Next' })).toBeEnabled();

  // The spool, before the first piece.
  await unfold(page, 'Is any of it worked off its spool? Weigh the spool first');
  const spool = page.getByRole('group', { name: 'bar' });
  await spool.getByLabel('Spool before the first piece').fill('a lot');
  await spool.getByRole('button', { name: 'Write it down' }).click();
  await expect(spool.getByText(/“a lot”/).first()).toBeVisible();
  await spool.getByLabel('Spool before the first piece').fill('62.4');
  await spool.getByRole('button', { name: 'Write it down' }).click();
  await expect(spool.getByRole('button', { name: 'It was not weighed' })).toBeVisible();

  // Its figure stands beside the check.
  await page.getByRole('heading', { level: 1 }).click();
  for (let step = 0; step < 3; step += 1) await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { level: 1, name: 'Look it over' })).toBeVisible();
  // What is worked off its spool is weighed, not measured.
  await expect(page.getByLabel('Really cut')).toHaveCount(0);
  const height = page.getByRole('group', { name: 'Difference in height: … mm' });
  await height.getByLabel('Difference in height:').fill('a bit');
  await expect(height.getByText('“a bit” was given; a figure from 0 to 99999 is wanted.')).toBeVisible();
  await height.getByRole('button', { name: 'Good', exact: true }).click();
  await expect(height.getByRole('button', { name: 'Good', exact: true })).toHaveAttribute(
    'aria-pressed',
    'false',
  );
  await height.getByLabel('Difference in height:').fill('0,3');
  await height.getByRole('button', { name: 'Good', exact: true }).click();
  await expect(height.getByRole('button', { name: 'Good', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.getByRole('heading', { level: 1 }).click();
  for (let piece = 0; piece < 2; piece += 1) await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { level: 1, name: 'To the shelf' })).toBeVisible();

  // Bronze of 0.644 mm has about 2.87 g a metre: 0.9 g are about 157 mm for each of two wires.
  await expect(page.getByText('Until it is weighed, it counts as it was laid out.')).toBeVisible();
  await page.getByLabel('Spool after the last piece').fill('63');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByRole('alert').getByText(/after the work it is lighter/)).toBeVisible();
  await page.getByLabel('Spool after the last piece').fill('61.5');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText(/less: 15\d(\.\d)? mm for each of 2 wires/)).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await page.getByRole('button', { name: 'Both are made: to the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /: 2 pieces are on the shelf$/ })).toBeVisible();
  await page
    .getByRole('link', { name: /^F-\d{4}$/ })
    .first()
    .click();
  await expect(page.getByRole('region', { name: 'At the bench' })).toContainText(
    'Difference in height: 0.3 mm',
  );

  // The owner says another figure, and the bench goes by it.
  await page.goto(`${DEMO_URL}/patterns/${pattern}`);
  await unfold(page, 'Set a figure against the log');
  const figure = page.getByRole('form', { name: 'bar' });
  await expect(figure).toContainText('by the log');
  await figure.getByLabel('Per cent more than planned stays').fill('300');
  await figure.getByRole('button', { name: 'Go by this' }).click();
  await expect(figure.getByText('“300” is not a number from -60 to 200, like -1.5.')).toBeVisible();
  await figure.getByLabel('Per cent more than planned stays').fill('20');
  await figure.getByRole('button', { name: 'Go by this' }).click();
  await expect(figure).toContainText(/as you said, 20\s% more than planned/);
  await expect(page.getByRole('list', { name: 'What its wires take' })).toContainText('as you said');
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await page.goto(`${DEMO_URL}/bench/${pattern}`);
  await expect(page.getByText('As it was said')).toBeVisible();
  await expect(page.getByLabel('Cut the wires')).toHaveValue('learned');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByText(/is planned; by what your log says/)).toBeVisible();

  // Until it goes by the log again.
  await page.goto(`${DEMO_URL}/patterns/${pattern}`);
  await figure.getByRole('button', { name: 'Leave out what was logged so far' }).click();
  await expect(figure).toContainText(/by the log; what was logged up to .* is left out/);
  await figure.getByRole('button', { name: 'Go by all of the log' }).click();
  await expect(figure.getByRole('button', { name: 'Go by all of the log' })).toHaveCount(0);
});

test('rings that come out small are begun larger, at the form and in a sitting', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/bench/P-0046`);
  const begun = page.getByText(/^Wind it a quarter of a size larger than it is wanted, US /);
  await expect(begun).toBeVisible();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page).toHaveURL(/\/bench\/sitting\//);
  await expect(begun).toBeVisible();
  // What of it is bent round a mandrel, and on which of the studio’s.
  await expect(page.getByRole('list', { name: 'Bent round mandrels' })).toContainText(/Ring, .* inside: on /);
  await expect(page.getByRole('button', { name: 'Next' })).toBeEnabled();
  await page.keyboard.press('PageDown');
});

test('a helper sets nothing against the log', async ({ page }) => {
  await signIn(page, DEMO_HELPER);
  await page.goto(`${DEMO_URL}/patterns/P-0058`);
  await expect(page.getByRole('heading', { name: /^How it went/ })).toBeVisible();
  await expect(page.getByText('Set a figure against the log')).toHaveCount(0);
});
