import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';
import pg from 'pg';
import { migrate, NewerDatabase } from '../../src/data/migrate';
import { MIGRATIONS } from '../../src/data/migrations';

/** kill -9 in the middle of bringing the schema up to date, at a hundred places over all of its statements. */

const KILLS = 100;
/** Killed at once: each has a database of its own. */
const TOGETHER = 4;
const owner = process.env['PEWTERER_OWNER_URL'] ?? '';
const STATEMENTS = MIGRATIONS.flatMap(({ statements }) => statements({ appRole: 'nobody' })).length;

async function asOwner<Row extends object>(url: string, sql: string): Promise<Row[]> {
  const client = new pg.Client(url);
  await client.connect();
  try {
    return (await client.query<Row>(sql)).rows;
  } finally {
    await client.end();
  }
}

const urlOf = (database: string): string => Object.assign(new URL(owner), { pathname: `/${database}` }).href;

/** The cluster's superuser, who has the owner's password: makes databases and takes them away. */
const keeper = Object.assign(new URL(owner), { username: 'keeper' }).href;
const make = (database: string) => asOwner(keeper, `CREATE DATABASE ${database} OWNER pewterer_owner`);
const drop = (database: string) => asOwner(keeper, `DROP DATABASE ${database} WITH (FORCE)`);

/** Everything that the schema consists of: columns, constraints, indexes, policies, functions, rights, steps. */
const schemaOf = (url: string) =>
  asOwner<{ what: string }>(
    url,
    `SELECT concat_ws(' ', table_name, column_name, data_type, is_nullable, column_default, is_generated) AS what
       FROM information_schema.columns WHERE table_schema = 'public'
     UNION ALL SELECT concat_ws(' ', conrelid::regclass, conname, pg_get_constraintdef(oid)) FROM pg_constraint WHERE connamespace = 'public'::regnamespace
     UNION ALL SELECT indexdef FROM pg_indexes WHERE schemaname = 'public'
     UNION ALL SELECT concat_ws(' ', tablename, policyname, qual, with_check) FROM pg_policies WHERE schemaname = 'public'
     UNION ALL SELECT pg_get_functiondef(p.oid) FROM pg_proc p JOIN pg_language l ON l.oid = p.prolang
                WHERE p.pronamespace = 'public'::regnamespace AND l.lanname <> 'c'
     UNION ALL SELECT concat_ws(' ', tgrelid::regclass, tgname) FROM pg_trigger WHERE NOT tgisinternal
     UNION ALL SELECT concat_ws(' ', table_name, privilege_type) FROM information_schema.table_privileges
                WHERE table_schema = 'public' AND grantee LIKE '%\\_app'
     UNION ALL SELECT 'step ' || name FROM schema_steps
     ORDER BY 1`,
  ).then((rows) => rows.map(({ what }) => what));

/** The program that is killed, as one file of plain JavaScript: a hundred starts of it take no time to translate it. */
const MIGRATOR = path.resolve('node_modules/.cache/pewterer/migrator.cjs');

beforeAll(async () => {
  mkdirSync(path.dirname(MIGRATOR), { recursive: true });
  await build({
    entryPoints: ['tests/support/migrator.ts'],
    outfile: MIGRATOR,
    bundle: true,
    platform: 'node',
    packages: 'external',
    logLevel: 'error',
  });
});

/** Migrates an empty database in a process of its own, and kills it when so many statements have begun. */
function killAt(url: string, statement: number, delay: number): Promise<void> {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [MIGRATOR], {
      env: { ...process.env, PEWTERER_OWNER_URL: url },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    let begun = 0;
    child.stdout.on('data', (dots: Buffer) => {
      begun += dots.length;
      // A few thousandths of a second later it may be anywhere in the statement, or in the commit.
      if (begun >= statement) setTimeout(() => child.kill('SIGKILL'), delay);
    });
    child.once('exit', (code, signal) =>
      begun >= statement ? resolve() : reject(new Error(`ended with ${signal ?? code} after ${begun}`)),
    );
  });
}

it(`comes to the same schema after each of ${KILLS} kills`, async () => {
  await make('whole');
  await migrate(urlOf('whole'));
  const wanted = await schemaOf(urlOf('whole'));
  expect(wanted.length).toBeGreaterThan(400);

  const kill = async (round: number) => {
    const database = `killed_${round}`;
    const url = urlOf(database);
    await make(database);
    await killAt(url, 1 + Math.floor((round * STATEMENTS) / KILLS), round % 5);
    await migrate(url);
    expect(await schemaOf(url)).toEqual(wanted);
    await drop(database);
  };
  for (let round = 0; round < KILLS; round += TOGETHER)
    await Promise.all(Array.from({ length: TOGETHER }, (_, index) => kill(round + index)));
}, 600_000);

it('leaves a database of a newer version alone, and says so', async () => {
  const url = urlOf('whole');
  await asOwner(url, `INSERT INTO schema_steps VALUES ('9999-tomorrow')`);
  const before = await schemaOf(url);
  await expect(migrate(url)).rejects.toThrow(NewerDatabase);
  await expect(migrate(url)).rejects.toThrow(/newer version of Pewterer \(9999-tomorrow\)/);
  expect(await schemaOf(url)).toEqual(before);
  await drop('whole');
});
