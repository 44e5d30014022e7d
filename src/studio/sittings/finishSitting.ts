import type { Id } from '@/core/id';
import { standing } from '@/core/bench/sitting';
import { tag } from '@/core/tag';
import { formatLength, um } from '@/core/units/length';
import { inStudio } from '@/data/inStudio';
import { SittingRow } from '@/data/models/sittings';
import type { KnownSpec } from '../catalogue/wireSpecs';
import { lockOpenBatch, noteActs, reserveTray } from '../batches/tray';
import { planAnew, planInBackground } from '../cuttingPlan/planCutting';
import { readInput } from '../kernel/readInput';
import { refused, type Outcome } from '../kernel/outcome';
import { attempt, look, post, type StudioSession } from '../kernel/useCase';
import { Posting } from '../ledger/posting';
import { throwAway } from '../ledger/throwAway';
import { lockWires, specOf } from '../making/checkMaking';
import { makeAsTold } from '../making/makePiece';
import { IntoDrawerInput, type MakingTold } from '../making/makePiece.input';
import { choicesFor, drawerFor } from '../making/proposeMaking';
import { specsOf } from '../patterns/patterns';
import { settingsIn } from '../settings/settings';
import { sittingIn, wordsOf, type KeptSitting, type PieceOfSitting } from './sittings';
import { leftOf, toldOfPiece, wiresLost } from './toldOfSitting';

/** What came of a sitting. */
export interface Finished {
  /** Numbers of the pieces that stand on the shelf, in their order. */
  readonly made: readonly number[];
  readonly lost: number;
  /** What kept the next piece from being entered; empty when all are. */
  readonly stopped: string;
}

const GONE = refused('There is no such sitting any more.');

/**
 * Enters what a sitting came to: every piece with what was timed, read and looked at, out of the wires it was cut from; wires of pieces that
 * were lost are borne by the next that is made, or by the batch. Each piece is a making of its own under a key of its own, so that nothing
 * is entered twice however often this is asked; when one cannot be entered, those before it are.
 */
export function finishSitting(session: StudioSession, sittingId: Id<'sitting'>): Promise<Outcome<Finished>> {
  return attempt(async () => {
    const { kept, sitting, specs } = await look(session, async (tx) => {
      const found = await sittingIn(tx, sittingId);
      if (!found || found.state === 'left') throw GONE;
      return {
        kept: found,
        sitting: standing(await wordsOf(tx, sittingId)),
        specs: await specsOf(tx, [found.body]),
      };
    });
    const { toMake, lost } = leftOf(kept, sitting);
    const drawer = await intoDrawer(kept, specs);
    const isOffRack = kept.batch === null;
    const borne = isOffRack ? lost : [];
    for (const [index, piece] of toMake.entries()) {
      const bears = index === 0 ? borne : [];
      const outcome = await enterPiece(session, kept, piece, {
        sitting: { id: sittingId, pieces: [piece.piece, ...bears.map((each) => each.piece)] },
        told: (choices) =>
          toldOfPiece(kept, piece, sitting, {
            bears: bears.flatMap((each) => wiresLost(kept, each, sitting, specs)),
            specs,
            choices,
            drawer,
          }),
      });
      if (!outcome.ok) return came(await again(session, sittingId), outcome.problem.message);
    }
    for (const piece of toMake.length > 0 && isOffRack ? [] : lost) {
      const outcome = await loseWires(session, kept, piece, wiresLost(kept, piece, sitting, specs));
      if (!outcome.ok) return came(await again(session, sittingId), outcome.problem.message);
      if (outcome.value.replanned && kept.batch) planInBackground(session, kept.batch.number, piece.postKey);
    }
    await inStudio(session, (tx) => tx.change(SittingRow, { sittingId }, { state: 'finished' }));
    return came(await again(session, sittingId), '');
  });
}

/** What findings become in the drawers, as far as their pattern tells how many; undefined for what stands on the shelf. */
async function intoDrawer(
  { body }: KeptSitting,
  specs: Readonly<Record<string, KnownSpec>>,
): Promise<MakingTold['drawer']> {
  if (body.kind !== 'finding') return undefined;
  const drawer = drawerFor(body, specs);
  return drawer && drawer.count !== '' ? readInput(IntoDrawerInput, drawer) : undefined;
}

