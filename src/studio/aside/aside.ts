import path from 'node:path';
import { Worker } from 'node:worker_threads';
import type { About, ComesOf } from './jobs';
import { LANES, type JobName, type Lane } from './lanes';

/** What a thread is told to do. */
export interface Errand<J extends JobName = JobName> {
  readonly id: number;
  readonly job: J;
  readonly about: About<J>;
  /** One whole number, shared by both threads: not 0 when the work is called off. */
  readonly stop: SharedArrayBuffer;
}

/** What a thread answers when it has done it, or broke over it. */
export interface Report {
  readonly id: number;
  readonly came?: unknown;
  readonly fault?: unknown;
}

/** The thread runs from its source: the bundle of a page has no file of its own for it. */
const THREAD = path.join(/* turbopackIgnore: true */ process.cwd(), 'src/studio/aside/thread.mjs');
/** An idle thread is kept for a while, since it takes a second or two to start. */
const IDLE_MS = 60_000;

interface Waiting {
  readonly resolve: (came: unknown) => void;
  readonly reject: (fault: unknown) => void;
}

interface Thread {
  readonly worker: Worker;
  readonly waiting: Map<number, Waiting>;
  idle?: NodeJS.Timeout;
}

/** One thread a lane for the process; the framework may load this module several times over. */
const held = globalThis as { pewtererThreads?: Partial<Record<Lane, Thread>> };
let lastId = 0;

/**
 * Does long work in a thread of its own, so that requests are answered meanwhile. Progress goes through the database, where
 * every copy of the application sees it.
 *
 * @param about what the work is about; it is copied into the thread
 * @param signal calls the work off: it then ends early, with what it has
 * @returns what came of it, copied back
 * @throws Error when the work or its thread breaks
 */
export function aside<J extends JobName>(job: J, about: About<J>, signal?: AbortSignal): Promise<ComesOf<J>> {
  const threads = (held.pewtererThreads ??= {});
  const lane = LANES[job];
  const thread = (threads[lane] ??= openThread(lane));
  clearTimeout(thread.idle);
  const id = (lastId += 1);
  const stop = new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT);
  const callOff = () => Atomics.store(new Int32Array(stop), 0, 1);
  if (signal?.aborted) callOff();
  signal?.addEventListener('abort', callOff, { once: true });
  return new Promise((resolve, reject) => {
    thread.waiting.set(id, { resolve: (came) => resolve(came as ComesOf<J>), reject });
    thread.worker.postMessage({ id, job, about, stop } satisfies Errand<J>);
  });
}

function openThread(lane: Lane): Thread {
  const worker = new Worker(/* turbopackIgnore: true */ THREAD);
  const thread: Thread = { worker, waiting: new Map() };
  const leave = () => {
    if (held.pewtererThreads?.[lane] === thread) delete held.pewtererThreads[lane];
  };
  worker.on('message', ({ id, came, fault }: Report) => {
    const waiting = thread.waiting.get(id);
    thread.waiting.delete(id);
    if (fault === undefined) waiting?.resolve(came);
    else waiting?.reject(fault);
    if (thread.waiting.size > 0) return;
    thread.idle = setTimeout(() => {
      leave();
      worker.postMessage('end');
    }, IDLE_MS).unref();
  });
  const breakAll = (fault: unknown) => {
    leave();
    for (const { reject } of thread.waiting.values()) reject(fault);
    thread.waiting.clear();
  };
  worker.on('error', breakAll);
  worker.on('exit', (code) => breakAll(new Error(`the thread ended with ${code}`)));
  worker.unref();
  return thread;
}
