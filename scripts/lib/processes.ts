import fs from 'node:fs';

/** A process as it can be told from a later one with the same number. */
export interface ProcessMark {
  readonly pid: number;
  /** When it started, in ticks since the machine did, and which start of the machine that was. */
  readonly started: string;
}

const read = (file: string): string | undefined => {
  try {
    return fs.readFileSync(file, 'utf8');
  } catch {
    return undefined;
  }
};

const bootId = (): string => read('/proc/sys/kernel/random/boot_id')?.trim() ?? '';

/** Fields of a process after its name, which may hold spaces and brackets: the first is its state. */
const fieldsOf = (pid: number): string[] | undefined =>
  read(`/proc/${pid}/stat`)
    ?.replace(/^.*\) /s, '')
    .split(' ');

/** Position of the start time in those fields (proc(5): field 22 of the whole line). */
const START_TIME = 19;

/** What a living process is told by; undefined for one that has ended. */
export function markOf(pid: number): ProcessMark | undefined {
  const fields = fieldsOf(pid);
  if (!fields || fields[0] === 'Z') return undefined;
  return { pid, started: `${bootId()} ${fields[START_TIME]}` };
}

/** Whether the very process that was marked is still there: neither ended nor replaced by another of its number. */
export const isThere = ({ pid, started }: ProcessMark): boolean => markOf(pid)?.started === started;

/** The folder a process works in, where the system tells. */
export function workFolderOf(pid: number): string | undefined {
  try {
    return fs.readlinkSync(`/proc/${pid}/cwd`);
  } catch {
    return undefined;
  }
}

/** Position of the parent's number in those fields. */
const PARENT = 1;

/** Living processes that were started with a variable of this value, each with its parent. */
export function processesWith(
  name: string,
  value: string,
): { readonly pid: number; readonly parent: number }[] {
  return everyProcess().flatMap((pid) => {
    const isIt = read(`/proc/${pid}/environ`)?.split('\0').includes(`${name}=${value}`);
    return isIt && markOf(pid) ? [{ pid, parent: Number(fieldsOf(pid)?.[PARENT]) }] : [];
  });
}

/** The command that a process was started with. */
export const commandOf = (pid: number): string => read(`/proc/${pid}/cmdline`)?.replaceAll('\0', ' ') ?? '';

const everyProcess = (): number[] => fs.readdirSync('/proc').map(Number).filter(Number.isInteger);

/** Every process that works in a folder. */
export function processesIn(folder: string): number[] {
  const place = fs.realpathSync(folder);
  return everyProcess().filter((pid) => workFolderOf(pid) === place && markOf(pid) !== undefined);
}
