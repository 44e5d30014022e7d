import { spawnSync } from 'node:child_process';
import { Refusal, say } from './say';

/** Runs one step of a longer command with its output shown; a failure ends the command with a sentence. */
export function step(
  name: string,
  program: string,
  args: readonly string[],
  env: Readonly<Record<string, string>> = {},
): void {
  say(`\n— ${name}`);
  const { status } = spawnSync(program, args, { stdio: 'inherit', env: { ...process.env, ...env } });
  if (status !== 0) throw new Refusal(`${name} failed.`);
}

const bin = (name: string) => `node_modules/.bin/${name}`;

/** Format, lint, types and import rules. */
export function checkAll(): void {
  step('Format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
  step('Lint', bin('eslint'), ['--max-warnings', '0', '.']);
  step('Types', bin('tsc'), ['--noEmit']);
  step('Import rules', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'src']);
  step('Rooms', bin('depcruise'), ['--config', '.dependency-cruiser.rooms.cjs', 'src']);
}
