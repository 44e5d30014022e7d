import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import { beadIdentity, beadKey, describeBead, type BeadKind } from '@/core/bead/bead';
import type { SupplyUnit } from '@/core/stock/amount';
import { FINDINGS, type FindingKind } from '@/core/stock/finding';
import type { Ware } from '@/core/stock/ware';
import { describeStone, OUTLINES, type StoneMeasures } from '@/core/stone/stone';
import { um } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { Bead, Finding, Stone, Supply } from '@/data/models/drawers';
import { Article } from '@/data/models/articles';
import { StockPiece } from '@/data/models/stock';
import { posts } from '../kernel/posts';
import type { ValuesOf } from '../kernel/typed';
import { refused } from '../kernel/outcome';
import { ensureArticle } from '../catalogue/articles';
import type { PurchaseFields } from '../stock/purchase.input';
import { readPurchase, takeIn, type Goods } from '../stock/takeIn';
import {
  type BeadFields,
  type FindingFields,
  ReceiveBeadsInput,
  ReceiveFindingsInput,
  ReceiveStoneInput,
  ReceiveSupplyInput,
  type StoneFields,
  type SupplyFields,
} from './receive.input';

/** The number on the new tag. */
export interface TakenIn {
  readonly number: number;
}

/** How one ware comes in: what makes its article, and what is kept with the stock piece. */
export interface ArrivalOf<Fields> {
  readonly arrive: (tx: Tx, fields: ValuesOf<Fields>) => Promise<Omit<Goods, 'ware'>>;
  readonly afterwards?: (tx: Tx, fields: ValuesOf<Fields>, stockPieceId: Id<'stock piece'>) => Promise<void>;
}

/** A use case that takes in one ware by itself. */
const receiving = <Fields extends object>(
  ware: Ware,
  useCase: string,
  InputClass: new () => Fields & PurchaseFields,
  { arrive, afterwards }: ArrivalOf<Fields>,
) =>
  posts(useCase, { input: InputClass, by: 'owner' }, async ({ tx, postKey }, input): Promise<TakenIn> => {
    const goods = { ware, ...(await arrive(tx, input)) };
    const { number, id } = await takeIn(tx, postKey, goods, await readPurchase(tx, input));
    await afterwards?.(tx, input, id);
    return { number };
  });

const beadOf = ({ material, shape, size, largest, hole }: ValuesOf<BeadFields>): BeadKind => ({
  material,
  shape,
  min: size,
  max: largest ?? size,
  hole,
});

/** The studio's kind of bead, made when there is none yet. */
export async function ensureBead(
  tx: Tx,
  bead: BeadKind,
): Promise<{ articleId: Id<'article'>; sortKey: string }> {
  const article = await ensureArticle(tx, {
    ware: 'bead',
    name: describeBead(bead),
    identity: beadIdentity(bead),
    sortKey: beadKey(bead),
  });
  if (article.isNew) {
    const { material, shape, min: minUm, max: maxUm, hole: holeUm } = bead;
    await tx.add(Bead, [{ articleId: article.id, material, shape, minUm, maxUm, holeUm }]);
  }
  return { articleId: article.id, sortKey: article.sortKey };
}

/** Beads, by the strand or loose; the shades of a strand are kept with it. */
const beads: ArrivalOf<BeadFields> = {
  arrive: async (tx, input) => ({
    ...(await ensureBead(tx, beadOf(input))),
    form: input.form,
    quantity: input.count,
  }),
  afterwards: async (tx, { shades }, stockPieceId) => {
    if (shades.length > 0) await tx.change(StockPiece, { stockPieceId }, { shades });
  },
};