/** Puts a sitting away of which nothing is to be entered: nothing was cut, or all of it is entered by hand. */
export function leaveSitting(session: StudioSession, sittingId: Id<'sitting'>): Promise<Outcome<null>> {
  return attempt(() =>
    inStudio(session, async (tx) => {
      const kept = await sittingIn(tx, sittingId);
      if (!kept) throw GONE;
      if (kept.pieces.some(({ became }) => became !== null))
        throw refused(
          'Pieces of this sitting are on the shelf already; enter the others, or say that they are lost.',
        );
      await tx.change(SittingRow, { sittingId, state: 'open' }, { state: 'left' });
      return null;
    }),
  );
}

const again = (session: StudioSession, sittingId: Id<'sitting'>): Promise<KeptSitting> =>
  look(session, async (tx) => {
    const kept = await sittingIn(tx, sittingId);
    if (!kept) throw GONE;
    return kept;
  });

function came({ pieces, count }: KeptSitting, stopped: string): Finished {
  const numbers = [...new Set(pieces.flatMap(({ became }) => became ?? []))];
  return { made: numbers, lost: stopped === '' ? count - numbers.length : 0, stopped };
}

/** Enters one piece. */
async function enterPiece(
  session: StudioSession,
  { pattern: { number, revision }, batch, body }: KeptSitting,
  { postKey, trayPiece }: PieceOfSitting,
  {
    sitting,
    told,
  }: {
    readonly sitting: { readonly id: Id<'sitting'>; readonly pieces: readonly number[] };
    readonly told: (choices: Awaited<ReturnType<typeof choicesFor>>) => MakingTold;
  },
) {
  const choices = await look(session, (tx) =>
    choicesFor(
      tx,
      body.cuts.map(({ specId }) => specId),
    ),
  );
  const ofBatch =
    batch && trayPiece !== null
      ? { batch: { number: batch.number, line: batch.line, piece: trayPiece } }
      : {};
  return makeAsTold(session, postKey, { number, revision, sitting, ...ofBatch }, () => told(choices));
}

/**
 * Lets the wires of a piece that was lost fall into the jars of their metals. Those of a batch are borne by the pieces that it still makes, and are
 * to be cut again.
 */
function loseWires(
  session: StudioSession,
  { batch }: KeptSitting,
  { postKey }: PieceOfSitting,
  wires: MakingTold['spoiled'],
): Promise<Outcome<{ readonly replanned: boolean }>> {
  return post(
    session,
    'loseWires',
    postKey,
    () => wires,
    async (tx, lost) => {
      const settings = await settingsIn(tx);
      const open = batch && (await lockOpenBatch(tx, batch.number));
      const { stock, specs } = await lockWires(
        tx,
        lost.map(({ from }) => from),
        settings,
      );
      const posting = new Posting(tx, postKey, { batchId: open?.id ?? null }).hold(...stock.values());
      const acts = [];
      for (const { from, length, reason } of lost) {
        const wire = stock.get(from);
        if (!wire) throw refused('A wire of this piece is no longer there. Nothing was posted.');
        const there = posting.balance(from).quantity;
        if (there < length)
          throw refused(
            `${tag('wire', wire.number)} has ${formatLength(um(there), settings.lengthSystem)}; ${formatLength(length, settings.lengthSystem)} were lost of it by what was said. Nothing was posted.`,
          );
        const spec = specOf(specs, wire.articleId);
        await throwAway(posting, { id: from, spec }, 'spoiled', length, reason);
        acts.push({ specId: spec.id, cut: null, sourceId: from, cutId: null, length, reason });
      }
      await posting.commit();
      if (!open) return { replanned: false };
      await noteActs(tx, open.id, postKey, acts);
      await reserveTray(tx, open.id);
      const { planning, id } = open;
      const replanned = planning !== 'none';
      if (replanned) await planAnew(tx, id, postKey, [...new Set(acts.map(({ specId }) => specId))]);
      return { replanned };
    },
  );
}
