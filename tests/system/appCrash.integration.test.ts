import { chromium, type Browser, type Page } from '@playwright/test';
import { startApp, type App } from '../../scripts/lib/app';
import { freePort } from '../../scripts/lib/ports';
import { sessionCookieFor } from '../../scripts/lib/sessionCookie';
import { openThrowaway, type Throwaway } from '../../scripts/lib/throwaway';
import { closeDatabase } from '../../src/data/database';
import { appUrlFor } from '../../src/data/migrate';
import type { StudioSession } from '../../src/data/inStudio';
import { CHROMIUM } from '../support/chromium';
import { openAsOwner, openStudio, receive } from '../support/studio';
import { expectWhole } from '../support/wholeBooks';

/** The running application is killed under two people who post: nothing is half there, and nothing is there twice. */

const before = { app: process.env['PEWTERER_DATABASE_URL'], owner: process.env['PEWTERER_OWNER_URL'] };
let studio: Throwaway;
let session: StudioSession;
let browser: Browser;
let app: App;
let port = 0;
/** Kept when the application that is killed has ended. */
let gone: Promise<unknown> = Promise.resolve();

const start = () =>
  startApp({ ownerUrl: studio.ownerUrl, host: '127.0.0.1', port, mode: 'test', output: 'ignore' });

beforeAll(async () => {
  studio = await openThrowaway({ durable: true });
  process.env['PEWTERER_DATABASE_URL'] = appUrlFor(studio.ownerUrl);
  process.env['PEWTERER_OWNER_URL'] = studio.ownerUrl;
  session = await openStudio();
  await receive(session, { length: '90 m', price: '90 USD' });
  port = await freePort();
  app = await start();
  gone = new Promise((resolve) => app.process.once('exit', resolve));
  browser = await chromium.launch(CHROMIUM);
}, 180_000);

afterAll(async () => {
  await browser.close();
  await app.stop();
  await closeDatabase();
  process.env['PEWTERER_DATABASE_URL'] = before.app;
  process.env['PEWTERER_OWNER_URL'] = before.owner;
  await studio.destroy();
});

async function openSpool(): Promise<Page> {
  const { studioId, userId } = session;
  const [name = '', value = ''] = (
    await sessionCookieFor(studio.ownerUrl, { studioId, userId, epoch: 1 })
  ).split('=');
  const context = await browser.newContext();
  await context.addCookies([{ name, value, url: app.url }]);
  const page = await context.newPage();
  await page.goto(`${app.url}/rack/W-0001`);
  await page.getByText('Take some out, or say what was spoiled').click();
  return page;
}

const lost = (page: Page) => page.getByText(/The studio cannot be reached. What you typed is still here/);
const shown = (page: Page, reason: string) => page.getByRole('row', { name: new RegExp(`· ${reason}\\b`) });
const press = (page: Page) => page.getByRole('button', { name: 'Post it' }).click();

/** Postings that are confirmed before the application is killed, in the middle of others. */
const BEFORE_THE_END = 6;

/** The posting that somebody was about when the application was killed. */
interface LastPosting {
  readonly reason: string;
  /** The page says that it got no answer, so the form holds it and its key still. */
  readonly isHeld: boolean;
}

/** Spoils a little again and again until the application is gone. */
async function postUntilGone(page: Page, who: string, confirmed: string[]): Promise<LastPosting> {
  for (let turn = 1; ; turn += 1) {
    const reason = `${who} slips ${turn}`;
    const form = page.locator('details[open]');
    await form.getByLabel('Length').fill('1 mm');
    await form.getByLabel('Why').fill(reason);
    await press(page);
    const seen = shown(page, reason).or(lost(page)).first().waitFor({ timeout: 60_000 });
    // An answer may have come just before the end, and then the page cannot be shown anew any more.
    const tooLate = gone.then(() => lost(page).waitFor({ timeout: 5000 }));
    await Promise.any([seen, tooLate]).catch(() => undefined);
    if (await lost(page).isVisible()) return { reason, isHeld: true };
    if (!(await shown(page, reason).first().isVisible())) return { reason, isHeld: false };
    confirmed.push(reason);
    if (confirmed.length === BEFORE_THE_END) app.process.kill('SIGKILL');
  }
}

it('kill -9 of the running application while two people post through it', async () => {
  const people = ['Ines', 'Tamsin'];
  const pages = [await openSpool(), await openSpool()];
  const confirmed: string[] = [];
  const last = await Promise.all(
    pages.map((page, index) => postUntilGone(page, people[index] ?? '', confirmed)),
  );
  expect(confirmed.length).toBeGreaterThanOrEqual(BEFORE_THE_END);

  app = await start();
  for (const [index, { reason, isHeld }] of last.entries()) {
    const page = pages[index];
    if (!page || !isHeld) continue;
    // The form still holds what was typed and its key: pressed again it posts what was not posted, and nothing twice.
    expect(await page.locator('details[open]').getByLabel('Why').inputValue()).toBe(reason);
    await press(page);
    await shown(page, reason).first().waitFor({ timeout: 60_000 });
    confirmed.push(reason);
  }

  const owner = openAsOwner();
  const found = await owner.ask<{ key: string; reason: string }>(
    `SELECT post_key AS key, reason FROM movements WHERE kind = 'spoiled'`,
  );
  await owner.close();
  const reasons = found.map(({ reason }) => reason);
  expect(new Set(reasons).size).toBe(reasons.length);
  expect(reasons).toEqual(expect.arrayContaining(confirmed));
  await expectWhole(
    studio.ownerUrl,
    found.map(({ key }) => key),
  );
}, 300_000);
