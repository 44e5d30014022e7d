import fs from 'node:fs';
import { planBatch } from '../../src/studio/batches/planBatch';
import type { StudioSession } from '../../src/studio/kernel/useCase';
import { STARTERS, takeStarters } from '../../src/studio/patterns/starters';
import { batch, line } from '../../tests/support/batches';
import { addCopies } from '../../tests/support/copies';
import { done, makeOne, newKey, simplePattern } from '../../tests/support/studio';
import { get, sideBySide, tell } from './figures';
import { Refusal } from './say';

/** How much of everything a studio has. */
export interface Size {
  readonly patterns: number;
  readonly batches: number;
  readonly pieces: number;
}

/** A studio of some weeks, and one of some years. */
export const SIZES: readonly [Size, Size] = [
  { patterns: 40, batches: 16, pieces: 200 },
  { patterns: 500, batches: 200, pieces: 5000 },
];

/** Fills a studio that has wire with patterns, batches that are open, and pieces, in the shape that use leaves. */
export async function grow(session: StudioSession, size: Size): Promise<void> {
  done(await takeStarters(session, newKey(), { names: STARTERS.map(({ name }) => name) }));
  const number = await makeOne(session);
  const patterns: { number: number }[] = [];
  for (let n = STARTERS.length + 1; n < size.patterns; n += 1)
    patterns.push(await simplePattern(session, { count: String(1 + (n % 4)), net: `${60 + (n % 90)} mm` }));
  for (let n = 0; n < size.batches; n += 1) {
    const [a, b] = [n * 7, n * 11 + 3].map((each) => patterns[each % patterns.length]?.number ?? 1);
    const dueOn = new Date(session.now.valueOf() + (n + 3) * 86_400_000).toISOString().slice(0, 10);
    const form = batch([line(a ?? 1, 3), line(b ?? 1, 2)], { name: `Order ${n + 1}`, dueOn });
    done(await planBatch(session, newKey(), null, form));
  }
  await addCopies(session, number, size.pieces);
}

/** Pages that show what a studio has, with the limit of how much slower they may be in a large one. */
const PAGES: readonly (readonly [path: string, limit: number])[] = [
  ['/shelf', 1.5],
  ['/patterns', 1.5],
  ['/bench', 1.5],
  ['/bench/P-0001', 1.5],
  ['/batches', 1.5],
  ['/batches/hours', 1.5],
  ['/fitting?length=25+mm&width=18+mm', 1.5],
  ['/to-buy', 1.5],
  ['/beads', 1.5],
];

/** Patterns that are looked at for what could be made; a larger studio is asked for a kind. */
const LOOKED_AT = 300;

/** The choice of what to make: its page stands at once, and its answer takes as much longer as there are more patterns to choose from. */
async function measureChoice(url: string, cookies: readonly [string, string]): Promise<void> {
  const until = (which: 0 | 1, end: 'stands' | 'answers') => async () => {
    const began = await fetch(`${url}/batches/makeable`, { headers: { cookie: cookies[which] } });
    if (began.status !== 200) throw new Refusal(`what could I make answered ${began.status}`);
    if (end === 'answers') {
      if (!/patterns/.test(await began.text())) throw new Refusal('what could I make has no answer');
      return;
    }
    await began.body?.getReader().read();
  };
  for (const end of ['stands', 'answers'] as const) {
    await sideBySide(2, until(0, end), until(1, end));
    const [few, many] = await sideBySide(12, until(0, end), until(1, end));
    const grown = end === 'answers' ? LOOKED_AT / SIZES[0].patterns : 1;
    tell({
      name: `what could I make ${end}${end === 'answers' ? ', a pattern' : ''}: of 500 patterns (${many.toFixed(1)} ms) against 40 (${few.toFixed(1)} ms)`,
      value: many / few / grown,
      // The large one has more lengths to choose from, too.
      limit: end === 'answers' ? 2 : 1.5,
      unit: ' ×',
    });
    // Whoever left before the answer came is not waited for any more; what it began ends by itself.
    await new Promise((resolve) => setTimeout(resolve, 5000));
  }
}

/** Pages and papers that take most. */
const HEAVY = [
  '/patterns',
  '/patterns/P-0001/card.pdf',
  '/patterns/P-0002/strips.pdf',
  '/labels.pdf?items=W-0001,W-0002,W-0003,W-0004,W-0005,W-0006',
  '/fitting?length=25+mm&width=18+mm',
  '/export/wire',
  '/batches/makeable',
  '/batches/hours',
  '/to-buy',
  '/how-much?of=bundle-frame',
];
const HEAVY_REQUESTS = 600;
const AT_ONCE = 6;

const megabytes = (pid: number, what: 'VmHWM' | 'VmRSS'): number =>
  Number(new RegExp(`${what}:\\s+(\\d+)`).exec(fs.readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) /
  1024;

/** The most memory that the application takes while heavy pages and papers of a large studio are asked for, six at once. */
export async function measureHeavyMix(pid: number, url: string, cookie: string): Promise<void> {
  for (let done = 0; done < HEAVY_REQUESTS; done += AT_ONCE)
    await Promise.all(
      Array.from({ length: AT_ONCE }, (_, n) => get(url + (HEAVY[(done + n) % HEAVY.length] ?? '/'), cookie)),
    );
  tell({
    name: `most memory of the application over ${HEAVY_REQUESTS} heavy requests, now ${megabytes(pid, 'VmRSS').toFixed(0)} MB`,
    value: megabytes(pid, 'VmHWM'),
    limit: 450,
    unit: ' MB',
  });
}

/** The pages of a large studio against those of a small one. */
export async function measureGrowth(url: string, cookies: readonly [string, string]): Promise<void> {
  for (const [path, limit] of PAGES) {
    const page = (which: 0 | 1) => () => get(`${url}${path}`, cookies[which]);
    await sideBySide(4, page(0), page(1));
    const [few, many] = await sideBySide(25, page(0), page(1));
    tell({
      name: `${path} with 500 patterns, 200 open batches and 5,000 pieces (${many.toFixed(1)} ms) against 40, 16 and 200 (${few.toFixed(1)} ms)`,
      value: many / few,
      limit,
      unit: ' ×',
    });
  }
  await measureChoice(url, cookies);
}
