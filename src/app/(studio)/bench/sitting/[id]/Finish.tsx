'use client';

import { useRouter } from 'next/navigation';
import { finishedInside, isLost, pieceIn, type Sitting } from '@/core/bench/sitting';
import { minutesLost, minutesOfPiece, minutesOfSetUp } from '@/core/bench/sittingMinutes';
import { describeRing, ringOf } from '@/core/ring/ringSize';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { UM_PER_MM } from '@/core/units/length';
import { formatMass } from '@/core/units/mass';
import { Said as Words } from '@/ui/house';
import { useToast } from '@/ui/toasts';
import { useAct } from '@/ui/useAct';
import { finishSittingAction, leaveSittingAction } from './actions';
import type { ShownSitting } from './shown';
import { SpoolsAgain } from './WeighSpool';
import type { SittingHere } from './useSitting';

const NOT_HEARD =
  'What was said here has not all reached the studio yet; it is kept on this device. Enter the pieces when the connection is back: each is entered once.';

/** What the sitting came to, piece by piece, and the way onto the shelf. */
export function Finish({ view, steps, here }: Pick<ShownSitting, 'view' | 'steps'> & { here: SittingHere }) {
  const router = useRouter();
  const toast = useToast();
  const { busy, problem, setProblem, run } = useAct();
  const { sitting, sendAll } = here;
  const { count } = view;
  const pieces = Array.from({ length: count }, (_, piece) => piece);
  const kept = pieces.filter((piece) => !isLost(sitting, piece));
  const setUp = minutesOfSetUp(sitting, steps, count);
  const lost = minutesLost(sitting, steps, count);
  const isTimed = [...sitting.spent.values()].some((ms) => ms > 0);
  const enter = () =>
    void run(
      async () => {
        if (!(await sendAll())) return { ok: false, problem: { message: NOT_HEARD } } as const;
        return finishSittingAction(view.id);
      },
      ({ made, stopped }) => {
        if (stopped !== '') {
          const before =
            made.length > 0 ? `${counted(made.length, 'piece is', 'pieces are')} on the shelf. ` : '';
          setProblem(before + stopped);
          return;
        }
        toast(
          made.length > 0
            ? `${counted(made.length, 'piece is', 'pieces are')} made: ${made.map((each) => tag('piece', each)).join(', ')}.`
            : 'The sitting is over; what was spoiled is in the books.',
        );
        // The page tells what was made, and takes photographs of it.
        router.refresh();
      },
    );
  const leave = () =>
    void run(
      () => leaveSittingAction(view.id),
      () => router.push('/bench'),
    );
  return (
    <div className="mt-4 space-y-4">
      <section className="leaf overflow-x-auto p-4">
        <h2>What it came to</h2>
        <table className="table mt-2 text-xl [&_th]:text-xl">
          <thead>
            <tr>
              <th scope="col">Piece</th>
              <th scope="col">Time</th>
              {view.isRing && <th scope="col">Reads</th>}
              <th scope="col">Weighs</th>
              <th scope="col">Looked over</th>
            </tr>
          </thead>
          <tbody>
            {pieces.map((piece) => (
              <PieceRow key={piece} view={view} steps={steps} sitting={sitting} piece={piece} />
            ))}
          </tbody>
        </table>
        <p className="muted mt-2">
          <Words>
            {`Setting up: ${figure(setUp.minutes)} min, shared by ${counted(kept.length, 'piece', 'pieces')}${lost > 0 ? `; with it ${figure(lost)} min on what was lost` : ''}.`}
          </Words>{' '}
          {isTimed
            ? 'Steps that nobody timed count as the pattern says.'
            : 'Nothing was timed: all counts as the pattern says.'}
        </p>
      </section>
      <SpoolsAgain view={view} sitting={sitting} say={here.say} />
      <div aria-live="assertive">
        {problem !== '' && (
          <p role="alert" className="border-l-4 border-error bg-error/10 p-3 font-semibold">
            <Words>{problem}</Words>
          </p>
        )}
      </div>
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className="btn btn-primary btn-lg min-h-16 text-xl"
          disabled={busy || here.state !== 'open'}
          onClick={enter}
        >
          {busy ? 'Posting …' : enterSays(kept.length)}
        </button>
        <button type="button" className="btn btn-ghost btn-lg min-h-16" disabled={busy} onClick={leave}>
          Leave the sitting, make nothing
        </button>
      </div>
    </div>
  );
}

const figure = (minutes: number): string => String(Math.round(minutes * 10) / 10);

function enterSays(kept: number): string {
  if (kept === 0) return 'Enter what is lost';
  if (kept === 1) return 'It is made: to the shelf';
  return `${kept === 2 ? 'Both' : `All ${kept}`} are made: to the shelf`;
}

function PieceRow({
  view,
  steps,
  sitting,
  piece,
}: Pick<ShownSitting, 'view' | 'steps'> & { sitting: Sitting; piece: number }) {
  const so = pieceIn(sitting, piece);
  const { minutes, timed, besides } = minutesOfPiece(sitting, steps, view.count, piece);
  const read = finishedInside(so);
  const good = [...so.checks.values()].filter(({ isGood }) => isGood).length;
  const isTimed = timed.length > 0 || besides.inspect > 0;
  return (
    <tr>
      <th scope="row" className="font-semibold">
        {piece + 1}
        {so.lost !== '' && <span className="block font-normal">lost: {so.lost}</span>}
        {so.flaw !== '' && <span className="block font-normal">sold as it is: {so.flaw}</span>}
      </th>
      <td>
        <Words>{figure(minutes)}</Words> min{!isTimed && <span className="muted">, as planned</span>}
        {besides.rework > 0 && (
          <span className="block">
            <Words>{figure(besides.rework)}</Words> of it rework
          </span>
        )}
      </td>
      {view.isRing && <td>{read === null ? '–' : describeRing(ringOf(read / UM_PER_MM))}</td>}
      <td>{so.mass === null ? '–' : <Words>{formatMass(so.mass)}</Words>}</td>
      <td>{so.checks.size === 0 ? '–' : `${good} of ${view.checks.length} good`}</td>
    </tr>
  );
}
