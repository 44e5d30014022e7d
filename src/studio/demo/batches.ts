import { addDays, formatISO } from 'date-fns';
import { beginPlanning, workOutCutting } from '../batches/planCutting';
import { planBatch } from '../batches/planBatch';
import type { BatchLineInput } from '../batches/planBatch.input';
import type { StudioSession } from '../kernel/useCase';
import { patternChoices } from '../patterns/patterns';
import { keyOf } from './keyOf';
import { taken } from './taken';

interface DemoBatch {
  readonly name: string;
  readonly inDays: number;
  readonly notes: string;
  readonly lines: readonly (readonly [pattern: string, count: number, more?: Partial<BatchLineInput>])[];
  /** Whether its cuts are planned and its stock is set aside. */
  readonly planned: boolean;
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
    planned: true,
  },
  {
    name: 'Order for the mill shop',
    inDays: 24,
    notes: '',
    lines: [
      ['Gatehouse ring', 12, { ring: 'US 8' }],
      ['Rime halo', 4],
    ],
    planned: false,
  },
];

/** Plans the batches of the demonstration; a run that was cut off goes on where it stopped. */
export async function planDemoBatches(session: StudioSession): Promise<void> {
  const patterns = await patternChoices(session);
  for (const { name, inDays, notes, lines, planned } of DEMO_BATCHES) {
    const { number } = taken(
      await planBatch(session, keyOf(`batch ${name}`), null, {
        name,
        dueOn: formatISO(addDays(session.now, inDays), { representation: 'date' }),
        notes,
        lines: lines.map(([called, count, more = {}]) => ({
          pattern: String(patterns.find((pattern) => pattern.name === called)?.number ?? 0),
          count: String(count),
          stone: '',
          ring: '',
          bead: '',
          metal: '',
          ...more,
        })),
      }),
    );
    if (!planned) continue;
    const key = keyOf(`cuts of ${name}`);
    taken(await beginPlanning(session, key, number));
    await workOutCutting(session, number, key);
  }
}
