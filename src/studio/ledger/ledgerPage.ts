import { User } from '@/data/models/studio';
import { isDay } from '@/core/calendar/day';
import type { MovementKind } from '@/core/stock/movement';
import type { SupplyUnit } from '@/core/stock/amount';
import { WARES, type Ware } from '@/core/stock/ware';
import { numberOnTag } from '@/core/tag';
import type { CostUnits } from '@/core/units/money';
import { look, type StudioSession } from '../kernel/useCase';
import type { LedgerQuery } from './ledger.input';

/** One line of the ledger. Costs are null for helpers. */
export interface LedgerLine {
  readonly id: number;
  readonly at: Date;
  readonly who: string;
  readonly kind: MovementKind;
  readonly ware: Ware;
  readonly number: number;
  readonly article: string;
  readonly unit: SupplyUnit | null;
  readonly quantity: number;
  readonly cost: CostUnits | null;
  readonly reason: string;
  readonly pieceNumber: number | null;
  readonly pieceName: string | null;
  readonly reverses: number | null;
  readonly reversedBy: number | null;
  readonly postKey: string;
}

export interface LedgerPage {
  readonly lines: readonly LedgerLine[];
  readonly next: string | null;
  readonly people: readonly { readonly id: string; readonly name: string }[];
}

const PAGE = 60;

const COLUMNS = `m.movement_id AS id, m.happened_at AS at, u.name AS who, m.kind, a.ware, p.number, a.name AS article, s.unit, m.quantity,
  m.cost_units AS cost, m.reason, f.number AS "pieceNumber", f.name AS "pieceName", m.reverses, r.movement_id AS "reversedBy",
  m.post_key AS "postKey"`;

const JOINS = `JOIN users u ON u.studio_id = m.studio_id AND u.user_id = m.user_id
  JOIN stock_pieces p ON p.studio_id = m.studio_id AND p.stock_piece_id = m.stock_piece_id
  JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id
  LEFT JOIN supplies s ON s.studio_id = m.studio_id AND s.article_id = m.article_id
  LEFT JOIN pieces f ON f.studio_id = m.studio_id AND f.piece_id = m.piece_id
  LEFT JOIN movements r ON r.studio_id = m.studio_id AND r.reverses = m.movement_id`;

/** The whole ledger, newest first, a page at a time: the keys narrow it before any name is looked up. */
export function showLedger(session: StudioSession, query: LedgerQuery): Promise<LedgerPage> {
  return look(session, async (tx) => {
    const bind: unknown[] = [session.studioId];
    const where = conditions(query, bind);
    const rows = await tx.select<LedgerLine & { cursor: string }>(
      `SELECT ${COLUMNS}, m.happened_at::text || '~' || m.movement_id AS cursor
         FROM (SELECT * FROM movements m WHERE m.studio_id = $1${where}
                ORDER BY m.happened_at DESC, m.movement_id DESC LIMIT ${PAGE + 1}) m
         ${JOINS} ORDER BY m.happened_at DESC, m.movement_id DESC`,
      bind,
    );
    const people = await tx.all(User, ['userId', 'name'], { where: {}, order: ['name'], limit: 100 });
    const sees = session.role === 'owner';
    const shown = rows
      .slice(0, PAGE)
      .map(({ cursor: _, ...line }) => (sees ? line : { ...line, cost: null }));
    return {
      lines: shown,
      next: rows.length > PAGE ? (rows[PAGE - 1]?.cursor ?? null) : null,
      people: people.map(({ userId, name }) => ({ id: userId, name })),
    };
  });
}

/** A moment as the link to the next page holds it. */
const isMoment = (text: string): boolean =>
  isDay(text.slice(0, 10)) && !Number.isNaN(new Date(text).valueOf()) && /^[\d:.TZ+ -]+$/.test(text);

/** SQL over movements m for what is asked; nothing typed becomes SQL. */
function conditions(query: LedgerQuery, bind: unknown[]): string {
  const parts: string[] = [];
  const add = (sql: (slot: string) => string, value: unknown) =>
    parts.push(` AND ${sql(`$${bind.push(value)}`)}`);
  const { kind, ware, person, from, to, posting, before = '' } = query;
  const item = query.item?.trim() ?? '';
  if (kind) add((slot) => `m.kind = ${slot}`, kind);
  if (person) add((slot) => `m.user_id = ${slot}`, person);
  if (posting) add((slot) => `m.post_key = ${slot}`, posting);
  if (from) add((slot) => `m.happened_at >= ${slot}::date`, from);
  if (to) add((slot) => `m.happened_at < ${slot}::date + 1`, to);
  if (ware) {
    add(
      (slot) => `m.article_id IN (SELECT article_id FROM articles WHERE studio_id = $1 AND ware = ${slot})`,
      ware,
    );
  }
  if (item !== '') itemCondition(item, add);
  const [at, id] = before.split('~');
  if (at && id && /^\d{1,15}$/.test(id) && isMoment(at))
    parts.push(
      ` AND (m.happened_at, m.movement_id) < ($${bind.push(at)}::timestamptz, $${bind.push(id)}::bigint)`,
    );
  return parts.join('');
}

function itemCondition(item: string, add: (sql: (slot: string) => string, value: unknown) => void): void {
  const piece = numberOnTag('piece', item);
  if (piece !== undefined) {
    add(
      (slot) => `m.piece_id = (SELECT piece_id FROM pieces WHERE studio_id = $1 AND number = ${slot})`,
      piece,
    );
    return;
  }
  const batch = numberOnTag('batch', item);
  if (batch !== undefined) {
    add(
      (slot) => `m.batch_id = (SELECT batch_id FROM batches WHERE studio_id = $1 AND number = ${slot})`,
      batch,
    );
    return;
  }
  for (const ware of WARES) {
    const number = numberOnTag(ware, item);
    if (number === undefined) continue;
    add(
      (slot) =>
        `m.stock_piece_id = (SELECT stock_piece_id FROM stock_pieces WHERE studio_id = $1 AND ware = '${ware}' AND number = ${slot})`,
      number,
    );
    return;
  }
  for (const word of item.toLowerCase().split(/\s+/).slice(0, 8)) {
    add(
      (slot) =>
        `m.article_id IN (SELECT article_id FROM articles WHERE studio_id = $1 AND strpos(said, ${slot}) > 0)`,
      word,
    );
  }
}
