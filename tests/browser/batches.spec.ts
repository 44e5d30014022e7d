import { DEMO_HELPER, DEMO_URL, expect, pressUntil, signIn, test } from './support/studio';
import { receiveSpool, writeBar } from './support/stockroom';

test('a batch is planned, cut on paper with the least waste, set aside, and cancelled', async ({
  owner: page,
}) => {
  const spool = await receiveSpool(page, { size: '17', length: '2 m', metal: 'bronze' });
  await writeBar(page, 'Millrace bar', /17 ga.*bronze/);

  await page.goto(`${DEMO_URL}/batches`);
  await page.getByRole('link', { name: 'Plan a batch' }).click();
  await page.getByRole('button', { name: 'Plan this batch' }).click();
  await expect(page.getByText('Give what the batch is called, like Spring fair.')).toBeVisible();
  await page.getByLabel('What is it for?').fill('Winter stall');
  await page.getByLabel('Due on').fill('2031-02-01');
  const pattern = page.getByLabel('Pattern', { exact: true });
  const bar = pattern.getByRole('option', { name: /Millrace bar/ });
  await pattern.selectOption((await bar.getAttribute('value')) ?? '');
  await page.getByLabel('How many').fill('14');
  await expect(page.getByRole('region', { name: 'Expected takings' })).toContainText('14 × Millrace bar');
  await page.getByRole('button', { name: 'Plan this batch' }).click();
  await expect(page).toHaveURL(/\/batches\/R-\d{4}$/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Enough for 13 of 14 pieces: the 17 ga/);
  await expect(page.getByRole('row', { name: /17 ga/ })).toContainText('1 cut finds none');

  await page.getByRole('link', { name: 'Change it' }).click();
  await page.getByLabel('How many').fill('13');
  await page.getByRole('button', { name: 'Change the batch' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Enough for all 13 pieces');
  await page.getByRole('button', { name: 'Plan the cuts and set the stock aside' }).click();
  await expect(page.getByRole('heading', { name: 'How it is cut' })).toBeVisible();
  const cut = page.getByRole('list', { name: 'What is cut from what' }).getByRole('listitem');
  await expect(cut).toHaveCount(1);
  await expect(cut).toContainText(spool);
  await expect(cut).toContainText('13 × ');
  await expect(page.getByText('No plan is better than this one.')).toBeVisible();

  for (const [file, begins] of [
    ['cut-sheet.pdf', '%PDF-'],
    ['cuts.csv', 'Stock'],
  ] as const) {
    const paper = await page.request.get(`${page.url()}/${file}`);
    expect((await paper.body()).subarray(0, 5).toString()).toBe(begins);
  }

  const batch = new URL(page.url()).pathname;
  await page.goto(`${DEMO_URL}/rack/${spool}`);
  await expect(page.getByText(/for R-\d{4} Winter stall/)).toBeVisible();
  await pressUntil(page, '/', page.getByRole('combobox', { name: 'Find anything' }));
  await page.getByRole('combobox', { name: 'Find anything' }).fill('winter stall');
  await page.getByRole('option', { name: /Winter stall/ }).click();
  await expect(page).toHaveURL(new RegExp(`${batch}$`));

  // What is set aside is not offered at the bench: 50 mm of it are left.
  await page.goto(`${DEMO_URL}/batches`);
  await page.getByRole('link', { name: /Winter stall/ }).click();
  await page.getByRole('link', { name: 'Millrace bar' }).click();
  await page.getByRole('link', { name: 'Make one' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Not enough wire for “Millrace bar”');

  await page.goto(`${DEMO_URL}/batches`);
  await page.getByRole('link', { name: /Winter stall/ }).click();
  await page.getByText('Cancel it', { exact: true }).click();
  await page.getByRole('button', { name: 'Cancel the batch' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('“Winter stall” is cancelled');
});

test('the hours say what will be late, and the calendar goes by them', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/batches`);
  await page.getByRole('link', { name: 'Will it be ready?' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/in time|will be late/);
  await expect(page.getByRole('list', { name: 'Ready when' }).getByRole('listitem').first()).toContainText(
    'Harvest fair',
  );
  for (const day of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday'])
    await page.getByLabel(day).fill('0.5');
  await page.getByLabel('Days off').fill('soon');
  await page.getByRole('button', { name: 'Set these hours' }).click();
  await expect(page.getByText(/“soon” is not a day/)).toBeVisible();
  await page.getByLabel('Days off').fill('');
  await page.getByRole('button', { name: 'Set these hours' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/will be late, by .* of work/);
  await expect(page.getByText(/more on each working day until then/).first()).toBeVisible();
  const calendar = await page.request.get(`${DEMO_URL}/batches/hours/bench.ics`);
  expect(await calendar.text()).toContain('Harvest fair is due');
  for (const day of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday'])
    await page.getByLabel(day).fill('6');
  await page.getByRole('button', { name: 'Set these hours' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/in time/);
});

test('the demonstration works towards a fair; a helper sees what is cut from what, and no money', async ({
  page,
}) => {
  await signIn(page, DEMO_HELPER);
  await page.goto(`${DEMO_URL}/batches`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('batches to make, the next in');
  await page.getByRole('link', { name: /Harvest fair/ }).click();
  await expect(page.getByRole('heading', { name: 'How the rest is cut' })).toBeVisible();
  await expect(page.getByRole('list', { name: 'What is cut from what' }).first()).toBeVisible();
  await expect(page.getByText(/^21 of 42 wires are cut/)).toBeVisible();
  await expect(page.locator('main')).not.toContainText('$');
});
