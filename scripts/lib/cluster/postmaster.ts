import fs from 'node:fs';
import path from 'node:path';
import { markOf, processesIn, workFolderOf } from '../processes';
import { Refusal } from '../say';
import { must } from './programs';

export interface Postmaster {
  readonly pid: number;
  readonly port: number;
}

/**
 * The server that runs on a cluster, from its lock file. A lock file that was copied with its folder, or left by a machine that
 * went down, may name a process of somebody else: a server is this cluster's own only when it works in its folder.
 */
export function running(cluster: string): Postmaster | undefined {
  const [pid, , , port] = lockLines(cluster).map(Number);
  if (!pid || !port) return undefined;
  return isServerOf(cluster, pid) ? { pid, port } : undefined;
}

const lockFile = (cluster: string): string => path.join(cluster, 'postmaster.pid');

const lockLines = (cluster: string): string[] =>
  fs.existsSync(lockFile(cluster)) ? fs.readFileSync(lockFile(cluster), 'utf8').split('\n') : [];

const isServerOf = (cluster: string, pid: number): boolean =>
  markOf(pid) !== undefined && workFolderOf(pid) === fs.realpathSync(cluster);

/** Takes away a lock file that names a foreign process, so that the server may start; never while anything works in the cluster. */
function dropForeignLock(cluster: string): void {
  const pid = Math.abs(Number(lockLines(cluster)[0]));
  if (!fs.existsSync(lockFile(cluster)) || (pid > 0 && isServerOf(cluster, pid))) return;
  if (processesIn(cluster).length === 0) fs.rmSync(lockFile(cluster), { force: true });
}

/** Settings of every server: loopback only, and a log that holds neither statements nor values that were typed. */
const SETTINGS: readonly string[] = [
  'listen_addresses=127.0.0.1',
  'unix_socket_directories=',
  'max_connections=60',
  'jit=off',
  'logging_collector=on',
  'log_directory=log',
  'log_filename=server-%a.log',
  'log_file_mode=0600',
  'log_rotation_age=1d',
  'log_rotation_size=0',
  'log_truncate_on_rotation=on',
  'log_min_messages=log',
  'log_min_error_statement=panic',
  'log_error_verbosity=terse',
  'log_statement=none',
];

const THROWAWAY: readonly string[] = ['fsync=off', 'synchronous_commit=off', 'full_page_writes=off'];

export interface StartOptions {
  readonly port: number;
  /** False for throwaway clusters of tests, which need not survive a power cut. */
  readonly durable: boolean;
}

/** Starts the server on a cluster and waits until it answers. */
export async function startServer(cluster: string, { port, durable }: StartOptions): Promise<void> {
  const settings = [...SETTINGS, `port=${port}`, ...(durable ? [] : THROWAWAY)];
  const log = path.join(cluster, 'server.log');
  fs.rmSync(log, { force: true });
  const options = settings.map((each) => `-c ${each}`).join(' ');
  const args = ['start', '-w', '-t', '60', '-D', cluster, '-l', log, '-o', options];
  await whenFree(cluster, () => must('pg_ctl', args, { doing: 'Starting the database', cluster }));
}

const ATTEMPTS = 5;

/**
 * Does something that needs a cluster for itself. After a kill -9 the last workers of the old server may hold it for a moment
 * longer, and its lock file names a process that is about to end.
 */
export async function whenFree(cluster: string, work: () => void): Promise<void> {
  for (let attempt = 1; ; attempt += 1) {
    dropForeignLock(cluster);
    try {
      return work();
    } catch (fault) {
      if (attempt === ATTEMPTS) throw explain(fault, cluster);
      await new Promise((resolve) => setTimeout(resolve, 1000));
    }
  }
}

/** Stops the server on a cluster, if it runs. */
export function stopServer(cluster: string, mode: 'fast' | 'immediate' = 'fast'): void {
  if (running(cluster))
    must('pg_ctl', ['stop', '-w', '-m', mode, '-D', cluster], { doing: 'Stopping the database', cluster });
}

/** Where the server says what is wrong: before its log is opened, and after. */
export function logFiles(cluster: string): string[] {
  const folder = path.join(cluster, 'log');
  const daily = fs.existsSync(folder) ? fs.readdirSync(folder).map((name) => path.join(folder, name)) : [];
  return [path.join(cluster, 'server.log'), ...daily].filter((file) => fs.existsSync(file));
}

function explain(fault: unknown, cluster: string): unknown {
  const [latest] = logFiles(cluster).sort((a, b) => fs.statSync(b).mtimeMs - fs.statSync(a).mtimeMs);
  const tail = latest ? fs.readFileSync(latest, 'utf8').split('\n').slice(-15).join('\n') : '';
  if (/No space left on device/i.test(tail))
    return new Refusal('The disk is full: the database cannot start. Free some space and start again.');
  return fault;
}
