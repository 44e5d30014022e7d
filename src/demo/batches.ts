import { addDays, formatISO } from 'date-fns';
import { tag } from '@/core/tag';
import { showCuttingTable } from '@/studio/cuttingTable/cuttingTable';
import { cutWire } from '@/studio/cuttingTable/cutWire';
import { logMiscut } from '@/studio/cuttingTable/logMiscut';
import { beginPlanning, workOutCutting } from '@/studio/cuttingPlan/planCutting';
import { planBatch } from '@/studio/batches/planBatch';
import { EMPTY_LINE, type BatchLineInput } from '@/studio/batches/planBatch.input';
import type { StudioSession } from '@/studio/kernel/useCase';
import { patternChoices } from '@/studio/patterns/patterns';
import { keyOf } from './keyOf';
import { taken } from './taken';

interface DemoBatch {
  readonly name: string;
  readonly inDays: number;
  readonly notes: string;
  readonly lines: readonly (readonly [pattern: string, count: number, more?: Partial<BatchLineInput>])[];
  /** Whether its cuts are planned, its stock is set aside, and half of its wires are cut. */
  readonly begun: boolean;
}

/** What the studio is working towards: a fair in ten days, and an order after it. */
const DEMO_BATCHES: readonly DemoBatch[] = [
  {
    name: 'Harvest fair',
    inDays: 10,
    notes: 'The small table by the gate. Rings in the front row.',
    lines: [
      ['Gatehouse ring', 6],
      ['Sundial bezel', 3],
      ['Hedgerow hoops', 4],
      ['Snail cage', 5],
      ['Ladder channel cuff', 2, { metal: 'sterling' }],
    ],
    begun: true,
  },
  {
    name: 'Order for the mill shop',
    inDays: 24,
    notes: '',
    lines: [
      ['Gatehouse ring', 12, { ring: 'US 8' }],
      ['Rime halo', 4],
    ],
    begun: false,
  },
];

/** Plans the batches of the demonstration; a run that was cut off goes on where it stopped. */
export async function planDemoBatches(session: StudioSession): Promise<void> {
  const patterns = await patternChoices(session);
  for (const { name, inDays, notes, lines, begun } of DEMO_BATCHES) {
    const { number } = taken(
      await planBatch(session, keyOf(`batch ${name}`), null, {
        name,
        dueOn: formatISO(addDays(session.now, inDays), { representation: 'date' }),
        notes,
        lines: lines.map(([called, count, more = {}]) => ({
          ...EMPTY_LINE,
          pattern: String(patterns.find((pattern) => pattern.name === called)?.number ?? 0),
          count: String(count),
          ...more,
        })),
      }),
    );
    if (begun) await cutHalf(session, number, name);
  }
}

/** How many wires were cut when one went wrong. */
const MISCUT_AFTER = 5;

/** Plans the cuts of a batch and cuts half of its wires, with one mis-cut on the way. */
async function cutHalf(session: StudioSession, number: number, name: string): Promise<void> {
  const key = keyOf(`cuts of ${name}`);
  taken(await beginPlanning(session, key, number));
  await workOutCutting(session, number, key);
  for (;;) {
    const table = await showCuttingTable(session, number);
    const next = table?.next;
    if (!table || !next || table.done * 2 >= table.all) return;
    const { done, acts } = table;
    if (done === MISCUT_AFTER && !acts.some(({ kind }) => kind === 'miscut')) {
      const wrong = keyOf(`mis-cut of ${name}`);
      const length = `${Math.floor(next.cut.length / 2000)} mm`;
      const miscut = { from: tag('wire', next.stock.number), length, reason: 'cut too short', then: 'lost' };
      taken(await logMiscut(session, wrong, number, miscut));
      await workOutCutting(session, number, wrong);
      continue;
    }
    const { line, piece, cutIndex, copy, length } = next.cut;
    const cut = { line, piece, cutIndex, copy, from: next.stock.id, length: `${length / 1000} mm` };
    taken(await cutWire(session, keyOf(`cut ${done} of ${name}`), number, cut));
  }
}
