import path from 'node:path';
import { say } from './say';

/** Seconds that a file of tests takes at least that is told by itself. */
const TOLD = 6;

/** How long a file of tests took, seconds. */
export interface FileTime {
  readonly file: string;
  readonly seconds: number;
}

const minutes = (seconds: number): string => (seconds / 60).toFixed(1);

/** Says how long files of tests took, the longest first. */
export function tellTimes(what: string, times: readonly FileTime[]): void {
  const sorted = [...times].sort((a, b) => b.seconds - a.seconds);
  const sum = sorted.reduce((total, { seconds }) => total + seconds, 0);
  say(
    `\n${what}: ${minutes(sum)} minutes of ${sorted.length} files, beside each other. Those that take longest:`,
  );
  for (const { file, seconds } of sorted.filter((each) => each.seconds >= TOLD))
    say(`  ${minutes(seconds).padStart(5)}  ${path.relative(process.cwd(), file)}`);
}

/** Does a part of the run. @returns what came of it; how long it took is told */
export async function timedPart<T>(name: string, work: () => Promise<T>): Promise<T> {
  say(`\n— ${name}`);
  const start = performance.now();
  try {
    return await work();
  } finally {
    say(`\n${name}: ${minutes((performance.now() - start) / 1000)} minutes`);
  }
}
