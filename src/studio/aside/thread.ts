import { parentPort } from 'node:worker_threads';
import { closeDatabase } from '@/data/database';
import type { Report, Task } from './jobLane';
import { JOBS, type Told } from './jobs';
import { LANES, type JobName } from './lanes';

const isJob = (name: string): name is JobName => Object.hasOwn(LANES, name);

/** What the thread of a lane runs: tasks as they come, on a pool of database connections of its own. */
async function run({ job, about, stop }: Task): Promise<Report> {
  const called = new Int32Array(stop);
  const told: Told = { shouldStop: () => Atomics.load(called, 0) !== 0 };
  try {
    if (!isJob(job)) throw new Error(`there is no job ${job}`);
    const work = JOBS[job] as (about: unknown, told: Told) => Promise<unknown>;
    return { came: await work(about, told) };
  } catch (fault) {
    return { fault: fault instanceof Error ? fault : new Error(String(fault)) };
  }
}

parentPort?.on('message', (task: Task | 'end') => {
  if (task === 'end') void closeDatabase().finally(() => parentPort?.close());
  else void run(task).then((report) => parentPort?.postMessage(report));
});
