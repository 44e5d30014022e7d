import { DEMO_URL, expect } from './studio';
import type { Page } from '@playwright/test';

/** Receives a spool of the demo studio and answers with its tag. */
export async function receiveSpool(
  page: Page,
  { size = '20', length = '10 m', price = '8', metal = 'copper' } = {},
): Promise<string> {
  await page.goto(`${DEMO_URL}/rack/receive`);
  await page.getByLabel('Metal', { exact: true }).selectOption(metal);
  await page.getByLabel('Size on the label').fill(size);
  await page.getByLabel('Length', { exact: true }).fill(length);
  await page.getByLabel('Paid for it').fill(price);
  await page.getByRole('button', { name: 'Put it on the rack' }).click();
  await page.waitForURL(/\/rack\/W-\d+$/);
  return tagOf(page);
}

/** The tag of the thing whose page is open. */
export const tagOf = (page: Page): string => new URL(page.url()).pathname.split('/').at(-1) ?? '';

/** Opens a fold of the page that is shut. */
export async function unfold(page: Page, title: string): Promise<void> {
  await page.getByText(title, { exact: true }).click();
}

/** Shows lengths in metres, whatever the studio's own way is. */
export async function inMetric(page: Page): Promise<void> {
  const toggle = page.getByRole('button', { name: /^Lengths in/ });
  await expect(toggle).toBeVisible();
  if ((await toggle.textContent())?.includes('inches')) {
    await expect(async () => {
      await toggle.click();
      await expect(toggle).toContainText('metric', { timeout: 1000 });
    }).toPass();
  }
}

/** Writes a pattern of one cut of 150 mm, from the wire that the list calls so, and six minutes. */
export async function writeBar(page: Page, name: string, wire: RegExp, kind?: string): Promise<void> {
  await page.goto(`${DEMO_URL}/patterns/new`);
  await page.getByLabel('Name of the pattern').fill(name);
  if (kind !== undefined) await page.getByLabel('It makes a').selectOption(kind);
  await page.getByLabel('Called').fill('bar');
  const option = page.getByLabel('Cut from').getByRole('option', { name: wire });
  await page.getByLabel('Cut from').selectOption((await option.first().getAttribute('value')) ?? '');
  await page.getByLabel('Net length of each').fill('150 mm');
  await page.getByLabel('Step 1').fill('hammer it');
  await page.getByLabel('Minutes').fill('6');
  await page.getByRole('button', { name: 'Save pattern' }).click();
  await expect(page).toHaveURL(/\/patterns\/P-\d{4}$/);
}

/** Plans a batch of so many of a pattern. @returns the address of its page */
export async function planBatchOf(page: Page, pattern: string, count: number, name: string): Promise<string> {
  await page.goto(`${DEMO_URL}/batches/new`);
  await page.getByLabel('What is it for?').fill(name);
  const choice = page.getByLabel('Pattern', { exact: true });
  const option = choice.getByRole('option', { name: new RegExp(pattern) });
  await choice.selectOption((await option.getAttribute('value')) ?? '');
  await page.getByLabel('How many').fill(String(count));
  await page.getByRole('button', { name: 'Plan this batch' }).click();
  await expect(page).toHaveURL(/\/batches\/R-\d{4}$/);
  return page.url();
}
