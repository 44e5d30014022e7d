import type { Id } from '@/core/id';
import { turned } from '@/core/selling/life';
import { PART_WARES } from '@/core/stock/ware';
import { tag } from '@/core/tag';
import { um } from '@/core/units/length';
import { ug, type Micrograms } from '@/core/units/mass';
import { cost, shareOfCost, type CostUnits } from '@/core/units/money';
import { massOfLength } from '@/core/wire/mass';
import type { MetalId } from '@/core/wire/metal';
import type { Tx } from '@/data/inStudio';
import { Movement } from '@/data/models/books';
import { Piece } from '@/data/models/making';
import { PieceEvent } from '@/data/models/selling';
import { specsById } from '../catalogue/wireSpecs';
import { invalid, refused } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { lockStock, Posting } from '../ledger/posting';
import { BreakUpInput } from './breakUp.input';
import { BOOKED, bookedCost } from './pieceLife';

/** Wire of one metal that is in a piece. */
export interface MetalIn {
  readonly metal: MetalId;
  readonly mass: Micrograms;
  readonly cost: CostUnits;
}

/** So many of what was taken from somewhere that are in a piece. */
export interface PartIn {
  readonly from: Id<'stock piece'>;
  readonly ware: (typeof PART_WARES)[number];
  readonly number: number;
  readonly name: string;
  readonly count: number;
  readonly cost: CostUnits;
}

/** All that is in a piece and could come out of it. */
export interface InPiece {
  readonly metals: readonly MetalIn[];
  readonly parts: readonly PartIn[];
}

/** What a piece was made of, by what its making took and did not spoil. */
async function inPiece(tx: Tx, pieceId: Id<'piece'>): Promise<InPiece> {
  const rows = await tx.allWith(
    Movement,
    ['articleId', 'stockPieceId', 'quantity', 'costUnits'],
    { stockPiece: ['number'], article: ['ware', 'name'] },
    { where: { pieceId, kind: ['cut', 'returned', 'used'] }, order: ['movementId'] },
  );
  const specs = await specsById(
    tx,
    rows.map(({ articleId }) => articleId),
  );
  const metals = new Map<MetalId, MetalIn>();
  const parts = new Map<string, PartIn>();
  for (const { articleId, stockPieceId: from, quantity, costUnits, stockPiece, article } of rows) {
    const spec = specs.get(articleId);
    if (spec) {
      const { metal } = spec;
      const before = metals.get(metal);
      // What came back as an off-cut has the other sign: it is not in the piece.
      const mass = Math.sign(-quantity) * massOfLength(spec, um(Math.abs(quantity)));
      metals.set(metal, {
        metal,
        mass: ug((before?.mass ?? 0) + mass),
        cost: cost((before?.cost ?? 0) - costUnits),
      });
      continue;
    }
    const ware = PART_WARES.find((each) => each === article.ware);
    if (!ware) continue;
    const before = parts.get(from);
    parts.set(from, {
      from,
      ware,
      number: stockPiece.number,
      name: article.name,
      count: (before?.count ?? 0) - quantity,
      cost: cost((before?.cost ?? 0) - costUnits),
    });
  }
  return { metals: [...metals.values()], parts: [...parts.values()] };
}

/** What could come out of a piece that is broken up; null when there is none such. For the owner. */
export function couldComeOut(session: StudioSession, number: number): Promise<InPiece | null> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const piece = await tx.one(Piece, ['pieceId'], { where: { number, struckAt: null } });
    return piece ? inPiece(tx, piece.pieceId) : null;
  });
}

/** @throws Refused when something is told to come out twice: it would bring its cost twice */
function refuseTwice(metals: readonly { metal: MetalId }[], parts: readonly { from: string }[]): void {
  const isTwice = (all: readonly string[]): boolean => new Set(all).size < all.length;
  if (isTwice(metals.map(({ metal }) => metal)))
    throw invalid('metals', 'A metal was given twice; give all of its wire at once.');
  if (isTwice(parts.map(({ from }) => from)))
    throw invalid('parts', 'A part was given twice; give all of it at once.');
}

/**
 * A piece is broken up: its wire falls into the jars of its metals with what it cost, and what comes out whole lies where it was taken from, at
 * its cost. What does not come out is lost with the piece. It is taken back as a turn of the piece.
 */
export const breakUp = posts(
  'breakUp',
  { input: BreakUpInput, by: 'owner' },
  async ({ tx, session, postKey }, { metals, parts, note }, number: number) => {
    const piece = await tx.one(Piece, ['pieceId', 'state', ...BOOKED], {
      where: { number, struckAt: null, drawerStockId: null },
      lock: true,
    });
    if (!piece) throw refused(`${tag('piece', number)} does not stand on the shelf.`);
    const next = turned(piece.state, 'broken up', tag('piece', number));
    if (!next.ok) throw refused(next.error);
    const { pieceId } = piece;
    const inside = await inPiece(tx, pieceId);
    const stock = await lockStock(
      tx,
      parts.map(({ from }) => from),
    );
    refuseTwice(metals, parts);
    const posting = new Posting(tx, postKey).hold(...stock.values());
    const reason = `out of ${tag('piece', number)}`;
    for (const [index, { from, count }] of parts.entries()) {
      const part = inside.parts.find((each) => each.from === from);
      if (!part || count > part.count)
        throw invalid(
          `parts.${index}.count`,
          `${count} was given; ${part?.count ?? 0} of it are in ${tag('piece', number)}.`,
        );
      if (count > 0)
        posting.enter(from, 'salvaged', count, shareOfCost(part.cost, count, part.count), { reason });
    }
    for (const [index, { metal, mass }] of metals.entries()) {
      const wire = inside.metals.find((each) => each.metal === metal);
      if (!wire) throw invalid(`metals.${index}.mass`, `No ${metal} is in ${tag('piece', number)}.`);
      if (mass > 0) await posting.toJar(metal, mass, wire.cost, reason, 'salvaged');
    }
    await posting.commit();
    await tx.add(PieceEvent, [
      {
        pieceId,
        turn: 'broken up',
        note,
        costUnits: cost(0 - bookedCost(piece)),
        postKey,
        userId: session.userId,
        happenedAt: session.now,
      },
    ]);
    await tx.change(Piece, { pieceId }, { state: next.value, stateSince: session.now, placeId: null });
    return null;
  },
);
