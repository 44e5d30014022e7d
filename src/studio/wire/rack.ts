import type { Micrometres } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import type { CostUnits } from '@/core/units/money';
import { METAL_IDS, TEMPERS } from '@/core/wire/metal';
import { PROFILES } from '@/core/wire/profile';
import type { Tx } from '@/data/inStudio';
import { Supplier } from '@/data/models/purchases';
import { wireOfNumberSql, kindsOfWireSql } from '@/data/sql/stock';
import type { WireForm } from '@/core/stock/ware';
import { numberOnTag } from '@/core/tag';
import { look, type StudioSession } from '../kernel/useCase';
import { HISTORY, historyOf, lotOf, type HistoryLine, type LotView } from '../stock/history';
import { SPEC_COLUMNS, specFromRow, type KnownSpec, type SpecColumns } from '../catalogue/wireSpecs';
import type { RackQuery } from './rack.input';

/** One length of wire on the rack. Costs are null for helpers. */
export interface RackPiece {
  readonly id: string;
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

interface RackRow extends SpecColumns {
  readonly id: string;
  readonly number: number;
  readonly form: WireForm;
  readonly length: Micrometres;
  readonly initialLength: Micrometres;
  readonly cost: CostUnits;
  readonly sortKey: string;
  readonly isOffCut: boolean;
}

/** The filter as SQL conditions over stock_pieces p and wire_specs s, filling `bind` as it goes. */
function conditions(query: RackQuery, bind: unknown[]): string {
  const parts: string[] = [];
  const value = (given: unknown) => `$${bind.push(given)}`;
  if (query.metal) parts.push(`s.metal = ${value(query.metal)}`);
  if (query.profile) parts.push(`s.profile = ${value(query.profile)}`);
  if (query.gauge) parts.push(`s.gauge_number || ' ' || s.gauge_system = ${value(query.gauge)}`);
  if (query.temper) parts.push(`s.temper = ${value(query.temper)}`);
  for (const word of (query.words ?? '').trim().split(/\s+/).filter(Boolean).slice(0, 8)) {
    const number = numberOnTag('wire', word);
    const said = `a.said LIKE ${value(`%${word.toLowerCase().replace(/[\\%_]/g, '\\$&')}%`)}`;
    parts.push(number === undefined ? said : `(${said} OR p.number = ${value(number)})`);
  }
  return parts.map((part) => ` AND ${part}`).join('');
}

const cursorOf = ({ sortKey, isOffCut, number }: RackRow): string =>
  Buffer.from(JSON.stringify([sortKey, isOffCut, number])).toString('base64url');

function readCursor(text: string | undefined): [string, boolean, number] | undefined {
  if (!text) return undefined;
  try {
    const parts: unknown = JSON.parse(Buffer.from(text, 'base64url').toString());
    if (!Array.isArray(parts)) return undefined;
    const [key, off, number] = parts as unknown[];
    return typeof key === 'string' && typeof off === 'boolean' && Number.isSafeInteger(number)
      ? [key, off, number as number]
      : undefined;
  } catch {
    return undefined;
  }
}

/** One page of the rack, in its order: by metal, profile, thick to thin; what is wound first, then off-cuts. */
export function showRack(session: StudioSession, query: RackQuery): Promise<RackPage> {
  return look(session, async (tx) => {
    const rows = await pageRows(tx, query);
    const shown = rows.slice(0, PAGE);
    const last = shown.at(-1);
    const bind: unknown[] = [session.studioId];
    const where = conditions(query, bind);
    const sums = await tx.select<{ specId: string; pieces: number; length: Micrometres; cost: CostUnits }>(
      `SELECT p.article_id AS "specId", count(*)::int AS pieces, sum(p.quantity)::bigint AS length, sum(p.cost_units)::bigint AS cost
         FROM stock_pieces p JOIN wire_specs s ON s.studio_id = p.studio_id AND s.spec_id = p.article_id
         JOIN articles a ON a.studio_id = p.studio_id AND a.article_id = p.article_id
        WHERE p.studio_id = $1 AND p.ware = 'wire' AND p.quantity > 0${where} GROUP BY p.article_id`,
      bind,
    );
    const sees = session.role === 'owner';
    const sumOf = (pick: (row: (typeof sums)[number]) => number) =>
      sums.reduce((total, row) => total + pick(row), 0);
    const groups = new Map<string, { spec: KnownSpec; pieces: RackPiece[] }>();
    for (const row of shown) {
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
      next: rows.length > PAGE && last ? cursorOf(last) : null,
      filters: await filterChoices(tx),
    };
  });
}

function pageRows(tx: Tx, query: RackQuery): Promise<RackRow[]> {
  const bind: unknown[] = [tx.session.studioId];
  const where = conditions(query, bind);
  const cursor = readCursor(query.after);
  const after = cursor
    ? ` AND (p.sort_key, p.is_off_cut, p.number) > ($${bind.push(cursor[0])}, $${bind.push(cursor[1])}, $${bind.push(cursor[2])})`
    : '';
  return tx.select<RackRow>(
    `SELECT p.stock_piece_id AS id, p.number, p.form, p.quantity AS length, p.initial_quantity AS "initialLength",
            p.cost_units AS cost, p.sort_key AS "sortKey", p.is_off_cut AS "isOffCut", ${SPEC_COLUMNS}
       FROM stock_pieces p JOIN wire_specs s ON s.studio_id = p.studio_id AND s.spec_id = p.article_id
       JOIN articles a ON a.studio_id = p.studio_id AND a.article_id = p.article_id
      WHERE p.studio_id = $1 AND p.ware = 'wire' AND p.quantity > 0${where}${after}
      ORDER BY p.sort_key, p.is_off_cut, p.number LIMIT ${PAGE + 1}`,
    bind,
  );
}

async function filterChoices(tx: Tx): Promise<RackFilterChoices> {
  const rows = await tx.rows(kindsOfWireSql, {});
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
    gauges: [...new Set(rows.map(({ gauge }) => gauge))],
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

/** Opens a stock piece by its number; null when there is none. */
export function showStockPiece(session: StudioSession, number: number): Promise<StockPieceView | null> {
  return look(session, async (tx) => {
    const row = await tx.row(wireOfNumberSql, { number });
    if (!row) return null;
    const history = await historyOf(tx, row.id);
    const { id, form, length, initialLength, cost, place, note, version, spoolType, emptyMass } = row;
    return {
      id,
      number,
      form,
      length,
      initialLength,
      cost: session.role === 'owner' ? cost : null,
      spec: specFromRow(row),
      place,
      note,
      version,
      spoolType,
      emptyMass,
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
