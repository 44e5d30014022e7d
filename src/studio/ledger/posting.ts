import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import { trimShades, type ShadeGroup } from '@/core/bead/symmetricalSet';
import { MOVEMENT_KINDS, type MovementKind } from '@/core/stock/movement';
import type { StockForm, Ware } from '@/core/stock/ware';
import type { Micrograms } from '@/core/units/mass';
import { cost, shareOfCost, type CostUnits } from '@/core/units/money';
import { METAL_IDS, metalOf, type MetalId } from '@/core/wire/metal';
import { type RowIn } from '@/data/table';
import type { Tx } from '@/data/inStudio';
import { Article } from '@/data/models/articles';
import { Movement } from '@/data/models/books';
import { StockPiece } from '@/data/models/stock';
import { setBalancesSql } from '@/data/sql/ledger';
import { passNumber, takeNumbers } from '../kernel/numbers';
import { releaseExcess } from '../reservations/reservations';
import { ensureArticle } from '../catalogue/articles';
import { reopenMonths } from './closings';

/** A stock piece as it is locked for a posting. */
export interface HeldStock {
  readonly id: Id<'stock piece'>;
  readonly ware: Ware;
  readonly number: number;
  readonly articleId: Id<'article'>;
  readonly lotId: Id<'lot'> | null;
  readonly form: StockForm;
  readonly initialQuantity: number;
  readonly quantity: number;
  readonly cost: CostUnits;
  readonly sortKey: string;
  readonly placeId: Id<'place'> | null;
  readonly emptyMass: Micrograms | null;
  /** Of a strand, light to dark. */
  readonly shades: readonly ShadeGroup[];
  readonly version: number;
}

const HELD_COLUMNS = [
  'stockPieceId',
  'ware',
  'number',
  'articleId',
  'lotId',
  'form',
  'initialQuantity',
  'quantity',
  'costUnits',
  'sortKey',
  'placeId',
  'emptyMassUg',
  'shades',
  'version',
] as const;

const heldOf = ({
  stockPieceId,
  costUnits,
  emptyMassUg,
  ...stock
}: Pick<RowIn<typeof StockPiece>, (typeof HELD_COLUMNS)[number]>): HeldStock => ({
  ...stock,
  id: stockPieceId,
  cost: costUnits,
  emptyMass: emptyMassUg,
});

/** Reads and locks stock pieces, in one order for everybody so that two people never wait for each other in a ring. */
export async function lockStock(tx: Tx, ids: readonly string[]): Promise<Map<string, HeldStock>> {
  const rows = await tx.all(StockPiece, HELD_COLUMNS, {
    where: { stockPieceId: [...new Set(ids)] },
    order: ['stockPieceId'],
    lock: true,
  });
  return new Map(rows.map((row) => [row.stockPieceId, heldOf(row)]));
}

/** Locks one stock piece by the number on its tag; undefined when there is none. */
export async function lockNumbered(tx: Tx, ware: Ware, number: number): Promise<HeldStock | undefined> {
  const row = await tx.one(StockPiece, HELD_COLUMNS, { where: { ware, number }, lock: true });
  return row && heldOf(row);
}

/** Locks the jar of a metal's scrap; undefined when there is none yet. */
async function lockJar(tx: Tx, metal: MetalId): Promise<HeldStock | undefined> {
  const scrap = await tx.one(Article, ['articleId'], { where: { ware: 'scrap', identity: metal } });
  const row =
    scrap && (await tx.one(StockPiece, HELD_COLUMNS, { where: { ware: 'scrap', ...scrap }, lock: true }));
  return row && heldOf(row);
}

/** A stock piece that a posting brings into being. */
export interface NewStock {
  readonly ware: Ware;
  readonly articleId: Id<'article'>;
  readonly sortKey: string;
  readonly lotId: Id<'lot'> | null;
  readonly form: StockForm;
  readonly placeId?: Id<'place'> | null;
  readonly note?: string;
  /** Only when it is brought in with the number it had elsewhere. */
  readonly number?: number;
  readonly spoolTypeId?: Id<'spool type'> | null;
  readonly emptyMassUg?: Micrograms | null;
  readonly shades?: readonly ShadeGroup[];
}

interface Balance {
  readonly articleId: Id<'article'>;
  readonly shades: readonly ShadeGroup[];
  quantity: number;
  cost: CostUnits;
}

