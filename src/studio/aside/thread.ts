import { parentPort } from 'node:worker_threads';
import { closeDatabase } from '@/data/database';
import type { Errand, Report } from './aside';
import { JOBS } from './jobs';

/** What the thread started by aside() runs: errands as they come, on a pool of database connections of its own. */
async function run({ id, job, session, about }: Errand): Promise<Report> {
  try {
    await JOBS[job](session, about);
    return { id };
  } catch (fault) {
    return { id, fault: fault instanceof Error ? fault : new Error(String(fault)) };
  }
}

parentPort?.on('message', (errand: Errand | 'end') => {
  if (errand === 'end') void closeDatabase().finally(() => parentPort?.close());
  else void run(errand).then((report) => parentPort?.postMessage(report));
});
