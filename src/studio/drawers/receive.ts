import { beadKey, describeBead, type BeadKind, type BeadShape } from '@/core/bead/bead';
import { expectOk } from '@/core/result';
import { parseAmountOf, parseCount, type SupplyUnit } from '@/core/stock/amount';
import { FINDINGS, type FindingKind } from '@/core/stock/finding';
import type { StockForm, Ware } from '@/core/stock/ware';
import {
  describeStone,
  OUTLINES,
  type HoleAxis,
  type OutlineKind,
  type StoneMeasures,
} from '@/core/stone/stone';
import { parseLength, um } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { Bead, Finding, Stone, Supply } from '@/data/models/drawers';
import { StockPiece } from '@/data/models/stock';
import { readInput } from '../kernel/readInput';
import { refused, type Outcome } from '../kernel/outcome';
import { ownerOnly, post, type StudioSession } from '../kernel/useCase';
import { ensureArticle } from '../stock/articles';
import type { PurchaseFields } from '../stock/purchase.input';
import { takeIn } from '../stock/takeIn';
import {
  parseShades,
  ReceiveBeadsInput,
  ReceiveFindingsInput,
  ReceiveStoneInput,
  ReceiveSupplyInput,
} from './receive.input';

/** The number on the new tag. */
export interface TakenIn {
  readonly number: number;
}

/** What comes in as one article, once it is known or made. */
interface Arrival {
  readonly articleId: string;
  readonly sortKey: string;
  readonly form: StockForm;
  readonly quantity: number;
}

/** A use case that takes in one ware: only what makes the article differs. */
const receiving =
  <Input extends PurchaseFields & object>(
    ware: Ware,
    useCase: string,
    InputClass: new () => Input,
    arrive: (tx: Tx, input: Input) => Promise<Arrival>,
    afterwards: (tx: Tx, input: Input, stockPieceId: string) => Promise<void> = () => Promise.resolve(),
  ) =>
  (session: StudioSession, postKey: string, plain: unknown): Promise<Outcome<TakenIn>> => {
    const prepare = () => {
      ownerOnly(session);
      return readInput(InputClass, plain);
    };
    return post(session, useCase, postKey, prepare, async (tx, input) => {
      const { number, id } = await takeIn(tx, postKey, { ware, ...(await arrive(tx, input)) }, input);
      await afterwards(tx, input, id);
      return { number };
    });
  };

const length = (text: string) => expectOk(parseLength(text));

const beadOf = ({ material, shape, size, largest, hole }: ReceiveBeadsInput): BeadKind => ({
  material: material.trim(),
  shape: shape as BeadShape,
  min: length(size),
  max: length(largest === '' ? size : largest),
  hole: length(hole),
});

/** The studio's kind of bead, made when there is none yet. */
export async function ensureBead(tx: Tx, bead: BeadKind): Promise<{ articleId: string; sortKey: string }> {
  const article = await ensureArticle(tx, { ware: 'bead', name: describeBead(bead), sortKey: beadKey(bead) });
  if (article.isNew) {
    const { material, shape, min: minUm, max: maxUm, hole: holeUm } = bead;
    await tx.add(Bead, [{ articleId: article.id, material, shape, minUm, maxUm, holeUm }]);
  }
  return { articleId: article.id, sortKey: article.sortKey };
}

/** Takes in beads, by the strand or loose; the shades of a strand are kept with it. */
export const receiveBeads = receiving(
  'bead',
  'receiveBeads',
  ReceiveBeadsInput,
  async (tx, input) => ({
    ...(await ensureBead(tx, beadOf(input))),
    form: input.form as StockForm,
    quantity: expectOk(parseCount(input.count)),
  }),
  async (tx, { shades }, stockPieceId) => {
    const groups = expectOk(parseShades(shades));
    const { studioId } = tx.session;
    if (groups.length > 0)
      await StockPiece.update({ shades: groups }, { where: { studioId, stockPieceId }, ...tx.within });
  },
);