interface Entry {
  readonly kind: MovementKind;
  readonly id: Id<'stock piece'>;
  readonly articleId: Id<'article'>;
  readonly quantity: number;
  readonly cost: CostUnits;
  readonly reason: string;
  readonly lotId: Id<'lot'> | null;
  readonly reverses: number | null;
}

/** What a posting was done for. */
export interface PostedFor {
  /** The finished piece. */
  readonly pieceId?: Id<'piece'> | null;
  readonly batchId?: Id<'batch'> | null;
}

interface EntryOptions {
  readonly reason?: string;
  readonly lotId?: Id<'lot'> | null;
  readonly reverses?: number;
  /** When the stock piece is, from here on, another article. */
  readonly articleId?: Id<'article'>;
}

/**
 * One posting to the ledger: collects what happens to stock pieces, then writes the movements, the balances and the new
 * stock pieces together. It is the only writer of movements and balances, so every balance follows from its movements.
 */
export class Posting {
  readonly #tx: Tx;
  readonly #postKey: Id<'post'>;
  readonly #for: { readonly pieceId: Id<'piece'> | null; readonly batchId: Id<'batch'> | null };
  readonly #balances = new Map<string, Balance>();
  readonly #opened = new Map<string, NewStock>();
  readonly #entries: Entry[] = [];
  readonly #jars = new Map<MetalId, string>();
  /** Stock pieces that became another article. */
  readonly #turned = new Set<string>();

  constructor(tx: Tx, postKey: Id<'post'>, { pieceId = null, batchId = null }: PostedFor = {}) {
    this.#tx = tx;
    this.#postKey = postKey;
    this.#for = { pieceId, batchId };
  }

  /** The key that everything of it is posted under. */
  get postKey(): string {
    return this.#postKey;
  }

