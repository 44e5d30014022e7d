import fs from 'node:fs';
import path from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import { DEMO_SITTING } from '../src/demo/ids';
import { CHROMIUM, CHROMIUM_IN_THE_ROUND } from '../tests/support/chromium';
import { ensureBuilt } from './lib/build';
import { runCommand, say } from './lib/say';
import { signInDemo } from './lib/signInDemo';
import { openThrowaway } from './lib/throwaway';

const FOLDER = path.join('docs', 'screenshots');
/** The demo's two years end on a fixed day, so that pictures change only when the views do. */
const DAY = new Date('2026-11-20T12:00:00Z');

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly size?: { readonly width: number; readonly height: number };
  readonly dark?: boolean;
  /** Whether something in it is drawn in the round. */
  readonly isRound?: true;
  readonly prepare?: (page: Page) => Promise<unknown>;
}

const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

const SHOTS: readonly Shot[] = [
  { name: 'order', path: '/orders/Q-0002' },
  { name: 'wire-rack', path: '/rack?metal=sterling' },
  { name: 'batch', path: '/batches/R-0001' },
  { name: 'cutting-table', path: '/batches/R-0001/cut' },
  { name: 'what-could-i-make', path: '/batches/makeable', dark: true },
  { name: 'stockroom', path: '/stock' },
  {
    name: 'weigh-in',
    path: '/rack/W-0001/weigh',
    prepare: async (page) => {
      const scale = page.getByRole('region', { name: 'Scale' });
      await scale.getByLabel('On the pan').fill('42.4 g');
      await page.getByLabel('Empty spool').fill('14.2 g');
      await scale.getByRole('button', { name: 'Take this reading (42.4 g)' }).click();
    },
  },
  { name: 'pattern-room', path: '/patterns?after=14~14' },
  { name: 'pattern', path: '/patterns/P-0015' },
  {
    name: 'composing',
    path: '/patterns/P-0058/compose',
    prepare: async (page) => {
      const goOn = page.getByRole('region', { name: 'Go on from' });
      await goOn.getByRole('button').first().click();
      await goOn.getByRole('radio', { name: /curl up/ }).check();
      await goOn.getByText(/minutes more/).waitFor();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
  {
    name: 'sitting',
    path: `/bench/sitting/${DEMO_SITTING}`,
    isRound: true,
    prepare: async (page) => {
      await page.getByRole('radio', { name: 'in the round' }).first().check();
      await page.getByRole('img', { name: /in the round/ }).waitFor();
      await page.waitForLoadState('networkidle');
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
  { name: 'how-much-wire', path: '/how-much?of=curved-weave&metal=sterling' },
  { name: 'fitting', path: '/fitting?outline=oval&length=24+mm&width=16+mm&edge=3+mm' },
  { name: 'bench', path: '/bench/P-0018' },
  { name: 'shelf', path: '/shelf' },
  { name: 'cost-and-prices', path: '/shelf/F-0150' },
  {
    name: 'stall',
    path: '/stall',
    size: PHONE,
    prepare: async (page) => {
      const pieces = page.getByRole('list', { name: 'Pieces' }).getByRole('button');
      for (const index of [0, 2]) await pieces.nth(index).click();
      await page.getByRole('button', { name: 'To pay' }).waitFor();
    },
  },
  {
    name: 'prices',
    path: '/prices',
    prepare: async (page) => {
      await page.getByLabel('Price of sterling').fill('12000');
      await page.getByRole('region', { name: 'What if' }).scrollIntoViewIfNeeded();
    },
  },
  { name: 'logbook', path: '/logbook' },
];

/** Makes docs/screenshots anew: one picture of each main view, from the demo data. */
runCommand(async () => {
  ensureBuilt();
  const studio = await openThrowaway({ demoUntil: DAY });
  const flat = await chromium.launch(CHROMIUM);
  const round = await chromium.launch(CHROMIUM_IN_THE_ROUND);
  try {
    const { url } = await studio.serve('demo');
    fs.rmSync(FOLDER, { recursive: true, force: true });
    fs.mkdirSync(FOLDER, { recursive: true });
    const signedIn = async (browser: Browser): Promise<Page> => {
      const page = await browser.newPage();
      await signInDemo(page, url);
      return page;
    };
    const pages = { flat: await signedIn(flat), round: await signedIn(round) };
    for (const { name, path: view, size = DESK, dark = false, isRound, prepare } of SHOTS) {
      const page = isRound ? pages.round : pages.flat;
      await page.setViewportSize(size);
      await page.emulateMedia({ colorScheme: dark ? 'dark' : 'light', reducedMotion: 'reduce' });
      await page.goto(url + view, { waitUntil: 'networkidle' });
      await prepare?.(page);
      await page.screenshot({ path: path.join(FOLDER, `${name}.png`), animations: 'disabled' });
      say(`${FOLDER}/${name}.png`);
    }
  } finally {
    await flat.close();
    await round.close();
    await studio.destroy();
  }
});
