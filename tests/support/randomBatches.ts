import { tag } from '../../src/core/tag';
import { cancelBatch, takeUpAgain } from '../../src/studio/batches/cancelBatch';
import { listBatches } from '../../src/studio/batches/batches';
import { cutAsPlanned, cutWire } from '../../src/studio/cuttingTable/cutWire';
import { showCuttingTable } from '../../src/studio/cuttingTable/cuttingTable';
import { logMiscut } from '../../src/studio/cuttingTable/logMiscut';
import { planBatch } from '../../src/studio/batches/planBatch';
import { planCutting } from '../../src/studio/cuttingPlan/planCutting';
import { undoCut } from '../../src/studio/cuttingTable/undoCut';
import type { Outcome } from '../../src/studio/kernel/outcome';
import type { StudioSession } from '../../src/studio/kernel/useCase';
import { makePiece } from '../../src/studio/making/makePiece';
import { proposeFromTray } from '../../src/studio/making/proposeMaking';
import { batch, line, settled } from './batches';
import { newKey } from './studio';

/** Batches that are open at once: more would leave nothing free. */
const OPEN = 3;

const ACTS = [
  'plan',
  'cut',
  'cut',
  'cut',
  'all',
  'all',
  'make',
  'make',
  'make',
  'make',
  'mis-cut',
  'undo',
  'again',
  'cancel',
] as const;

/** Does something at random for a batch, and waits until what it set going beside is done. */
export async function workOnBatches(
  who: StudioSession,
  pattern: number,
  which: number,
  part: number,
): Promise<Outcome<unknown> | undefined> {
  const { batches } = await listBatches(who);
  const open = batches.filter(({ state }) => state === 'open');
  const some = open[which % Math.max(1, open.length)]?.number;
  if (some === undefined || (open.length < OPEN && which % 7 === 0)) {
    const input = batch([line(pattern, 1 + (which % 3))], { name: `Batch ${which}` });
    const planned = await planBatch(who, newKey(), null, input);
    return planned.ok
      ? thenSettled(who, planned.value.number, planCutting(who, newKey(), planned.value.number))
      : planned;
  }
  return thenSettled(who, some, actOn(ACTS[part % ACTS.length] ?? 'cut', who, some, which, part));
}

async function thenSettled<T>(who: StudioSession, number: number, work: Promise<T>): Promise<T> {
  const came = await work;
  await settled(who, number);
  return came;
}

async function actOn(
  act: (typeof ACTS)[number],
  who: StudioSession,
  number: number,
  which: number,
  part: number,
): Promise<Outcome<unknown> | undefined> {
  switch (act) {
    case 'plan':
      return planCutting(who, newKey(), number);
    case 'all':
      return cutAsPlanned(who, newKey(), number);
    case 'undo':
      return undoCut(who, newKey(), number);
    case 'cancel':
      return cancelBatch(who, newKey(), number);
    case 'again': {
      const cancelled = (await listBatches(who)).batches.find(({ state }) => state === 'cancelled');
      return cancelled && takeUpAgain(who, newKey(), cancelled.number);
    }
    case 'make':
      return make(who, number, part);
    default: {
      const table = await showCuttingTable(who, number);
      const next = table?.next;
      if (!next) return undefined;
      const length = `${Math.max(1, Math.floor((next.cut.length * (850 + (which % 400))) / 1000))} µm`;
      const from = next.stock.id;
      if (act === 'mis-cut') {
        const then = which % 2 ? 'lost' : 'kept';
        // Now and then a wire that lies in the tray already.
        const wire = (which % 3 === 0 ? table.acts[0]?.became : null) ?? next.stock.number;
        return logMiscut(who, newKey(), number, {
          from: tag('wire', wire),
          length,
          reason: 'random',
          then,
        });
      }
      const { line: of, piece, cutIndex, copy } = next.cut;
      return cutWire(who, newKey(), number, { line: of, piece, cutIndex, copy, from, length });
    }
  }
}

async function make(who: StudioSession, number: number, part: number): Promise<Outcome<unknown> | undefined> {
  const proposal = await proposeFromTray(who, number, 1);
  if (!proposal?.batch) return undefined;
  const { pattern, batch: of, cuts } = proposal;
  return makePiece(
    who,
    newKey(),
    { number: pattern.number, revision: pattern.revision, batch: of },
    {
      cuts: cuts.map(({ cutIndex, copy, from, length }) => ({
        cutIndex,
        copy,
        from: from ?? newKey(),
        cut: `${length} µm`,
        back: part % 3 === 0 ? `${Math.floor((length * part) / 2000)} µm` : '0 µm',
      })),
      spoiled: [],
      minutes: '1',
      setUpMinutes: '0',
      sharedBy: '1',
    },
  );
}
