import path from 'node:path';
import { Worker } from 'node:worker_threads';
import type { StudioSession } from '../kernel/useCase';
import type { JobName } from './jobs';

/** What the thread is told to do. */
export interface Errand {
  readonly id: number;
  readonly job: JobName;
  readonly session: StudioSession;
  readonly about: string;
}

/** What the thread answers when it has done it, or broke over it. */
export interface Report {
  readonly id: number;
  readonly fault?: unknown;
}

/** The thread runs from its source: the bundle of a page has no file of its own for it. */
const THREAD = path.join(/* turbopackIgnore: true */ process.cwd(), 'src/studio/aside/thread.mjs');
/** An idle thread is kept for a while, since it takes a second or two to start. */
const IDLE_MS = 60_000;

interface Waiting {
  readonly resolve: () => void;
  readonly reject: (fault: unknown) => void;
}

interface Thread {
  readonly worker: Worker;
  readonly waiting: Map<number, Waiting>;
  idle?: NodeJS.Timeout;
}

/** One thread for the process; the framework may load this module several times over. */
const held = globalThis as { pewtererThread?: Thread };
let lastId = 0;

/**
 * Does long work in a thread of its own, so that requests are answered meanwhile. Progress goes through the database, where
 * every copy of the application sees it.
 *
 * @param about what the work is about, such as the id of a file
 * @returns a promise that is kept when the work is done
 * @throws Error when the work or its thread breaks
 */
export function aside(job: JobName, session: StudioSession, about: string): Promise<void> {
  const thread = (held.pewtererThread ??= openThread());
  clearTimeout(thread.idle);
  const id = (lastId += 1);
  return new Promise((resolve, reject) => {
    thread.waiting.set(id, { resolve, reject });
    thread.worker.postMessage({ id, job, session, about } satisfies Errand);
  });
}

function openThread(): Thread {
  const worker = new Worker(/* turbopackIgnore: true */ THREAD);
  const thread: Thread = { worker, waiting: new Map() };
  const leave = () => {
    if (held.pewtererThread === thread) delete held.pewtererThread;
  };
  worker.on('message', ({ id, fault }: Report) => {
    const waiting = thread.waiting.get(id);
    thread.waiting.delete(id);
    if (fault === undefined) waiting?.resolve();
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
