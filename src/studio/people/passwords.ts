import { hash, verify } from '@node-rs/argon2';

/** Argon2id at the package's defaults' memory, as OWASP's password storage cheat sheet advises: 19 MiB, two passes, one lane. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashPassword = (password: string): Promise<string> => hash(password, COST);

/** Hash of a password nobody has: unknown names take as long to refuse as known ones. */
let nobody: Promise<string> | undefined;

/** Whether the password belongs to the hash; without a hash it takes as long and answers no. */
export async function isPassword(passwordHash: string | undefined, password: string): Promise<boolean> {
  nobody ??= hashPassword(`${Math.random()}`);
  const matches = await verify(passwordHash ?? (await nobody), password);
  return passwordHash !== undefined && matches;
}
