import { chromium, type Locator, type Page } from '@playwright/test';
import playwright from '../../playwright.config';
import { receive } from '../../tests/support/studio';
import type { StudioSession } from '../../src/data/inStudio';
import { tell } from './figures';
import { Refusal } from './say';
import { countScripting, spentOn, type Scripting } from './scripting';

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
/** Scripting that a keystroke may cost: one frame. */
const FRAME_MS = 16;
const DIGIT = 7;
/** Pauses whose middle one is told: an odd number. */
const PAUSES = 7;
/** What is worked out after a pause may take no longer than a hand notices. */
const FOLLOWING_MS = 150;
/** By then everything that follows from a key is drawn. */
const SETTLED_MS = 1500;

/** A field that is typed in: a digit goes in behind what stands before the caret and out again, and both are allowed. */
export interface Typing {
  readonly name: string;
  readonly page: Page;
  readonly field: Locator;
  /** What is typed first; the caret is put behind it, before its unit. */
  readonly start: string;
  readonly unit: string;
  /** What on the page tells that the work followed the key. */
  readonly follows?: Locator;
}

/** Scripting of a keystroke. Every key is looked for in its field, and what follows from it on the page. */
export async function measureTyping(
  scripting: Scripting,
  { name, page, field, start, unit, follows }: Typing,
): Promise<void> {
  const [before, changed] = [`${start}${unit}`, `${start}${DIGIT}${unit}`];
  await field.fill(before);
  await field.evaluate((input: HTMLInputElement, at) => input.setSelectionRange(at, at), start.length);
  const shown = () => follows?.evaluate((each) => each.innerHTML);
  const press = (key: number) => page.keyboard.press(key % 2 === 0 ? `Digit${DIGIT}` : 'Backspace');
  // One key after another, as a quick hand types: what follows from them waits for a pause, and is looked at below.
  const type = async () => {
    for (let key = 0; key < KEYS; key += 1) await press(key);
  };
  const wanted = Array.from({ length: KEYS }, (_, key) => (key % 2 === 0 ? changed : before));
  await field.evaluate((input: HTMLInputElement) =>
    input.addEventListener('input', () => {
      input.dataset['typed'] = `${input.dataset['typed'] ?? ''}${input.value}|`;
    }),
  );
  const typed = () =>
    field.evaluate((input: HTMLInputElement) => {
      const { typed = '' } = input.dataset;
      delete input.dataset['typed'];
      return typed;
    });
  await type();
  await page.waitForTimeout(SETTLED_MS);
  await typed();
  const spent = await spentOn(scripting, type);
  const made = await typed();
  if (made !== wanted.map((each) => `${each}|`).join(''))
    throw new Refusal(`${name}: the keys made “${made}”`);
  tell({ name: `scripting of a keystroke, ${name}`, value: spent / KEYS, limit: FRAME_MS, unit: ' ms' });
  if (!follows) return;
  // A key, and then nothing: what comes of it is worked out and drawn; the middle one of some pauses.
  await page.waitForTimeout(SETTLED_MS);
  const following: number[] = [];
  for (let key = 0; key < PAUSES; key += 1) {
    const drawn = await shown();
    following.push(
      await spentOn(scripting, async () => {
        await press(key);
        await page.waitForTimeout(SETTLED_MS);
      }),
    );
    if ((await shown()) === drawn) throw new Refusal(`${name}: nothing on the page followed the key`);
  }
  if ((await field.getAttribute('aria-invalid')) === 'true') throw new Refusal(`${name}: it is refused`);
  tell({
    name: `and what follows when the typing pauses, ${name}`,
    value: following.sort((a, b) => a - b)[(PAUSES - 1) / 2] ?? NaN,
    limit: FOLLOWING_MS,
    unit: ' ms',
  });
}

/** What typing costs in a pattern of twelve techniques, and in the quick answer. */
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
    const scripting = await countScripting(await context.newCDPSession(page));
    const drawings = page.getByRole('img', { name: /drawn to scale/ });
    const folds = page.getByText('Its measures and wires');
    // The one that was added last is open; it shuts when another comes.
    await folds.nth(TECHNIQUES.length - 1).waitFor();
    await folds.nth(TECHNIQUES.indexOf('bead-halo')).click();
    await folds.nth(TECHNIQUES.indexOf('cradle')).click();
    const whole = 'in a pattern of twelve techniques';
    await measureTyping(scripting, {
      name: `a measure of one technique ${whole}`,
      page,
      field: page.getByRole('textbox', { name: 'The frame stands off the stone by' }),
      start: '14.5',
      unit: ' mm',
      follows: drawings.nth(TECHNIQUES.indexOf('cradle')),
    });
    await measureTyping(scripting, {
      name: `the name ${whole}`,
      page,
      field: page.getByLabel('Name of the pattern'),
      start: 'Weir ',
      unit: '',
    });
    await measureTyping(scripting, {
      name: `the length of the stone that they share ${whole}`,
      page,
      field: page.getByRole('textbox', { name: /^Stone: Length/ }).first(),
      start: '24.5',
      unit: ' mm',
      follows: drawings.first(),
    });
    for (const [technique, label] of [
      ['bundle-frame', /^Stone: Length/],
      ['curved-weave', 'Inner radius'],
      ['tree', 'Trunk'],
    ] as const) {
      const field = page.getByRole('textbox', { name: label }).first();
      await page.goto(`${url}/how-much?of=${technique}`);
      await measureTyping(scripting, {
        name: `how much wire for a ${technique.replace('-', ' ')}`,
        page,
        field,
        start: '24.5',
        unit: ' mm',
        follows: drawings.first(),
      });
    }
  } finally {
    await browser.close();
  }
}
