import { createHmac } from 'node:crypto';
import { Sequelize } from 'sequelize';
import { Umzug, type UmzugStorage } from 'umzug';
import { ask } from './ask';
import { MIGRATIONS } from './migrations';
import {
  KEEP_STEPS,
  noteStepSql,
  oneMigrationAtATimeSql,
  roleNamed,
  roleOfSql,
  setRole,
  setRoleSetting,
  stepsDoneSql,
} from './sql/schema';

/**
 * A secret that every copy of the application derives alike from the owner's database address, so that several copies
 * behind a balancer need no other shared state.
 */
export function deriveSecret(ownerUrl: string, purpose: string): string {
  const { password, username, pathname } = new URL(ownerUrl);
  return createHmac('sha256', `${username}:${password}:${pathname}`)
    .update(`pewterer ${purpose}`)
    .digest('hex');
}

/** Where the application connects: the same server and database, as the role that owns nothing. */
export function appUrlFor(ownerUrl: string): string {
  const url = new URL(ownerUrl);
  url.username = appRoleFor(ownerUrl);
  url.password = deriveSecret(ownerUrl, 'app role');
  return url.toString();
}

/** Name of the role that the application works as: it owns nothing. */
export const appRoleFor = (ownerUrl: string): string =>
  `${decodeURIComponent(new URL(ownerUrl).pathname.slice(1))}_app`;

/** Whether the application gets in as its role: then there is nothing to write, not even on a full disk. */
async function doesAppGetIn(ownerUrl: string): Promise<boolean> {
  const app = new Sequelize(appUrlFor(ownerUrl), { dialect: 'postgres', logging: false, pool: { max: 1 } });
  try {
    await app.authenticate();
    return true;
  } catch {
    return false;
  } finally {
    await app.close();
  }
}

/** Makes the app's role if it is not there, without any right but to connect, and sets its password. */
async function ensureAppRole(owner: Sequelize, ownerUrl: string): Promise<string> {
  const name = appRoleFor(ownerUrl);
  const role = roleNamed(name);
  const [found] = await ask(owner, roleOfSql, { name });
  if (found?.rolsuper || found?.rolbypassrls)
    throw new Error(`The role ${name} may bypass row security; take that right from it.`);
  const isSet = ROLE_SETTINGS.every(([setting, value]) => found?.rolconfig?.includes(`${setting}=${value}`));
  if (isSet && (await doesAppGetIn(ownerUrl))) return role;
  await owner.query(setRole(name, deriveSecret(ownerUrl, 'app role'), found !== undefined));
  for (const [setting, value] of ROLE_SETTINGS) await owner.query(setRoleSetting(name, setting, value));
  return role;
}

/** Limits of the application's role; they stand at the role, so that a pooler in between needs to pass no option. */
const ROLE_SETTINGS: readonly (readonly [string, string])[] = [
  ['jit', 'off'],
  ['statement_timeout', '30s'],
  ['idle_in_transaction_session_timeout', '30s'],
];

/** The database was written by a newer version of Pewterer than this one. */
export class NewerDatabase extends Error {}

/** The steps a database has had. @throws NewerDatabase when it has had one that this version does not know */
async function stepsDone(owner: Sequelize): Promise<string[]> {
  const rows = await ask(owner, stepsDoneSql, {});
  const known = new Set(MIGRATIONS.map(({ name }) => name));
  const unknown = rows.map(({ name }) => name).filter((name) => !known.has(name));
  if (unknown.length > 0)
    throw new NewerDatabase(
      `The database was opened by a newer version of Pewterer (${unknown.join(', ')}); this version would not understand it. ` +
        'Use the newer version again. Nothing was changed.',
    );
  return rows.map(({ name }) => name);
}

/** A step writes its own note, in its own transaction; all that is left to do is to answer which have run. */
const notedWithTheStep = (done: readonly string[]): UmzugStorage => ({
  executed: () => Promise.resolve([...done]),
  logMigration: () => Promise.resolve(),
  unlogMigration: () => Promise.reject(new Error('The schema only goes forward.')),
});

/**
 * Brings the schema of a database up to date. Forward only; safe to repeat, and after a kill at any moment; several at once
 * wait for one another. A step and the note that it has run are one transaction.
 * @param ownerUrl address of the role that owns the tables and may create roles
 * @param onStatement is told before each statement, for tests that stop there
 * @returns the names of the steps that ran
 * @throws NewerDatabase when the database has had steps that this version does not know
 */
export async function migrate(
  ownerUrl: string,
  onStatement: (statement: string) => void = () => undefined,
): Promise<string[]> {
  const owner = new Sequelize(ownerUrl, { dialect: 'postgres', logging: false, pool: { max: 2 } });
  try {
    const lock = await owner.transaction();
    try {
      await ask(owner, oneMigrationAtATimeSql, {}, lock);
      await owner.query(KEEP_STEPS);
      const done = await stepsDone(owner);
      const appRole = await ensureAppRole(owner, ownerUrl);
      const umzug = new Umzug({
        migrations: MIGRATIONS.map(({ name, statements }) => ({
          name,
          up: () =>
            owner.transaction(async (transaction) => {
              for (const statement of statements({ appRole })) {
                onStatement(statement);
                await owner.query(statement, { transaction });
              }
              await ask(owner, noteStepSql, { name }, transaction);
            }),
        })),
        storage: notedWithTheStep(done),
        logger: undefined,
      });
      return (await umzug.up()).map(({ name }) => name);
    } finally {
      await lock.commit();
    }
  } finally {
    await owner.close();
  }
}
