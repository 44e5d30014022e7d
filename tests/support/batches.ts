import type { BatchLineInput } from '../../src/studio/batches/planBatch.input';
import { openStudio, receive, simplePattern } from './studio';

/** A line of a batch as its form sends it. */
export const line = (pattern: number, count = 1, more: Partial<BatchLineInput> = {}): BatchLineInput => ({
  pattern: String(pattern),
  count: String(count),
  stone: '',
  ring: '',
  bead: '',
  metal: '',
  ...more,
});

/** A batch as its form sends it. */
export const batch = (lines: readonly BatchLineInput[], more: object = {}) => ({
  name: 'Spring fair',
  dueOn: '2026-12-05',
  notes: '',
  lines,
  ...more,
});

/** A studio with a spool of 10 m and a pattern of one cut of 100 mm and two beads. */
export async function studioWithPattern() {
  const session = await openStudio();
  const wire = await receive(session);
  const { number: pattern } = await simplePattern(session);
  return { session, wire, pattern };
}
