import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { expectOk } from '../../src/core/result';
import { inStudio, type StudioSession } from '../../src/data/inStudio';
import { Studio, User } from '../../src/data/models/studio';
import { checkBooks } from '../../src/data/checkBooks';
import type { NewIn } from '../../src/data/table';
import { closeDatabase, database } from '../../src/data/database';
import type { Outcome } from '../../src/studio/kernel/outcome';
import { makePiece } from '../../src/studio/making/makePiece';
import { proposeMaking } from '../../src/studio/making/proposeMaking';
import { receiveWire } from '../../src/studio/wire/receiveWire';
import type { ReceiveWireInput } from '../../src/studio/wire/receiveWire.input';
import { listSpecs } from '../../src/studio/catalogue/wireSpecs';
import { writePattern } from '../../src/studio/patterns/writePattern';
import type { WritePatternInput } from '../../src/studio/patterns/writePattern.input';

/** The value of an outcome that must have worked. */
export const done = <T>(outcome: Outcome<T>): T =>
  expectOk(outcome.ok ? outcome : { ok: false as const, error: JSON.stringify(outcome.problem) });

/** The problem of an outcome that must have been refused. */
export function problemOf<T>(outcome: Outcome<T>) {
  if (outcome.ok) throw new Error(`was not refused: ${JSON.stringify(outcome.value)}`);
  return outcome.problem;
}

/** The owner of the tables, who sees past the application. */
export interface OwnerClient {
  readonly ask: <Row extends object>(sql: string, values?: readonly unknown[]) => Promise<Row[]>;
  readonly close: () => Promise<void>;
}

export function openAsOwner(): OwnerClient {
  const pool = new pg.Pool({ connectionString: process.env['PEWTERER_OWNER_URL'], max: 4 });
  return {
    ask: async <Row extends object>(sql: string, values: readonly unknown[] = []) =>
      (await pool.query<Row>(sql, [...values])).rows,
    close: () => pool.end(),
  };
}

/** Runs SQL as the owner of the tables, to bring about what only time, or a hand in the till, would. */
export async function asOwner(sql: string, values: readonly unknown[] = []): Promise<void> {
  const owner = openAsOwner();
  try {
    await owner.ask(sql, values);
  } finally {
    await owner.close();
  }
}

/** The studios that this file of tests has opened. */
const opened = new Set<string>();

export const newKey = (): string => randomUUID();

/** A fresh studio in dollars and inches, with its owner; several share the test database. */
export async function openStudio(settings: Partial<NewIn<typeof Studio>> = {}): Promise<StudioSession> {
  database();
  const session: StudioSession = {
    studioId: randomUUID(),
    userId: randomUUID(),
    role: 'owner',
    now: new Date(),
  };
  opened.add(session.studioId);
  const base = {
    name: 'Test bench',
    currency: 'USD',
    lengthSystem: 'mm' as const,
    hourlyRate: 2000,
    overheadPerHour: 600,
    targetPerHour: 3000,
    materialsFactor: 400,
    targetMargin: 3000,
    feePercent: 0,
    feeFixed: 0,
    taxPercent: 0,
    taxIncluded: false,
    priceFrom: 'replacement' as const,
    priceEndings: [],
    rounding: 'up' as const,
    usefulMinimumUm: 50_000,
    createdAt: session.now,
  };
  await inStudio(session, async (tx) => {
    await tx.add(Studio, [{ ...base, ...settings } as NewIn<typeof Studio>]);
    await tx.add(User, [
      {
        userId: session.userId,
        login: `owner-${session.userId}`,
        name: 'Wren',
        role: 'owner',
        passwordHash: 'none',
        createdAt: session.now,
      },
    ]);
  });
  return session;
}

/** A helper of the same studio. */
export async function addTestHelper(owner: StudioSession): Promise<StudioSession> {
  const helper: StudioSession = { ...owner, userId: randomUUID(), role: 'helper' };
  await inStudio(owner, (tx) =>
    tx.add(User, [
      {
        userId: helper.userId,
        login: `helper-${helper.userId}`,
        name: 'Ash',
        role: 'helper',
        passwordHash: 'none',
        createdAt: owner.now,
      },
    ]),
  );
  return helper;
}

