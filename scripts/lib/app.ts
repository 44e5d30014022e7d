import { spawn, type ChildProcess } from 'node:child_process';
import { appUrlFor, deriveSecret } from '../../src/data/migrate';
import { SERVES } from './lock';
import { Refusal } from './say';

export interface AppOptions {
  readonly ownerUrl: string;
  readonly host: string;
  readonly port: number;
  readonly mode: 'demo' | 'start' | 'test';
  /** Address of the metal price feed, when there is one. */
  readonly metalFeed?: string;
  /** Data folder that it serves, by which it is found when its supervisor was killed. */
  readonly folder?: string;
  /** Where the application's log goes. */
  readonly output?: 'inherit' | 'ignore' | number;
}

/** A running production build. */
export interface App {
  readonly url: string;
  readonly process: ChildProcess;
  readonly stop: () => Promise<void>;
}

/** The application connects as the role that owns nothing; it never learns the owner's address. */
export function appEnvironment({
  ownerUrl,
  mode,
  metalFeed,
  folder,
}: Pick<AppOptions, 'ownerUrl' | 'mode' | 'metalFeed' | 'folder'>): NodeJS.ProcessEnv {
  return {
    ...process.env,
    DATABASE_URL: undefined,
    NODE_ENV: 'production',
    [SERVES]: folder,
    PEWTERER_MODE: mode,
    PEWTERER_METAL_FEED: metalFeed,
    PEWTERER_DATABASE_URL: appUrlFor(ownerUrl),
    PEWTERER_SESSION_SECRET: process.env['SESSION_SECRET'] ?? deriveSecret(ownerUrl, 'sessions'),
  };
}

/**
 * Memory that requests may hold at once, MB. Without a limit the heap is swept so seldom that the application stands at 700 MB after
 * heavy requests that need a third of it; long work has threads with limits of their own.
 */
const HEAP = 320;

/** Starts the production build and waits until it answers from the database. */
export async function startApp(options: AppOptions): Promise<App> {
  const { host, port, output = 'inherit' } = options;
  const child = spawn(
    process.execPath,
    [
      `--max-old-space-size=${HEAP}`,
      'node_modules/next/dist/bin/next',
      'start',
      '-H',
      host,
      '-p',
      String(port),
    ],
    {
      env: appEnvironment(options),
      stdio: ['ignore', output, output],
    },
  );
  const url = `http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`;
  await onceAnswering(child, url);
  return {
    url,
    process: child,
    stop: () =>
      new Promise((resolve) => {
        if (child.exitCode !== null || child.signalCode !== null) return resolve();
        child.removeAllListeners('exit');
        child.once('exit', () => resolve());
        child.kill('SIGTERM');
        setTimeout(() => child.kill('SIGKILL'), 8000).unref();
      }),
  };
}

/** How long to wait for a start, in milliseconds. */
export interface StartPatience {
  readonly start: number;
  /** For one answer: what was stopped in the middle of its start never gives it. */
  readonly answer: number;
}

const USUAL_START: StartPatience = { start: 60_000, answer: 10_000 };

/**
 * Waits until a process that was started answers. One that does not is ended: it would hold the port against the next.
 * @throws Refusal when it ends first, or does not answer in time
 */
export async function onceAnswering(
  child: ChildProcess,
  url: string,
  patience: StartPatience = USUAL_START,
): Promise<void> {
  const hasEnded = () => child.exitCode !== null || child.signalCode !== null;
  const giveUp = Date.now() + patience.start;
  while (!hasEnded()) {
    const ok = await fetch(`${url}/api/health`, { signal: AbortSignal.timeout(patience.answer) }).then(
      (response) => response.ok,
      () => false,
    );
    if (hasEnded()) break;
    if (ok) return;
    if (Date.now() > giveUp) {
      child.kill('SIGKILL');
      throw new Refusal(`The application does not answer on ${url}; its log is above.`);
    }
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
  throw new Refusal(
    `The application ended while starting (exit ${child.exitCode ?? 'by signal'}); its log is above.`,
  );
}
