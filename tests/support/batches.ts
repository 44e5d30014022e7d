import { withTechnique } from '../../src/core/pattern/addTechnique';
import { swapThroughout } from '../../src/core/pattern/swapWires';
import { EMPTY_COMPOSITION } from '../../src/core/pattern/composition';
import { techniqueOf } from '../../src/core/techniques/registry';
import type { AnyTechnique } from '../../src/core/technique/technique';
import { composePattern } from '../../src/studio/patterns/composePattern';
import { listSpecs } from '../../src/studio/catalogue/wireSpecs';
import { EMPTY_LINE, type BatchLineInput } from '../../src/studio/batches/planBatch.input';
import { showBatch, type BatchView } from '../../src/studio/batches/batches';
import { planCutting } from '../../src/studio/cuttingPlan/planCutting';
import type { StudioSession } from '../../src/studio/kernel/useCase';
import { done, newKey, openStudio, receive, simplePattern } from './studio';

/** A line of a batch as its form sends it. */
export const line = (pattern: number, count = 1, more: Partial<BatchLineInput> = {}): BatchLineInput => ({
  ...EMPTY_LINE,
  pattern: String(pattern),
  count: String(count),
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
export async function studioWithPattern(kind?: string) {
  const session = await openStudio();
  const wire = await receive(session);
  const { number: pattern } = await simplePattern(session, kind ? { kind } : {});
  return { session, wire, pattern };
}

/** A batch that must be there. */
export async function view(session: StudioSession, number: number): Promise<BatchView> {
  const shown = await showBatch(session, number);
  if (!shown) throw new Error('the batch is there');
  return shown;
}

/** Watches a batch until its planning rests. */
export async function settled(session: StudioSession, number: number): Promise<BatchView> {
  for (;;) {
    const shown = await view(session, number);
    if (shown.planning !== 'working') return shown;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}

/** Plans the cuts of a batch. */
export async function planned(session: StudioSession, number: number): Promise<BatchView> {
  done(await planCutting(session, newKey(), number));
  return settled(session, number);
}

/** A pattern that is composed of one technique, in wires that the studio has. */
export async function composed(session: StudioSession, technique: string, name: string): Promise<number> {
  await receive(session, { metal: 'copper' });
  await receive(session, { metal: 'copper', gaugeNumber: '28', temper: 'dead soft' });
  const specs = Object.fromEntries((await listSpecs(session)).map((spec) => [spec.id, spec]));
  const frame = withTechnique(EMPTY_COMPOSITION, techniqueOf(technique) as AnyTechnique, techniqueOf, specs);
  const { composition } = swapThroughout(frame, { metal: 'copper' }, specs);
  return done(
    await composePattern(session, newKey(), null, {
      name,
      kind: 'pendant',
      notes: '',
      composition,
      parts: [],
    }),
  ).number;
}

/** A pattern that is composed for a stone. */
export const composedFrame = (session: StudioSession, name = 'Weir drop'): Promise<number> =>
  composed(session, 'bundle-frame', name);
