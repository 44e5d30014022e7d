import type { Id } from '@/core/id';
import { dayIn, type Day } from '@/core/calendar/day';
import { AsyncLocalStorage } from 'node:async_hooks';
import {
  Transaction,
  type Attributes,
  type BulkCreateOptions,
  type CreationAttributes,
  type FindOptions,
  type Model,
  type ModelStatic,
  type WhereOptions,
} from 'sequelize';
import type { Fn, Literal } from 'sequelize/types/utils';
import { setStudio } from './context';
import { database } from './database';
import { isPassing } from './faults';
import { ask } from './ask';
import { enterStudioSql, readOnlySql, turnAloneSql, turnBesideOthersSql } from './sql/transaction';
import { type Columns, type ValuesOf } from './columns';
import { type RowIn } from './table';
import { joinsFor, unfolded, type FlatRow, type GotWith, type Tree, type With } from './ties';
import { type Statement } from './sql/statement';

/** Who works in which studio. */
export interface StudioSession {
  readonly studioId: Id<'studio'>;
  readonly userId: Id<'user'>;
  readonly role: 'owner' | 'helper';
  /** When the work happens; the demo studio's two years are written with past times. */
  readonly now: Date;
  /** Where the studio is, an IANA time zone: days and months are those of there. Universal time when it is left out. */
  readonly zone?: string;
}

/** Where a studio is. */
export const zoneOf = ({ zone = 'UTC' }: StudioSession): string => zone;

/** The day that it is for a session, where its studio is. */
export const todayOf = (session: StudioSession): Day => dayIn(zoneOf(session), session.now);

/** Which rows, in which order, how many of them, and whether they are locked. */
export type Asked<Row extends Model> = Pick<
  FindOptions<Attributes<Row>>,
  'where' | 'order' | 'limit' | 'offset' | 'lock'
>;

/** A transaction inside one studio: every query in it sees that studio's rows and no other. */
export interface Tx {
  readonly session: StudioSession;
  /** The rows that a statement answers. */
  rows<Takes extends Columns, Gives extends Columns>(
    statement: Statement<Takes, Gives>,
    values: ValuesOf<Takes>,
  ): Promise<ValuesOf<Gives>[]>;
  /** The first of them, if any. */
  row<Takes extends Columns, Gives extends Columns>(
    statement: Statement<Takes, Gives>,
    values: ValuesOf<Takes>,
  ): Promise<ValuesOf<Gives> | undefined>;
  /** Runs a statement that answers nothing. */
  execute<Takes extends Columns>(
    statement: Statement<Takes, Record<never, never>>,
    values: ValuesOf<Takes>,
  ): Promise<void>;
  /** Rows of one table as plain values, with no more of their columns than named. */
  all<Row extends Model, Name extends keyof Attributes<Row> & string>(
    model: ModelStatic<Row>,
    columns: readonly Name[],
    asked?: Asked<Row>,
  ): Promise<Pick<Attributes<Row>, Name>[]>;
  /** The first of them, if any. */
  one<Row extends Model, Name extends keyof Attributes<Row> & string>(
    model: ModelStatic<Row>,
    columns: readonly Name[],
    asked: Asked<Row>,
  ): Promise<Pick<Attributes<Row>, Name> | undefined>;
  /** Rows of one table with columns of what they belong to; order and conditions name those `tie.column`, `$tie.column$`. */
  allWith<Of extends ModelStatic<Model>, Name extends keyof RowIn<Of> & string, const What extends With<Of>>(
    model: Of,
    columns: readonly Name[],
    wanted: What,
    asked?: Asked<InstanceType<Of>>,
  ): Promise<(Pick<RowIn<Of>, Name> & GotWith<Of, What>)[]>;
  /** The first of them, if any. */
  oneWith<Of extends ModelStatic<Model>, Name extends keyof RowIn<Of> & string, const What extends With<Of>>(
    model: Of,
    columns: readonly Name[],
    wanted: What,
    asked: Asked<InstanceType<Of>>,
  ): Promise<(Pick<RowIn<Of>, Name> & GotWith<Of, What>) | undefined>;
  /** Adds rows to a table. */
  add<Row extends Model>(model: ModelStatic<Row>, rows: readonly CreationAttributes<Row>[]): Promise<void>;
  /** Adds rows to a table; of those whose keys are there already, the named columns are changed instead. */
  put<Row extends Model>(
    model: ModelStatic<Row>,
    rows: readonly CreationAttributes<Row>[],
    columns: readonly (keyof Attributes<Row> & string)[],
  ): Promise<void>;
  /** Changes rows of a table. @returns how many */
  change<Row extends Model>(
    model: ModelStatic<Row>,
    where: WhereOptions<Attributes<Row>>,
    values: Partial<{ [Name in keyof Attributes<Row>]: Attributes<Row>[Name] | Fn | Literal }>,
  ): Promise<number>;
  /** Takes rows out of a table. @returns how many */
  remove<Row extends Model>(model: ModelStatic<Row>, where: WhereOptions<Attributes<Row>>): Promise<number>;
}

