import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import pg from 'pg';
import { clusterOf, destroyCluster, startCluster, type Cluster } from './cluster';
import { logFiles } from './postmaster';

/** A studio's database through what happens to folders: notes lost, folders copied and moved, locks forged, disks filling up. */

let base = '';
const running: Cluster[] = [];
const outside: string[] = [];

beforeEach(() => {
  base = fs.mkdtempSync(path.join(os.tmpdir(), 'pewterer-cluster-'));
  fs.chmodSync(base, 0o755);
});
afterEach(() => {
  jest.restoreAllMocks();
  running.splice(0).forEach((each) => each.stop());
  for (const name of fs.readdirSync(base)) destroyCluster(path.join(base, name));
  for (const place of outside.splice(0)) {
    fs.rmSync(place, { recursive: true, force: true });
    fs.rmSync(`${place}.belongs-to`, { force: true });
  }
  fs.rmSync(base, { recursive: true, force: true });
});

async function start(folder: string): Promise<Cluster> {
  const cluster = await startCluster(folder, { durable: false });
  running.push(cluster);
  return cluster;
}

async function ask(cluster: Cluster, sql: string): Promise<unknown[]> {
  const client = new pg.Client(cluster.ownerUrl);
  await client.connect();
  try {
    return (await client.query<{ value: unknown }>(sql)).rows.map(({ value }) => value);
  } finally {
    await client.end();
  }
}

/** A data folder with a row in its books, its server running. */
async function withRow(name: string, row = 'kept') {
  const folder = path.join(base, name);
  const cluster = await start(folder);
  await ask(cluster, `CREATE TABLE IF NOT EXISTS notes (value text)`);
  await ask(cluster, `INSERT INTO notes VALUES ('${row}')`);
  return { folder, cluster };
}

const rows = (cluster: Cluster) => ask(cluster, 'SELECT value FROM notes');
const secretsOf = (folder: string) => path.join(folder, 'secrets.json');
const refusal = (folder: string) =>
  start(folder).then(
    () => '',
    (fault: unknown) => (fault as Error).message,
  );

it.each([
  ['missing', (file: string) => fs.rmSync(file)],
  ['empty', (file: string) => fs.writeFileSync(file, '')],
  ['cut short', (file: string) => fs.truncateSync(file, 30)],
  ['something else', (file: string) => fs.writeFileSync(file, '[{"password": 7}]')],
])('secrets %s: the cluster gets a new password and keeps every row', async (_, damage) => {
  const { folder, cluster } = await withRow('studio');
  const before = cluster.ownerUrl;
  cluster.stop();
  damage(secretsOf(folder));
  const again = await start(folder);
  expect(await rows(again)).toEqual(['kept']);
  expect(new URL(again.ownerUrl).password).not.toBe(new URL(before).password);
});

it('secrets lost while the server still runs: the same, and twice over', async () => {
  const { folder } = await withRow('studio');
  for (let round = 0; round < 2; round += 1) {
    fs.rmSync(secretsOf(folder));
    expect(await rows(await start(folder))).toEqual(['kept']);
  }
});

it('never makes a new database where a studio was, nor over files that are something else', async () => {
  const { folder, cluster } = await withRow('studio');
  cluster.stop();
  const place = path.join(folder, 'cluster');
  fs.renameSync(place, `${place}-away`);
  expect(await refusal(folder)).toMatch(/was in .*cluster and is not there/);
  fs.renameSync(`${place}-away`, place);
  fs.renameSync(path.join(place, 'PG_VERSION'), path.join(place, 'PG_VERSION-away'));
  fs.rmSync(secretsOf(folder));
  expect(await refusal(folder)).toMatch(/holds files that are no database of Pewterer/);
  fs.renameSync(path.join(place, 'PG_VERSION-away'), path.join(place, 'PG_VERSION'));
  expect(await rows(await start(folder))).toEqual(['kept']);
});