/** One stone is one article: no two are the same. */
export async function addStone(
  tx: Tx,
  stone: StoneMeasures,
): Promise<{ articleId: Id<'article'>; sortKey: string }> {
  const same = await Article.count({ where: { ware: 'stone' } });
  const { material, outline, length: long, width, depth, edge, holeAxis, hole, traced = [] } = stone;
  const order = [material.trim().toLowerCase(), OUTLINES.indexOf(outline), String(same + 1).padStart(6, '0')];
  const { id, sortKey } = await ensureArticle(tx, {
    ware: 'stone',
    name: describeStone(stone),
    identity: randomUUID(),
    sortKey: order.join('|'),
  });
  await tx.add(Stone, [
    {
      articleId: id,
      material: material.trim(),
      outline,
      lengthUm: long,
      widthUm: width,
      depthUm: depth,
      edgeUm: edge,
      holeAxis,
      holeUm: hole,
      traced,
    },
  ]);
  return { articleId: id, sortKey };
}

/** One stone with its measures. */
const stone: ArrivalOf<StoneFields> = {
  arrive: async (tx, input) => ({
    ...(await addStone(tx, { ...input, hole: input.hole ?? um(0) })),
    form: 'stone',
    quantity: 1,
  }),
};

/** What a finding is. */
export interface FindingIdentity {
  readonly finding: FindingKind;
  readonly material: string;
  readonly size: string;
}

/** The studio's finding, made when there is none yet. */
export async function ensureFinding(
  tx: Tx,
  { finding, material, size }: FindingIdentity,
): Promise<{ articleId: Id<'article'>; sortKey: string }> {
  const [of, how] = [material.trim(), size.trim()];
  const article = await ensureArticle(tx, {
    ware: 'finding',
    name: [`${of} ${finding}`, how].filter(Boolean).join(', '),
    identity: [finding, of.toLowerCase(), how.toLowerCase()].join('|'),
    sortKey: [String(FINDINGS.indexOf(finding)).padStart(2, '0'), of.toLowerCase(), how.toLowerCase()].join(
      '|',
    ),
  });
  if (article.isNew) await tx.add(Finding, [{ articleId: article.id, finding, material: of, size: how }]);
  return { articleId: article.id, sortKey: article.sortKey };
}

/** Findings by the piece, the dozen or the gross. */
const findings: ArrivalOf<FindingFields> = {
  arrive: async (tx, input) => ({
    ...(await ensureFinding(tx, input)),
    form: 'pack',
    quantity: input.count,
  }),
};

/** The studio's supply of a name, made when there is none yet; what a piece uses of it is set anew. */
export async function ensureSupply(
  tx: Tx,
  name: string,
  unit: SupplyUnit,
  perPiece: number,
): Promise<{ articleId: Id<'article'>; sortKey: string }> {
  const said = name.trim();
  const article = await ensureArticle(tx, {
    ware: 'supply',
    name: said,
    identity: said.toLowerCase(),
    sortKey: said.toLowerCase(),
  });
  if (article.isNew) await tx.add(Supply, [{ articleId: article.id, unit, perPiece }]);
  else {
    const known = await tx.one(Supply, ['unit'], { where: { articleId: article.id } });
    if (known && known.unit !== unit)
      throw refused(`${said} is kept by the ${known.unit} here; give it in that, or give it another name.`, {
        unit: `It is kept by the ${known.unit}.`,
      });
    await tx.change(Supply, { articleId: article.id }, { perPiece });
  }
  return { articleId: article.id, sortKey: article.sortKey };
}

/** A supply: polish, antiquing, packaging. */
const supply: ArrivalOf<SupplyFields> = {
  arrive: async (tx, { name, unit, perPiece, quantity }) => ({
    ...(await ensureSupply(tx, name, unit, perPiece)),
    form: 'pack',
    quantity,
  }),
};

/** How what lies in the drawers comes in. */
export const ARRIVALS = { bead: beads, stone, finding: findings, supply } as const;

/** Takes in beads, by the strand or loose. */
export const receiveBeads = receiving('bead', 'receiveBeads', ReceiveBeadsInput, beads);

/** Takes in one stone with its measures. */
export const receiveStone = receiving('stone', 'receiveStone', ReceiveStoneInput, stone);

/** Takes in findings by the piece, the dozen or the gross. */
export const receiveFindings = receiving('finding', 'receiveFindings', ReceiveFindingsInput, findings);

/** Takes in a supply: polish, antiquing, packaging. */
export const receiveSupply = receiving('supply', 'receiveSupply', ReceiveSupplyInput, supply);
