import { newestPattern } from './newestPatterns';
import { look, type StudioSession } from '../kernel/useCase';

/** A revision of a pattern, as others are told of it. */
export interface SavedRevision {
  readonly revision: number;
  readonly by: string;
  readonly at: Date;
}

/** The newest revision of a pattern; null when there is no pattern of that number. */
export function newestRevision(session: StudioSession, number: number): Promise<SavedRevision | null> {
  return look(session, async (tx) => {
    const row = await newestPattern(tx, number);
    return row ? { revision: row.revision, by: row.by, at: row.at } : null;
  });
}
