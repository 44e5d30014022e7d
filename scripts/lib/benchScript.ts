import { chromium, type Browser, type Cookie } from '@playwright/test';
import playwright from '../../playwright.config';
import { PAGES } from '../../tests/browser/support/routes';
import { tell } from './figures';
import { Refusal } from './say';
import { signInDemo } from './signInDemo';
import { openThrowaway } from './throwaway';

/** The demo's two years end on a fixed day, so that its pages hold the same every time. */
const DAY = new Date('2026-11-20T12:00:00Z');
const MOST_KB = 220;
const PHONE = { width: 390, height: 844 };

/**
 * Script that a browser with nothing in store is sent for a page, until it asks for no more: the page's own, and what it fetches
 * after itself.
 * @returns kB as they came, compressed
 */
async function scriptSent(browser: Browser, url: string, cookies: readonly Cookie[]): Promise<number> {
  const context = await browser.newContext({ viewport: PHONE });
  try {
    await context.addCookies([...cookies]);
    const page = await context.newPage();
    const inspector = await context.newCDPSession(page);
    await inspector.send('Network.enable');
    const scripts = new Set<string>();
    let bytes = 0;
    inspector.on('Network.responseReceived', ({ requestId, type }) => {
      if (type === 'Script') scripts.add(requestId);
    });
    inspector.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      if (scripts.has(requestId)) bytes += encodedDataLength;
    });
    const answer = await page.goto(url, { waitUntil: 'networkidle' });
    if (answer?.status() !== 200) throw new Refusal(`${url} answered ${answer?.status()}`);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    // What comes when the page is at rest comes too.
    await page.waitForLoadState('networkidle');
    if (scripts.size === 0) throw new Refusal(`${url} was sent no script at all`);
    return bytes / 1000;
  } finally {
    await context.close();
  }
}

/** What the heaviest page of the demo is sent in script; every page of the application is opened, on a telephone. */
export async function measureScript(): Promise<void> {
  const studio = await openThrowaway({ demoUntil: DAY });
  const browser = await chromium.launch(playwright.use?.launchOptions);
  try {
    const { url } = await studio.serve('demo');
    const context = await browser.newContext();
    await signInDemo(await context.newPage(), url);
    const cookies = await context.cookies();
    await context.close();
    const sent: { readonly address: string; readonly kilobytes: number }[] = [];
    for (const { address } of PAGES)
      if (!address.startsWith('/lists/'))
        sent.push({ address, kilobytes: await scriptSent(browser, url + address, cookies) });
    const [heaviest, ...others] = sent.sort((a, b) => b.kilobytes - a.kilobytes);
    if (!heaviest) throw new Refusal('no page was opened');
    const next = others.slice(0, 2).map(({ address, kilobytes }) => `${address} ${kilobytes.toFixed(1)} kB`);
    tell({
      name: `script sent to the heaviest of ${sent.length} pages (${heaviest.address}), with all that it fetches by itself; next ${next.join(', ')}`,
      value: heaviest.kilobytes,
      limit: MOST_KB,
      unit: ' kB',
    });
  } finally {
    await browser.close();
    await studio.destroy();
  }
}
