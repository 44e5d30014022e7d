import { parentPort } from 'node:worker_threads';
import { closeDatabase } from '@/data/database';
import type { JobControl } from '../jobs/job';
import type { Report, Task } from '../jobs/jobQueue';
import { JOBS } from './jobs';

/** What the thread of a queue runs: tasks as they come, on a pool of database connections of its own. */
async function run({ job, input, stop }: Task): Promise<Report> {
  const called = new Int32Array(stop);
  const control: JobControl = { shouldStop: () => Atomics.load(called, 0) !== 0 };
  try {
    const done = JOBS.find(({ name }) => name === job);
    if (!done) throw new Error(`there is no job ${job}`);
    return { result: await done.work(input as never, control) };
  } catch (fault) {
    return { fault: fault instanceof Error ? fault : new Error(String(fault)) };
  }
}

parentPort?.on('message', (task: Task | 'end') => {
  if (task === 'end') void closeDatabase().finally(() => parentPort?.close());
  else void run(task).then((report) => parentPort?.postMessage(report));
});
