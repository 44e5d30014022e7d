import type { App } from './app';
import { say } from './say';

/** How the application is watched, in milliseconds. */
export interface Patience {
  /** Between two questions whether it answers. */
  readonly every: number;
  /** For one answer. */
  readonly answer: number;
  /** Unanswered questions in a row after which it is started anew. */
  readonly misses: number;
  /** Wait before the first new start; it doubles with each that does not last. */
  readonly backOff: number;
  readonly longestBackOff: number;
  /** How long a start has to last to count as healthy. */
  readonly healthy: number;
}

export const USUAL_PATIENCE: Patience = {
  every: 5000,
  answer: 15_000,
  misses: 3,
  backOff: 500,
  longestBackOff: 60_000,
  healthy: 120_000,
};

/** An application that is kept running. */
export interface Supervised {
  readonly stop: () => Promise<void>;
}

/**
 * Keeps an application running: starts it anew when it dies or no longer answers, ever more slowly while it does not last.
 * @param first the application as it was started
 * @param start starts it again
 */
export function supervise(
  first: App,
  start: () => Promise<App>,
  patience: Patience = USUAL_PATIENCE,
): Supervised {
  let app: App | undefined;
  let stopping = false;
  let backOff = patience.backOff;
  let startedAt = 0;
  let misses = 0;
  let timer: NodeJS.Timeout | undefined;
  /** A start that is under way; what comes of it after the end is stopped at once. */
  let starting: Promise<void> = Promise.resolve();

  const hold = (next: App) => {
    app = next;
    startedAt = Date.now();
    misses = 0;
    const { process: child } = next;
    const onEnd = () => {
      if (app === next) app = undefined;
      if (stopping) return;
      say(
        `\nThe application ended by itself (${child.signalCode ?? `exit ${child.exitCode}`}); starting it again …`,
      );
      again();
    };
    if (child.exitCode !== null || child.signalCode !== null) onEnd();
    else child.once('exit', onEnd);
  };

  const again = () => {
    if (Date.now() - startedAt > patience.healthy) backOff = patience.backOff;
    const wait = backOff;
    backOff = Math.min(patience.longestBackOff, 2 * backOff);
    timer = setTimeout(() => {
      starting = start().then(
        (next) => (stopping ? next.stop() : hold(next)),
        (fault: unknown) => {
          if (stopping) return;
          say(fault instanceof Error ? fault.message : String(fault));
          again();
        },
      );
    }, wait);
  };

  const ask = async () => {
    const asked = app;
    if (!asked) return;
    const answered = await fetch(`${asked.url}/api/health`, {
      signal: AbortSignal.timeout(patience.answer),
    }).then(
      () => true,
      () => false,
    );
    if (app !== asked) return;
    misses = answered ? 0 : misses + 1;
    if (misses < patience.misses) return;
    say('\nThe application no longer answers.');
    asked.process.kill('SIGKILL');
  };

  let asking = false;
  const watching = setInterval(() => {
    if (asking) return;
    asking = true;
    void ask().finally(() => (asking = false));
  }, patience.every);

  hold(first);
  return {
    stop: async () => {
      stopping = true;
      clearInterval(watching);
      clearTimeout(timer);
      await starting;
      await app?.stop();
    },
  };
}