it('a folder that is copied opens its own books while the original runs, a moved one too', async () => {
  const { folder, cluster } = await withRow('studio');
  await ask(cluster, 'SELECT 1 AS value');
  cluster.stop();
  const original = await start(folder);
  const copy = path.join(base, 'copy');
  // Copied by root, with the lock file of the running original in it.
  expect(spawnSync('cp', ['-r', folder, copy]).status).toBe(0);
  const copied = await start(copy);
  expect(copied.port).not.toBe(original.port);
  await ask(copied, `INSERT INTO notes VALUES ('only in the copy')`);
  expect(await rows(original)).toEqual(['kept']);
  expect(await rows(copied)).toEqual(['kept', 'only in the copy']);

  copied.stop();
  const moved = path.join(base, 'moved');
  fs.renameSync(copy, moved);
  expect(await rows(await start(moved))).toEqual(['kept', 'only in the copy']);
  expect(await rows(original)).toEqual(['kept']);
});

it('a copy of a folder whose cluster lies outside is told apart from the original', async () => {
  fs.chmodSync(base, 0o700);
  const { folder, cluster } = await withRow('studio');
  const place = clusterOf(folder) ?? '';
  outside.push(place);
  expect(place).toMatch(/^\/var\/lib\/pewterer\//);
  cluster.stop();
  const copy = path.join(base, 'copy');
  fs.cpSync(folder, copy, { recursive: true });
  expect(await refusal(copy)).toMatch(/copy is a copy of .*studio, and the database is not in either/);
  fs.rmSync(copy, { recursive: true });

  // Moved it goes on, and without its notes it is found by the note beside the cluster.
  const moved = path.join(base, 'moved');
  fs.renameSync(folder, moved);
  const again = await start(moved);
  expect(await rows(again)).toEqual(['kept']);
  again.stop();
  fs.rmSync(secretsOf(moved));
  expect(await rows(await start(moved))).toEqual(['kept']);
});

it('starts though its lock file names a process of somebody else', async () => {
  const { folder, cluster } = await withRow('studio');
  cluster.stop();
  const lock = path.join(folder, 'cluster', 'postmaster.pid');
  for (const forged of [`${process.pid}\n${folder}\n0\n5432\n\n127.0.0.1\n\nready\n`, '', '1', 'nonsense']) {
    fs.writeFileSync(lock, forged);
    const again = await start(folder);
    expect(await rows(again)).toEqual(['kept']);
    again.stop();
  }
});

it('makes clusters with page checksums, and says nothing in its log of what was typed', async () => {
  const { folder, cluster } = await withRow('studio', 'first');
  expect(await ask(cluster, `SELECT current_setting('data_checksums') AS value`)).toEqual(['on']);
  await ask(cluster, 'CREATE UNIQUE INDEX notes_once ON notes (value)');
  const secret = '$argon2id$v=19$m=19456,t=2,p=1$typed-secret';
  await ask(cluster, `INSERT INTO notes VALUES ('${secret}')`);
  await expect(ask(cluster, `INSERT INTO notes VALUES ('${secret}')`)).rejects.toThrow(/duplicate key/);
  await expect(ask(cluster, `SELECT '${secret}'::uuid AS value`)).rejects.toThrow(/invalid input/);
  await expect(ask(cluster, `SELECT nonsense('${secret}') AS value`)).rejects.toThrow(/does not exist/);
  const logs = logFiles(path.join(folder, 'cluster'));
  expect(logs.length).toBeGreaterThanOrEqual(2);
  const said = logs.map((file) => fs.readFileSync(file, 'utf8')).join('');
  expect(said).toMatch(/ready to accept connections/);
  expect(said).not.toContain('typed-secret');
});

it('with little disk a studio that is there opens, and a new one is refused in a sentence', async () => {
  const { folder, cluster } = await withRow('studio');
  cluster.stop();
  const real = fs.statfsSync(base);
  jest.spyOn(fs, 'statfsSync').mockReturnValue(Object.assign(real, { bavail: 20, bsize: 1024 * 1024 }));
  const told = jest.spyOn(console, 'log').mockImplementation(() => undefined);
  expect(await rows(await start(folder))).toEqual(['kept']);
  expect(told.mock.calls.join()).toMatch(/only 20 MB free: everything can be read/);
  expect(await refusal(path.join(base, 'new'))).toMatch(/only 20 MB free; a new studio needs 300 MB/);
});
