import fs from 'node:fs';
import path from 'node:path';
import { migrate } from '../src/data/migrate';
import { startMetalFeed } from '../src/devices/metalFeed/standIn';
import { startApp, type App } from './lib/app';
import { ensureBuilt } from './lib/build';
import { startCluster, type Cluster } from './lib/cluster';
import { dataFolder } from './lib/dataFolder';
import { isPortTaken } from './lib/ports';
import { Refusal, runCommand, say } from './lib/say';
import { seedDemo } from './lib/seedDemo';
import { DEMO_OWNER, DEMO_TOKEN } from '../src/studio/demo/people';

const PORTS = { start: 4310, demo: 4311 } as const;
type Mode = keyof typeof PORTS;

interface Lock {
  readonly supervisor: number;
  readonly app: number | null;
}

const isAlive = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
};

/** Ends an application whose supervisor was killed; only one that is ours. */
function endOrphan({ supervisor, app }: Lock): void {
  if (isAlive(supervisor))
    throw new Refusal(
      `Pewterer is already running here (process ${supervisor}). Stop it with Ctrl-C in its window first.`,
    );
  if (app === null || !isAlive(app)) return;
  const commandLine = fs.existsSync(`/proc/${app}/cmdline`)
    ? fs.readFileSync(`/proc/${app}/cmdline`, 'utf8')
    : '';
  if (!/next/.test(commandLine)) return;
  process.kill(app, 'SIGKILL');
  while (isAlive(app) && fs.readFileSync(`/proc/${app}/stat`, 'utf8').split(' ')[2] !== 'Z')
    Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 50);
}

function readPort(mode: Mode): number {
  const given = process.env['PORT'];
  if (given === undefined || given === '') return PORTS[mode];
  const port = Number(given);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Refusal(`PORT is “${given}”; give a number from 1 to 65535.`);
  return port;
}

/** A sentence for a database that was given and does not work. */
function explainDatabase(fault: unknown): unknown {
  const { name = '', message = '' } = fault instanceof Error ? fault : {};
  if (/Refused|HostNotFound|HostNotReachable|ConnectionTimedOut|ECONNREFUSED/.test(`${name} ${message}`)) {
    return new Refusal(
      'The database that DATABASE_URL names is not answering. Is the server running, and is the address right?',
    );
  }
  if (/AccessDenied|password authentication|role .* does not exist/.test(`${name} ${message}`)) {
    return new Refusal(
      'The database that DATABASE_URL names does not let this user in. Check the user name and the password.',
    );
  }
  if (/permission denied to create role|must have CREATEROLE/i.test(message)) {
    return new Refusal(
      'The user in DATABASE_URL may not create roles; give it CREATEROLE, so that the application can have a role that owns nothing.',
    );
  }
  if (/No space left|could not extend/i.test(message))
    return new Refusal('The disk of the database is full. Free some space and start again.');
  return fault;
}

/** Brings the database back when it is killed under the running application. */
function watch(cluster: Cluster): NodeJS.Timeout {
  let reviving = false;
  return setInterval(() => {
    if (reviving || cluster.pid() !== undefined) return;
    reviving = true;
    say('The database was stopped from outside; starting it again …');
    cluster
      .revive()
      .catch((fault: unknown) => console.error(fault))
      .finally(() => (reviving = false));
  }, 2000);
}

async function main(): Promise<void> {
  const mode: Mode = process.argv[2] === 'demo' ? 'demo' : 'start';
  const port = readPort(mode);
  const host = process.env['HOST'] || '127.0.0.1';
  const folder = dataFolder(mode === 'demo' ? 'demo' : 'studio');
  fs.mkdirSync(folder, { recursive: true, mode: 0o755 });
  const lockFile = path.join(folder, 'running.json');
  if (fs.existsSync(lockFile)) endOrphan(JSON.parse(fs.readFileSync(lockFile, 'utf8')) as Lock);
  if (await isPortTaken(port, host))
    throw new Refusal(
      `Port ${port} is taken by another program. Choose another one: PORT=${port + 10} ./run ${mode}`,
    );
  const writeLock = (app: number | null) =>
    fs.writeFileSync(lockFile, JSON.stringify({ supervisor: process.pid, app } satisfies Lock));
  writeLock(null);

  let cluster: Cluster | undefined;
  let app: App | undefined;
  let watching: NodeJS.Timeout | undefined;
  let stopping = false;
  const stop = async (code: number) => {
    if (stopping) return;
    stopping = true;
    clearInterval(watching);
    await app?.stop();
    cluster?.stop();
    fs.rmSync(lockFile, { force: true });
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
    process.on(signal, () => {
      say('\nStopping …');
      void stop(0);
    });
  }

  try {
    const given = process.env['DATABASE_URL'] || undefined;
    if (!given) cluster = await startCluster(folder);
    const ownerUrl = given ?? cluster?.ownerUrl ?? '';
    await migrate(ownerUrl).catch((fault: unknown) => {
      throw explainDatabase(fault);
    });
    ensureBuilt();
    if (mode === 'demo') await seedDemo(ownerUrl, new Date());
    const feed = await startMetalFeed();
    app = await startApp({ ownerUrl, host, port, mode, metalFeed: feed.url });
    writeLock(app.process.pid ?? null);
    app.process.once('exit', (code) => {
      if (stopping) return;
      console.error(
        `\nThe application ended by itself (${code === null ? 'killed' : `exit ${code}`}). Start it again with ./run ${mode}.`,
      );
      void stop(1);
    });
    if (cluster) watching = watch(cluster);
    say(
      `\nPewterer answers at ${app.url}${mode === 'demo' ? `\nSign in as “${DEMO_OWNER.login}” with the password “${DEMO_OWNER.password}”.\nScripts send the token ${DEMO_TOKEN}.` : ''}\nCtrl-C stops it.`,
    );
    await new Promise(() => undefined);
  } catch (fault) {
    console.error(fault instanceof Refusal ? `\n${fault.message}` : fault);
    await stop(1);
  }
}

runCommand(main);
