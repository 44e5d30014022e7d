import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import { notEnoughFor, settleMaking } from '@/core/making/making';
import { minutesOf, wantedCuts, type PatternBody } from '@/core/pattern/pattern';
import { ringSizeOf, ringWanted } from '@/core/pattern/ringSizeOf';
import { describeRing, ringOf } from '@/core/ring/ringSize';
import { tag } from '@/core/tag';
import { mm, UM_PER_MM } from '@/core/units/length';
import { cost, sumCosts } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { Piece, PatternRevision } from '@/data/models/making';
import { SittingPiece } from '@/data/models/sittings';
import { invalid, refused, type Outcome } from '../kernel/outcome';
import { bearWaste, closeTray, openTray, useStone, type PieceOfBatch } from '../trayMaking/makeFromTray';
import { takeNumbers } from '../kernel/numbers';
import { readInput } from '../kernel/readInput';
import { post, type StudioSession } from '../kernel/useCase';
import { Posting } from '../ledger/posting';
import { settingsIn } from '../settings/settings';
import { MakePieceInput, type MakingTold } from './makePiece.input';
import { checkAgainstPattern, lockWires, refuseSetAside, tellShortage } from './checkMaking';
import { logBends, logInspection, logSteps, logWires, type LoggedMaking } from '../logbook/makingLog';
import { enterMaking, intoDrawer, NO_SUPPLIES, NO_WASTE, outlayOf, toJars, withWaste } from './enterMaking';
import { takeParts } from './takeParts';
import { useSupplies } from './useSupplies';

/** The finished piece's number; of what went into the drawers, the number of the findings. */
export interface Made {
  readonly number: number;
  readonly as: 'piece' | 'finding';
}

/** The pattern, in the revision, that the bench was working from; and the piece of a batch that it was made as. */
export interface MadeFrom {
  readonly number: number;
  readonly revision: number;
  readonly batch?: PieceOfBatch;
  /** Whether it is told to be as another piece was, rather than by itself. */
  readonly isLikeAnother?: boolean;
  /** The piece of a sitting that it was worked as, and those that were lost there, whose wires it bears. */
  readonly sitting?: { readonly id: Id<'sitting'>; readonly pieces: readonly number[] };
}

/** Makes one piece as its form tells. */
export const makePiece = (
  session: StudioSession,
  postKey: Id<'post'>,
  madeFrom: MadeFrom,
  plain: unknown,
): Promise<Outcome<Made>> => makeAsTold(session, postKey, madeFrom, () => readInput(MakePieceInput, plain));

/**
 * Makes one piece: takes every cut from its stock piece, keeps what came back as off-cuts, logs what was spoiled, scraps
 * what is too short, and puts the piece on the shelf with what it took, or findings
 * into the drawer. All in one transaction or not at all.
 */
