import { ok, refuse, type Result } from '../result';
import { formatDiameter, parseLength, um, type Micrometres } from '../units/length';

/** Something of the studio that wire is bent round: a mandrel, a dowel, a knitting needle. */
export interface Round {
  /** What it is called; its diameter when it has no name. */
  readonly name: string;
  readonly diameter: Micrometres;
}

/** The most rounds that a studio lists, and the longest name of one. */
export const MOST_ROUNDS = 60;
export const LONGEST_ROUND = 60;

const LARGEST = 500_000;

/** One line: “ring stick: 17.3 mm”, or only “6 mm”. */
function readRound(line: string): Result<Round> {
  const colon = line.lastIndexOf(':');
  const typed = line.slice(colon + 1);
  const read = parseLength(typed, 'mm');
  if (!read.ok) return refuse(`“${line.slice(0, 60)}”: ${read.error}`);
  if (read.value <= 0 || read.value > LARGEST)
    return refuse(`“${line.slice(0, 60)}” was given; a round is more than 0 and at most 500 mm thick.`);
  const name = colon < 0 ? formatDiameter(read.value) : line.slice(0, colon).trim();
  return name.length > LONGEST_ROUND
    ? refuse(`“${name.slice(0, 40)}…” has ${name.length} characters; ${LONGEST_ROUND} are allowed.`)
    : ok({ name: name || formatDiameter(read.value), diameter: read.value });
}

/**
 * Reads the rounds of a studio, one a line.
 * @returns what is wrong with the first line that is not right
 */
export function readRounds(typed: string): Result<readonly Round[]> {
  const lines = typed
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
  if (lines.length > MOST_ROUNDS)
    return refuse(`${lines.length} rounds were given; ${MOST_ROUNDS} are allowed.`);
  const rounds: Round[] = [];
  for (const line of lines) {
    const read = readRound(line);
    if (!read.ok) return read;
    rounds.push(read.value);
  }
  return ok(rounds);
}

/** Rounds as they are typed: what {@link readRounds} reads. */
export const writeRounds = (rounds: readonly Round[]): string =>
  rounds.map(({ name, diameter }) => `${name}: ${formatDiameter(diameter)}`).join('\n');

/** Of what it was bent round, what a turn may come to: wire that springs open further, or closes, was not bent round that. */
const COMES = { from: 0.9, to: 1.6 };

/** What a turn may come to that was bent round something. @param on diameter of that */
export const mayCome = (on: Micrometres): { readonly from: Micrometres; readonly to: Micrometres } => ({
  from: um(Math.round(on * COMES.from)),
  to: um(Math.round(on * COMES.to)),
});

/** What a turn round something comes to when it is let go. */
export interface RoundTried {
  readonly round: Round;
  /** Its inside diameter then. */
  readonly inside: Micrometres;
  /** How much wider than wanted that is; negative when it is narrower. */
  readonly off: number;
}

/**
 * Which of the studio’s rounds give an inside diameter once the wire has sprung open, the nearest first.
 * @param spring by how much it does, as a part of the diameter
 * @param most of them
 */
export function roundsFor(
  wanted: Micrometres,
  rounds: readonly Round[],
  spring: number,
  most = 3,
): readonly RoundTried[] {
  return rounds
    .map((round) => {
      const inside = um(Math.round(round.diameter * (1 + spring)));
      return { round, inside, off: inside - wanted };
    })
    .toSorted((one, other) => Math.abs(one.off) - Math.abs(other.off))
    .slice(0, most);
}
