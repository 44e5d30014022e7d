import { look, type StudioSession } from '../kernel/useCase';

/** A revision of a pattern, as others are told of it. */
export interface SavedRevision {
  readonly revision: number;
  readonly by: string;
  readonly at: Date;
}

/** The newest revision of a pattern; null when there is no pattern of that number. */
export function newestRevision(session: StudioSession, number: number): Promise<SavedRevision | null> {
  return look(
    session,
    async (tx) =>
      (await tx.first<SavedRevision>(
        `SELECT r.revision, u.name AS by, r.written_at AS at
           FROM patterns p
           JOIN pattern_revisions r
             ON r.studio_id = p.studio_id AND r.pattern_id = p.pattern_id AND r.revision = p.revision
           JOIN users u ON u.studio_id = r.studio_id AND u.user_id = r.user_id
          WHERE p.studio_id = $1 AND p.number = $2`,
        [session.studioId, number],
      )) ?? null,
  );
}
