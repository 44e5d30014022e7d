import type { Id } from '@/core/id';
import { PATTERN_KINDS, type PatternKind } from '@/core/pattern/pattern';
import { numberOnTag } from '@/core/tag';
import type { Tx } from '@/data/inStudio';
import { User } from '@/data/models/studio';
import { readPage, readSums } from '@/data/pages';
import { logList, MOST_LOGGED } from '@/data/sql/lists';
import type { AskedOf } from '@/data/sql/list';
import type { RowIn } from '@/data/table';
import { calledAs } from '../kernel/called';
import { look, type StudioSession } from '../kernel/useCase';
import {
  bendsOf,
  partsOf,
  stepsOf,
  wiresOf,
  type LoggedBend,
  type LoggedPart,
  type LoggedStep,
  type LoggedWire,
} from './loggedOfPieces';
import type { LogQuery } from './logbook.input';

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
  /** Its steps that were timed, in the order of the work; of a piece that somebody else made, a helper sees none. */
  readonly steps: readonly LoggedStep[];
  /** What it took out of the drawers. */
  readonly parts: readonly LoggedPart[];
  /** Its turns that were measured when they were bent. */
  readonly bends: readonly LoggedBend[];
  /** Its photograph from the front, or from the back when there is only that; null when there is none. */
  readonly photo: Id<'photo'> | null;
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
    const ids = rows.map(({ pieceId }) => pieceId);
    const [wires, steps, parts, bends] = [
      await wiresOf(tx, ids),
      await stepsOf(tx, ids),
      await partsOf(tx, ids),
      await bendsOf(tx, ids),
    ];
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
          steps: sees ? (steps.get(pieceId) ?? []) : [],
          parts: parts.get(pieceId) ?? [],
          bends: bends.get(pieceId) ?? [],
          photo: row.photo,
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
