import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { ensureBuilt } from './lib/build';
import { runCommand, say } from './lib/say';
import { checkAll, ended } from './lib/steps';
import { tellTimes, timedPart } from './lib/testTimes';
import { openThrowaway } from './lib/throwaway';
import { seedFairDay } from '../tests/support/seedFairDay';

interface Count {
  readonly passed: number;
  readonly failed: number;
}

interface JestReport {
  readonly numPassedTests: number;
  readonly numFailedTests: number;
  readonly numFailedTestSuites: number;
  readonly testResults: readonly {
    readonly name: string;
    readonly startTime: number;
    readonly endTime: number;
  }[];
}

interface BrowserReport {
  readonly stats: { readonly expected: number; readonly unexpected: number };
  readonly suites: readonly BrowserSuite[];
}

interface BrowserSuite {
  readonly file: string;
  readonly suites?: readonly BrowserSuite[];
  readonly specs: readonly {
    readonly tests: readonly { readonly results: readonly { readonly duration: number }[] }[];
  }[];
}

const reportAt = (file: string): unknown =>
  fs.existsSync(file) ? JSON.parse(fs.readFileSync(file, 'utf8')) : undefined;

/** Runs Jest and counts from its own report. */
async function jest(report: string): Promise<Count> {
  const { status } = await ended(
    'node_modules/.bin/jest',
    ['--json', `--outputFile=${report}`, ...process.argv.slice(3)],
    {
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  );
  const found = reportAt(report) as JestReport | undefined;
  if (!found) return { passed: 0, failed: 1 };
  tellTimes(
    'Unit, integration and system tests',
    found.testResults.map(({ name, startTime, endTime }) => ({
      file: name,
      seconds: (endTime - startTime) / 1000,
    })),
  );
  const failed = Math.max(found.numFailedTests, found.numFailedTestSuites, status === 0 ? 0 : 1);
  return { passed: found.numPassedTests, failed };
}

/** Milliseconds that the tests of a file took. */
const spentIn = ({ suites = [], specs }: BrowserSuite): number =>
  suites.reduce((sum, each) => sum + spentIn(each), 0) +
  specs
    .flatMap(({ tests }) => tests.flatMap(({ results }) => results))
    .reduce((sum, { duration }) => sum + duration, 0);

/** Drives the production build in Chromium: two studios that are empty, one full of demo data, one on its way to the fair. */
async function browser(report: string): Promise<Count> {
  const empty = await openThrowaway();
  const firstDay = await openThrowaway();
  const demo = await openThrowaway({ demoUntil: new Date() });
  const fair = await openThrowaway();
  await seedFairDay(fair.ownerUrl);
  try {
    const env = {
      ...process.env,
      PEWTERER_EMPTY_URL: (await empty.serve()).url,
      PEWTERER_FIRST_DAY_URL: (await firstDay.serve()).url,
      PEWTERER_DEMO_URL: (await demo.serve('demo')).url,
      PEWTERER_FAIR_URL: (await fair.serve()).url,
      PEWTERER_FAIR_OWNER_URL: fair.ownerUrl,
      PLAYWRIGHT_JSON_OUTPUT_NAME: report,
    };
    // The metal price feed answers from this process meanwhile.
    const { status } = await ended(
      'node_modules/.bin/playwright',
      ['test', '--reporter=list,json', ...process.argv.slice(3)],
      { stdio: 'inherit', env },
    );
    const found = reportAt(report) as BrowserReport | undefined;
    if (!found) return { passed: 0, failed: 1 };
    tellTimes(
      'Browser tests',
      found.suites.map((each) => ({ file: each.file, seconds: spentIn(each) / 1000 })),
    );
    const { expected, unexpected } = found.stats;
    return { passed: expected, failed: Math.max(unexpected, status === 0 ? 0 : 1) };
  } finally {
    await empty.destroy();
    await firstDay.destroy();
    await demo.destroy();
    await fair.destroy();
  }
}

/** "./run test" runs everything; "./run test jest" or "./run test browser" only that, with what else is said of which tests. */
runCommand(async () => {
  const only = process.argv[2];
  const wanted = (part: string) => only === undefined || only === part;
  if (wanted('check')) await timedPart('Checks', checkAll);
  await timedPart('Build', async () => ensureBuilt());
  const scratch = fs.mkdtempSync(path.join(os.tmpdir(), 'pewterer-report-'));
  const counts: Count[] = [];
  if (wanted('jest'))
    counts.push(
      await timedPart('Unit, integration and system tests', () => jest(path.join(scratch, 'jest.json'))),
    );
  if (wanted('browser'))
    counts.push(await timedPart('Browser tests', () => browser(path.join(scratch, 'browser.json'))));
  fs.rmSync(scratch, { recursive: true, force: true });
  const sum = (pick: (count: Count) => number) => counts.reduce((total, count) => total + pick(count), 0);
  const failed = sum((count) => count.failed);
  say(`\n${sum((count) => count.passed)} passed, ${failed} failed`);
  process.exitCode = failed > 0 ? 1 : 0;
});
