import type { Id } from '@/core/id';
import { plainAmountOf } from '@/core/stock/amount';
import { numberOnTag } from '@/core/tag';
import { formatDiameter, um } from '@/core/units/length';
import { formatMass, ug } from '@/core/units/mass';
import { minor, plainMoney } from '@/core/units/money';
import { hasOwnHeight, type Profile } from '@/core/wire/profile';
import { type RowOf } from '@/data/sql/statement';
import { linesAgainSql, lotAgainSql } from '@/data/sql/purchases';
import type { Tx } from '@/data/inStudio';
import { StockPiece } from '@/data/models/stock';
import { look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { settingsIn } from '../settings/settings';
import { DELIVERED, type DeliveredWare, type LineFields } from './delivery.input';

/** A purchase as a form sends it again: the same thing, as much of it, at the same price before postage and tax. */
export type LineAgain = LineFields & { readonly [field: string]: string };

/** A purchase once more, with where it was bought. */
export interface PurchaseAgain {
  readonly ware: DeliveredWare;
  readonly line: LineAgain;
  readonly supplier: string;
}

type LotRow = RowOf<typeof lotAgainSql>;

const size = (of: number): string => formatDiameter(um(of));

/** What a form sends of each ware, besides what it sends of every line. */
const FIELDS: Readonly<Record<DeliveredWare, (row: LotRow) => Record<string, string>>> = {
  wire: ({ wire, label, form, quantity, mass }) => ({
    metal: wire.metal,
    profile: wire.profile,
    gaugeSystem: label.system ?? '',
    gaugeNumber: label.number ?? '',
    height: hasOwnHeight(wire.profile as Profile) ? size(wire.height_um) : '',
    temper: wire.temper,
    finish: wire.finish,
    finishName: wire.finish_name,
    form,
    length: plainAmountOf({ ware: 'wire' }, quantity),
    mass: mass === null ? '' : formatMass(ug(mass)),
  }),
  bead: ({ bead, form, quantity, shades }) => ({
    material: bead.material,
    shape: bead.shape,
    size: size(bead.min_um),
    largest: bead.max_um === bead.min_um ? '' : size(bead.max_um),
    hole: size(bead.hole_um),
    form,
    count: String(quantity),
    shades: shades.map(({ name, count }) => `${name} ${count}`).join(', '),
  }),
  stone: ({ stone }) => ({
    material: stone.material,
    outline: stone.outline,
    length: size(stone.length_um),
    width: size(stone.width_um),
    depth: size(stone.depth_um),
    edge: size(stone.edge_um),
    holeAxis: stone.hole_axis,
    hole: stone.hole_axis === 'none' ? '' : size(stone.hole_um),
  }),
  finding: ({ finding: { finding, material, size: how }, quantity }) => ({
    finding,
    material,
    size: how,
    count: String(quantity),
  }),
  supply: ({ supply: { name, unit, per_piece: perPiece }, quantity }) => ({
    name,
    unit,
    quantity: plainAmountOf({ ware: 'supply', unit }, quantity),
    perPiece: plainAmountOf({ ware: 'supply', unit }, perPiece),
  }),
};

const again = (row: LotRow): PurchaseAgain => ({
  ware: row.ware,
  supplier: row.supplier ?? '',
  line: {
    ware: row.ware,
    costIs: row.costIs === 'free' ? 'free' : 'paid',
    price: row.costIs === 'free' ? '' : `${plainMoney(minor(row.price), row.currency)} ${row.currency}`,
    place: row.place ?? '',
    weight: '',
    ...FIELDS[row.ware](row),
  },
});

/** The purchase that a tagged stock piece came from, to be made once more; null when it was not bought. */
export function purchaseAgain(session: StudioSession, text: string): Promise<PurchaseAgain | null> {
  ownerOnly(session);
  const ware = DELIVERED.find((each) => numberOnTag(each, text) !== undefined);
  const number = ware && numberOnTag(ware, text);
  if (ware === undefined || number === undefined) return Promise.resolve(null);
  return look(session, async (tx) => {
    const piece = await tx.one(StockPiece, ['lotId'], { where: { ware, number } });
    const [row] = piece?.lotId ? await tx.rows(lotAgainSql, { id: piece.lotId, wares: DELIVERED }) : [];
    if (!row) return null;
    const { currency } = await settingsIn(tx);
    const bought = again(row);
    // What it came to at the rate of that day is no price to go by.
    return row.currency === currency ? bought : { ...bought, line: { ...bought.line, price: '' } };
  });
}

/** The lines of a delivery, to be ordered once more. */
export const linesAgain = (tx: Tx, deliveryId: Id<'delivery'>): Promise<readonly LineAgain[]> =>
  tx
    .rows(linesAgainSql, { id: deliveryId, wares: DELIVERED })
    .then((rows) => rows.map((row) => again(row).line));
