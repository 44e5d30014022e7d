import fs from 'node:fs';
import { bestFit } from '../../src/core/cuttingStock/bestFit';
import { solveCutting } from '../../src/core/cuttingStock/solve';
import { loadSolver } from '../../src/core/programme/programme';
import { mixedProblem, type ProblemSize } from '../../tests/support/cuttingProblems';
import { get, median, tell, timed } from './figures';
import { Refusal } from './say';

const SEEDS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10];

/** Plans of several random problems of a size: how long the slowest took beside best fit, and the widest gap. */
async function measureSize(size: ProblemSize, name: string, limitMs: number, gapLimit = 0.5): Promise<void> {
  const solver = await loadSolver();
  const clock = () => performance.now();
  const runs: { readonly took: number; readonly eye: number; readonly gap: number }[] = [];
  for (const seed of SEEDS) {
    const problem = mixedProblem(seed, size);
    const eye = await timed(() => Promise.resolve(bestFit(problem)));
    let gap = 1;
    const took = await timed(() => {
      ({ gap } = solveCutting(problem, solver, { limitMs: limitMs * 0.6, clock }));
      return Promise.resolve();
    });
    runs.push({ took, eye, gap });
  }
  tell({
    name: `${name}: the slowest of ${SEEDS.length} plans beyond 3 × best fit`,
    value: Math.max(...runs.map(({ took, eye }) => took - 3 * eye)),
    limit: limitMs,
    unit: ' ms',
  });
  tell({
    name: `${name}: the widest gap`,
    value: 100 * Math.max(...runs.map(({ gap }) => gap)),
    limit: gapLimit,
    unit: ' %',
  });
}

const SPECS = 12;
const residentMegabytes = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(fs.readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/** A batch of 2,000 cuts over 12 specs, planned by the application while its pages are asked for. */
async function measureWhileServing(
  url: string,
  pid: number,
  { cookie, token }: { readonly cookie: string; readonly token: string },
): Promise<void> {
  const page = () => timed(() => get(`${url}/rack`, cookie));
  const ask = async (seed: number) => {
    const { cuts, stock } = mixedProblem(seed, { cuts: 167, lengths: 25, offCuts: 60, spools: 2 });
    const answer = await fetch(`${url}/api/v1/calculate/cutting`, {
      method: 'POST',
      headers: { authorization: `Bearer ${token}`, 'content-type': 'application/json' },
      body: JSON.stringify({
        cuts: cuts.map(({ length, count }) => ({ lengthMm: length / 1000, count })),
        stock: stock.map(({ id, length, isOffCut }) => ({
          id,
          lengthMm: length / 1000,
          kind: isOffCut ? 'offcut' : 'spool',
        })),
        usefulMinimumMm: 50,
        timeLimitMs: 1500,
      }),
    });
    if (answer.status !== 200) throw new Refusal(`a plan was answered with ${answer.status}`);
    return ((await answer.json()) as { gap: number }).gap;
  };
  await ask(100);
  const idle: number[] = [];
  for (let round = 0; round < 40; round += 1) idle.push(await page());
  const before = residentMegabytes(pid);
  let [planning, most] = [true, before];
  let gaps: number[] = [];
  const started = performance.now();
  const plans = Promise.all(Array.from({ length: SPECS }, (_, spec) => ask(spec + 1))).then((all) => {
    gaps = all;
    planning = false;
  });
  const busy: number[] = [];
  while (planning) {
    busy.push(await page());
    most = Math.max(most, residentMegabytes(pid));
  }
  await plans;
  const what = `2,000 cuts over ${SPECS} specs`;
  tell({ name: `${what}: planned`, value: (performance.now() - started) / 1000, limit: 20, unit: ' s' });
  tell({ name: `${what}: the widest gap`, value: 100 * Math.max(...gaps), limit: 1, unit: ' %' });
  tell({
    name: `${what}: a page meanwhile (${median(busy).toFixed(1)} ms) against an idle application (${median(idle).toFixed(1)} ms)`,
    value: median(busy) / median(idle),
    limit: 2,
    unit: ' ×',
  });
  tell({
    name: `${what}: memory the plans take beside the pages`,
    value: most - before,
    limit: 512,
    unit: ' MB',
  });
}

/** Cutting plans: how good, how fast, and whether anybody has to wait for them. */
export async function measureCutting(
  url: string,
  pid: number,
  keys: { readonly cookie: string; readonly token: string },
): Promise<void> {
  await measureWhileServing(url, pid, keys);
  await measureSize(
    { cuts: 60, lengths: 14, offCuts: 40, spools: 3 },
    '60 cuts on 40 off-cuts and 3 spools',
    1500,
  );
  await measureSize(
    { cuts: 300, lengths: 25, offCuts: 200, spools: 2 },
    '300 cuts of 25 lengths on 200 off-cuts',
    4000,
  );
  await measureSize(
    { cuts: 300, lengths: 25, offCuts: 200, spools: 2, step: SIXTEENTH_OF_AN_INCH },
    '300 cuts in sixteenths of an inch on 200 off-cuts',
    4000,
  );
  // Far more than a studio has, no two lengths alike: the time is kept, though the gap is wider.
  await measureSize(
    { cuts: 1000, lengths: 1000, offCuts: 1990, spools: 10, step: 1.717 },
    '1,000 cuts on 2,000 pieces, no two alike',
    5000,
    5,
  );
}

/** µm. */
const SIXTEENTH_OF_AN_INCH = 1587.5;
