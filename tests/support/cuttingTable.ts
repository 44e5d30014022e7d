import type { CostLineId } from '../../src/core/costing/costSheet';
import { checkBooks } from '../../src/data/checkBooks';
import { showCuttingTable, type CuttingTable } from '../../src/studio/cuttingTable/cuttingTable';
import { cutWire } from '../../src/studio/cuttingTable/cutWire';
import { planBatch } from '../../src/studio/batches/planBatch';
import type { StudioSession } from '../../src/studio/kernel/useCase';
import { makePiece } from '../../src/studio/making/makePiece';
import { proposeFromTray, type MakingProposal } from '../../src/studio/making/proposeMaking';
import type { PieceView } from '../../src/studio/shelf/shelf';
import { batch, line, planned, studioWithPattern } from './batches';
import { done, newKey } from './studio';

/** A batch of so many pieces of one cut of 100 mm, planned on a spool of 10 m; its number. */
export async function plannedBatch(count = 3, kind?: string) {
  const studio = await studioWithPattern(kind);
  const { session, pattern } = studio;
  const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, count)])));
  await planned(session, number);
  return { ...studio, number };
}

export async function table(session: StudioSession, number: number): Promise<CuttingTable> {
  const shown = await showCuttingTable(session, number);
  if (!shown) throw new Error('the batch is there');
  return shown;
}

/** What the table’s form sends for its next wire. */
export function asShown({ next }: CuttingTable, length = '100 mm') {
  if (!next) throw new Error('there is something to cut');
  const { line: of, piece, cutIndex, copy } = next.cut;
  return { line: of, piece, cutIndex, copy, from: next.stock.id, length };
}

export const cutNext = async (session: StudioSession, number: number, length?: string) =>
  done(await cutWire(session, newKey(), number, asShown(await table(session, number), length)));

export const miscut = (from: string, more: object = {}) => ({
  from,
  length: '90 mm',
  reason: 'cut too short',
  then: 'lost',
  ...more,
});

export const differencesIn = async ({ studioId }: StudioSession) =>
  (await checkBooks(process.env['PEWTERER_OWNER_URL'] ?? '')).differences.filter(
    ({ studio }) => studio === studioId,
  );

/** What the bench's form sends of the wires, as they are proposed. */
export const cutsAsProposed = (cuts: MakingProposal['cuts']) =>
  cuts.map(({ cutIndex, copy, from, length }) => ({
    cutIndex,
    copy,
    from: from ?? '',
    cut: `${length / 1000} mm`,
    back: '0 mm',
  }));

/** What the bench's form sends of a piece, as it is proposed. */
export const asProposed = ({ cuts }: MakingProposal) => ({
  cuts: cutsAsProposed(cuts),
  spoiled: [],
  minutes: '20',
  setUpMinutes: '10',
  sharedBy: '3',
});

/** What a proposal is made from: its pattern, and its piece of a batch. */
export const madeFrom = ({ pattern: { number, revision }, batch: of }: MakingProposal) => ({
  number,
  revision,
  ...(of ? { batch: of } : {}),
});

/** Makes a piece as the bench proposes it. */
export const make = (session: StudioSession, proposal: MakingProposal) =>
  makePiece(session, newKey(), madeFrom(proposal), asProposed(proposal));

export async function fromTray(session: StudioSession, number: number): Promise<MakingProposal> {
  const proposal = await proposeFromTray(session, number, 1);
  if (!proposal) throw new Error('a piece is ready');
  return proposal;
}

/** What a line of a piece’s cost sheet comes to. */
export const lineOf = (piece: PieceView | null, line: CostLineId): number =>
  piece?.money?.sheet.lines.find(({ id }) => id === line)?.actual ?? 0;