export const SPOOL: ReceiveWireInput = {
  metal: 'sterling',
  profile: 'round',
  gaugeSystem: 'AWG',
  gaugeNumber: '20',
  height: '',
  temper: 'half hard',
  finish: 'bare',
  finishName: '',
  form: 'spool',
  length: '10 m',
  mass: '',
  price: '50.00 USD',
  supplier: 'Tern & Daughter Metals',
  boughtOn: '2026-05-04',
  place: '',
  note: '',
  paid: '',
};

/** Receives a spool and answers with its number. */
export async function receive(
  session: StudioSession,
  changed: Partial<ReceiveWireInput> = {},
): Promise<number> {
  return done(await receiveWire(session, newKey(), { ...SPOOL, ...changed })).number;
}

/** A pattern of one kind of cut from the studio's first wire. */
export async function simplePattern(
  session: StudioSession,
  cut: { count?: string; net?: string; part?: string; kind?: string } = {},
): Promise<{ number: number; revision: number }> {
  const [spec] = await listSpecs(session);
  const input: WritePatternInput = {
    name: `Loop ${newKey().slice(0, 8)}`,
    kind: cut.kind ?? 'pendant',
    notes: '',
    cuts: [
      {
        name: 'frame wire',
        specId: spec?.id ?? '',
        count: cut.count ?? '1',
        net: cut.net ?? '80 mm',
        allowances: [{ name: 'tail', length: '20 mm' }],
      },
    ],
    parts: [{ name: cut.part ?? 'bead', count: '2', unitCost: '0.25 USD' }],
    steps: [
      { name: 'lay out', minutes: '10', perSitting: true },
      { name: 'form', minutes: '20', perSitting: false },
    ],
  };
  return done(await writePattern(session, newKey(), null, input));
}

/** The books of every studio that this file opened agree. Other files share the database, and some tamper with theirs. */
export async function expectBooksAgree(): Promise<void> {
  const { differences } = await checkBooks(process.env['PEWTERER_OWNER_URL'] ?? '');
  expect(differences.filter(({ studio }) => opened.has(studio))).toEqual([]);
}

/** Closes the database after checking the books of every studio that this file opened. */
export async function closeBooks(): Promise<void> {
  await expectBooksAgree();
  await closeDatabase();
}

/** Makes one piece of a simple pattern from a fresh spool. @returns its number */
export async function makeOne(session: StudioSession): Promise<number> {
  await receive(session);
  const pattern = await simplePattern(session);
  const proposal = await proposeMaking(session, pattern.number);
  const cuts = (proposal?.cuts ?? []).map(({ cutIndex, copy, from }) => ({
    cutIndex,
    copy,
    from: from ?? '',
    cut: '100 mm',
    back: '0 mm',
  }));
  return done(
    await makePiece(session, newKey(), pattern, {
      cuts,
      spoiled: [],
      minutes: '20',
      setUpMinutes: '10',
      sharedBy: '1',
    }),
  ).number;
}

/** What the relabel form sends of a spool like {@link SPOOL} that turned out to have another gauge. */
export function ofGauge(gaugeNumber: string, reason = 'measured') {
  const { metal, profile, gaugeSystem, height, temper, finish, finishName } = SPOOL;
  return { metal, profile, gaugeSystem, height, temper, finish, finishName, gaugeNumber, reason };
}

/** The house rules as their form sends them. */
export const settingsInput = (changed: object = {}) => ({
  version: '1',
  name: 'Bench',
  lengthSystem: 'in',
  timeZone: 'UTC',
  numbers: 'point',
  days: 'day',
  rings: 'US',
  sheet: 'A4',
  letterhead: '',
  payTo: '',
  hourlyRate: '25.00 USD',
  overheadPerHour: '5.00 USD',
  targetPerHour: '35.00 USD',
  materialsFactor: '3.5',
  targetMargin: '30',
  feePercent: '6.5',
  feeFixed: '0.30 USD',
  taxPercent: '20',
  taxIncluded: true,
  priceFrom: 'actual',
  rounding: 'nearest',
  priceEndings: ['0.00 USD', '5.00 USD'],
  usefulMinimum: '2 in',
  minimums: [{ scope: 'metal', of: 'sterling', length: '1 in' }],
  ...changed,
});
