import { randomUUID } from 'node:crypto';
import { mm } from '@/core/units/length';
import { minor } from '@/core/units/money';
import { oneSetUpAtATimeSql } from '@/data/sql/find';
import { anyUsers } from '@/data/beforeStudio';
import { inStudio } from '@/data/inStudio';
import { Studio, User } from '@/data/models/studio';
import { refused, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { attempt, type StudioSession } from '../kernel/useCase';
import { inCurrency } from '../settings/inCurrency';
import { hashPassword } from './passwords';
import { SetUpStudioInput } from './people.input';
import type { SignedIn } from './signIn';

/** Opening values that set-up does not ask for; every one can be changed in the studio's rules. */
const OPENING = {
  materialsFactor: 400,
  targetMargin: 3000,
  feePercent: 0,
  feeFixed: minor(0),
  taxPercent: 0,
  taxIncluded: false,
  priceFrom: 'replacement',
  rounding: 'up',
  usefulMinimumUm: mm(50),
} as const;

/** Whether Pewterer still waits for its first studio. */
export const needsSetUp = async (): Promise<boolean> => !(await anyUsers());

/** Makes the studio and its owner, once: refused as soon as anybody can sign in. */
export function setUpStudio(
  plain: unknown,
  now: Date,
): Promise<Outcome<SignedIn & { session: StudioSession }>> {
  return attempt(async () => {
    const input = await readInput(SetUpStudioInput, plain);
    const hourlyRate = inCurrency('hourlyRate', input.hourlyRate, input.currency);
    const passwordHash = await hashPassword(input.password);
    const session: StudioSession = { studioId: randomUUID(), userId: randomUUID(), role: 'owner', now };
    await inStudio(session, async (tx) => {
      // Two first visits at once: one waits for the other and then finds it was second.
      await tx.row(oneSetUpAtATimeSql, {});
      if (await anyUsers()) throw refused('A studio is already set up here; sign in instead.');
      const overheadPerHour = inCurrency('overheadPerHour', input.overheadPerHour, input.currency);
      await tx.add(Studio, [
        {
          ...OPENING,
          name: input.studioName,
          currency: input.currency,
          lengthSystem: input.lengthSystem,
          timeZone: input.timeZone ?? 'UTC',
          numbers: input.numbers ?? 'point',
          days: input.days ?? 'day',
          rings: input.rings ?? 'US',
          sheet: input.sheet ?? 'A4',
          hourlyRate,
          overheadPerHour,
          targetPerHour: minor(Math.round(hourlyRate * 1.5)),
          priceEndings: [],
          createdAt: now,
        },
      ]);
      await tx.add(User, [
        {
          userId: session.userId,
          login: input.login,
          name: input.ownerName,
          role: 'owner',
          passwordHash,
          createdAt: now,
        },
      ]);
    });
    return { studioId: session.studioId, userId: session.userId, epoch: 1, session };
  });
}
