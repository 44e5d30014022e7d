import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import { checksOf } from '@/core/bench/checks';
import { proposeCuts } from '@/core/cuttingStock/propose';
import { backOf } from '@/core/learning/wires';
import { wantedCuts, type PatternBody, type WantedCut } from '@/core/pattern/pattern';
import { counted } from '@/core/units/counted';
import type { Micrometres } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { BatchLineRow } from '@/data/models/batches';
import { PatternRevision } from '@/data/models/making';
import { SittingPiece, SittingRow, type WireOfSitting } from '@/data/models/sittings';
import { piecesReady } from '@/core/batch/batch';
import { batchNumbered, linesOf } from '../batches/batches';
import { NOTHING_DONE, progressOf, wiresInTray } from '../batches/tray';
import { invalid, refused } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import type { StudioSession } from '../kernel/useCase';
import { proposeLengths } from '../logbook/proposeLengths';
import { choicesFor } from '../making/proposeMaking';
import { settingsIn } from '../settings/settings';
import { BeginSittingInput, type CutTo } from './sittings.input';

/** What a sitting is begun for: a revision of a pattern, or what lies cut in the tray for a line of a batch. */
export type SittingOf =
  { readonly number: number; readonly revision: number } | { readonly batch: number; readonly line: number };

/** A piece that is to be worked: its wires, and which of its batch it is. */
interface BegunPiece {
  readonly trayPiece: number | null;
  readonly wires: readonly WireOfSitting[];
}

interface Begun {
  readonly row: {
    readonly patternId: Id<'pattern'>;
    readonly revision: number;
    readonly batchId?: Id<'batch'>;
    readonly line?: number;
  };
  readonly body: PatternBody;
  readonly pieces: readonly BegunPiece[];
}

/** Begins a sitting: so many pieces of a pattern, or out of the tray of a batch, are worked step by step. @returns its id */
export const beginSitting = posts(
  'beginSitting',
  { input: BeginSittingInput },
  async ({ tx, session, postKey }, { count, cutTo = 'learned' }, of: SittingOf): Promise<Id<'sitting'>> => {
    const { row, body, pieces } =
      'batch' in of ? await outOfTray(tx, of, count) : await offTheRack(tx, session, of, { count, cutTo });
    const { checks } = await settingsIn(tx);
    // It is known by the key that it was begun under: one posting begins one sitting.
    const sittingId: string = postKey;
    await tx.add(SittingRow, [
      {
        sittingId,
        ...row,
        count,
        checks: checksOf(checks, body.kind),
        userId: session.userId,
        begunAt: session.now,
      },
    ]);
    await tx.add(
      SittingPiece,
      pieces.map((each, piece) => ({ sittingId, piece, postKey: randomUUID(), ...each })),
    );
    return sittingId;
  },
);

async function outOfTray(
  tx: Tx,
  { batch: number, line }: { readonly batch: number; readonly line: number },
  count: number,
): Promise<Begun> {
  const batch = await batchNumbered(tx, number);
  const [own] =
    batch?.state === 'open' ? (await linesOf(tx, [batch.id])).filter((each) => each.line === line) : [];
  if (!batch || !own) throw refused('This batch is not open any more.');
  const { cut, made } = (await progressOf(tx, [batch.id])).get(batch.id) ?? NOTHING_DONE;
  const ready = piecesReady(own, cut, made.get(line) ?? new Set());
  if (ready.length < count)
    throw invalid(
      'count',
      `“${count}” was given; ${counted(ready.length, 'piece lies', 'pieces lie')} ready in the tray.`,
    );
  const pieces: BegunPiece[] = [];
  for (const piece of ready.slice(0, count)) {
    const wires = await wiresInTray(tx, { batchId: batch.id, line, piece });
    pieces.push({
      trayPiece: piece,
      wires: wires.flatMap(({ cutIndex, copy, id, length }) =>
        cutIndex === null || copy === null ? [] : [{ cutIndex, copy, from: id, length }],
      ),
    });
  }
  const row = await tx.one(BatchLineRow, ['patternId', 'revision'], { where: { batchId: batch.id, line } });
  if (!row) throw new Error(`line ${line} of batch ${number} vanished`);
  return { row: { ...row, batchId: batch.id, line }, body: own.body, pieces };
}

async function offTheRack(
  tx: Tx,
  session: StudioSession,
  { number, revision }: { readonly number: number; readonly revision: number },
  { count, cutTo }: { readonly count: number; readonly cutTo: CutTo },
): Promise<Begun> {
  const pattern = await tx.oneWith(
    PatternRevision,
    ['patternId', 'revision', 'body'],
    { pattern: [] },
    { where: { '$pattern.number$': number, revision } },
  );
  if (!pattern) throw refused('This pattern, or this revision of it, is no longer there.');
  const { patternId, body } = pattern;
  const learned = cutTo === 'learned' ? await proposeLengths(tx, session, patternId, body) : [];
  const wanted = wantedCuts(body).map((cut): WantedCut & { readonly back?: readonly Micrometres[] } => {
    const own = learned.find(({ cutIndex }) => cutIndex === cut.cutIndex);
    return own ? { ...cut, length: own.length, back: backOf(cut, own.length, own.more) } : cut;
  });
  const choices = await choicesFor(
    tx,
    wanted.map(({ specId }) => specId),
  );
  const stock = choices.map((each) => ({ ...each, isOffCut: each.form === 'off-cut' }));
  const outOf = (cuts: readonly Pick<WantedCut, 'specId' | 'length'>[]) =>
    proposeCuts(Array.from({ length: count }, () => cuts).flat(), stock);
  const { from, shortages } = outOf(wanted);
  if (shortages.length > 0) {
    if (learned.length > 0 && outOf(wantedCuts(body)).shortages.length === 0)
      throw invalid(
        'cutTo',
        `Cut by what the log says, the wire on the rack is not enough for ${counted(count, 'piece', 'pieces')}; as planned it is.`,
      );
    throw invalid('count', `“${count}” was given; the wire on the rack is not enough for so many.`);
  }
  const pieces = Array.from({ length: count }, (_, piece): BegunPiece => ({
    trayPiece: null,
    wires: wanted.map(({ cutIndex, copy, length, back }, index) => ({
      cutIndex,
      copy,
      from: from[piece * wanted.length + index] ?? '',
      length,
      ...(back && { back }),
    })),
  }));
  return { row: { patternId, revision }, body, pieces };
}
