import { spawn, type SpawnOptions } from 'node:child_process';
import { Refusal, say } from './say';

const bin = (name: string) => `node_modules/.bin/${name}`;

/** One of several checks. */
interface Check {
  readonly name: string;
  readonly program: string;
  readonly args: readonly string[];
}

const CHECKS: readonly Check[] = [
  // The longest first: the others fit beside it.
  { name: 'Lint', program: bin('eslint'), args: ['--max-warnings', '0', '.'] },
  { name: 'Types', program: bin('tsc'), args: ['--noEmit'] },
  { name: 'Format', program: bin('prettier'), args: ['--check', '--log-level', 'warn', '.'] },
  { name: 'Import rules', program: bin('depcruise'), args: ['--config', '.dependency-cruiser.cjs', 'src'] },
  { name: 'Rooms', program: bin('depcruise'), args: ['--config', '.dependency-cruiser.rooms.cjs', 'src'] },
];

/** Checks that run beside each other: one for each core of a small machine. */
const BESIDE = 2;

interface Ended {
  readonly status: number | null;
  readonly output: string;
}

/** Runs a program to its end. @returns what it said, and how it ended; it says nothing when its output is inherited */
export function ended(program: string, args: readonly string[], options: SpawnOptions = {}): Promise<Ended> {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, { stdio: ['ignore', 'pipe', 'pipe'], ...options });
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream?.on('data', (chunk: Buffer) => {
        output += chunk.toString();
      });
    child.once('error', reject);
    child.once('close', (status) => resolve({ status, output }));
  });
}

/** Format, lint with types, types, import rules and rooms. @throws Refusal when one of them fails; all have run then */
export async function checkAll(): Promise<void> {
  const waiting = [...CHECKS];
  const failed: string[] = [];
  const work = async () => {
    for (let check = waiting.shift(); check; check = waiting.shift()) {
      const { name, program, args } = check;
      const { status, output } = await ended(program, args);
      say(`\n— ${name}`);
      if (output.trim() !== '') say(output.trim());
      if (status !== 0) failed.push(name);
    }
  };
  await Promise.all(Array.from({ length: BESIDE }, work));
  if (failed.length > 0) throw new Refusal(`${failed.join(', ')}: failed.`);
}
