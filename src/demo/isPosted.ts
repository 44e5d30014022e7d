import { Post } from '@/data/models/studio';
import { look, type StudioSession } from '@/studio/kernel/useCase';

/** Whether something was posted under a key. */
export const isPosted = (session: StudioSession, postKey: string): Promise<boolean> =>
  look(session, async () => (await Post.count({ where: { postKey } })) > 0);