export function makeAsTold(
  session: StudioSession,
  postKey: Id<'post'>,
  madeFrom: MadeFrom,
  prepare: () => MakingTold | Promise<MakingTold>,
): Promise<Outcome<Made>> {
  return post(session, 'makePiece', postKey, prepare, async (tx, told) => {
    const settings = await settingsIn(tx);
    const tray = madeFrom.batch && (await openTray(tx, madeFrom.batch));
    const { patternId, revision, body } = tray ?? (await patternOf(tx, madeFrom));
    const { cuts, spoiled, minutes, setUpMinutes, sharedBy } = told;
    const { stock, specs } = await lockWires(
      tx,
      [...cuts, ...spoiled].map(({ from }) => from),
      settings,
    );
    checkAgainstPattern(cuts, wantedCuts(body), stock, settings);
    spoiled.forEach(({ from }, index) => {
      if (!stock.has(from))
        throw invalid(`spoiled.${index}.from`, 'This wire is no longer on the rack; choose another.');
    });
    const short = notEnoughFor([...stock.values()], cuts, spoiled);
    if (short.length > 0) throw tellShortage(short, told, stock, specs, settings);
    await refuseSetAside(tx, cuts, stock, settings, tray?.batchId ?? null);

    const settled = settleMaking([...stock.values()], cuts, spoiled);
    const pieceId = randomUUID();
    const number = await takeNumbers(tx, 'piece');
    const outlay = await outlayOf(tx, settled, stock, specs);
    const posting = new Posting(tx, postKey, { pieceId, batchId: tray?.batchId ?? null });
    const drawer = told.goesTo === 'drawer' ? told.drawer : undefined;
    // A finding is no finished piece: nothing is packed or polished for it.
    const supplies = drawer ? NO_SUPPLIES : await useSupplies(tx, posting);
    const waste = tray ? await bearWaste(tx, tray) : NO_WASTE;
    const stone = tray ? await useStone(tx, posting, tray) : cost(0);
    const parts = await takeParts(tx, posting, body.parts, told.parts, {
      batchId: tray?.batchId ?? null,
      lost: told.bench?.lostParts ?? [],
      reason: tray ? `for ${tag('batch', tray.number)}` : `in ${tag('piece', number)}`,
    });
    const partsTaken = sumCosts([stone, parts.taken]);
    const planned = minutesOf(body);
    const wantedRing = ringWanted(body);
    const finished = told.finished ?? null;
    await tx.add(Piece, [
      {
        pieceId,
        number,
        patternId,
        revision,
        name: body.name,
        kind: body.kind,
        size: finished === null ? (ringSizeOf(body) ?? '') : describeRing(ringOf(finished / UM_PER_MM)),
        wantedInside: wantedRing ? mm(wantedRing.diameter) : null,
        finishedInside: finished,
        note: told.bench?.note ?? '',
        flaw: told.bench?.flaw ?? '',
        weighedUg: told.bench?.mass ?? null,
        userId: session.userId,
        madeAt: session.now,
        ...withWaste(outlay, waste),
        ...supplies,
        partsCost: sumCosts([partsTaken, parts.said]),
        partsTaken,
        minutes,
        setUpMinutes,
        sharedBy,
        plannedMinutes: planned.each,
        plannedSetUpMinutes: planned.setUp,
        hourlyRate: settings.hourlyRate,
        overheadPerHour: settings.overheadPerHour,
        goingPrice: null,
        school: null,
        price: null,
      },
    ]);
    const making: LoggedMaking = {
      pieceId,
      patternId,
      userId: session.userId,
      madeAt: session.now,
      body,
      isLikeAnother: madeFrom.isLikeAnother ?? false,
    };
    await logWires(tx, making, cuts, told.bench?.measured);
    await logSteps(tx, making, told.steps ?? [], told.bench?.besides ?? []);
    await logInspection(tx, pieceId, told.bench);
    await logBends(tx, making, told.bench?.bends ?? []);
    if (tray) await closeTray(tx, tray, pieceId);
    const { sitting } = madeFrom;
    if (sitting)
      await tx.change(SittingPiece, { sittingId: sitting.id, piece: [...sitting.pieces] }, { pieceId });
    enterMaking(posting, settled, stock);
    await toJars(posting, settled, specs);
    const labour = {
      minutes: minutes + setUpMinutes / sharedBy,
      settings,
      waste,
    };
    const findings = drawer && (await intoDrawer(tx, posting, drawer, settled, partsTaken, labour));
    const numbers = await posting.commit();
    if (!findings) return { number, as: 'piece' };
    await tx.change(Piece, { pieceId }, { drawerStockId: findings });
    return { number: numbers.get(findings) ?? 0, as: 'finding' };
  });
}

async function patternOf(
  tx: Tx,
  { number, revision }: MadeFrom,
): Promise<{ patternId: Id<'pattern'>; revision: number; body: PatternBody }> {
  const row = await tx.oneWith(
    PatternRevision,
    ['patternId', 'revision', 'body'],
    { pattern: [] },
    { where: { '$pattern.number$': number, revision } },
  );
  if (!row) throw refused('This pattern, or this revision of it, is no longer there.');
  return row;
}
