import { parentPort } from 'node:worker_threads';
import { closeDatabase } from '@/data/database';
import type { Errand, Report } from './aside';
import { JOBS, type Told } from './jobs';

/** What the thread started by aside() runs: errands as they come, on a pool of database connections of its own. */
async function run({ id, job, about, stop }: Errand): Promise<Report> {
  const called = new Int32Array(stop);
  const told: Told = { shouldStop: () => Atomics.load(called, 0) !== 0 };
  try {
    const work = JOBS[job] as (about: unknown, told: Told) => Promise<unknown>;
    return { id, came: await work(about, told) };
  } catch (fault) {
    return { id, fault: fault instanceof Error ? fault : new Error(String(fault)) };
  }
}

parentPort?.on('message', (errand: Errand | 'end') => {
  if (errand === 'end') void closeDatabase().finally(() => parentPort?.close());
  else void run(errand).then((report) => parentPort?.postMessage(report));
});
