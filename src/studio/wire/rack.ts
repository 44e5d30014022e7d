import type { Id } from '@/core/id';
import { StockPiece } from '@/data/models/stock';
import { type Micrometres, um } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import type { CostUnits } from '@/core/units/money';
import { METAL_IDS, TEMPERS } from '@/core/wire/metal';
import { PROFILES } from '@/core/wire/profile';
import { anywhere } from '../kernel/called';
import { type AskedOf } from '@/data/sql/list';
import { rackList } from '@/data/sql/lists';
import { readPage, readSums } from '@/data/pages';
import type { Tx } from '@/data/inStudio';
import { Supplier } from '@/data/models/purchases';
import type { WireForm } from '@/core/stock/ware';
import { numberOnTag } from '@/core/tag';
import { look, type StudioSession } from '../kernel/useCase';
import { HISTORY, historyOf, lotOf, type HistoryLine, type LotView } from '../stock/history';
import { specFromRow, type KnownSpec, specsById, specsOfStudio } from '../catalogue/wireSpecs';
import type { RackQuery } from './rack.input';

/** One length of wire on the rack. Costs are null for helpers. */
export interface RackPiece {
  readonly id: Id<'stock piece'>;
  readonly number: number;
  readonly form: WireForm;
  readonly length: Micrometres;
  readonly initialLength: Micrometres;
  readonly cost: CostUnits | null;
}

/** One spec on a page of the rack with the lengths shown of it. */
export interface RackGroup {
  readonly spec: KnownSpec;
  readonly pieces: readonly RackPiece[];
  /** All there is of the spec, shown here or not. */
  readonly pieceCount: number;
  readonly totalLength: Micrometres;
  readonly totalCost: CostUnits | null;
}

export interface RackPage {
  readonly groups: readonly RackGroup[];
  /** Over everything the filter lets through. */
  readonly pieceCount: number;
  readonly specCount: number;
  readonly totalLength: Micrometres;
  readonly totalCost: CostUnits | null;
  /** Where the next page starts; null on the last. */
  readonly next: string | null;
  readonly filters: RackFilterChoices;
}

/** What the studio's own wires can be filtered by. */
export interface RackFilterChoices {
  readonly metals: readonly string[];
  readonly profiles: readonly string[];
  readonly gauges: readonly string[];
  readonly tempers: readonly string[];
}

/** Lengths on one page: as many as are drawn without scrolling for long. */
const PAGE = 40;

/** What is asked of the rack: each word is in what a wire is called, or is its tag. */
function askedOf({
  metal,
  profile,
  gauge,
  temper,
  words = '',
}: RackQuery): AskedOf<(typeof rackList)['filters']> {
  const parts = words.trim().split(/\s+/).filter(Boolean).slice(0, 8);
  return {
    metal: metal || undefined,
    profile: profile || undefined,
    gauge: gauge || undefined,
    temper: temper || undefined,
    ...(parts.length > 0 && {
      words: parts.map(anywhere),
      numbers: parts.map((word) => numberOnTag('wire', word) ?? -1),
    }),
  };
}

/** One page of the rack, in its order: by metal, profile, thick to thin; what is wound first, then off-cuts. */
export function showRack(session: StudioSession, query: RackQuery): Promise<RackPage> {
  return look(session, async (tx) => {
    const asked = askedOf(query);
    const { rows, next } = await readPage(tx, rackList, {}, asked, { after: query.after, size: PAGE });
    const sums = await readSums(tx, rackList, {}, asked);
    const sees = session.role === 'owner';
    const sumOf = (pick: (row: (typeof sums)[number]) => number) =>
      sums.reduce((total, row) => total + pick(row), 0);
    const groups = new Map<string, { spec: KnownSpec; pieces: RackPiece[] }>();
    for (const row of rows) {
      const group = groups.get(row.specId) ?? { spec: specFromRow(row), pieces: [] };
      groups.set(row.specId, group);
      const { id, number, form, length, initialLength, cost } = row;
      group.pieces.push({ id, number, form, length, initialLength, cost: sees ? cost : null });
    }
    return {
      groups: [...groups.values()].map(({ spec, pieces }): RackGroup => {
        const sum = sums.find(({ specId }) => specId === spec.id);
        return {
          spec,
          pieces,
          pieceCount: sum?.pieces ?? pieces.length,
          totalLength: sum?.length ?? (0 as Micrometres),
          totalCost: sees ? (sum?.cost ?? null) : null,
        };
      }),
      pieceCount: sumOf(({ pieces }) => pieces),
      specCount: sums.length,
      totalLength: sumOf(({ length }) => length) as Micrometres,
      totalCost: sees ? (sumOf(({ cost }) => cost) as CostUnits) : null,
      next,
      filters: await filterChoices(tx),
    };
  });
}

async function filterChoices(tx: Tx): Promise<RackFilterChoices> {
  const rows = await specsOfStudio(tx);
  const inOrder = (order: readonly string[], used: readonly string[]) =>
    order.filter((each) => used.includes(each));
  return {
    metals: inOrder(
      METAL_IDS,
      rows.map(({ metal }) => metal),
    ),
    profiles: inOrder(
      PROFILES,
      rows.map(({ profile }) => profile),
    ),
    gauges: [
      ...new Set(
        rows
          .toSorted((one, other) => other.width - one.width)
          .map(({ label: { number, system } }) => `${number} ${system}`),
      ),
    ],
    tempers: inOrder(
      TEMPERS,
      rows.map(({ temper }) => temper),
    ),
  };
}

/** One length of wire with where it came from and all that happened to it. */
export interface StockPieceView extends RackPiece {
  readonly spec: KnownSpec;
  readonly place: string | null;
  readonly note: string;
  readonly version: number;
  readonly spoolType: string | null;
  /** What the empty spool weighs, when it is known. */
  readonly emptyMass: Micrograms | null;
  readonly history: readonly HistoryLine[];
  readonly historyIsCut: boolean;
  readonly lot: LotView | null;
}

const WIRE_COLUMNS = [
  ...(['stockPieceId', 'articleId', 'form', 'quantity', 'initialQuantity', 'costUnits'] as const),
  ...(['note', 'version', 'emptyMassUg'] as const),
] as const;

/** Opens a stock piece by its number; null when there is none. */
export function showStockPiece(session: StudioSession, number: number): Promise<StockPieceView | null> {
  return look(session, async (tx) => {
    const row = await tx.oneWith(
      StockPiece,
      WIRE_COLUMNS,
      { place: ['name'], spoolType: ['name'] },
      {
        where: { ware: 'wire', number },
      },
    );
    if (!row) return null;
    const { stockPieceId: id, articleId, form, note, version } = row;
    const spec = (await specsById(tx, [articleId])).get(articleId);
    if (!spec) throw new Error(`wire spec ${articleId} vanished`);
    const history = await historyOf(tx, id);
    return {
      id,
      number,
      form: form as WireForm,
      length: um(row.quantity),
      initialLength: um(row.initialQuantity),
      cost: session.role === 'owner' ? row.costUnits : null,
      spec,
      place: row.place?.name ?? null,
      note,
      version,
      spoolType: row.spoolType?.name ?? null,
      emptyMass: row.emptyMassUg,
      history,
      historyIsCut: history.length === HISTORY,
      lot: await lotOf(tx, id),
    };
  });
}

/** Names of suppliers, for suggesting them. */
export function listSuppliers(session: StudioSession): Promise<string[]> {
  return look(session, async (tx) => {
    const rows = await tx.all(Supplier, ['name'], { where: {}, order: ['name'], limit: 500 });
    return rows.map(({ name }) => name);
  });
}