/** One stone is one article: no two are the same. */
export async function addStone(
  tx: Tx,
  stone: StoneMeasures,
  setAsideFor = '',
): Promise<{ articleId: string; sortKey: string }> {
  const same = await tx.first<{ count: number }>(
    `SELECT count(*)::int AS count FROM articles WHERE studio_id = $1 AND ware = 'stone'`,
    [tx.session.studioId],
  );
  const { material, outline, length: long, width, depth, edge, holeAxis, hole } = stone;
  const order = [
    material.trim().toLowerCase(),
    OUTLINES.indexOf(outline),
    String((same?.count ?? 0) + 1).padStart(6, '0'),
  ];
  const { id, sortKey, isNew } = await ensureArticle(tx, {
    ware: 'stone',
    name: describeStone(stone),
    sortKey: order.join('|'),
  });
  if (!isNew) throw refused('Another stone came in at the same moment; send this once more.');
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
      setAsideFor,
    },
  ]);
  return { articleId: id, sortKey };
}

/** Takes in one stone with its measures. */
export const receiveStone = receiving('stone', 'receiveStone', ReceiveStoneInput, async (tx, input) => ({
  ...(await addStone(tx, {
    material: input.material,
    outline: input.outline as OutlineKind,
    length: length(input.length),
    width: length(input.width),
    depth: length(input.depth),
    edge: length(input.edge),
    holeAxis: input.holeAxis as HoleAxis,
    hole: input.holeAxis === 'none' ? um(0) : length(input.hole),
  })),
  form: 'stone' as const,
  quantity: 1,
}));

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
): Promise<{ articleId: string; sortKey: string }> {
  const [of, how] = [material.trim(), size.trim()];
  const article = await ensureArticle(tx, {
    ware: 'finding',
    name: [`${of} ${finding}`, how].filter(Boolean).join(', '),
    sortKey: [String(FINDINGS.indexOf(finding)).padStart(2, '0'), of.toLowerCase(), how.toLowerCase()].join(
      '|',
    ),
  });
  if (article.isNew) await tx.add(Finding, [{ articleId: article.id, finding, material: of, size: how }]);
  return { articleId: article.id, sortKey: article.sortKey };
}

/** Takes in findings by the piece, the dozen or the gross. */
export const receiveFindings = receiving(
  'finding',
  'receiveFindings',
  ReceiveFindingsInput,
  async (tx, input) => ({
    ...(await ensureFinding(tx, { ...input, finding: input.finding as FindingKind })),
    form: 'pack' as const,
    quantity: expectOk(parseCount(input.count)),
  }),
);

/** The studio's supply of a name, made when there is none yet; what a piece uses of it is set anew. */
export async function ensureSupply(
  tx: Tx,
  name: string,
  unit: SupplyUnit,
  perPiece: number,
): Promise<{ articleId: string; sortKey: string }> {
  const said = name.trim();
  const article = await ensureArticle(tx, { ware: 'supply', name: said, sortKey: said.toLowerCase() });
  const { studioId } = tx.session;
  if (article.isNew) await tx.add(Supply, [{ articleId: article.id, unit, perPiece }]);
  else {
    const known = await Supply.findOne({
      where: { studioId, articleId: article.id },
      rejectOnEmpty: true,
      ...tx.within,
    });
    if (known.unit !== unit)
      throw refused(`${said} is kept by the ${known.unit} here; give it in that, or give it another name.`, {
        unit: `It is kept by the ${known.unit}.`,
      });
    await known.update({ perPiece }, tx.within);
  }
  return { articleId: article.id, sortKey: article.sortKey };
}

/** Takes in a supply: polish, antiquing, packaging. */
export const receiveSupply = receiving('supply', 'receiveSupply', ReceiveSupplyInput, async (tx, input) => {
  const unit = input.unit as SupplyUnit;
  const amount = (text: string) => expectOk(parseAmountOf({ ware: 'supply', unit }, text));
  return {
    ...(await ensureSupply(tx, input.name, unit, amount(input.perPiece))),
    form: 'pack' as const,
    quantity: amount(input.quantity),
  };
});
