import { bool, many, maybe, text } from '../columns';
import { statement } from './statement';

const quoteIdentifier = (name: string): string => `"${name.replaceAll('"', '""')}"`;
const quoteLiteral = (value: string): string => `'${value.replaceAll("'", "''")}'`;

/** A role by its name, as statements write it. */
export const roleNamed = quoteIdentifier;

export const roleOfSql = statement({
  takes: { name: text() },
  gives: { rolsuper: bool(), rolbypassrls: bool(), rolconfig: maybe(many(text())) },
  text: 'SELECT rolsuper, rolbypassrls, rolconfig FROM pg_roles WHERE rolname = $name::text',
});

/** Which steps of the schema have run; kept since the first. */
export const stepsDoneSql = statement({
  takes: {},
  gives: { name: text() },
  text: 'SELECT name::text FROM schema_steps',
});

export const noteStepSql = statement({
  takes: { name: text() },
  gives: {},
  text: 'INSERT INTO schema_steps (name) VALUES ($name::text)',
});

/** Lets one migration work at a time. */
export const oneMigrationAtATimeSql = statement({
  takes: {},
  gives: { lock: text() },
  text: 'SELECT pg_advisory_xact_lock(764512)::text AS lock',
});

export const KEEP_STEPS = 'CREATE TABLE IF NOT EXISTS schema_steps (name varchar(255) PRIMARY KEY)';

/** Makes a role that may connect and nothing else, or sets the password of one that is there. */
export const setRole = (name: string, password: string, isThere: boolean): string =>
  `${isThere ? 'ALTER' : 'CREATE'} ROLE ${quoteIdentifier(name)} ${isThere ? '' : 'NOSUPERUSER NOCREATEDB NOCREATEROLE NOREPLICATION '}LOGIN NOINHERIT PASSWORD ${quoteLiteral(password)}`;

/** Sets a limit that stands at a role. */
export const setRoleSetting = (name: string, setting: string, value: string): string =>
  `ALTER ROLE ${quoteIdentifier(name)} SET ${setting} = ${quoteLiteral(value)}`;
