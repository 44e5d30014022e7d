import fs from 'node:fs';
import path from 'node:path';
import { commandOf, isThere, markOf, processesWith, type ProcessMark } from './processes';
import { Refusal } from './say';

/** Variable that an application is started with: the data folder that it serves. */
export const SERVES = 'PEWTERER_SERVES';

const fileIn = (folder: string): string => path.join(folder, 'running.json');

/** The supervisor that the lock file names; undefined when it is missing, empty, cut short or names no certain process. */
function readLock(folder: string): ProcessMark | undefined {
  try {
    const read: unknown = JSON.parse(fs.readFileSync(fileIn(folder), 'utf8'));
    const { pid, started } = (read ?? {}) as Partial<Record<keyof ProcessMark, unknown>>;
    return typeof pid === 'number' && typeof started === 'string' ? { pid, started } : undefined;
  } catch {
    return undefined;
  }
}

/** Whether a studio is served from a data folder by a supervisor that lives. */
export function isServed(folder: string): boolean {
  const supervisor = readLock(folder);
  return supervisor !== undefined && isThere(supervisor);
}

const isSupervisor = (pid: number): boolean => /\bserve\.ts\b/.test(commandOf(pid));

/**
 * Takes the lock of a data folder for this process. An application whose supervisor was killed is ended first; a process that
 * merely has the number of one of ours, after the machine went down, is left alone.
 * @throws Refusal when another supervisor serves the folder
 */
export async function takeLock(folder: string): Promise<void> {
  const named = readLock(folder);
  const apps = processesWith(SERVES, folder);
  const supervisor =
    named && isThere(named) ? named.pid : apps.map(({ parent }) => parent).find((pid) => isSupervisor(pid));
  if (supervisor !== undefined)
    throw new Refusal(
      `Pewterer is already running here (process ${supervisor}). Stop it with Ctrl-C in its window first.`,
    );
  for (const { pid } of apps) {
    const mark = markOf(pid);
    if (!mark) continue;
    process.kill(pid, 'SIGKILL');
    while (isThere(mark)) await new Promise((resolve) => setTimeout(resolve, 50));
  }
  try {
    fs.writeFileSync(fileIn(folder), JSON.stringify(markOf(process.pid)));
  } catch (fault) {
    // On a full disk the studio can still be read; its application is found without the note.
    if ((fault as NodeJS.ErrnoException).code !== 'ENOSPC') throw fault;
  }
}

export const leaveLock = (folder: string): void => fs.rmSync(fileIn(folder), { force: true });
