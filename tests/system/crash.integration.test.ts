import { spawn, type ChildProcess } from 'node:child_process';
import { openThrowaway, type Throwaway } from '../../scripts/lib/throwaway';
import { closeDatabase } from '../../src/data/database';
import { appUrlFor } from '../../src/data/migrate';
import type { StudioSession } from '../../src/data/inStudio';
import { expectWhole } from '../support/wholeBooks';
import { openStudio, receive, simplePattern } from '../support/studio';

/** Power cuts in the middle of writing: what was confirmed is there whole, what was not is not there at all. */

const before = process.env['PEWTERER_DATABASE_URL'];
let studio: Throwaway;
let session: StudioSession;
let pattern: { number: number; revision: number };
const writers: ChildProcess[] = [];

beforeAll(async () => {
  studio = await openThrowaway({ durable: true });
  process.env['PEWTERER_DATABASE_URL'] = appUrlFor(studio.ownerUrl);
  session = await openStudio();
  await receive(session, { length: '900 m', price: '900 USD' });
  pattern = await simplePattern(session);
}, 90_000);

afterAll(async () => {
  for (const writer of writers) writer.kill('SIGKILL');
  await closeDatabase();
  if (before !== undefined) process.env['PEWTERER_DATABASE_URL'] = before;
  await studio.destroy();
});

interface Writer {
  readonly process: ChildProcess;
  readonly confirmed: string[];
  readonly ended: Promise<unknown>;
}

function startWriter(): Writer {
  const { studioId, userId } = session;
  const child = spawn(
    process.execPath,
    [
      '--import',
      'tsx',
      'tests/support/writer.ts',
      studioId,
      userId,
      String(pattern.number),
      String(pattern.revision),
    ],
    { env: process.env, stdio: ['ignore', 'pipe', 'ignore'] },
  );
  writers.push(child);
  const confirmed: string[] = [];
  let rest = '';
  child.stdout?.on('data', (chunk) => {
    const lines = (rest + String(chunk)).split('\n');
    rest = lines.pop() ?? '';
    confirmed.push(...lines);
  });
  return { process: child, confirmed, ended: new Promise((resolve) => child.once('exit', resolve)) };
}

async function until(what: () => boolean): Promise<void> {
  const giveUp = Date.now() + 60_000;
  while (!what()) {
    if (Date.now() > giveUp) throw new Error('it did not come to pass');
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}

it('two copies of the application write at once', async () => {
  const [one, other] = [startWriter(), startWriter()];
  await until(() => one.confirmed.length >= 30 && other.confirmed.length >= 30);
  for (const writer of [one, other]) {
    writer.process.kill('SIGKILL');
    await writer.ended;
  }
  await expectWhole(studio.ownerUrl, [...one.confirmed, ...other.confirmed]);
}, 120_000);

it('kill -9 of the application while it writes', async () => {
  const writer = startWriter();
  await until(() => writer.confirmed.length >= 40);
  writer.process.kill('SIGKILL');
  await writer.ended;
  await expectWhole(studio.ownerUrl, writer.confirmed);
}, 120_000);

it('kill -9 of the database while the application writes: it goes on when the database is back', async () => {
  const writer = startWriter();
  await until(() => writer.confirmed.length >= 40);
  const pid = studio.cluster.pid();
  if (pid !== undefined) process.kill(pid, 'SIGKILL');
  await until(() => studio.cluster.pid() === undefined);
  await studio.cluster.revive();
  const after = writer.confirmed.length + 20;
  await until(() => writer.confirmed.length >= after);
  writer.process.kill('SIGKILL');
  await writer.ended;
  await expectWhole(studio.ownerUrl, writer.confirmed);
}, 120_000);
