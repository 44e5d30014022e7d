import type { Id } from '@/core/id';
import type { StudioSession } from '../kernel/useCase';
import type { Job } from '../jobs/job';

/** A file that came in, and who works on it. */
export interface FileAsked {
  readonly session: StudioSession;
  readonly id: Id<'import'>;
}

/** Reads every row of a file and says what is wrong with it. */
export const CHECK_IMPORT: Job<FileAsked, void> = { name: 'checkImport', queue: 'books' };

/** Posts the good rows of a checked file. */
export const POST_IMPORT: Job<FileAsked, void> = { name: 'postImport', queue: 'books' };
