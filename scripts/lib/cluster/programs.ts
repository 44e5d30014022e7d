import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { Refusal } from '../say';

const PACKAGES = '/usr/lib/postgresql';

export const isRoot = (): boolean => process.getuid?.() === 0;

/**
 * Folder with PostgreSQL's own programs: those of the version that made a cluster, or else the newest that Debian's
 * packages installed. A newer major version cannot open an older cluster, so it is never tried.
 */
function programs(cluster?: string): string {
  const installed = fs.existsSync(PACKAGES)
    ? fs.readdirSync(PACKAGES).filter((name) => fs.existsSync(path.join(PACKAGES, name, 'bin', 'initdb')))
    : [];
  const [newest] = [...installed].sort((a, b) => Number(b) - Number(a));
  if (newest === undefined)
    throw new Refusal('PostgreSQL is not installed: run "apt-get install postgresql".');
  const made = cluster === undefined ? undefined : versionOf(cluster);
  if (made !== undefined && !installed.includes(made))
    throw new Refusal(
      `The database in ${cluster} was made by PostgreSQL ${made}; installed is ${installed.join(', ')}. ` +
        `Install postgresql-${made} and start again; nothing was changed.`,
    );
  return path.join(PACKAGES, made ?? newest, 'bin');
}

/** Major version of the PostgreSQL that made a cluster; undefined where there is no cluster. */
export function versionOf(cluster: string): string | undefined {
  const file = path.join(cluster, 'PG_VERSION');
  return fs.existsSync(file) ? fs.readFileSync(file, 'utf8').trim() : undefined;
}

/** Runs a program as the unprivileged user that PostgreSQL asks for. */
export function asDatabaseUser(program: string, args: readonly string[], input?: string) {
  const [command, all] = isRoot()
    ? ['runuser', ['-u', 'postgres', '--', program, ...args]]
    : [program, [...args]];
  return spawnSync(command, all, { cwd: '/', encoding: 'utf8', stdio: 'pipe', input: input ?? '' });
}

export interface Order {
  /** What is done, for the sentence when it fails. */
  readonly doing: string;
  /** The cluster it is done to; its version chooses the program. */
  readonly cluster?: string;
  /** What the program reads. */
  readonly input?: string;
}

/**
 * Runs one of PostgreSQL's programs.
 * @returns what it printed
 * @throws Refusal when it fails
 */
export function must(program: string, args: readonly string[], { doing, cluster, input }: Order): string {
  const { status, stderr, stdout, error } = asDatabaseUser(
    path.join(programs(cluster), program),
    args,
    input,
  );
  if (status === 0) return stdout;
  const said = `${error?.message ?? ''}${stderr}${stdout}`.trim();
  if (/No space left on device/i.test(said))
    throw new Refusal(`The disk is full: ${doing} failed. Free some space and start again.`);
  throw new Refusal(`${doing} failed: ${said.split('\n').slice(-6).join('\n')}`);
}

/** Whether one of PostgreSQL's programs answers with success. */
export const works = (program: string, args: readonly string[], cluster: string): boolean =>
  asDatabaseUser(path.join(programs(cluster), program), args).status === 0;

/** Number of the user or group that PostgreSQL runs as. */
const idOf = (flag: '-u' | '-g'): number =>
  Number(spawnSync('id', [flag, 'postgres'], { encoding: 'utf8' }).stdout.trim());

/** Gives a folder or file, with all that is in it, to the database's user. */
export function giveAway(place: string): void {
  if (!isRoot()) return;
  const [user, group] = [idOf('-u'), idOf('-g')];
  fs.chownSync(place, user, group);
  if (fs.statSync(place).isDirectory())
    for (const name of fs.readdirSync(place, { recursive: true, encoding: 'utf8' }))
      fs.lchownSync(path.join(place, name), user, group);
}

/** Gives a cluster that was copied by another user back to the database's user, who accepts no other. */
export function takeOver(cluster: string): void {
  if (isRoot() && fs.statSync(path.join(cluster, 'PG_VERSION')).uid !== idOf('-u')) giveAway(cluster);
  if ((fs.statSync(cluster).mode & 0o027) !== 0) fs.chmodSync(cluster, 0o700);
}
