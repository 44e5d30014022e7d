import { randomUUID } from 'node:crypto';
import { chromium, type Page } from '@playwright/test';
import playwright from '../../playwright.config';
import { CHROMIUM_IN_THE_ROUND } from '../../tests/support/chromium';
import { resolve } from '../../src/core/pattern/resolve';
import { techniqueOf } from '../../src/core/techniques/registry';
import { TRADE_WIRES } from '../../src/core/wire/tradeWires';
import type { StudioSession } from '../../src/data/inStudio';
import { composePattern } from '../../src/studio/patterns/composePattern';
import { composedOf, type HousePattern } from '../../src/core/house/composedOf';
import { HOUSE_PATTERNS } from '../../src/core/house/housePatterns';
import { measureEditing } from './benchEditing';
import { measurePulling } from './benchPulling';
import { measureTyping } from './benchRedraw';
import { median, tell } from './figures';
import { Refusal } from './say';
import { countScripting } from './scripting';

/** One pendant that fifteen techniques make together, each going on from what others left. */
const FIFTEEN: HousePattern = {
  ...(HOUSE_PATTERNS[0] as HousePattern),
  name: 'Fifteen acts',
  uses: [
    ...(HOUSE_PATTERNS[0]?.uses ?? []),
    ['threaded-bead', {}, { end: ['g.end 1'] }],
    ['threaded-bead', {}, { end: ['h.end 1'] }],
    ['bent-ends', { about: '4 mm', degrees: '90', way: 'to the left' }, { ends: ['i.end'] }],
    ['bent-ends', { about: '4 mm', degrees: '90', way: 'to the right' }, { ends: ['j.end'] }],
    ['flat-spiral', { across: '5 mm', start: '1.6 mm', way: 'mirrored' }, { ends: ['k.end 1', 'l.end 1'] }],
    ['coil', { length: '4 mm' }, { core: ['c.end 1'] }],
    ['coil', { length: '4 mm' }, { core: ['c.end 2'] }],
  ],
};

const SPECS = Object.fromEntries(TRADE_WIRES.map((wire) => [wire.id, wire]));

/** Those of the house that can be cut from wire of the trade as it stands. */
const isCut = (pattern: HousePattern): boolean =>
  resolve(composedOf(pattern, SPECS), SPECS, techniqueOf).cuts.every(({ specId }) => specId !== undefined);

/** Cards in the room that the figures are told for. */
const CARDS = 60;
const [MOST_KB, MOST_SCRIPT_MS] = [300, 100];
/** What drawing it once may take where the processor draws: it is turned with no more than six such steps a second. */
const TURN_MS = 150;
const TURNS = 24;

/** Keeps patterns in a studio. @returns the address of the last of them */
async function keep(session: StudioSession, patterns: readonly HousePattern[]): Promise<string> {
  let number = 0;
  for (const pattern of patterns) {
    const kept = await composePattern(session, randomUUID(), null, {
      name: `${pattern.name} ${number + 1}`,
      kind: pattern.kind,
      notes: '',
      parts: [],
      composition: composedOf(pattern, SPECS),
    });
    if (!kept.ok) throw new Refusal(`${pattern.name}: ${kept.problem.message}`);
    number = kept.value.number;
  }
  return `/patterns/P-${String(number).padStart(4, '0')}`;
}

interface Opened {
  readonly cards: number;
  /** As it came, compressed. */
  readonly kilobytes: number;
  readonly scriptMs: number;
}

/** Opens the room of patterns: its cards with their pictures, the page and what it asks for that is no script, and what scripting it costs. */
async function openRoom(page: Page, url: string): Promise<Opened> {
  const inspector = await page.context().newCDPSession(page);
  await inspector.send('Network.enable');
  const scripting = await countScripting(inspector);
  const sent = new Set<string>();
  let bytes = 0;
  inspector.on('Network.responseReceived', ({ requestId, type }) => {
    if (type === 'Document') sent.add(requestId);
  });
  inspector.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (sent.has(requestId)) bytes += encodedDataLength;
  });
  await page.goto(`${url}/patterns`, { waitUntil: 'networkidle' });
  const scriptMs = await scripting();
  await inspector.detach();
  const cards = await page.getByRole('img', { name: /drawn to scale/ }).count();
  return { cards, kilobytes: bytes / 1000, scriptMs };
}

