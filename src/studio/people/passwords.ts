import { hash, verify } from '@node-rs/argon2';
import { refused } from '../kernel/outcome';

/** Argon2id at the package's defaults' memory, as OWASP's password storage cheat sheet advises: 19 MiB, two passes, one lane. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** Hashes worked out at once, and how many more may wait: each takes 19 MiB and some 20 ms of a core. */
const AT_ONCE = 2;
const MOST_WAITING = 20;

let working = 0;
const waiting: (() => void)[] = [];

/** Works a hash out when its turn comes. @throws Refused when too many wait already */
async function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (working >= AT_ONCE) {
    if (waiting.length >= MOST_WAITING)
      throw refused('Too many people are signing in at the moment. Try again in a few seconds.');
    await new Promise<void>((resolve) => waiting.push(resolve));
  } else working += 1;
  try {
    return await work();
  } finally {
    const next = waiting.shift();
    if (next) next();
    else working -= 1;
  }
}

export const hashPassword = (password: string): Promise<string> => inTurn(() => hash(password, COST));

/** Hash of a password nobody has: unknown names take as long to refuse as known ones. */
let nobody: Promise<string> | undefined;

/** Whether the password belongs to the hash; without a hash it takes as long and answers no. */
export async function isPassword(passwordHash: string | undefined, password: string): Promise<boolean> {
  nobody ??= hash(`${Math.random()}`, COST);
  const known = passwordHash ?? (await nobody);
  const matches = await inTurn(() => verify(known, password));
  return passwordHash !== undefined && matches;
}