  /** Says which locked stock pieces it is about. */
  hold(...stock: readonly HeldStock[]): this {
    for (const { id, articleId, quantity, cost: carried, shades } of stock) {
      if (!this.#balances.has(id)) this.#balances.set(id, { articleId, quantity, cost: carried, shades });
    }
    return this;
  }

  /** What a stock piece holds after all that was entered so far. */
  balance(id: Id<'stock piece'>): Readonly<Balance> {
    const balance = this.#balances.get(id);
    if (!balance) throw new Error(`stock piece ${id} is not held by this posting`);
    return balance;
  }

  /** Takes a quantity with its share of the cost. @returns the share */
  take(id: Id<'stock piece'>, kind: MovementKind, quantity: number, options: EntryOptions = {}): CostUnits {
    const { quantity: has, cost: carried } = this.balance(id);
    const share = shareOfCost(carried, quantity, has);
    if (quantity > 0) this.enter(id, kind, -quantity, cost(0 - share), options);
    return share;
  }

  /** Enters a movement with its signs as they are. */
  enter(
    id: Id<'stock piece'>,
    kind: MovementKind,
    quantity: number,
    amount: CostUnits,
    { reason = '', lotId = null, reverses, articleId }: EntryOptions = {},
  ): void {
    const balance = this.balance(id);
    const direction = MOVEMENT_KINDS[kind];
    const sign = reverses === undefined ? 1 : -1;
    if (direction !== 'both' && quantity * sign * (direction === 'in' ? 1 : -1) <= 0)
      throw new Error(`a movement “${kind}” of ${quantity} goes the wrong way`);
    this.#entries.push({
      kind,
      id,
      articleId: articleId ?? balance.articleId,
      quantity,
      cost: amount,
      reason,
      lotId,
      reverses: reverses ?? null,
    });
    if (articleId !== undefined && articleId !== balance.articleId) this.#turned.add(id);
    this.#balances.set(id, {
      ...balance,
      articleId: articleId ?? balance.articleId,
      quantity: balance.quantity + quantity,
      cost: cost(balance.cost + amount),
    });
  }

  /** Brings a new stock piece into being with its first movement. @returns its id */
  open(
    stock: NewStock,
    kind: MovementKind,
    quantity: number,
    amount: CostUnits,
    options: EntryOptions = {},
  ): string {
    const id = randomUUID();
    this.#opened.set(id, stock);
    this.#balances.set(id, {
      articleId: stock.articleId,
      quantity: 0,
      cost: cost(0),
      shades: stock.shades ?? [],
    });
    this.enter(id, kind, quantity, amount, options);
    return id;
  }

  /**
   * Lets scrap fall into its metal's jar, with what it cost. Call it after the stock it comes from is locked.
   * @param kind whether it comes off stock, or out of a piece that is broken up
   */
  async toJar(
    metal: MetalId,
    mass: Micrograms,
    amount: CostUnits,
    reason = '',
    kind: 'jarred' | 'salvaged' = 'jarred',
  ): Promise<void> {
    // A snip of a fine wire may weigh less than the finest unit; it is there all the same.
    const quantity = Math.max(1, mass);
    const id = this.#jars.get(metal) ?? (await this.#findJar(metal));
    if (id) {
      this.#jars.set(metal, id);
      this.enter(id, kind, quantity, amount, { reason });
      return;
    }
    const jar = { ware: 'scrap', ...(await ensureScrap(this.#tx, metal)), lotId: null, form: 'jar' } as const;
    this.#jars.set(metal, this.open(jar, kind, quantity, amount, { reason }));
  }

  async #findJar(metal: MetalId): Promise<string | undefined> {
    const jar = await lockJar(this.#tx, metal);
    if (jar) this.hold(jar);
    return jar?.id;
  }

  /** Writes everything. @returns the numbers of the new stock pieces, by id */
  async commit(): Promise<ReadonlyMap<string, number>> {
    for (const [id, { quantity, cost: carried }] of this.#balances) {
      if (quantity < 0 || carried < 0 || (quantity === 0 && carried !== 0))
        throw new Error(`stock piece ${id} would hold ${quantity} at ${carried}`);
    }
    const { session } = this.#tx;
    const numbers = await this.#addOpened();
    await this.#setBalances();
    await reopenMonths(this.#tx, session.now);
    await this.#tx.add(
      Movement,
      this.#entries.map(({ id, cost: costUnits, ...entry }) => ({
        ...entry,
        postKey: this.#postKey,
        happenedAt: session.now,
        userId: session.userId,
        stockPieceId: id,
        costUnits,
        ...this.#for,
      })),
    );
    return numbers;
  }

  async #addOpened(): Promise<Map<string, number>> {
    const numbers = new Map<string, number>();
    for (const ware of new Set([...this.#opened.values()].map((stock) => stock.ware))) {
      const opened = [...this.#opened].filter(([, stock]) => stock.ware === ware);
      const given = opened.flatMap(([, { number }]) => number ?? []);
      if (given.length > 0)
        await passNumber(
          this.#tx,
          ware,
          given.reduce((a, b) => Math.max(a, b)),
        );
      const unnumbered = opened.filter(([, { number }]) => number === undefined);
      const first = unnumbered.length > 0 ? await takeNumbers(this.#tx, ware, unnumbered.length) : 0;
      unnumbered.forEach(([id], index) => numbers.set(id, first + index));
      for (const [id, { number }] of opened) if (number !== undefined) numbers.set(id, number);
    }
    const first = new Map<string, number>();
    for (const { id, quantity } of this.#entries) if (!first.has(id)) first.set(id, quantity);
    await this.#tx.add(
      StockPiece,
      [...this.#opened].map(([id, { number: _, note = '', placeId = null, ...stock }]) => ({
        ...stock,
        stockPieceId: id,
        number: numbers.get(id) ?? 0,
        initialQuantity: first.get(id) ?? 0,
        quantity: this.balance(id).quantity,
        costUnits: this.balance(id).cost,
        placeId,
        note,
        createdAt: this.#tx.session.now,
      })),
    );
    return numbers;
  }

  async #setBalances(): Promise<void> {
    const touched = [...new Set(this.#entries.map(({ id }) => id))].filter((id) => !this.#opened.has(id));
    if (touched.length === 0) return;
    await this.#tx.execute(setBalancesSql, {
      ids: touched,
      quantities: touched.map((id) => this.balance(id).quantity),
      costs: touched.map((id) => this.balance(id).cost),
      articleIds: touched.map((id) => this.balance(id).articleId),
      shades: touched.map((id) => trimShades(this.balance(id).shades, this.balance(id).quantity)),
    });
    await releaseExcess(this.#tx, touched, [...this.#turned]);
  }
}

/** The studio's article for a metal's scrap, made when there is none yet. */
export async function ensureScrap(
  tx: Tx,
  metal: MetalId,
): Promise<{ articleId: Id<'article'>; sortKey: string }> {
  const name = `${metalOf(metal).name} scrap`;
  const { id, sortKey } = await ensureArticle(tx, {
    ware: 'scrap',
    name,
    identity: metal,
    sortKey: jarKey(metal),
  });
  return { articleId: id, sortKey };
}

const jarKey = (metal: MetalId): string => String(METAL_IDS.indexOf(metal)).padStart(2, '0');
