import { groupBy } from '@/core/groupBy';
import { PART_WARES } from '@/core/stock/ware';
import type { Id } from '@/core/id';
import { um, type Micrometres } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { Movement } from '@/data/models/books';
import { StepLog, WireLog } from '@/data/models/making';
import { BendLog } from '@/data/models/sittings';
import { specsById, type KnownSpec } from '../catalogue/wireSpecs';

/** Wires of one cut of a piece, with what one of them came to on the average. */
export interface LoggedWire {
  readonly name: string;
  readonly count: number;
  readonly spec: KnownSpec;
  readonly planned: Micrometres;
  readonly cut: Micrometres;
  readonly back: Micrometres;
  /** Of what was planned, what was to be trimmed off again. */
  readonly tails: Micrometres;
  /** Whether somebody said so; otherwise it is taken to be as planned. */
  readonly isMeasured: boolean;
}

/** A step as it was planned and as it was timed, in minutes. */
export interface LoggedStep {
  readonly name: string;
  readonly planned: number;
  readonly minutes: number;
}

/** Beads, stones or findings that a piece took out of the drawers. */
export interface LoggedPart {
  readonly name: string;
  readonly count: number;
  /** What became of those that are not in the piece; empty for those that are. */
  readonly lost: string;
}

/** What the rows of each piece come to. */
const byPiece = <Row extends { readonly pieceId: Id<'piece'> }, Told>(
  rows: readonly Row[],
  told: (own: readonly Row[]) => Told,
): ReadonlyMap<Id<'piece'>, Told> =>
  new Map([...groupBy(rows, ({ pieceId }) => pieceId)].map(([id, own]) => [id, told(own)]));

/** A turn that was measured when it was bent round something. */
export interface LoggedBend {
  readonly name: string;
  readonly on: Micrometres;
  readonly came: Micrometres;
}

/** What is logged of the wires of some pieces. */
export async function wiresOf(
  tx: Tx,
  pieceIds: readonly Id<'piece'>[],
): Promise<ReadonlyMap<Id<'piece'>, readonly LoggedWire[]>> {
  const rows = await tx.all(
    WireLog,
    ['pieceId', 'cutIndex', 'name', 'articleId', 'planned', 'tails', 'cut', 'back', 'isMeasured'],
    { where: { pieceId: pieceIds }, order: ['pieceId', 'cutIndex', 'copy'] },
  );
  const specs = await specsById(
    tx,
    rows.map(({ articleId }) => articleId),
  );
  const ofPiece = (own: readonly (typeof rows)[number][]): LoggedWire[] =>
    [...groupBy(own, ({ cutIndex }) => cutIndex).values()].flatMap((alike) => {
      const [first] = alike;
      const spec = first && specs.get(first.articleId);
      if (!spec) return [];
      const mean = (key: 'planned' | 'tails' | 'cut' | 'back') =>
        um(Math.round(alike.reduce((sum, each) => sum + each[key], 0) / alike.length));
      return [
        {
          name: first.name,
          count: alike.length,
          spec,
          planned: mean('planned'),
          tails: mean('tails'),
          cut: mean('cut'),
          back: mean('back'),
          isMeasured: alike.some(({ isMeasured }) => isMeasured),
        },
      ];
    });
  return byPiece(rows, ofPiece);
}

/** How long the steps of some pieces took that were timed. */
export async function stepsOf(
  tx: Tx,
  pieceIds: readonly Id<'piece'>[],
): Promise<ReadonlyMap<Id<'piece'>, readonly LoggedStep[]>> {
  const rows = await tx.all(StepLog, ['pieceId', 'name', 'plannedMinutes', 'minutes'], {
    where: { pieceId: [...pieceIds] },
    order: ['pieceId', 'step'],
  });
  return byPiece(rows, (own) =>
    own.map(({ name, plannedMinutes: planned, minutes }) => ({ name, planned, minutes })),
  );
}

/** The turns of some pieces that were measured. */
export async function bendsOf(
  tx: Tx,
  pieceIds: readonly Id<'piece'>[],
): Promise<ReadonlyMap<Id<'piece'>, readonly LoggedBend[]>> {
  const rows = await tx.all(BendLog, ['pieceId', 'name', 'bentOn', 'came'], {
    where: { pieceId: [...pieceIds] },
    order: ['pieceId', 'place'],
  });
  return byPiece(rows, (own) => own.map(({ name, bentOn: on, came }) => ({ name, on, came })));
}

/** What some pieces took out of the drawers: what goes into them, and what was lost on the way. */
export async function partsOf(
  tx: Tx,
  pieceIds: readonly Id<'piece'>[],
): Promise<ReadonlyMap<Id<'piece'>, readonly LoggedPart[]>> {
  const rows = await tx.allWith(
    Movement,
    ['pieceId', 'kind', 'quantity', 'reason'],
    { article: ['name', 'ware'] },
    {
      where: { pieceId: [...pieceIds], kind: ['used', 'spoiled'], '$article.ware$': [...PART_WARES] },
      order: ['movementId'],
    },
  );
  const parts = rows.flatMap(({ pieceId, kind, quantity, reason, article: { name } }) =>
    pieceId === null ? [] : [{ pieceId, name, count: -quantity, lost: kind === 'spoiled' ? reason : '' }],
  );
  const ofPiece = (own: readonly (LoggedPart & { readonly pieceId: Id<'piece'> })[]): LoggedPart[] =>
    [...groupBy(own, ({ name, lost }) => `${name}\n${lost}`).values()].flatMap((alike) => {
      const [first] = alike;
      if (!first) return [];
      const { name, lost } = first;
      return [{ name, lost, count: alike.reduce((sum, { count }) => sum + count, 0) }];
    });
  return byPiece(parts, ofPiece);
}