/** What turning a piece costs: from a key to its picture, where the processor draws. */
async function measureTurning(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Turn it in the round' }).first().click();
  const piece = page.getByRole('img', { name: /in the round/ });
  await piece.waitFor();
  const turnOnce = () =>
    piece.evaluate(async (canvas: HTMLCanvasElement) => {
      const gl = canvas.getContext('webgl2');
      if (!gl) throw new Error('nothing draws in the round here');
      const point = new Uint8Array(4);
      const start = performance.now();
      canvas.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
      await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
      // Reading a point waits until all of it is drawn.
      gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, point);
      return { ms: performance.now() - start, said: canvas.getAttribute('aria-label') };
    });
  const turns: { readonly ms: number; readonly said: string | null }[] = [];
  for (let turn = 0; turn < TURNS; turn += 1) turns.push(await turnOnce());
  if (new Set(turns.map(({ said }) => said)).size < TURNS)
    throw new Refusal('it did not turn with every key');
  tell({
    name: 'turning a piece of fifteen techniques in the round by a step, drawn by the processor',
    value: median(turns.map(({ ms }) => ms)),
    limit: TURN_MS,
    unit: ' ms',
  });
}

/** Handles of that piece that are pulled: one of its first act, on which all others hang, one of its middle, and one of its last. */
const PULLED = [
  ['Bundle frame round a stone', 'Ends upright at the top, each'],
  ['Folded bail', 'Leg from the neck to the bend'],
  ['Flat spiral', 'Across, outside'],
] as const;

/** What pieces cost in the browser: a room of their cards, typing in a large one, and turning it. */
export async function measurePieces(url: string, session: StudioSession, cookie: string): Promise<void> {
  const [name = '', value = ''] = cookie.split(/=(.*)/s);
  const cookies = [{ name, value, url }];
  const browser = await chromium.launch(playwright.use?.launchOptions);
  const round = await chromium.launch(CHROMIUM_IN_THE_ROUND);
  try {
    const context = await browser.newContext();
    await context.addCookies(cookies);
    const page = await context.newPage();
    await openRoom(page, url);
    const empty = await openRoom(page, url);
    await keep(session, HOUSE_PATTERNS.filter(isCut));
    const full = await openRoom(page, url);
    if (empty.cards > 0 || full.cards < 20) throw new Refusal(`the room shows ${full.cards} pictures`);
    const forCards = (of: 'kilobytes' | 'scriptMs') => ((full[of] - empty[of]) / full.cards) * CARDS;
    const cards = `${CARDS} cards of the room of patterns, counted from the ${full.cards} that a page shows`;
    tell({ name: `what is sent for ${cards}`, value: forCards('kilobytes'), limit: MOST_KB, unit: ' kB' });
    tell({ name: `scripting for ${cards}`, value: forCards('scriptMs'), limit: MOST_SCRIPT_MS, unit: ' ms' });

    const pattern = await keep(session, [FIFTEEN]);
    await page.goto(`${url}${pattern}/compose`);
    const inspector = await context.newCDPSession(page);
    const scripting = await countScripting(inspector);
    await measureTyping(scripting, {
      name: 'the length of the stone of a piece of fifteen techniques',
      page,
      field: page.getByRole('textbox', { name: /^Stone: Length/ }).first(),
      start: '24.5',
      unit: ' mm',
      follows: page.getByRole('img', { name: /drawn to scale/ }).first(),
    });
    for (const [technique, handle] of PULLED) await measurePulling(page, scripting, technique, handle);
    await measureEditing(page, inspector);

    const turning = await round.newContext();
    await turning.addCookies(cookies);
    const turned = await turning.newPage();
    await turned.goto(`${url}${pattern}`);
    await measureTurning(turned);
  } finally {
    await browser.close();
    await round.close();
  }
}
