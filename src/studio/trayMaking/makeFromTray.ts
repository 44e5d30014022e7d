import type { Id } from '@/core/id';
import { linesToMake, piecesReady } from '@/core/batch/batch';
import type { PatternBody } from '@/core/pattern/pattern';
import { tag } from '@/core/tag';
import { cost, shareOfCost, sumCosts, type CostUnits } from '@/core/units/money';
import { NOT_PLANNED, setBatch, noteWaste, notePieceMade } from '../batches/batchRecord';
import type { Tx } from '@/data/inStudio';
import { BatchLineRow, Reservation } from '@/data/models/batches';
import { wastesOfPieceSql } from '@/data/sql/batches';
import { refused } from '../kernel/outcome';
import { lockStock, type Posting } from '../ledger/posting';
import { linesOf } from '../batches/batches';
import { takeReserved, emptyTray } from '../reservations/reservations';
import { dropEverything } from '../batches/plansKept';
import { lockOpenBatch, madeCounts, NOTHING_DONE, progressOf, numberMade } from '../batches/tray';

/** Which piece of a batch is made. */
export interface PieceOfBatch {
  /** Number of the batch. */
  readonly number: number;
  readonly line: number;
  /** 0 for the first of its line. */
  readonly piece: number;
}

/** A piece of a batch whose wires lie in the tray. */
export interface Tray extends PieceOfBatch {
  readonly batchId: Id<'batch'>;
  readonly patternId: Id<'pattern'>;
  readonly revision: number;
  readonly body: PatternBody;
  readonly stoneId: Id<'stock piece'> | null;
}

/** Takes the tray of a piece to the bench: locks its batch. @throws Refused when the piece is made, or not all of its wires are cut */
export async function openTray(tx: Tx, { number, line, piece }: PieceOfBatch): Promise<Tray> {
  const { id: batchId } = await lockOpenBatch(tx, number);
  const made = await numberMade(tx, { batchId, line, piece });
  if (made !== undefined)
    throw refused(
      `This piece of the batch is made already: it is ${tag('piece', made)}. Nothing was posted.`,
    );
  const [own] = (await linesOf(tx, [batchId])).filter((each) => each.line === line);
  const { cut } = (await progressOf(tx, [batchId])).get(batchId) ?? NOTHING_DONE;
  if (!own || !piecesReady(own, cut, new Set()).includes(piece))
    throw refused('Not all wires of this piece are cut; cut them first. Nothing was posted.');
  const row = await tx.one(BatchLineRow, ['patternId', 'stoneId'], { where: { batchId, line } });
  if (!row) throw new Error(`line ${line} of batch ${number} vanished`);
  return { number, line, piece, batchId, ...row, revision: own.revision, body: own.body };
}

/** What a piece bears of the scrap and the spoilage of its batch. */
export interface WasteShare {
  readonly scrap: CostUnits;
  readonly spoilage: CostUnits;
}

/**
 * Shares out what was scrapped and spoiled at the cutting table, by the length of each wire, among the wires of the same spec that are
 * cut but not made yet: so the pieces of a batch bear it all, and none of it twice. It is kept with the wires of the piece.
 */
export async function bearWaste(tx: Tx, { batchId, line, piece }: Tray): Promise<WasteShare> {
  const wires = await tx.rows(wastesOfPieceSql, { batchId, line, piece });
  const open = new Map<string, { length: number; scrap: CostUnits; spoilage: CostUnits }>();
  const borne = wires.map(({ act, specId, length, openLength, openScrap, openSpoilage }) => {
    const rest = open.get(specId) ?? { length: openLength, scrap: openScrap, spoilage: openSpoilage };
    const scrap = shareOfCost(rest.scrap, length, rest.length);
    const spoilage = shareOfCost(rest.spoilage, length, rest.length);
    open.set(specId, {
      length: rest.length - length,
      scrap: cost(rest.scrap - scrap),
      spoilage: cost(rest.spoilage - spoilage),
    });
    return { act, scrap, spoilage };
  });
  await noteWaste(tx, batchId, borne);
  return {
    scrap: sumCosts(borne.map(({ scrap }) => scrap)),
    spoilage: sumCosts(borne.map(({ spoilage }) => spoilage)),
  };
}

/**
 * Takes the stone that was chosen for a piece from what is set aside for its batch.
 * @returns what was paid for it; nothing when none was chosen
 */
export async function useStone(tx: Tx, posting: Posting, tray: Tray): Promise<CostUnits> {
  const { batchId, stoneId, number } = tray;
  if (stoneId === null) return cost(0);
  const reserved = await tx.one(Reservation, ['quantity'], { where: { batchId, stockPieceId: stoneId } });
  if (!reserved)
    throw refused('The stone of this piece is not set aside for it any more. Nothing was posted.');
  posting.hold(...(await lockStock(tx, [stoneId])).values());
  const paid = posting.take(stoneId, 'used', 1, { reason: `for ${tag('batch', number)}` });
  await takeReserved(tx, batchId, stoneId, 1);
  return paid;
}

/** Empties the tray of a piece that is made; call it before its wires are posted. A batch whose last piece it was is made. */
export async function closeTray(tx: Tx, tray: Tray, pieceId: Id<'piece'>): Promise<void> {
  const { batchId, line, piece } = tray;
  await emptyTray(tx, { batchId, line, piece });
  await notePieceMade(tx, { batchId, line, piece }, pieceId);
  const progress = (await progressOf(tx, [batchId])).get(batchId) ?? NOTHING_DONE;
  const left = linesToMake(await linesOf(tx, [batchId]), madeCounts(progress));
  if (left.some(({ count }) => count > 0)) return;
  await dropEverything(tx, batchId);
  await setBatch(tx, batchId, { ...NOT_PLANNED, state: 'made' });
}
