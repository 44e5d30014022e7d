import { checkImport, postImport } from '../lists/runImport';
import type { StudioSession } from '../kernel/useCase';

/** Long work that is done in a thread of its own: each job is given who asked for it and what it is about. */
export const JOBS = { checkImport, postImport } satisfies Record<
  string,
  (session: StudioSession, about: string) => Promise<void>
>;

export type JobName = keyof typeof JOBS;
