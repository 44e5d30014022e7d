import type { Worker } from 'node:worker_threads';
import { refused } from '../kernel/outcome';
import { FairQueue } from './fairQueue';
import type { QueueRules } from './queues';

/** What a thread is told to do. */
export interface Task {
  readonly job: string;
  readonly input: unknown;
  /** One whole number, shared by both threads: not 0 when the work is called off. */
  readonly stop: SharedArrayBuffer;
}

/** What a thread answers when it has done it, or broke over it. */
export interface Report {
  readonly result?: unknown;
  readonly fault?: unknown;
}

interface Waiting {
  readonly task: Task;
  readonly resolve: (result: unknown) => void;
  readonly reject: (fault: unknown) => void;
}

/** An idle thread is kept for a while, since it takes a second or two to start. */
const IDLE_MS = 60_000;

/** Long work that one thread does, one thing at a time; those who ask are served in turn. */
export class JobQueue {
  readonly #rules: QueueRules;
  readonly #open: () => Worker;
  readonly #queue = new FairQueue<Waiting>();
  #worker: Worker | undefined;
  #now: (Waiting & { readonly limit: NodeJS.Timeout }) | undefined;
  #idle: NodeJS.Timeout | undefined;

  /** @param open starts a thread that takes tasks as messages and answers each with a report */
  constructor(rules: QueueRules, open: () => Worker) {
    this.#rules = rules;
    this.#open = open;
  }

  /**
   * Does a task when its turn comes.
   * @param who asks; everybody is served in turn
   * @throws Refused when too much waits already
   * @throws Error when the thread breaks, or takes longer than the queue allows
   */
  run(who: string, task: Task): Promise<unknown> {
    const { mostOfOne, mostOfAll } = this.#rules;
    if (this.#queue.sizeOf(who) >= mostOfOne || this.#queue.size >= mostOfAll)
      throw refused(
        'Too much is being worked out at the moment. Wait until some of it is done, then try again.',
      );
    return new Promise((resolve, reject) => {
      this.#queue.add(who, { task, resolve, reject });
      this.#serve();
    });
  }

  #serve(): void {
    if (this.#now) return;
    clearTimeout(this.#idle);
    const next = this.#queue.take();
    if (!next) {
      this.#idle = setTimeout(() => this.#end(), IDLE_MS).unref();
      return;
    }
    const worker = (this.#worker ??= this.#start());
    const { hardLimitMs } = this.#rules;
    const limit = setTimeout(() => {
      this.#break(worker, new Error(`${next.task.job} was ended after ${hardLimitMs} ms`));
      void worker.terminate();
    }, hardLimitMs).unref();
    this.#now = { ...next, limit };
    worker.postMessage(next.task);
  }

  #start(): Worker {
    const worker = this.#open();
    worker.on('message', ({ result, fault }: Report) =>
      this.#settle((now) => (fault === undefined ? now.resolve(result) : now.reject(fault))),
    );
    worker.on('error', (fault) => this.#break(worker, fault));
    worker.on('exit', (code) => this.#break(worker, new Error(`the thread ended with ${code}`)));
    worker.unref();
    return worker;
  }

  #settle(tell: (now: Waiting) => void): void {
    const now = this.#now;
    if (!now) return;
    clearTimeout(now.limit);
    this.#now = undefined;
    tell(now);
    this.#serve();
  }

  /** A thread is of no use any more: what it was doing fails, and the next thing gets a thread of its own. */
  #break(worker: Worker, fault: unknown): void {
    if (this.#worker !== worker) return;
    this.#worker = undefined;
    this.#settle((now) => now.reject(fault));
  }

  #end(): void {
    this.#worker?.postMessage('end');
    this.#worker = undefined;
  }
}
