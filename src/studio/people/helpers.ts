import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import { brokenConstraint } from '@/data/faults';
import { User } from '@/data/models/studio';
import { invalid, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { look, ownerOnly, post, type StudioSession } from '../kernel/useCase';
import { hashPassword } from './passwords';
import { AddHelperInput } from './people.input';

export interface Person {
  readonly userId: Id<'user'>;
  readonly name: string;
  readonly login: string;
  readonly role: 'owner' | 'helper';
}

/** Everybody who signs in to the studio. */
export async function listPeople(session: StudioSession): Promise<Person[]> {
  ownerOnly(session);
  return look(session, async () => {
    const users = await User.findAll({
      where: { active: true },
      // The owner first; two who came at one moment by their names, so that the order is always the same.
      order: [['role', 'DESC'], 'createdAt', 'login'],
    });
    return users.map(({ userId, name, login, role }) => ({ userId, name, login, role }));
  });
}

/** Gives somebody a sign-in as a helper: they see wire, patterns and the bench, never costs, prices or settings. */
export function addHelper(
  session: StudioSession,
  postKey: Id<'post'>,
  plain: unknown,
): Promise<Outcome<null>> {
  const prepare = async () => {
    ownerOnly(session);
    const input = await readInput(AddHelperInput, plain);
    return { ...input, passwordHash: await hashPassword(input.password) };
  };
  return post(session, 'addHelper', postKey, prepare, async (tx, { name, login, passwordHash }) => {
    try {
      await tx.add(User, [
        {
          userId: randomUUID(),
          login,
          name,
          role: 'helper',
          passwordHash,
          createdAt: session.now,
        },
      ]);
    } catch (fault) {
      if (brokenConstraint(fault) === 'users_login')
        throw invalid('login', `“${login}” is taken; choose another sign-in name.`);
      throw fault;
    }
    return null;
  });
}
