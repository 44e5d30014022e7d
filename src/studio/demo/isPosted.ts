import { Post } from '@/data/models/studio';
import { look, type StudioSession } from '../kernel/useCase';

/** Whether something was posted under a key. */
export const isPosted = (session: StudioSession, postKey: string): Promise<boolean> =>
  look(session, async () => (await Post.count({ where: { postKey } })) > 0);
