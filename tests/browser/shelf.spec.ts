import type { Page } from '@playwright/test';
import { axeIsClean } from './support/axe';
import { DEMO_HELPER, DEMO_URL, expect, signIn, test } from './support/studio';
import { unfold } from './support/stockroom';

const search = (page: Page) => page.getByRole('search', { name: 'The shelf' });
const card = (page: Page, tag: string) => page.getByRole('listitem').filter({ hasText: `Choose ${tag}` });

test('a tray is laid elsewhere and a piece is kept for somebody; each is found there, and taken back', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/shelf?sort=oldest`);
  const tags = (await page.getByRole('checkbox', { name: /^Choose F-/ }).all()).slice(0, 2);
  for (const box of tags) await box.check();
  await unfold(page, '2 pieces chosen');
  await page.getByLabel('Where', { exact: true }).and(page.getByRole('textbox')).fill('Harbour fair case');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('It is written down of 2 pieces.')).toBeVisible();
  const [first = ''] = (await page.getByText(/^Choose F-\d{4}$/).allTextContents()).map((text) =>
    text.replace('Choose ', '').trim(),
  );
  await expect(card(page, first)).toContainText('Harbour fair case');
  await expect(card(page, first)).toContainText(/there (for \d+ days?|since today)/);
  await expect(page.getByRole('checkbox', { name: `Choose ${first}`, exact: true })).not.toBeChecked();

  // Kept for somebody: for whom is asked beside the field.
  await page.getByRole('checkbox', { name: `Choose ${first}`, exact: true }).check();
  await page.getByLabel('What happens').selectOption('Reserve for somebody');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Say whom they are reserved for.')).toBeVisible();
  await page.getByLabel('For whom').fill('the lock keeper');
  await page.getByLabel('Note', { exact: true }).fill('until Friday');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(card(page, first)).toContainText('reserved · Harbour fair case');
  await axeIsClean(page);

  await search(page).getByLabel('In which place').selectOption('Harbour fair case');
  await expect(page).toHaveURL(/place=/);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('2 finished pieces');
  await search(page).getByLabel('Where', { exact: true }).selectOption('reserved');
  await expect(page).toHaveURL(/state=reserved/);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('1 finished piece');
  await card(page, first).getByRole('link').click();
  const life = page.getByRole('region', { name: 'Its life' });
  await expect(life).toContainText('reserved for the lock keeper, “until Friday”');
  await expect(life).toContainText('put: Harbour fair case');
  // Only what can happen to a piece that is reserved is offered.
  await expect(life.getByLabel('What happens').getByRole('option')).toHaveText([
    'Reserve no longer',
    'Say that it is lost',
  ]);
  await life.getByRole('button', { name: 'Take it back' }).click();
  await expect(life.getByRole('heading')).toHaveText('Its life: on the shelf');
  await expect(life).toContainText('taken back');

  // What is given away is off the shelf, and back on it when that is taken back.
  await life.getByLabel('What happens').selectOption('Give away');
  await life.getByRole('button', { name: 'Write it down' }).click();
  await expect(life.getByRole('heading')).toHaveText('Its life: given');
  await page.goto(`${DEMO_URL}/shelf?words=${first}`);
  await expect(page.getByText('Nothing on the shelf is like that.')).toBeVisible();
  await search(page).getByLabel('Where', { exact: true }).selectOption('ever made');
  await card(page, first).getByRole('link').click();
  await page.getByRole('region', { name: 'Its life' }).getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('region', { name: 'Its life' }).getByRole('heading')).toHaveText(
    'Its life: on the shelf',
  );
});

test('what helpers may say of pieces is less, and it is nothing of money', async ({ page }) => {
  await signIn(page, DEMO_HELPER);
  await page.goto(`${DEMO_URL}/shelf`);
  await unfold(page, 'Choose pieces, and say what happens to them');
  await expect(page.getByLabel('What happens').getByRole('option')).toHaveText([
    'Put somewhere',
    'Reserve for somebody',
    'Reserve no longer',
  ]);
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Say where they are put.')).toBeVisible();
  await page.getByLabel('Where', { exact: true }).and(page.getByRole('textbox')).fill('Harbour fair case');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Choose a piece first.')).toBeVisible();
});

test('a piece is broken up: its wire goes to the jar and what is whole to its drawer; that is taken back', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/shelf?state=on+the+shelf&sort=cheapest&kind=bracelet`);
  await page
    .getByRole('link', { name: /F-\d{4}/ })
    .first()
    .click();
  const life = page.getByRole('region', { name: 'Its life' });
  await expect(life.getByRole('heading').first()).toHaveText('Its life: on the shelf');
  await unfold(page, 'Break this piece up');
  const jar = life.getByLabel(/^Into the jar of /).first();
  await expect(jar).not.toHaveValue('');
  const weighed = await jar.inputValue();
  await jar.fill('a pinch');
  await life.getByRole('button', { name: 'Break it up', exact: true }).click();
  await expect(life.getByText(/“a pinch” is not a weight/)).toBeVisible();
  await jar.fill(weighed);
  await life.getByLabel('Why').fill('never sold');
  await axeIsClean(page);
  await life.getByRole('button', { name: 'Break it up', exact: true }).click();
  await expect(life.getByRole('heading').first()).toHaveText('Its life: broken up');
  await expect(life).toContainText('broken up, “never sold”');
  await life.getByRole('button', { name: 'Take it back' }).click();
  await expect(life.getByRole('heading').first()).toHaveText('Its life: on the shelf');
});
