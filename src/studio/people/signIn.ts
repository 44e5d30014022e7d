import type { Id } from '@/core/id';
import { createHash } from 'node:crypto';
import { beginSignIn, endSignIn, findSignIn, type ThrottleKey } from '@/data/beforeStudio';
import { Studio, User } from '@/data/models/studio';
import type { DayOrder } from '@/core/calendar/day';
import type { RingSystem } from '@/core/ring/ringSize';
import type { SheetName } from '@/core/paper/sheet';
import type { NumberWriting } from '@/core/units/writing';
import type { LengthSystem } from '@/core/units/length';
import { invalid, Refused, refused, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { attempt, look, type StudioSession } from '../kernel/useCase';
import { isPassword } from './passwords';
import { SignInInput } from './people.input';

/** What the session cookie holds. */
export interface SignedIn {
  readonly studioId: Id<'studio'>;
  readonly userId: Id<'user'>;
  /** The password's epoch: a changed password ends older sessions. */
  readonly epoch: number;
}

/** The person at the screen and what every page needs of their studio. */
export interface Member {
  readonly session: StudioSession;
  readonly name: string;
  readonly studioName: string;
  readonly currency: string;
  readonly lengthSystem: LengthSystem;
  readonly numbers: NumberWriting;
  readonly days: DayOrder;
  readonly rings: RingSystem;
  /** What papers are printed on. */
  readonly sheet: SheetName;
}

/** Wrong passwords that cost no waiting: per account few, per address more, since a studio shares one. */
const FREE_PER_ACCOUNT = 5;
const FREE_PER_ADDRESS = 20;

const keep = (kind: string, text: string) => `${kind}:${createHash('sha256').update(text).digest('hex')}`;

/**
 * Checks a name and password. Failures are counted per account and per address in the database, so that any copy of the
 * application knows them, and before the costly hash is worked out; after the free ones each doubles the wait.
 */
export function signIn(plain: unknown, address: string): Promise<Outcome<SignedIn>> {
  return attempt(async () => {
    const input = await readInput(SignInInput, plain);
    const login = input.login.toLowerCase();
    const account: ThrottleKey = { key: keep('account', login), free: FREE_PER_ACCOUNT };
    const from: ThrottleKey = { key: keep('address', address), free: FREE_PER_ADDRESS };
    const wait = await beginSignIn([account, from]);
    if (wait > 0)
      throw refused(
        `Too many wrong passwords. Try again in ${wait < 90 ? `${wait} seconds` : `${Math.ceil(wait / 60)} minutes`}.`,
      );
    const found = await findSignIn(login);
    if (!(await isPassword(found?.passwordHash, input.password)) || !found)
      throw invalid('password', 'That name and password do not go together.');
    await endSignIn(account, [from]);
    const { studioId, userId } = found;
    const user = await look({ studioId, userId, role: 'helper', now: new Date() }, () =>
      User.findOne({ where: { userId } }),
    );
    if (!user) throw new Refused({ kind: 'invalid', message: 'This account is no longer there.' });
    return { studioId, userId, epoch: user.sessionEpoch };
  });
}

/** The person a session cookie stands for; undefined when the session has ended. */
export async function memberOf(
  { studioId, userId, epoch }: SignedIn,
  now: Date,
): Promise<Member | undefined> {
  return look({ studioId, userId, role: 'helper', now }, async () => {
    const user = await User.findOne({ where: { userId } });
    const studio = await Studio.findOne({ where: {} });
    if (!user || !studio || !user.active || user.sessionEpoch !== epoch) return undefined;
    return {
      session: { studioId, userId, role: user.role, now, zone: studio.timeZone },
      name: user.name,
      studioName: studio.name,
      currency: studio.currency,
      lengthSystem: studio.lengthSystem,
      numbers: studio.numbers,
      days: studio.days,
      rings: studio.rings,
      sheet: studio.sheet,
    };
  });
}
