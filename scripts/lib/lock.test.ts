import { spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { isServed, leaveLock, SERVES, takeLock } from './lock';
import { isThere, markOf, processesWith } from './processes';

let folder = '';
const children: ChildProcess[] = [];
const file = () => path.join(folder, 'running.json');

beforeEach(() => (folder = fs.mkdtempSync(path.join(os.tmpdir(), 'pewterer-lock-'))));
afterEach(() => {
  jest.restoreAllMocks();
  children.splice(0).forEach((child) => child.kill('SIGKILL'));
  fs.rmSync(folder, { recursive: true, force: true });
});

function sleeper(env: Readonly<Record<string, string>> = {}): number {
  const child = spawn('sleep', ['600'], { env: { ...process.env, ...env } });
  children.push(child);
  return child.pid ?? 0;
}

it.each([
  ['empty', ''],
  ['cut short', '{"pid":1,"star'],
  ['of another kind', '7'],
  ['null', 'null'],
  ['naming a process that lives, without saying which', '{"pid":1}'],
])('takes a lock file that is %s', async (_, text) => {
  fs.writeFileSync(file(), text);
  expect(isServed(folder)).toBe(false);
  await takeLock(folder);
  expect(isServed(folder)).toBe(true);
  leaveLock(folder);
  expect(isServed(folder)).toBe(false);
});

it('is not fooled by a process that has the number of an old one, and leaves it alone', async () => {
  const pid = sleeper();
  fs.writeFileSync(file(), JSON.stringify({ pid, started: 'an-earlier-boot 12345' }));
  await takeLock(folder);
  expect(markOf(pid)).toBeDefined();
});

it('refuses where a supervisor lives, and ends an application whose supervisor was killed, whatever the lock file says', async () => {
  const supervisor = markOf(sleeper());
  const [app, foreign] = [
    markOf(sleeper({ [SERVES]: folder })),
    markOf(sleeper({ [SERVES]: `${folder}-other` })),
  ];
  fs.writeFileSync(file(), JSON.stringify(supervisor));
  await expect(takeLock(folder)).rejects.toThrow(`already running here (process ${supervisor?.pid})`);
  expect(app && isThere(app)).toBe(true);
  fs.truncateSync(file(), 5);
  await takeLock(folder);
  expect(app && isThere(app)).toBe(false);
  expect(foreign && isThere(foreign)).toBe(true);
});

it('refuses where the lock file is lost but the application has a supervisor still', async () => {
  const code = `require('child_process').spawn('sleep', ['600'], { env: { ${SERVES}: process.argv[2] }, stdio: 'inherit' }); process.stdout.write('ready')`;
  const supervisor = spawn(process.execPath, ['-e', code, 'serve.ts', folder], {
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  children.push(supervisor);
  await new Promise((resolve) => supervisor.stdout.once('data', resolve));
  await expect(takeLock(folder)).rejects.toThrow(`already running here (process ${supervisor.pid})`);
  for (const { pid } of processesWith(SERVES, folder)) process.kill(pid, 'SIGKILL');
});

it('goes on without its note when the disk is full, and tells every other fault', async () => {
  const failWith = (code: string) =>
    jest.spyOn(fs, 'writeFileSync').mockImplementationOnce(() => {
      throw Object.assign(new Error(code), { code });
    });
  failWith('ENOSPC');
  await takeLock(folder);
  failWith('EROFS');
  await expect(takeLock(folder)).rejects.toThrow('EROFS');
});
