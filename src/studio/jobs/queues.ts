/** What a queue takes on. */
export interface QueueRules {
  /** A job that is not done after this much time is ended with its thread, ms. */
  readonly hardLimitMs: number;
  /** Jobs that may wait of one studio, and of all. */
  readonly mostOfOne: number;
  readonly mostOfAll: number;
}

/** Queues of long work, each with a thread of its own: a plan keeps its thread for seconds, and nobody’s list shall wait for it. */
export const QUEUES = {
  books: { hardLimitMs: 15 * 60_000, mostOfOne: 8, mostOfAll: 200 },
  // Plans are told to be done within 30 s at most, and their solver looks at the clock now and then only.
  plans: { hardLimitMs: 60_000, mostOfOne: 24, mostOfAll: 200 },
} as const satisfies Readonly<Record<string, QueueRules>>;

export type QueueName = keyof typeof QUEUES;
