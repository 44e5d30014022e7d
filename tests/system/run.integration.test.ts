import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { clusterOf, destroyCluster } from '../../scripts/lib/cluster/cluster';
import { SERVES } from '../../scripts/lib/lock';
import { freePort } from '../../scripts/lib/ports';
import { processesWith } from '../../scripts/lib/processes';

/** ./run as a person uses it, on a data folder that its unprivileged database user may not enter. */

const data = fs.mkdtempSync(path.join(os.tmpdir(), 'pewterer-run-'));
const folder = path.join(data, 'studio');
let port = 0;
const started: ChildProcess[] = [];

beforeAll(async () => {
  port = await freePort();
});
afterAll(() => {
  started.forEach((child) => child.kill('SIGKILL'));
  destroyCluster(folder);
  fs.rmSync(data, { recursive: true, force: true });
});

const environment = () => ({ ...process.env, PEWTERER_DATA: data, PORT: String(port), DATABASE_URL: '' });

interface Running {
  readonly child: ChildProcess;
  readonly output: () => string;
  readonly ended: Promise<number | null>;
}

function run(...args: string[]): Running {
  const child = spawn(process.execPath, ['--import', 'tsx', 'scripts/serve.ts', ...args], {
    env: environment(),
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  started.push(child);
  let output = '';
  child.stdout?.on('data', (chunk) => (output += String(chunk)));
  child.stderr?.on('data', (chunk) => (output += String(chunk)));
  return { child, output: () => output, ended: new Promise((resolve) => child.once('exit', resolve)) };
}

async function until(
  running: Running,
  what: () => boolean | Promise<boolean>,
  patience = 60_000,
): Promise<void> {
  const giveUp = Date.now() + patience;
  while (!(await what())) {
    if (Date.now() > giveUp) throw new Error(`it did not come to pass:\n${running.output()}`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

const health = () =>
  fetch(`http://127.0.0.1:${port}/api/health`).then(
    ({ status }) => status,
    () => 0,
  );

const answering = async (running: Running) => {
  await until(running, () => running.output().includes('answers at') || running.child.exitCode !== null);
  if (running.child.exitCode !== null) throw new Error(running.output());
};

const postmaster = () =>
  Number(fs.readFileSync(path.join(clusterOf(folder) ?? '', 'postmaster.pid'), 'utf8').split('\n')[0]);
const application = () => processesWith(SERVES, folder)[0]?.pid ?? 0;
const alive = (pid: number) =>
  fs.existsSync(`/proc/${pid}`) && !fs.readFileSync(`/proc/${pid}/stat`, 'utf8').includes(') Z ');

it('says so in a sentence when the port is taken', async () => {
  const server = net.createServer();
  await new Promise<void>((resolve) => server.listen(port, '127.0.0.1', resolve));
  const running = run('start');
  expect(await running.ended).toBe(1);
  expect(running.output()).toMatch(new RegExp(`Port ${port} is taken by another program`));
  await new Promise((resolve) => server.close(resolve));
});

it('says so in a sentence when the given database does not answer', async () => {
  const closed = await freePort();
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    ['--import', 'tsx', 'scripts/serve.ts', 'start'],
    {
      env: { ...environment(), DATABASE_URL: `postgres://nobody:x@127.0.0.1:${closed}/none` },
      encoding: 'utf8',
    },
  );
  expect(status).toBe(1);
  expect(stdout + stderr).toMatch(/is not answering/);
  expect(stdout + stderr).not.toMatch(/at async/);
});

it('starts, heals a killed database, recovers from kill -9, keeps its data, and stops cleanly', async () => {
  const first = run('start');
  await answering(first);
  expect(await health()).toBe(200);
  expect(fs.statSync(path.join(folder, 'secrets.json')).mode & 0o077).toBe(0);

  // A second one in the same clone is refused.
  const second = run('start');
  expect(await second.ended).toBe(1);
  expect(second.output()).toMatch(/already running/);

  // The database is killed under the running application: it is started again and the application heals by itself.
  process.kill(postmaster(), 'SIGKILL');
  await until(first, () => first.output().includes('starting it again'));
  await until(first, async () => (await health()) === 200);

  // The supervisor is killed: the next start ends the orphan and goes on with the same data.
  const cluster = clusterOf(folder);
  first.child.kill('SIGKILL');
  await first.ended;
  const next = run('start');
  await answering(next);
  expect(clusterOf(folder)).toBe(cluster);
  const database = postmaster();

  // Supervisor and database are both killed.
  next.child.kill('SIGKILL');
  process.kill(database, 'SIGKILL');
  await next.ended;
  // The lock file is left cut short, and the note of how to open the database is lost: it starts all the same.
  fs.truncateSync(path.join(folder, 'running.json'), 20);
  fs.rmSync(path.join(folder, 'secrets.json'));
  const last = run('start');
  await answering(last);
  expect(clusterOf(folder)).toBe(cluster);
  expect(await health()).toBe(200);

  // The application is killed, then stops answering: it is started again each time, and the database runs on.
  for (const signal of ['SIGKILL', 'SIGSTOP'] as const) {
    const [before, database] = [application(), postmaster()];
    process.kill(before, signal);
    await until(last, async () => application() !== before && (await health()) === 200, 150_000);
    expect(postmaster()).toBe(database);
  }

  // Ctrl-C stops the application and the database.
  const [pid, app] = [postmaster(), application()];
  last.child.kill('SIGINT');
  expect(await last.ended).toBe(0);
  expect(alive(pid)).toBe(false);
  expect(alive(app)).toBe(false);
}, 400_000);

it('describes every command in a line', () => {
  const { stdout, status } = spawnSync('./run', ['help'], { encoding: 'utf8' });
  expect(status).toBe(0);
  for (const command of ['demo', 'start', 'test', 'check', 'bench', 'check-books', 'screenshots'])
    expect(stdout).toMatch(new RegExp(`^  ${command} +\\S`, 'm'));
  expect(spawnSync('./run', ['nonsense'], { encoding: 'utf8' })).toMatchObject({
    status: 1,
    stderr: expect.stringContaining('There is no command “nonsense”'),
  });
});