export interface DoorOptions {
  /** Reading only: one consistent snapshot, no locks. */
  readonly readOnly?: boolean;
}

/** How long a transaction is tried again after a lost race or a lost connection before the fault is passed on. */
const PATIENCE_MS = 15_000;

/** How long it goes on losing before it is run while nobody else writes at all. */
const ALONE_AFTER_MS = 3_000;

/**
 * The one door to the database. Opens a serialisable transaction, sets the studio for row-level security, runs the work
 * and commits; a lost race (serialisation failure, deadlock) or a connection cut by a database restart runs it again.
 * Who lost a race waits in line with the others of this studio in this process and runs again alone, and while anybody waits
 * newcomers of the studio stand behind: under contention the line is far cheaper than one lost race after another, which a long
 * transaction would lose for ever. No studio waits for another, but for work at the front of its own line that loses again and again:
 * the database tells races by the page, so that it sees some between studios, and of those who lose such races one goes at a time.
 * Between copies of the application the database decides; who has lost for seconds on end runs while nobody else writes, in any copy.
 * The work must therefore do nothing outside the transaction; submitted forms carry a key, so that trying again after an
 * unanswered commit posts nothing twice.
 */
export async function inStudio<T>(
  session: StudioSession,
  work: (tx: Tx) => Promise<T>,
  { readOnly = false }: DoorOptions = {},
): Promise<T> {
  const attempt = (isAlone: boolean) => once(session, work, { readOnly, isAlone });
  if (readOnly || atTheFront.getStore()) return persist(attempt);
  const { studioId } = session;
  if (lastInLine.has(studioId)) return inLine(studioId, () => persistAtFront(attempt));
  try {
    return await attempt(false);
  } catch (fault) {
    if (!isPassing(fault)) throw fault;
    return inLine(studioId, () => persistAtFront(attempt));
  }
}

/** One try of a transaction; alone when nobody else is to write meanwhile. */
type Attempt<T> = (isAlone: boolean) => Promise<T>;

/** Tries until it works, patience runs out, or the fault is none that passes. */
async function persist<T>(attempt: Attempt<T>): Promise<T> {
  const begun = Date.now();
  for (let tries = 0; ; tries += 1) {
    const lost = Date.now() - begun;
    try {
      return await attempt(tries > 0 && lost > ALONE_AFTER_MS);
    } catch (fault) {
      if (!isPassing(fault) || lost > PATIENCE_MS) throw fault;
      await pause(Math.min(400, 5 * 2 ** tries) * (0.5 + Math.random()));
    }
  }
}

/** Races that work at the front of its studio's line may lose before it stands in the line of all who do. */
const LOST_TO_OTHERS = 4;

/** No studio's id: the line of those who lose races to other studios. */
const ALL_STUDIOS = '';

async function persistAtFront<T>(attempt: Attempt<T>): Promise<T> {
  for (let tries = 0; tries < LOST_TO_OTHERS; tries += 1) {
    try {
      return await attempt(false);
    } catch (fault) {
      if (!isPassing(fault)) throw fault;
      await pause(5 * 2 ** tries * (0.5 + Math.random()));
    }
  }
  return inLine(ALL_STUDIOS, () => persist(attempt));
}

