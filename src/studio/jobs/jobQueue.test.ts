import { Worker } from 'node:worker_threads';
import { JobQueue, type Task } from './jobQueue';
import type { QueueRules } from './queues';

/** A thread that answers with what it is told, breaks, ends, or works on for ever. */
const THREAD = `
  const { parentPort } = require('node:worker_threads');
  parentPort.on('message', ({ input, stop }) => {
    if (input === 'break') throw new Error('snapped');
    if (input === 'fault') return parentPort.postMessage({ fault: new Error('no wire') });
    if (input === 'end') process.exit(3);
    while (input === 'for ever');
    while (input === 'until stopped' && Atomics.load(new Int32Array(stop), 0) === 0);
    parentPort.postMessage({ result: input });
  });`;

const RULES: QueueRules = { hardLimitMs: 60_000, mostOfOne: 3, mostOfAll: 5 };
const threads: Worker[] = [];
const queue = (rules: Partial<QueueRules> = {}) =>
  new JobQueue({ ...RULES, ...rules }, () => {
    const worker = new Worker(THREAD, { eval: true });
    threads.push(worker);
    return worker;
  });
const task = (about: unknown): Task => ({ job: 'test', input: about, stop: new SharedArrayBuffer(4) });
const callOff = ({ stop }: Task) => Atomics.store(new Int32Array(stop), 0, 1);

afterEach(() => Promise.all(threads.splice(0).map((thread) => thread.terminate())));

it('does one thing after the other, everybody in turn', async () => {
  const jobs = queue();
  const order: string[] = [];
  const first = task('until stopped');
  const all = [jobs.run('a', first)];
  for (const about of ['a2', 'a3', 'b1', 'b2'])
    all.push(jobs.run(about.charAt(0), task(about)).then((came) => order.push(String(came))));
  callOff(first);
  await Promise.all(all);
  expect(order).toEqual(['a2', 'b1', 'a3', 'b2']);
  expect(threads).toHaveLength(1);
});

it('refuses in a sentence what would wait too long, of one and of all', async () => {
  const jobs = queue();
  const first = task('until stopped');
  const all = [jobs.run('a', first)];
  for (const who of ['a', 'a', 'a', 'b']) all.push(jobs.run(who, task(who)));
  expect(() => jobs.run('a', task('one too many'))).toThrow(/Too much is being worked out/);
  all.push(jobs.run('b', task('b')));
  expect(() => jobs.run('c', task('one too many'))).toThrow(/Too much is being worked out/);
  callOff(first);
  await Promise.all(all);
  expect(await jobs.run('c', task('again'))).toBe('again');
});

it('ends what takes longer than it may, and goes on with the next in a thread of its own', async () => {
  const jobs = queue({ hardLimitMs: 300 });
  const endless = jobs.run('a', task('for ever'));
  const next = jobs.run('b', task('next'));
  await expect(endless).rejects.toThrow('test was ended after 300 ms');
  expect(await next).toBe('next');
  expect(threads).toHaveLength(2);
});

it.each([
  ['break', 'snapped'],
  ['fault', 'no wire'],
  ['end', 'the thread ended with 3'],
])('what breaks fails alone: %s', async (about, message) => {
  const jobs = queue();
  const broken = jobs.run('a', task(about));
  const next = jobs.run('a', task('next'));
  await expect(broken).rejects.toThrow(message);
  expect(await next).toBe('next');
});
