import type { CDPSession } from '@playwright/test';

/** Reads what scripting a page has cost since the counting began, in milliseconds of the processor. */
export type Scripting = () => Promise<number>;

/**
 * Counts the scripting of a page by the browser’s own count and the clock of its thread: what else the
 * machine does meanwhile is not in it, so that a busy machine shows the same figure as one that is not.
 */
export async function countScripting(inspector: CDPSession): Promise<Scripting> {
  await inspector.send('Performance.enable', { timeDomain: 'threadTicks' });
  return async () => {
    const { metrics } = await inspector.send('Performance.getMetrics');
    const spent = metrics.find(({ name }) => name === 'ScriptDuration');
    if (!spent) throw new Error('the browser does not count its scripting');
    return spent.value * 1000;
  };
}

/** What some work costs in scripting, in milliseconds. */
export async function spentOn(scripting: Scripting, work: () => Promise<unknown>): Promise<number> {
  const before = await scripting();
  await work();
  return (await scripting()) - before;
}
