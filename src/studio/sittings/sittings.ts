import type { Id } from '@/core/id';
import type { Round } from '@/core/bench/rounds';
import type { Word } from '@/core/bench/sitting';
import { tag } from '@/core/tag';
import type { PatternBody } from '@/core/pattern/pattern';
import type { Tx } from '@/data/inStudio';
import {
  SittingPiece,
  SittingRow,
  SittingWord,
  type SittingState,
  type WireOfSitting,
} from '@/data/models/sittings';
import { StockPiece } from '@/data/models/stock';
import { BatchLineRow } from '@/data/models/batches';
import { specsById, type KnownSpec } from '../catalogue/wireSpecs';
import { springsOf } from '../logbook/learnedSprings';
import { ringsComeOut, type RingsComeOut } from '../logbook/learnedDrift';
import { settingsIn } from '../settings/settings';
import { look, type StudioSession } from '../kernel/useCase';
import type { PhotoSide } from '../photos/keepPhoto';
import { bodyShownTo, specIdsOf } from '../patterns/patterns';

/** One piece of a sitting. */
export interface PieceOfSitting {
  readonly piece: number;
  readonly postKey: Id<'post'>;
  /** Which of the line of its batch it is; null for one whose wires come off the rack. */
  readonly trayPiece: number | null;
  readonly wires: readonly WireOfSitting[];
  /** The number of the piece that it became; null while it is worked, or when it was lost. */
  readonly became: number | null;
  /** Photographs that were taken of that. */
  readonly photos: Readonly<Record<PhotoSide, Id<'photo'> | null>>;
}

/** A sitting as it is kept. */
export interface KeptSitting {
  readonly id: Id<'sitting'>;
  readonly state: SittingState;
  readonly count: number;
  readonly checks: readonly string[];
  readonly maker: string;
  readonly begunAt: Date;
  readonly pattern: {
    readonly id: Id<'pattern'>;
    readonly number: number;
    readonly revision: number;
    readonly isNewest: boolean;
  };
  readonly batch: { readonly id: Id<'batch'>; readonly number: number; readonly line: number } | null;
  readonly body: PatternBody;
  readonly pieces: readonly PieceOfSitting[];
}

/** A sitting inside a transaction; undefined when there is none of that id. */
export async function sittingIn(tx: Tx, sittingId: Id<'sitting'>): Promise<KeptSitting | undefined> {
  const row = await tx.oneWith(
    SittingRow,
    ['patternId', 'revision', 'batchId', 'line', 'count', 'checks', 'begunAt', 'state'],
    { made: { columns: ['body'], with: { pattern: ['number', 'revision'] } }, user: ['name'] },
    { where: { sittingId } },
  );
  if (!row) return undefined;
  const { patternId, revision, batchId, line, made, user, ...rest } = row;
  const ofBatch =
    batchId !== null && line !== null
      ? await tx.oneWith(BatchLineRow, ['body'], { batch: ['number'] }, { where: { batchId, line } })
      : undefined;
  const pieces = await tx.allWith(
    SittingPiece,
    ['piece', 'trayPiece', 'wires', 'postKey'],
    { became: ['number', 'frontPhotoId', 'backPhotoId'] },
    { where: { sittingId }, order: ['piece'] },
  );
  return {
    id: sittingId,
    ...rest,
    maker: user.name,
    pattern: {
      id: patternId,
      number: made.pattern.number,
      revision,
      isNewest: made.pattern.revision === revision,
    },
    batch:
      ofBatch && batchId !== null && line !== null
        ? { id: batchId, number: ofBatch.batch.number, line }
        : null,
    body: ofBatch?.body ?? made.body,
    pieces: pieces.map(({ became, ...piece }) => ({
      ...piece,
      became: became?.number ?? null,
      photos: { front: became?.frontPhotoId ?? null, back: became?.backPhotoId ?? null },
    })),
  };
}

/** All that was heard of a sitting, in its order. */
export async function wordsOf(tx: Tx, sittingId: Id<'sitting'>): Promise<readonly Word[]> {
  const rows = await tx.all(SittingWord, ['wordId', 'said'], { where: { sittingId }, order: ['place'] });
  return rows.map(({ wordId: id, said }) => ({ id, said }));
}

/** A sitting as the bench shows it. */
export interface SittingView extends Omit<KeptSitting, 'id'> {
  readonly id: Id<'sitting'>;
  readonly specs: Readonly<Record<string, KnownSpec>>;
  /** What the wires come from, by its id: its tag. */
  readonly sources: Readonly<Record<string, string>>;
  readonly words: readonly Word[];
  /** What the studio bends wire round. */
  readonly rounds: readonly Round[];
  /** What was measured of how much its wires spring open, by their ids. */
  readonly springs: Awaited<ReturnType<typeof springsOf>>;
  /** How rings of its pattern come out, in US sizes; null for what is no ring, and while none was read. */
  readonly drift: RingsComeOut | null;
}

/** A sitting with all that was said of it; null when there is none of that id. */
export function showSitting(session: StudioSession, sittingId: Id<'sitting'>): Promise<SittingView | null> {
  return look(session, async (tx) => {
    const kept = await sittingIn(tx, sittingId);
    if (!kept) return null;
    const from = [...new Set(kept.pieces.flatMap(({ wires }) => wires.map((wire) => wire.from)))];
    const sources = await tx.all(StockPiece, ['stockPieceId', 'number'], { where: { stockPieceId: from } });
    const specs = await specsById(tx, specIdsOf(kept.body));
    return {
      ...kept,
      body: bodyShownTo(session, kept.body),
      specs: Object.fromEntries(specs),
      sources: Object.fromEntries(
        sources.map(({ stockPieceId, number }) => [stockPieceId, tag('wire', number)]),
      ),
      words: await wordsOf(tx, sittingId),
      rounds: (await settingsIn(tx)).rounds,
      springs: await springsOf(tx, specs.values()),
      drift: await ringsComeOut(tx, kept.pattern, kept.body),
    };
  });
}

/** A sitting that goes on, as the bench lists it. */
export interface OpenSitting {
  readonly id: Id<'sitting'>;
  readonly name: string;
  readonly pattern: number;
  readonly count: number;
  readonly maker: string;
  readonly begunAt: Date;
}

/** Sittings that go on, the latest first. */
export function openSittings(session: StudioSession): Promise<OpenSitting[]> {
  return look(session, async (tx) => {
    const rows = await tx.allWith(
      SittingRow,
      ['sittingId', 'count', 'begunAt'],
      { made: { columns: [], with: { pattern: ['number', 'name'] } }, user: ['name'] },
      { where: { state: 'open' }, order: [['begunAt', 'DESC']], limit: 20 },
    );
    return rows.map(({ sittingId: id, made, user, ...rest }) => ({
      id,
      ...rest,
      name: made.pattern.name,
      pattern: made.pattern.number,
      maker: user.name,
    }));
  });
}