/** Of each studio, the last of those who lost a race and wait to run again; absent when nobody waits. */
const lastInLine = new Map<string, Promise<void>>();

/** Whether this work is the one at the front: what it does inside must not wait for itself. */
const atTheFront = new AsyncLocalStorage<boolean>();

async function inLine<T>(studioId: Id<'studio'>, work: () => Promise<T>): Promise<T> {
  const before = lastInLine.get(studioId);
  let leave: () => void = () => undefined;
  const mine = new Promise<void>((resolve) => (leave = resolve));
  lastInLine.set(studioId, mine);
  try {
    await before;
    return await atTheFront.run(true, work);
  } finally {
    if (lastInLine.get(studioId) === mine) lastInLine.delete(studioId);
    leave();
  }
}

/** Rows that one statement inserts. */
const CHUNK = 1000;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Whether this work is inside a transaction that has its turn already: one inside another must not wait for a third. */
const hasTurn = new AsyncLocalStorage<boolean>();

/** Takes a transaction's turn among those that write, in every copy of the application. It reads nothing. */
async function takeTurn(run: Run, isAlone: boolean): Promise<void> {
  for (const step of isAlone ? turnAloneSql : [turnBesideOthersSql]) await run(step, {});
}

type Run = <Takes extends Columns, Gives extends Columns>(
  statement: Statement<Takes, Gives>,
  values: ValuesOf<Takes>,
) => Promise<ValuesOf<Gives>[]>;

async function once<T>(
  session: StudioSession,
  work: (tx: Tx) => Promise<T>,
  { readOnly, isAlone }: { readonly readOnly: boolean; readonly isAlone: boolean },
): Promise<T> {
  const sequelize = database();
  const isolationLevel = readOnly
    ? Transaction.ISOLATION_LEVELS.REPEATABLE_READ
    : Transaction.ISOLATION_LEVELS.SERIALIZABLE;
  return sequelize.transaction({ isolationLevel }, async (transaction) => {
    setStudio(session.studioId);
    const rows: Run = (statement, values) =>
      ask(sequelize, statement, { ...values, studio: session.studioId }, transaction);
    // Before anything is read: what waits for its turn must not see what was there before it came.
    if (!readOnly && !hasTurn.getStore()) await takeTurn(rows, isAlone);
    await rows(enterStudioSql, { zone: zoneOf(session) });
    if (readOnly) await rows(readOnlySql, {});
    const all: Tx['all'] = (model, columns, asked = {}) =>
      model.findAll({ ...asked, attributes: [...columns], raw: true });
    const allWith: Tx['allWith'] = async (model, columns, wanted, asked = {}) => {
      const tree = wanted as Tree;
      const found = await model.findAll({
        ...asked,
        attributes: [...columns],
        include: joinsFor(model, tree),
        subQuery: false,
        raw: true,
      });
      return found.map((row) => unfolded(model, columns, tree, row as unknown as FlatRow) as never);
    };
    const add = async <Row extends Model>(
      model: ModelStatic<Row>,
      given: readonly CreationAttributes<Row>[],
      options: BulkCreateOptions<Attributes<Row>> = {},
    ) => {
      for (let from = 0; from < given.length; from += CHUNK)
        await model.bulkCreate(given.slice(from, from + CHUNK), { ...options, returning: false });
    };
    const tx: Tx = {
      session,
      rows,
      row: async (statement, values) => (await rows(statement, values))[0],
      execute: async (statement, values) => void (await rows(statement, values)),
      all,
      one: async (model, columns, asked) => (await all(model, columns, { ...asked, limit: 1 }))[0],
      allWith,
      oneWith: async (model, columns, wanted, asked) =>
        (await allWith(model, columns, wanted, { ...asked, limit: 1 }))[0],
      add,
      put: (model, given, columns) => add(model, given, { updateOnDuplicate: [...columns] }),
      change: async (model, where, values) => (await model.update(values, { where }))[0],
      remove: (model, where) => model.destroy({ where }),
    };
    return readOnly ? work(tx) : hasTurn.run(true, () => work(tx));
  });
}
