import { chromium } from '@playwright/test';
import playwright from '../../playwright.config';
import { receive } from '../../tests/support/studio';
import type { StudioSession } from '../../src/data/inStudio';
import { tell } from './figures';

/** Twelve techniques of all sorts: what a large pattern holds. */
const TECHNIQUES = [
  'bundle-frame',
  'bead-halo',
  'looped-bezel',
  'cradle',
  'tree',
  'wrapped-bail',
  'straight-weave',
  'curved-weave',
  'coil',
  'flat-spiral',
  'wrapped-loop-link',
  'ear-wire',
];

const KEYS = 40;

/** Scripting that a keystroke costs in a pattern of twelve techniques, by the browser’s own count, as a part of one frame of 16 ms. */
export async function measureRedraw(url: string, session: StudioSession, cookie: string): Promise<void> {
  for (const gaugeNumber of ['16', '18', '20', '26', '28'])
    await receive(session, { gaugeNumber, metal: 'copper', temper: 'dead soft' });
  const browser = await chromium.launch(playwright.use?.launchOptions);
  try {
    const context = await browser.newContext();
    const [name = '', value = ''] = cookie.split(/=(.*)/s);
    await context.addCookies([{ name, value, url }]);
    const page = await context.newPage();
    await page.goto(`${url}/patterns/compose`);
    for (const technique of TECHNIQUES) {
      await page.getByLabel(/^(Begin with|Add) a technique$/).selectOption(technique);
      await page.getByRole('button', { name: 'Add it' }).click();
    }
    const inspector = await context.newCDPSession(page);
    await inspector.send('Performance.enable');
    const scripting = async () => {
      const { metrics } = await inspector.send('Performance.getMetrics');
      return (metrics.find((metric) => metric.name === 'ScriptDuration')?.value ?? 0) * 1000;
    };
    const field = page.getByRole('textbox', { name: 'Wraps between beads' });
    await page.getByText('Its measures and wires').nth(1).click();
    await field.focus();
    const type = async () => {
      for (let key = 0; key < KEYS; key += 1) {
        await page.keyboard.press(key % 2 === 0 ? 'Digit1' : 'Backspace');
        await page.evaluate(() => new Promise(requestAnimationFrame));
      }
    };
    await type();
    const before = await scripting();
    await type();
    tell({
      name: 'scripting of a keystroke in a pattern of twelve techniques',
      value: ((await scripting()) - before) / KEYS,
      limit: 16,
      unit: ' ms',
    });
  } finally {
    await browser.close();
  }
}
