import type { Id } from '@/core/id';
import { Post } from '@/data/models/studio';
import { look, type StudioSession } from '@/studio/kernel/useCase';

/** Whether something was posted under a key. */
export const isPosted = (session: StudioSession, postKey: Id<'post'>): Promise<boolean> =>
  look(session, async () => (await Post.count({ where: { postKey } })) > 0);
