import fs from 'node:fs';
import { migrate, NewerDatabase } from '../src/data/migrate';
import { startMetalFeed } from '../src/devices/metalFeed/standIn';
import { startApp } from './lib/app';
import { ensureBuilt } from './lib/build';
import { startCluster, type Cluster } from './lib/cluster/cluster';
import { dataFolder } from './lib/dataFolder';
import { keepChecking } from './lib/dailyCheck';
import { leaveLock, takeLock } from './lib/lock';
import { staysTaken } from './lib/ports';
import { Refusal, runCommand, say } from './lib/say';
import { seedDemo } from './lib/seedDemo';
import { supervise, type Supervised } from './lib/supervise';
import { DEMO_OWNER, DEMO_TOKEN } from '../src/demo/people';

const PORTS = { start: 4310, demo: 4311 } as const;
type Mode = keyof typeof PORTS;

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
  if (fault instanceof NewerDatabase) return new Refusal(fault.message);
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
  await takeLock(folder);
  if (await staysTaken(port, host)) {
    leaveLock(folder);
    throw new Refusal(
      `Port ${port} is taken by another program. Choose another one: PORT=${port + 10} ./run ${mode}`,
    );
  }

  let cluster: Cluster | undefined;
  let app: Supervised | undefined;
  const timers: NodeJS.Timeout[] = [];
  let stopping = false;
  const stop = async (code: number) => {
    if (stopping) return;
    stopping = true;
    timers.forEach(clearInterval);
    await app?.stop();
    cluster?.stop();
    leaveLock(folder);
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
    process.on(signal, () => {
      say('\nStopping …');
      void stop(0);
    });
  }

  try {
    // Built first: a build that fails must not leave a database that only the new version can open.
    ensureBuilt();
    const given = process.env['DATABASE_URL'] || undefined;
    if (!given) cluster = await startCluster(folder);
    const ownerUrl = given ?? cluster?.ownerUrl ?? '';
    await migrate(ownerUrl).catch((fault: unknown) => {
      throw explainDatabase(fault);
    });
    if (mode === 'demo') await seedDemo(ownerUrl, new Date());
    // A studio that keeps real books has no stand-in beside it.
    const feed = mode === 'demo' ? await startMetalFeed() : undefined;
    const start = () => startApp({ ownerUrl, host, port, mode, folder, metalFeed: feed?.url });
    const first = await start();
    app = supervise(first, start);
    if (cluster) timers.push(watch(cluster));
    timers.push(keepChecking(ownerUrl));
    say(
      `\nPewterer answers at ${first.url}${mode === 'demo' ? `\nSign in as “${DEMO_OWNER.login}” with the password “${DEMO_OWNER.password}”.\nScripts send the token ${DEMO_TOKEN}.` : ''}\nCtrl-C stops it.`,
    );
    await new Promise(() => undefined);
  } catch (fault) {
    console.error(fault instanceof Refusal ? `\n${fault.message}` : fault);
    await stop(1);
  }
}

runCommand(main);
