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
