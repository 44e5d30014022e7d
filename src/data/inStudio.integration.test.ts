import { literal } from 'sequelize';
import { randomUUID } from 'node:crypto';
import { EventEmitter, once } from 'node:events';
import pg from 'pg';
import { openStudio } from '../../tests/support/studio';
import { closeDatabase } from './database';
import { inStudio, type StudioSession, type Tx } from './inStudio';
import { migrate } from './migrate';
import { MIGRATIONS } from './migrations';
import { Supplier } from './models/purchases';
import { Studio } from './models/studio';

const supplier = (name: string) => ({ supplierId: randomUUID(), name });
const names = (who: StudioSession) =>
  inStudio(who, async () => (await Supplier.findAll({ order: ['name'] })).map(({ name }) => name));

async function asApp<T>(work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client(process.env['PEWTERER_DATABASE_URL']);
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

afterAll(closeDatabase);

const readVersion = (tx: Tx) => tx.one(Studio, ['version'], { where: {} });
const touchVersion = (tx: Tx) => tx.change(Studio, {}, { version: literal('version + 1') });

describe('the door to the database', () => {
  let ours: StudioSession;
  let theirs: StudioSession;
  beforeAll(async () => {
    [ours, theirs] = [await openStudio(), await openStudio()];
    await inStudio(ours, (tx) => tx.add(Supplier, [supplier('Ours')]));
    await inStudio(theirs, (tx) => tx.add(Supplier, [supplier('Theirs')]));
  });

  it('shows each studio its own rows only', async () => {
    expect(await names(ours)).toEqual(['Ours']);
    expect(await names(theirs)).toEqual(['Theirs']);
  });

  it('shows nothing without a studio, in any table', async () => {
    await asApp(async (client) => {
      const { rows: tables } = await client.query<{ name: string }>(
        `SELECT table_name AS name FROM information_schema.role_table_grants
          WHERE grantee = current_user AND privilege_type = 'SELECT' GROUP BY 1`,
      );
      expect(tables.length).toBeGreaterThanOrEqual(12);
      for (const { name } of tables) {
        const { rows } = await client.query<{ count: string }>(`SELECT count(*) FROM ${name}`);
        expect([name, Number(rows[0]?.count)]).toEqual([name, 0]);
      }
    });
  });

  it('guards every table that carries a studio', async () => {
    const owner = new pg.Client(process.env['PEWTERER_OWNER_URL']);
    await owner.connect();
    const { rows } = await owner.query(
      `SELECT c.relname FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
        WHERE n.nspname = 'public' AND c.relkind = 'r' AND NOT c.relrowsecurity
          AND c.relname NOT IN ('schema_steps', 'sign_in_failures')`,
    );
    await owner.end();
    expect(rows).toEqual([]);
  });

  it('neither writes nor changes another studio’s rows', async () => {
    await asApp(async (client) => {
      const inOurs = async (sql: string, values: unknown[]) => {
        await client.query('BEGIN');
        await client.query(`SELECT set_config('pewterer.studio', $1, true)`, [ours.studioId]);
        try {
          return await client.query(sql, values);
        } finally {
          await client.query('ROLLBACK');
        }
      };
      await expect(
        inOurs('INSERT INTO suppliers (studio_id, supplier_id, name) VALUES ($1, $2, $3)', [
          theirs.studioId,
          randomUUID(),
          'x',
        ]),
      ).rejects.toThrow(/row-level security/);
      const changed = await inOurs('UPDATE studios SET name = $2 WHERE studio_id = $1', [
        theirs.studioId,
        'x',
      ]);
      expect(changed.rowCount).toBe(0);
      expect((await inOurs('SELECT FROM suppliers WHERE studio_id = $1', [theirs.studioId])).rowCount).toBe(
        0,
      );
    });
  });

  it('connects as a role that owns nothing and cannot bypass row security', async () => {
    await asApp(async (client) => {
      const { rows } = await client.query(
        `SELECT rolsuper, rolbypassrls, rolcreaterole, rolcreatedb,
                (SELECT count(*)::int FROM pg_class WHERE relowner = pg_roles.oid) AS owned FROM pg_roles WHERE rolname = current_user`,
      );
      expect(rows).toEqual([
        { rolsuper: false, rolbypassrls: false, rolcreaterole: false, rolcreatedb: false, owned: 0 },
      ]);
      await expect(client.query('ALTER TABLE movements DISABLE ROW LEVEL SECURITY')).rejects.toThrow(
        /must be owner/,
      );
      await expect(client.query('CREATE TABLE mine (x int)')).rejects.toThrow(/permission denied/);
      await expect(client.query('SELECT * FROM sign_in_failures')).rejects.toThrow(/permission denied/);
    });
  });

  it('keeps movements append-only, even for the owner of the tables', async () => {
    await asApp(async (client) => {
      await expect(client.query('UPDATE movements SET reason = $1', ['x'])).rejects.toThrow(
        /permission denied/,
      );
      await expect(client.query('DELETE FROM movements')).rejects.toThrow(/permission denied/);
    });
    const owner = new pg.Client(process.env['PEWTERER_OWNER_URL']);
    await owner.connect();
    await expect(owner.query('TRUNCATE movements')).rejects.toThrow(/append-only/);
    await expect(owner.query('DELETE FROM lots')).rejects.toThrow(/append-only/);
    await owner.end();
  });

  it('writes nothing when the work fails', async () => {
    const failing = inStudio(ours, async (tx) => {
      await tx.add(Supplier, [supplier('Half done')]);
      throw new Error('snapped');
    });
    await expect(failing).rejects.toThrow('snapped');
    expect(await names(ours)).toEqual(['Ours']);
  });

  it('refuses to write in a reading transaction', async () => {
    await expect(
      inStudio(ours, (tx) => tx.add(Supplier, [supplier('Read')]), { readOnly: true }),
    ).rejects.toThrow(/read-only/);
  });

  it('runs a lost race again until both sides count', async () => {
    const who = await openStudio();
    const addOne = () =>
      inStudio(who, async (tx) => {
        const row = await readVersion(tx);
        await tx.change(Studio, {}, { version: (row?.version ?? 0) + 1 });
      });
    await Promise.all(Array.from({ length: 12 }, addOne));
    expect(await inStudio(who, readVersion)).toEqual({ version: 13 });
  });
});

it('a studio whose work waits for a lock makes no other studio wait', async () => {
  const [busy, other] = [await openStudio(), await openStudio()];
  const touch = (who: StudioSession) => inStudio(who, touchVersion);
  const holder = new pg.Client(process.env['PEWTERER_OWNER_URL']);
  await holder.connect();
  await holder.query('BEGIN');
  await holder.query('UPDATE studios SET version = version + 1 WHERE studio_id = $1', [busy.studioId]);
  // Those of the busy studio wait for the row, lose the race to it, and stand in line; the others go on meanwhile.
  const waiting = Array.from({ length: 4 }, () => touch(busy));
  let done = 0;
  for (; done < 20; done += 1) await touch(other);
  await holder.query('COMMIT');
  await holder.end();
  const held = [...waiting, ...Array.from({ length: 4 }, () => touch(busy))];
  for (; done < 40; done += 1) await touch(other);
  await Promise.all(held);
  const versionOf = async (who: StudioSession) => (await inStudio(who, readVersion))?.version;
  expect([await versionOf(busy), await versionOf(other)]).toEqual([1 + 1 + 8, 1 + 40]);
});

/** Tries for which no work is given a turn alone, however often it has lost. */
const NEVER_ALONE = 4;

it('who loses to other copies of the application again and again gets a turn alone', async () => {
  const who = await openStudio();
  const touch = `UPDATE studios SET version = version + 1 WHERE studio_id = $1`;
  let isOver = false;
  let others = 0;
  const changes = new EventEmitter();
  // As another copy of the application works: it changes, all the time, what the slow one has read and is about to change.
  const other = asApp(async (client) => {
    while (!isOver) {
      await client.query('BEGIN ISOLATION LEVEL SERIALIZABLE');
      try {
        await client.query('LOCK TABLE turns IN ROW SHARE MODE');
        await client.query(`SELECT set_config('pewterer.studio', $1, true)`, [who.studioId]);
        await client.query(touch, [who.studioId]);
        await client.query('COMMIT');
        others += 1;
        changes.emit('committed');
      } catch {
        await client.query('ROLLBACK');
      }
    }
  });
  let tries = 0;
  const slowly = inStudio(who, async (tx) => {
    tries += 1;
    await readVersion(tx);
    // The first of the two may have been committed before this one read; the second is what makes it lose.
    if (tries <= NEVER_ALONE) for (let seen = 0; seen < 2; seen += 1) await once(changes, 'committed');
    else await new Promise((resolve) => setTimeout(resolve, 100));
    await touchVersion(tx);
  });
  await slowly.finally(() => (isOver = true));
  await other;
  // It did lose before, and nothing is lost.
  expect(tries).toBeGreaterThan(NEVER_ALONE);
  expect(await inStudio(who, readVersion)).toEqual({
    version: 1 + others + 1,
  });
}, 60_000);

it('has nothing left to do on a database that is up to date', async () => {
  expect(MIGRATIONS.map(({ name }) => name)).toEqual([...MIGRATIONS.map(({ name }) => name)].sort());
  expect(await migrate(process.env['PEWTERER_OWNER_URL'] ?? '')).toEqual([]);
});

it('heals when every connection is cut under it', async () => {
  const who = await openStudio();
  const keeper = new pg.Client(process.env['PEWTERER_OWNER_URL']);
  await keeper.connect();
  // The owner may end the app's sessions only as a member of its role.
  await keeper.query(`GRANT pewterer_app TO CURRENT_USER`);
  await keeper.query(`SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE usename = 'pewterer_app'`);
  expect(await names(who)).toEqual([]);
  await keeper.end();
});
