import { checkImport, postImport } from '../lists/runImport';
import type { StudioSession } from '../kernel/useCase';
import { chooseWhatToMake } from '../batches/chooseWhatToMake';
import { planCuts } from '../cutting/planCuts';
import { lookForTouches } from '../patterns/lookForTouches';
import type { JobName } from './lanes';

/** What a job has of the one who asked for it. */
export interface Told {
  /** Whether it was called off. */
  readonly shouldStop: () => boolean;
}

interface FileAsked {
  readonly session: StudioSession;
  readonly id: string;
}

/** Long work that is done in a thread of its own: what it is about, and what comes of it, travels between threads as a copy. */
export const JOBS = {
  checkImport: ({ session, id }: FileAsked) => checkImport(session, id),
  postImport: ({ session, id }: FileAsked) => postImport(session, id),
  planCuts,
  chooseWhatToMake,
  lookForTouches,
} satisfies Record<JobName, (about: never, told: Told) => Promise<unknown>>;

export type About<J extends JobName> = Parameters<(typeof JOBS)[J]>[0];
export type ComesOf<J extends JobName> = Awaited<ReturnType<(typeof JOBS)[J]>>;
