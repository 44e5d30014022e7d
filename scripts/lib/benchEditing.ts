import type { CDPSession, Page } from '@playwright/test';
import { tell } from './figures';
import { Refusal } from './say';

/** As many changes as ten minutes of composing hold, at one a second; each is worked out and drawn before the next one comes. */
const EDITS = 600;
const THIRDS = 3;
/** What is typed follows by then: longer than the pause that it waits for, and than working it out takes. */
const FOLLOWED_MS = 250;
/** How much more memory the last third may end with than the one before: in the first one code is compiled and caches fill, a leak climbs on. */
const MOST = 1.05;

/** Memory of the page while a piece is composed: after each third of many changes, once all that nobody holds is collected. */
export async function measureEditing(page: Page, inspector: CDPSession): Promise<void> {
  const field = page.getByRole('textbox', { name: /^Stone: Length/ }).first();
  const heading = page.getByRole('heading', { level: 1 });
  await inspector.send('HeapProfiler.enable');
  const held = async () => {
    await inspector.send('HeapProfiler.collectGarbage');
    const { metrics } = await inspector.send('Performance.getMetrics');
    return metrics.find(({ name }) => name === 'JSHeapUsedSize')?.value ?? NaN;
  };
  const marks: number[] = [];
  const said = new Set<string>();
  for (let edit = 0; edit < EDITS; edit += 1) {
    await field.fill(`${(22 + (edit % 37) / 10).toFixed(1)} mm`);
    await page.waitForTimeout(FOLLOWED_MS);
    if (edit < 37) said.add(await heading.innerText());
    if ((edit + 1) % (EDITS / THIRDS) === 0) marks.push(await held());
  }
  if (said.size < 20) throw new Refusal(`${said.size} different pieces came of 37 stones`);
  const [before = NaN, last = NaN] = marks.slice(-2);
  tell({
    name: `memory of the page after ${EDITS} changes (${(last / 1e6).toFixed(0)} MB) against after ${(EDITS / THIRDS) * (THIRDS - 1)} (${(before / 1e6).toFixed(0)} MB)`,
    value: last / before,
    limit: MOST,
    unit: ' ×',
  });
}
