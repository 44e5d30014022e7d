import type { Page } from '@playwright/test';
import { DEMO_OWNER } from '../../src/demo/people';

/** Signs the owner of the demonstration in. */
export async function signInDemo(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/sign-in`);
  await page.getByLabel('Name').fill(DEMO_OWNER.login);
  await page.getByLabel('Password').fill(DEMO_OWNER.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL('**/rack');
}
