import { DEMO_HELPER, DEMO_URL, expect, pressUntil, signIn, test } from './support/studio';
import { planBatchOf, receiveSpool, writeBar } from './support/stockroom';
import type { Page } from '@playwright/test';
import { OFFLINE } from '../../src/ui/form/problem';

const heading = (page: Page, text: string | RegExp) => page.getByRole('heading', { level: 1, name: text });

const planCuts = async (page: Page) => {
  await page.getByRole('button', { name: 'Plan the cuts and set the stock aside' }).click();
  await page.getByRole('link', { name: 'To the cutting table' }).click();
};

test('a batch is cut wire by wire by two people, over a lost connection, with a mis-cut, and made', async ({
  page,
  browser,
}) => {
  await signIn(page);
  const spool = await receiveSpool(page, { size: '15', length: '2 m', metal: 'bronze' });
  await writeBar(page, 'Sluice bar', /15 ga.*bronze/);
  const address = await planBatchOf(page, 'Sluice bar', 6, 'Table test');
  await planCuts(page);
  await expect(heading(page, /^Cut 1 of 6: .* from/)).toContainText(spool);

  // The wrong stock piece is not cut from.
  const scan = page.getByLabel(`Scan or type ${spool} to be sure (s)`);
  const cutIt = page.getByRole('button', { name: 'Cut, checked twice' });
  await scan.fill('W-0001');
  await scan.press('Enter');
  await expect(page.getByText(`That is W-0001; take ${spool}.`)).toBeVisible();
  await expect(cutIt).toBeDisabled();
  await scan.fill(spool);
  await scan.press('Enter');
  await expect(page.getByText('That is the one.')).toBeVisible();
  await pressUntil(page, 'c', heading(page, /^Cut 2 of 6/));

  // The line goes down when the cut was posted but not answered: pressed again, it is not posted twice.
  let isCut = false;
  await page.route('**/cut', async (route) => {
    if (route.request().method() !== 'POST') return route.fallback();
    if (route.request().postData()?.includes('cutIndex')) {
      isCut = true;
      await route.fetch();
    }
    return route.abort();
  });
  await cutIt.click();
  await expect(page.getByText(OFFLINE.message)).toBeVisible();
  expect(isCut).toBe(true);
  await page.unroute('**/cut');
  await cutIt.click();
  await expect(heading(page, /^Cut 3 of 6/)).toBeVisible();

  // Somebody else comes to the table on another device, where it was left.
  const other = await (await browser.newContext()).newPage();
  await signIn(other, DEMO_HELPER);
  await other.goto(`${address}/cut`);
  await expect(heading(other, /^Cut 3 of 6/)).toBeVisible();
  await pressUntil(other, 'c', heading(other, /^Cut 4 of 6/));
  await expect(heading(page, /^Cut 4 of 6/)).toBeVisible();
  await expect(other.locator('main')).not.toContainText('$');
  await other.context().close();

  await page.getByText('A mis-cut', { exact: true }).click();
  const form = page.getByRole('form', { name: 'A mis-cut' });
  await form.getByRole('button', { name: 'Log the mis-cut' }).click();
  await expect(form.getByText(/Give the reason/)).toBeVisible();
  await form.getByLabel('How long it is').fill('140 mm');
  await form.getByLabel('Why').fill('cut too short');
  await form.getByRole('button', { name: 'Log the mis-cut' }).click();
  const last = page.getByRole('list', { name: 'Done last' }).getByRole('listitem').first();
  await expect(last).toContainText('mis-cut: cut too short');
  await expect(heading(page, /^Cut 4 of 6/)).toBeVisible();
  await pressUntil(page, 'c', heading(page, /^Cut 5 of 6/));
  await pressUntil(page, 'z', heading(page, /^Cut 4 of 6/));

  // The rest was cut by the sheet.
  await page.getByText('It was all cut by the sheet', { exact: true }).click();
  await page.getByRole('button', { name: 'Enter 3 wires as cut' }).click();
  await expect(heading(page, 'All 6 wires are cut and lie in the tray')).toBeVisible();

  await page.goto(`${DEMO_URL}/rack/${spool}`);
  // 2 m less six times 150 mm and a mis-cut of 140 mm.
  await expect(page.getByText(/960 mm|37 13\/16 in|3.15 ft/).first()).toBeVisible();

  await page.goto(address);
  await page.getByRole('link', { name: 'Make one of Sluice bar' }).click();
  await expect(heading(page, 'Piece 1 of 6 of “Sluice bar” lies cut in the tray')).toBeVisible();
  // One as it was, and another with it.
  await page.getByLabel('Pieces made so').fill('7');
  await expect(page.getByText('1 to 6 are allowed', { exact: false })).toBeVisible();
  await page.getByLabel('Pieces made so').fill('2');
  await page.getByRole('button', { name: 'All 2 are made' }).click();
  await expect(page.getByText('2 pieces are made.')).toBeVisible();
  await expect(page).toHaveURL(address);
  await expect(page.getByText('2 made')).toBeVisible();
  await page.getByText('Cancel it', { exact: true }).click();
  await page.getByRole('button', { name: 'Cancel the batch' }).click();
  await page.getByRole('button', { name: 'Take it up again' }).click();
  await expect(page.getByText('All 6 wires are cut')).toBeVisible();
});

test('what could be made until a day becomes a batch', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/batches`);
  await page.getByRole('link', { name: 'What could I make?' }).click();
  await expect(heading(page, /^\d+ pieces until .*left for the hours$/)).toBeVisible();
  const until = await page.getByLabel('Until').inputValue();
  await page.getByLabel('Until').fill('2020-01-01');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByText('Give a day from today to a year from now').first()).toBeVisible();
  // What was typed is still there; only the day is mended.
  await page.getByLabel('Until').fill(until);
  await page.getByLabel('Choose').selectOption('pieces');
  await page.getByLabel('Most of each').fill('2');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page).toHaveURL(/aim=pieces/);
  const made = page.getByRole('list', { name: 'What could be made' }).getByRole('listitem');
  await expect(made.first()).toContainText('2 ×');
  const kinds = await made.count();
  await page.getByRole('link', { name: 'Plan it as a batch' }).click();
  await page.getByLabel('What is it for?').fill('Whatever there is');
  await expect(page.getByLabel('Pattern', { exact: true })).toHaveCount(kinds);
  await page.getByRole('button', { name: 'Plan this batch' }).click();
  await expect(heading(page, /^(Enough for|Wire for|At most)/)).toBeVisible();
  await page.getByText('Cancel it', { exact: true }).click();
  await page.getByRole('button', { name: 'Cancel the batch' }).click();
  await expect(heading(page, '“Whatever there is” is cancelled')).toBeVisible();
});
