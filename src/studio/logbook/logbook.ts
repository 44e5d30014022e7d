import { groupBy } from '@/core/groupBy';
import type { Id } from '@/core/id';
import { PATTERN_KINDS, type PatternKind } from '@/core/pattern/pattern';
import { numberOnTag } from '@/core/tag';
import { um, type Micrometres } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { WireLog } from '@/data/models/making';
import { User } from '@/data/models/studio';
import { readPage, readSums } from '@/data/pages';
import { logList, MOST_LOGGED } from '@/data/sql/lists';
import type { AskedOf } from '@/data/sql/list';
import type { RowIn } from '@/data/table';
import { specsById, type KnownSpec } from '../catalogue/wireSpecs';
import { calledAs } from '../kernel/called';
import { look, type StudioSession } from '../kernel/useCase';
import type { LogQuery } from './logbook.input';

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

/** What was made, as it was planned and as it came out. */
export interface LogLine {
  readonly number: number;
  readonly name: string;
  readonly kind: PatternKind;
  readonly size: string;
  readonly madeAt: Date;
  readonly maker: string;
  readonly patternNumber: number;
  /** A helper sees the minutes of what they made themselves. */
  readonly minutes: number | null;
  readonly plannedMinutes: number | null;
  /** Why something was spoiled for it; null when nothing was. */
  readonly spoiled: string | null;
  /** What was noted while it was made; may be empty. */
  readonly note: string;
  /** Why it is sold as less than it should be; empty when it is as it should be. */
  readonly flaw: string;
  /** None of a piece that was made before wires were logged. */
  readonly wires: readonly LoggedWire[];
}

/** A page of the logbook. */
export interface LogPage {
  readonly lines: readonly LogLine[];
  /** Of what was asked for; null when it is more than {@link MOST_LOGGED}. */
  readonly total: number | null;
  /** Of it, pieces of which somebody measured a wire; null as above. */
  readonly measured: number | null;
  /** Everybody who may have made something, by name. */
  readonly makers: readonly Pick<RowIn<typeof User>, 'userId' | 'name'>[];
  readonly next: string | null;
}

/** The ways of sorting it. */
export const LOG_SORTINGS = logList.orders;

export { MOST_LOGGED };

const PAGE = 25;

/** What was made, as it is asked for: a page of it, the newest first when nothing is said. */
export function showLogbook(session: StudioSession, query: LogQuery = {}): Promise<LogPage> {
  return look(session, async (tx) => {
    const asked = {
      ...calledAs('piece', query.words),
      kind: PATTERN_KINDS.find((each) => each === query.kind),
      maker: query.maker as Id<'user'> | undefined,
      pattern: numberOnTag('pattern', query.pattern ?? ''),
      ...(query.with === 'spoiled' && { isSpoiled: true }),
      ...(query.with === 'measured' && { isMeasured: true }),
    };
    const total = await counted(tx, asked);
    const measured = total === null ? null : await counted(tx, { ...asked, isMeasured: true });
    const { rows, next } = await readPage(tx, logList, {}, asked, { ...query, size: PAGE });
    const wires = await wiresOf(
      tx,
      rows.map(({ pieceId }) => pieceId),
    );
    return {
      lines: rows.map(({ pieceId, userId, minutes, plannedMinutes, ...row }): LogLine => {
        const sees = session.role === 'owner' || userId === session.userId;
        return {
          number: row.number,
          name: row.name,
          kind: row.kind,
          size: row.size,
          madeAt: row.madeAt,
          maker: row.maker,
          patternNumber: row.patternNumber,
          minutes: sees ? minutes : null,
          plannedMinutes: sees ? plannedMinutes : null,
          spoiled: row.spoiled,
          note: row.note,
          flaw: row.flaw,
          wires: wires.get(pieceId) ?? [],
        };
      }),
      total,
      measured,
      makers: await tx.all(User, ['userId', 'name'], { order: ['name', 'userId'] }),
      next,
    };
  });
}

/** How many pieces are asked for; null when it is more than are counted. */
async function counted(tx: Tx, asked: AskedOf<typeof logList.filters>): Promise<number | null> {
  const [sums] = await readSums(tx, logList, {}, asked);
  const total = sums?.total ?? 0;
  return total > MOST_LOGGED ? null : total;
}

/** What is logged of the wires of some pieces. */
async function wiresOf(
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
  return new Map([...groupBy(rows, ({ pieceId }) => pieceId)].map(([id, own]) => [id, ofPiece(own)]));
}
