import type { ShadeGroup } from '@/core/bead/symmetricalSet';
import { plainAmountOf, type SupplyUnit } from '@/core/stock/amount';
import type { CostIs } from '@/core/stock/costIs';
import { numberOnTag } from '@/core/tag';
import { formatDiameter, um } from '@/core/units/length';
import { formatMass, ug } from '@/core/units/mass';
import { minor, plainMoney } from '@/core/units/money';
import { hasOwnHeight, type Profile } from '@/core/wire/profile';
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

interface LotRow {
  readonly ware: DeliveredWare;
  readonly quantity: number;
  readonly mass: number | null;
  /** In the currency of the purchase, before postage and tax. */
  readonly price: number;
  readonly currency: string;
  readonly costIs: CostIs;
  readonly supplier: string | null;
  readonly form: string;
  readonly place: string | null;
  readonly shades: readonly ShadeGroup[];
  readonly label: { readonly system: string | null; readonly number: string | null };
  /** Of its ware; the others are null. */
  readonly wire: Readonly<Record<'metal' | 'profile' | 'temper' | 'finish' | 'finish_name', string>> & {
    readonly height_um: number;
  };
  readonly bead: { material: string; shape: string; min_um: number; max_um: number; hole_um: number };
  readonly stone: Readonly<Record<'material' | 'outline' | 'hole_axis', string>> &
    Readonly<Record<'length_um' | 'width_um' | 'depth_um' | 'edge_um' | 'hole_um', number>>;
  readonly finding: Readonly<Record<'finding' | 'material' | 'size', string>>;
  readonly supply: { name: string; unit: SupplyUnit; per_piece: number };
}

/** Lots, with all that is known of what they were of; scrap is never bought. */
const lotsWhere = (tx: Tx, condition: string, of: string | number): Promise<LotRow[]> =>
  tx.select<LotRow>(
    `SELECT a.ware, l.quantity, l.mass_ug AS mass, l.paid - l.postage_share - l.tax_share AS price, l.paid_currency AS currency,
            l.cost_is AS "costIs", u.name AS supplier, p.form, c.name AS place, p.shades,
            jsonb_build_object('system', l.gauge_system, 'number', l.gauge_number) AS label,
            to_jsonb(w) AS wire, to_jsonb(b) AS bead, to_jsonb(t) AS stone, to_jsonb(f) AS finding,
            jsonb_build_object('name', a.name, 'unit', s.unit, 'per_piece', s.per_piece) AS supply
       FROM lots l JOIN articles a ON a.studio_id = l.studio_id AND a.article_id = l.article_id AND a.ware = ANY ($3)
       JOIN LATERAL (SELECT * FROM stock_pieces p WHERE p.studio_id = $1 AND p.lot_id = l.lot_id ORDER BY p.number LIMIT 1) AS p ON true
       LEFT JOIN places c ON c.studio_id = l.studio_id AND c.place_id = p.place_id
       LEFT JOIN suppliers u ON u.studio_id = l.studio_id AND u.supplier_id = l.supplier_id
       LEFT JOIN wire_specs w ON w.studio_id = l.studio_id AND w.spec_id = l.article_id
       LEFT JOIN beads b ON b.studio_id = l.studio_id AND b.article_id = l.article_id
       LEFT JOIN stones t ON t.studio_id = l.studio_id AND t.article_id = l.article_id
       LEFT JOIN findings f ON f.studio_id = l.studio_id AND f.article_id = l.article_id
       LEFT JOIN supplies s ON s.studio_id = l.studio_id AND s.article_id = l.article_id
      WHERE l.studio_id = $1 AND ${condition} ORDER BY l.delivery_line, l.created_at`,
    [tx.session.studioId, of, DELIVERED],
  );

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
    const [row] = piece?.lotId ? await lotsWhere(tx, 'l.lot_id = $2', piece.lotId) : [];
    if (!row) return null;
    const { currency } = await settingsIn(tx);
    const bought = again(row);
    // What it came to at the rate of that day is no price to go by.
    return row.currency === currency ? bought : { ...bought, line: { ...bought.line, price: '' } };
  });
}

/** The lines of a delivery, to be ordered once more. */
export const linesAgain = (tx: Tx, deliveryId: string): Promise<readonly LineAgain[]> =>
  lotsWhere(tx, 'l.delivery_id = $2', deliveryId).then((rows) => rows.map((row) => again(row).line));
