import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { Refusal, say } from './say';

const SOURCES = [
  'src',
  'public',
  'package-lock.json',
  'next.config.ts',
  'postcss.config.mjs',
  'tsconfig.json',
];
const MARK = path.join('.next', 'built-from');

function* files(place: string): Generator<string> {
  if (!fs.existsSync(place)) return;
  if (fs.statSync(place).isFile()) yield place;
  else for (const name of fs.readdirSync(place).sort()) yield* files(path.join(place, name));
}

/** A digest of everything the build depends on; tests do not count. */
function digest(): string {
  const hash = createHash('sha256').update(process.version);
  for (const place of SOURCES) {
    for (const file of files(place)) {
      if (/\.test\.tsx?$/.test(file)) continue;
      hash.update(file).update(fs.readFileSync(file));
    }
  }
  return hash.digest('hex');
}

/** Builds the application for production, unless what is built is what is there. */
export function ensureBuilt(): void {
  const wanted = digest();
  if (fs.existsSync(MARK) && fs.readFileSync(MARK, 'utf8') === wanted) return;
  say('Building …');
  fs.rmSync(MARK, { force: true });
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'build'],
    { encoding: 'utf8' },
  );
  if (status !== 0) throw new Refusal(`The build failed:\n${stdout}${stderr}`);
  fs.writeFileSync(MARK, wanted);
}
