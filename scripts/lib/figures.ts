import { Refusal, say } from './say';

/** One measured figure with the limit it has to keep. */
export interface Figure {
  readonly name: string;
  readonly value: number;
  readonly limit: number;
  readonly unit: string;
}

/** Every figure of this run. */
export const figures: Figure[] = [];

/** Prints a figure, and whether it holds. */
export function tell(figure: Figure): void {
  figures.push(figure);
  const { name, value, limit, unit } = figure;
  say(
    `${value <= limit ? 'holds ' : 'MISSES'}  ${name}: ${value.toFixed(2)}${unit} (at most ${limit}${unit})`,
  );
}

/** The middle one of values. */
export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** Milliseconds that work takes. */
export async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/** Median times of two works done turn and turn about, so that both meet the same machine. */
export async function sideBySide(
  rounds: number,
  a: () => Promise<unknown>,
  b: () => Promise<unknown>,
): Promise<[number, number]> {
  const times: [number[], number[]] = [[], []];
  for (let round = 0; round < rounds; round += 1) {
    times[0].push(await timed(a));
    times[1].push(await timed(b));
  }
  return [median(times[0]), median(times[1])];
}

/** Opens a page of the application to its last byte. */
export async function get(url: string, cookie: string): Promise<void> {
  const response = await fetch(url, { headers: { cookie }, redirect: 'manual' });
  await response.arrayBuffer();
  if (response.status !== 200) throw new Refusal(`${url} answered ${response.status}`);
}
