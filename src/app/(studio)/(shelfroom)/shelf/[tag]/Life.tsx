'use client';

import { holding, lastOf, turned, type PieceTurn } from '@/core/selling/life';
import { pathOf, tag } from '@/core/tag';
import type { InPiece } from '@/studio/shelf/breakUp';
import type { PieceView } from '@/studio/shelf/shelf';
import { Fold } from '@/ui/Fold';
import { Link } from '@/ui/Link';
import { newKey } from '@/ui/newKey';
import { useAct } from '@/ui/useAct';
import { useDone } from '@/ui/useDone';
import { Day } from '@/ui/When';
import { turnSaid } from '@/app/lib/turnWords';
import { undoTurnAction } from '../actions';
import { TurnPieces } from '../TurnPieces';
import { BreakUp } from './BreakUp';

/** What is broken up is put together again by who may say everything else of a piece. */
const mayUndo = (turn: PieceTurn, turns: readonly PieceTurn[]): boolean =>
  turns.includes(turn === 'broken up' ? 'lost' : turn);

/** What happened to a piece since it was made, and what may happen next. */
export function Life({
  piece: { number, madeAt, madeBy, state, life },
  turns,
  inside,
}: {
  piece: Pick<PieceView, 'number' | 'madeAt' | 'madeBy' | 'state' | 'life'>;
  /** What whoever looks may say of pieces. */
  turns: readonly PieceTurn[];
  /** What would come out of it, where it can be broken up by whoever looks. */
  inside: InPiece | null;
}) {
  const { busy, problem, run } = useAct();
  const done = useDone(() => 'It is taken back.');
  const held = new Set(holding(life).map(({ id }) => id));
  const last = lastOf(life);
  const possible = turns.filter((turn) => turned(state, turn, '').ok);
  return (
    <section className={`leaf mt-4 p-4 ${life.length === 0 ? 'no-print' : ''}`} aria-label="Its life">
      <h2>
        Its life: <span className="font-normal">{state}</span>
      </h2>
      <ol className="mt-1 space-y-1">
        <li>
          <Day at={madeAt} />: made <span className="muted">· {madeBy}</span>
        </li>
        {life
          .filter(({ undoes }) => undoes === null)
          .map((event) => (
            <li key={event.id} className="flex flex-wrap items-center gap-x-3">
              <span className={held.has(event.id) ? '' : 'muted line-through'}>
                <Day at={event.at} />: {turnSaid(event)}
                {event.sale !== null && (
                  <>
                    {', '}
                    <Link href={pathOf('sale', event.sale)} className="link">
                      {tag('sale', event.sale)}
                    </Link>
                  </>
                )}
                {event.note !== '' && `, “${event.note}”`} <span className="muted">· {event.by}</span>
              </span>
              {!held.has(event.id) && <span className="muted">taken back</span>}
              {event.id === last?.id && mayUndo(event.turn, turns) && (
                <button
                  type="button"
                  className="btn btn-ghost no-print"
                  disabled={busy}
                  onClick={() => void run(() => undoTurnAction(newKey(), number, event.id), done)}
                >
                  Take it back
                </button>
              )}
            </li>
          ))}
      </ol>
      {problem !== '' && (
        <p role="alert" className="mt-1 font-semibold text-error">
          {problem}
        </p>
      )}
      {turned(state, 'sold', '').ok && (
        <p className="no-print mt-2">
          <Link href={`/selling?pieces=${number}`} className="btn min-h-11">
            Sell it
          </Link>
        </p>
      )}
      {possible.length > 0 && (
        <div className="no-print mt-3">
          <TurnPieces key={state} numbers={() => [number]} turns={possible} />
        </div>
      )}
      {inside && (
        <div className="no-print mt-2">
          <Fold title="Break this piece up">
            <BreakUp number={number} inside={inside} />
          </Fold>
        </div>
      )}
    </section>
  );
}
