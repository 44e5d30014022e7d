import type { Id } from '@/core/id';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Job } from './job';
import { JobQueue } from './jobQueue';
import { QUEUES, type QueueName } from './queues';

/** Memory that a thread may hold, MB: a list of 20,000 rows, or the largest plan, takes less than half of it. */
const HEAP = 1024;
/** The thread runs from its source: the bundle of a page has no file of its own for it. */
const THREAD = path.join(/* turbopackIgnore: true */ process.cwd(), 'src/studio/jobRegistry/thread.mjs');

/** One thread a queue for the process; the framework may load this module several times over. */
const held = globalThis as { pewtererQueues?: Partial<Record<QueueName, JobQueue>> };

/** For whom long work is done. */
export interface AskedBy {
  readonly studioId: Id<'studio'>;
  /** Calls the work off: it then ends early, with what it has. */
  readonly signal?: AbortSignal | undefined;
}

/**
 * Does long work in a thread of its own, so that requests are answered meanwhile. Progress goes through the database, where
 * every copy of the application sees it. Studios are served in turn.
 *
 * @param input what the work is about; it is copied into the thread
 * @returns what came of it, copied back
 * @throws Refused when too much waits already
 * @throws Error when the work or its thread breaks, or takes longer than its queue allows
 */
export async function runJob<Input, Result>(
  { name, queue }: Job<Input, Result>,
  input: Input,
  { studioId, signal }: AskedBy,
): Promise<Result> {
  const jobs = ((held.pewtererQueues ??= {})[queue] ??= new JobQueue(
    QUEUES[queue],
    () =>
      new Worker(/* turbopackIgnore: true */ THREAD, { resourceLimits: { maxOldGenerationSizeMb: HEAP } }),
  ));
  const stop = new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT);
  const callOff = () => Atomics.store(new Int32Array(stop), 0, 1);
  if (signal?.aborted) callOff();
  signal?.addEventListener('abort', callOff, { once: true });
  try {
    return (await jobs.run(studioId, { job: name, input, stop })) as Result;
  } finally {
    signal?.removeEventListener('abort', callOff);
  }
}
