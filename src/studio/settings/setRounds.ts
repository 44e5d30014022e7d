import { Studio } from '@/data/models/studio';
import { posts } from '../kernel/posts';
import { SetRoundsInput } from './setRounds.input';

/** Says what the studio bends wire round. */
export const setRounds = posts(
  'setRounds',
  { input: SetRoundsInput, by: 'owner' },
  async ({ tx }, { rounds }) => {
    await tx.change(Studio, {}, { rounds });
    return null;
  },
);
