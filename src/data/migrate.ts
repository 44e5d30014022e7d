import { createHmac } from 'node:crypto';
import { Sequelize, QueryTypes } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { MIGRATIONS } from './migrations';

const quoteIdentifier = (name: string): string => `"${name.replaceAll('"', '""')}"`;
const quoteLiteral = (text: string): string => `'${text.replaceAll("'", "''")}'`;

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

const appRoleFor = (ownerUrl: string): string =>
  `${decodeURIComponent(new URL(ownerUrl).pathname.slice(1))}_app`;

/** Makes the app's role if it is not there, without any right but to connect, and sets its password. */
async function ensureAppRole(owner: Sequelize, ownerUrl: string): Promise<string> {
  const name = appRoleFor(ownerUrl);
  const role = quoteIdentifier(name);
  const [found] = await owner.query<{ rolsuper: boolean; rolbypassrls: boolean }>(
    'SELECT rolsuper, rolbypassrls FROM pg_roles WHERE rolname = $1',
    { bind: [name], type: QueryTypes.SELECT },
  );
  const attributes = `LOGIN NOINHERIT PASSWORD ${quoteLiteral(deriveSecret(ownerUrl, 'app role'))}`;
  if (!found)
    await owner.query(`CREATE ROLE ${role} NOSUPERUSER NOCREATEDB NOCREATEROLE NOREPLICATION ${attributes}`);
  else if (found.rolsuper || found.rolbypassrls)
    throw new Error(`The role ${name} may bypass row security; take that right from it.`);
  else await owner.query(`ALTER ROLE ${role} ${attributes}`);
  return role;
}

/**
 * Brings the schema of a database up to date. Forward only; safe to repeat; several at once wait for one another.
 * @param ownerUrl address of the role that owns the tables and may create roles
 * @returns the names of the steps that ran
 */
export async function migrate(ownerUrl: string): Promise<string[]> {
  const owner = new Sequelize(ownerUrl, { dialect: 'postgres', logging: false, pool: { max: 2 } });
  try {
    const lock = await owner.transaction();
    try {
      await owner.query('SELECT pg_advisory_xact_lock(764512)', { transaction: lock });
      const appRole = await ensureAppRole(owner, ownerUrl);
      const umzug = new Umzug({
        migrations: MIGRATIONS.map(({ name, statements }) => ({
          name,
          up: () =>
            owner.transaction(async (transaction) => {
              for (const statement of statements({ appRole })) await owner.query(statement, { transaction });
            }),
        })),
        storage: new SequelizeStorage({ sequelize: owner, tableName: 'schema_steps' }),
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
