import { expect, test as base, type BrowserContext, type Locator, type Page } from '@playwright/test';
import { DEMO_HELPER, DEMO_OWNER } from '../../../src/demo/people';

const address = (name: string): string => {
  const url = process.env[name];
  if (!url) throw new Error(`${name} is not set; run the tests with ./run test`);
  return url;
};

export const EMPTY_URL = address('PEWTERER_EMPTY_URL');
/** A second one, for the path of a first day. */
export const FIRST_DAY_URL = address('PEWTERER_FIRST_DAY_URL');
export const DEMO_URL = address('PEWTERER_DEMO_URL');
/** A studio with a box of pieces for the fair, and its database. */
export const FAIR_URL = address('PEWTERER_FAIR_URL');
export const FAIR_OWNER_URL = address('PEWTERER_FAIR_OWNER_URL');

export async function signIn(
  page: Page,
  who: { login: string; password: string } = DEMO_OWNER,
  url = DEMO_URL,
): Promise<void> {
  await page.goto(`${url}/sign-in`);
  await page.getByLabel('Name').fill(who.login);
  await page.getByLabel('Password').fill(who.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page).toHaveURL(/\/rack$/);
}

type Cookies = Awaited<ReturnType<BrowserContext['cookies']>>;

/** A test on the demo studio, signed in as its owner; fails on anything the browser complains of. */
export const test = base.extend<{ owner: Page }, { ownerCookies: Cookies }>({
  // Signed in once for all tests of a worker: what the tests are about comes after it.
  ownerCookies: [
    async ({ browser }, hand) => {
      const context = await browser.newContext();
      await signIn(await context.newPage());
      const cookies = await context.cookies();
      await context.close();
      await hand(cookies);
    },
    { scope: 'worker' },
  ],
  owner: async ({ page, context, ownerCookies }, hand) => {
    const complaints = listen(page);
    await context.addCookies(ownerCookies);
    await page.goto(`${DEMO_URL}/rack`);
    await hand(page);
    expect(complaints).toEqual([]);
  },
});

/** What the browser complains of on a page: errors of scripts and of the security policy. */
export function listen(page: Page): string[] {
  const complaints: string[] = [];
  page.on('pageerror', (error) => complaints.push(error.message));
  page.on(
    'console',
    (message) => message.type() === 'error' && complaints.push(`${message.text()} ${message.location().url}`),
  );
  return complaints;
}

/** Presses a key until something comes of it: keys pressed before a fresh page listens are lost, and a person presses again. */
export async function pressUntil(page: Page, key: string, outcome: Locator): Promise<void> {
  await expect(async () => {
    if (!(await outcome.isVisible())) await page.keyboard.press(key);
    await expect(outcome).toBeVisible({ timeout: 5_000 });
  }).toPass({ timeout: 60_000 });
}

export { DEMO_HELPER, DEMO_OWNER, expect };
