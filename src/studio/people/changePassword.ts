import { User } from '@/data/models/studio';
import { inStudio } from '@/data/inStudio';
import { invalid, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { attempt, type StudioSession } from '../kernel/useCase';
import { hashPassword, isPassword } from './passwords';
import { ChangePasswordInput } from './people.input';

/** Changes one's own password; every other session of the account ends. The new epoch keeps this one. */
export function changePassword(session: StudioSession, plain: unknown): Promise<Outcome<{ epoch: number }>> {
  return attempt(async () => {
    const input = await readInput(ChangePasswordInput, plain);
    const passwordHash = await hashPassword(input.next);
    const { userId } = session;
    return inStudio(session, async (tx) => {
      const user = await User.findOne({ where: { userId } });
      if (!user || !(await isPassword(user.passwordHash, input.present)))
        throw invalid('present', 'This is not your present password.');
      const epoch = user.sessionEpoch + 1;
      await tx.change(User, { userId }, { passwordHash, sessionEpoch: epoch });
      return { epoch };
    });
  });
}
