import { isPartWare } from '@/core/stock/ware';
import type { Id } from '@/core/id';
import type { PartLost } from '@/core/bench/sitting';
import type { PatternPart } from '@/core/pattern/pattern';
import { tag } from '@/core/tag';
import { cost, sumCosts, type CostUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { takeReserved, reservedOf } from '../reservations/reservations';
import { invalid, Refused } from '../kernel/outcome';
import { lockStock, type HeldStock, type Posting } from '../ledger/posting';
import type { MakingTold } from './makePiece.input';
import { proposeParts } from './proposeParts';

/** What the parts of a piece cost. */
export interface PartsTaken {
  /** What was paid for those that left the drawers. */
  readonly taken: CostUnits;
  /** At the cost that the pattern says. */
  readonly said: CostUnits;
}

/** What the piece is made for: which batch, the reason in the ledger, and what was lost of its parts on the way. */
interface For {
  readonly batchId: Id<'batch'> | null;
  readonly reason: string;
  readonly lost: readonly PartLost[];
}

/**
 * Takes the beads, stones and findings of a piece out of the drawers at what was paid for them, whether it is made by itself or for
 * a batch. What was lost of them on the way is taken as well, and borne by the piece.
 * @param given what each part was really taken from; as it is proposed when nothing is given
 * @throws Refused beside the part of which more, less or something else is given than there is
 */
export async function takeParts(
  tx: Tx,
  posting: Posting,
  parts: readonly PatternPart[],
  given: MakingTold['parts'],
  { batchId, reason, lost }: For,
): Promise<PartsTaken> {
  const lostOf = new Map(lost.map((each) => [each.part, each]));
  const wanted = parts.map((each, part) => ({ ...each, count: each.count + (lostOf.get(part)?.count ?? 0) }));
  const picks =
    given?.map(({ part, from, count }) => ({ part, from: from === '' ? null : from, count })) ??
    (await proposeParts(tx, wanted, batchId)).flatMap(({ part, picks: own }) =>
      own.map((pick) => ({ part, ...pick })),
    );
  refuseOtherCounts(wanted, picks);
  /** How many of each part are still to go into the piece: what is taken beyond that was lost. */
  const toGo = parts.map(({ count }) => count);
  const ids = [...new Set(picks.flatMap(({ from }) => from ?? []))];
  const held = await lockStock(tx, ids);
  posting.hold(...held.values());
  const free = await freeOf(tx, held, batchId);
  const costs: CostUnits[] = [];
  const said: CostUnits[] = [];
  for (const [index, { part, from, count }] of picks.entries()) {
    const { name, unitCost } = parts[part] as PatternPart;
    if (from === null) {
      said.push(cost(count * (unitCost ?? 0)));
      continue;
    }
    const stock = held.get(from);
    if (!stock || !isPartWare(stock.ware))
      throw invalid(
        `parts.${index}.from`,
        `What ${name} was taken from is not in the drawers any more; choose another.`,
      );
    const left = free.get(from) ?? 0;
    if (count > left)
      throw invalid(
        `parts.${index}.count`,
        `${count} of ${name} are wanted from ${tag(stock.ware, stock.number)}; ${left} ${left === 1 ? 'is' : 'are'} free.`,
      );
    free.set(from, left - count);
    const inPiece = Math.min(count, toGo[part] ?? 0);
    toGo[part] = (toGo[part] ?? 0) - inPiece;
    if (inPiece > 0) {
      costs.push(posting.take(from, 'used', inPiece, { reason }));
      if (batchId !== null) await takeReserved(tx, batchId, from, inPiece);
    }
    if (count > inPiece) {
      const why = lostOf.get(part)?.reason ?? '';
      costs.push(posting.take(from, 'spoiled', count - inPiece, { reason: why }));
    }
  }
  return { taken: sumCosts(costs), said: sumCosts(said) };
}

/** Every part is told in full: as many as the pattern asks for. */
function refuseOtherCounts(
  parts: readonly PatternPart[],
  picks: readonly { readonly part: number; readonly count: number }[],
): void {
  picks.forEach(({ part }, index) => {
    if (!parts[part]) throw invalid(`parts.${index}.from`, 'This is no part of the pattern.');
  });
  parts.forEach(({ name, count }, part) => {
    const told = picks.filter((pick) => pick.part === part).reduce((sum, pick) => sum + pick.count, 0);
    if (told === count) return;
    const index = picks.findIndex((pick) => pick.part === part);
    const message = `${count} of ${name} are wanted; ${told} are given.`;
    if (index < 0) throw new Refused({ kind: 'invalid', message });
    throw invalid(`parts.${index}.count`, message);
  });
}

/** What of each stock piece is free for this piece: all but what is set aside for others. */
async function freeOf(
  tx: Tx,
  held: ReadonlyMap<string, HeldStock>,
  batchId: Id<'batch'> | null,
): Promise<Map<string, number>> {
  const reserved = await reservedOf(tx, [...held.keys()], batchId);
  return new Map(
    [...held].map(([id, { quantity }]) => [id, Math.max(0, quantity - (reserved.get(id) ?? 0))]),
  );
}
