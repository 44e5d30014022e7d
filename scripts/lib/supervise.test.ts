import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { onceAnswering, type App } from './app';
import { freePort } from './ports';
import { supervise, type Patience, type Supervised } from './supervise';

/** A stand-in application: answers on a port until it is told to end. */
const SERVER = `require('http').createServer((_, answer) => answer.end()).listen(process.env.PORT, () => process.stdout.write('ready'))`;

const QUICK: Patience = {
  every: 20,
  answer: 300,
  misses: 2,
  backOff: 10,
  longestBackOff: 80,
  healthy: 10_000,
};

async function startServer(port: number, code = SERVER): Promise<App> {
  const child = spawn(process.execPath, ['-e', code], {
    env: { ...process.env, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  await Promise.race([once(child.stdout, 'data'), once(child, 'exit')]);
  return {
    url: `http://127.0.0.1:${port}`,
    process: child,
    stop: async () => {
      child.removeAllListeners('exit');
      child.kill('SIGKILL');
      if (child.exitCode === null && child.signalCode === null) await once(child, 'exit');
    },
  };
}

let supervised: Supervised | undefined;
beforeEach(() => void jest.spyOn(console, 'log').mockImplementation(() => undefined));
afterEach(async () => {
  await supervised?.stop();
  jest.restoreAllMocks();
});

/** Keeps a server running; resolves with each start in its order. */
async function keep(start: (port: number, round: number) => Promise<App>) {
  const port = await freePort();
  const first = await startServer(port);
  const starts = [first];
  const waiting: (() => void)[] = [];
  supervised = supervise(
    first,
    async () => {
      const app = await start(port, starts.length);
      starts.push(app);
      waiting.splice(0).forEach((tell) => tell());
      return app;
    },
    QUICK,
  );
  const nth = async (count: number) => {
    while (starts.length < count) await new Promise<void>((resolve) => waiting.push(resolve));
    const found = starts[count - 1];
    if (!found) throw new Error('it was started');
    return found;
  };
  return { nth, starts };
}

it('starts an application again that was killed, and one that no longer answers', async () => {
  const { nth } = await keep((port) => startServer(port));
  (await nth(1)).process.kill('SIGKILL');
  const second = await nth(2);
  expect((await fetch(second.url)).status).toBe(200);
  second.process.kill('SIGSTOP');
  const third = await nth(3);
  expect((await fetch(third.url)).status).toBe(200);
  expect(second.process.signalCode).toBe('SIGKILL');
});

it('waits ever longer while what it starts does not last, and tries on when a start fails', async () => {
  const begun: number[] = [];
  const { nth } = await keep(async (port, round) => {
    begun.push(Date.now());
    if (round === 1 && begun.length < 3) throw new Error('no start');
    return startServer(port, round < 3 ? `process.exit(3)` : SERVER);
  });
  (await nth(1)).process.kill('SIGKILL');
  const last = await nth(4);
  expect((await fetch(last.url)).status).toBe(200);
  // Waits of at least 10, 20, 40, 80, 80 ms lie between the five starts.
  expect(begun).toHaveLength(5);
  expect((begun[4] ?? 0) - (begun[0] ?? 0)).toBeGreaterThanOrEqual(20 + 40 + 80 + 80 - 10);
});

it('starts nothing after it was stopped', async () => {
  const { nth, starts } = await keep((port) => startServer(port));
  const app = await nth(1);
  await supervised?.stop();
  expect(app.process.signalCode).toBe('SIGKILL');
  await new Promise((resolve) => setTimeout(resolve, 100));
  expect(starts).toHaveLength(1);
});

it('ends what it was about to start when it is stopped', async () => {
  let stopped: Promise<void> | undefined;
  const { nth } = await keep(async (port) => {
    const app = await startServer(port);
    // Stopped after it answers, but before anybody was told.
    stopped = supervised?.stop();
    return app;
  });
  (await nth(1)).process.kill('SIGKILL');
  const second = await nth(2);
  await stopped;
  expect(second.process.signalCode).toBe('SIGKILL');
});

/** Takes every request and answers none. */
const MUTE = `require('http').createServer(() => {}).listen(process.env.PORT, () => process.stdout.write('ready'))`;

it('ends a start that is stopped in the middle of it or never answers, so that the next has the port', async () => {
  const port = await freePort();
  const mute = await startServer(port, MUTE);
  await expect(onceAnswering(mute.process, mute.url, { start: 300, answer: 100 })).rejects.toThrow(
    /does not answer on http/,
  );
  if (mute.process.signalCode === null) await once(mute.process, 'exit');
  expect(mute.process.signalCode).toBe('SIGKILL');
  const next = await startServer(port);
  await onceAnswering(next.process, next.url);
  await next.stop();
  await expect(onceAnswering(next.process, next.url)).rejects.toThrow(/ended while starting/);
});
