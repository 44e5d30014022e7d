import type { QueueName } from './queues';

/** What a job has of the one who asked for it. */
export interface JobControl {
  /** Whether it was called off. */
  readonly shouldStop: () => boolean;
}

/** What a job does; its input and its result travel between threads as copies. */
export type JobWork<Input, Result> = (input: Input, control: JobControl) => Promise<Result>;

/** Long work by its name: who asks for it needs nothing of what does it, which only its thread loads. */
export interface Job<Input, Result> {
  readonly name: string;
  readonly queue: QueueName;
  /** Only for the compiler: the type of what does it. */
  readonly work?: JobWork<Input, Result>;
}

/** A job and what does it. */
export interface JobDone {
  readonly name: string;
  readonly work: JobWork<never, unknown>;
}

/** Ties a job to what does it, for the registry of all jobs. */
export const doneBy = <Input, Result>(
  { name }: Job<Input, Result>,
  work: JobWork<Input, Result>,
): JobDone => ({ name, work });
