import { spawn, spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { ensureBuilt } from './lib/build';
import { runCommand, say } from './lib/say';
import { checkAll } from './lib/steps';
import { openThrowaway } from './lib/throwaway';

interface Count {
  readonly passed: number;
  readonly failed: number;
}

/** Runs Jest and counts from its own report. */
function jest(report: string): Count {
  const { status } = spawnSync('node_modules/.bin/jest', ['--json', `--outputFile=${report}`], {
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const found = fs.existsSync(report)
    ? (JSON.parse(fs.readFileSync(report, 'utf8')) as {
        numPassedTests: number;
        numFailedTests: number;
        numFailedTestSuites: number;
      })
    : undefined;
  if (!found) return { passed: 0, failed: 1 };
  const failed = Math.max(found.numFailedTests, found.numFailedTestSuites, status === 0 ? 0 : 1);
  return { passed: found.numPassedTests, failed };
}

/** Drives the production build in Chromium: two studios that are empty, one full of demo data. */
async function browser(report: string): Promise<Count> {
  const empty = await openThrowaway();
  const firstDay = await openThrowaway();
  const demo = await openThrowaway({ demoUntil: new Date() });
  try {
    const env = {
      ...process.env,
      PEWTERER_EMPTY_URL: (await empty.serve()).url,
      PEWTERER_FIRST_DAY_URL: (await firstDay.serve()).url,
      PEWTERER_DEMO_URL: (await demo.serve('demo')).url,
      PLAYWRIGHT_JSON_OUTPUT_NAME: report,
    };
    // Not spawnSync: the metal price feed answers from this process meanwhile.
    const child = spawn(
      'node_modules/.bin/playwright',
      ['test', '--reporter=list,json', ...process.argv.slice(3)],
      { stdio: 'inherit', env },
    );
    const status = await new Promise<number | null>((resolve) => child.once('exit', resolve));
    const found = fs.existsSync(report)
      ? (JSON.parse(fs.readFileSync(report, 'utf8')) as {
          stats: { expected: number; unexpected: number };
        })
      : undefined;
    if (!found) return { passed: 0, failed: 1 };
    const { expected, unexpected } = found.stats;
    return { passed: expected, failed: Math.max(unexpected, status === 0 ? 0 : 1) };
  } finally {
    await empty.destroy();
    await firstDay.destroy();
    await demo.destroy();
  }
}

/** "./run test" runs everything; "./run test jest" or "./run test browser" only that, the latter also for files by name. */
runCommand(async () => {
  const only = process.argv[2];
  const wanted = (part: string) => only === undefined || only === part;
  if (wanted('check')) checkAll();
  say('\n— Build');
  ensureBuilt();
  const scratch = fs.mkdtempSync(path.join(os.tmpdir(), 'pewterer-report-'));
  const counts: Count[] = [];
  if (wanted('jest')) {
    say('\n— Unit, integration and system tests');
    counts.push(jest(path.join(scratch, 'jest.json')));
  }
  if (wanted('browser')) {
    say('\n— Browser tests');
    counts.push(await browser(path.join(scratch, 'browser.json')));
  }
  fs.rmSync(scratch, { recursive: true, force: true });
  const sum = (pick: (count: Count) => number) => counts.reduce((total, count) => total + pick(count), 0);
  const failed = sum((count) => count.failed);
  say(`\n${sum((count) => count.passed)} passed, ${failed} failed`);
  process.exitCode = failed > 0 ? 1 : 0;
});
