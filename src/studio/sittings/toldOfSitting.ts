import {
  finishedInside,
  isLost,
  pieceIn,
  wireKey,
  type PieceSoFar,
  type Sitting,
} from '@/core/bench/sitting';
import { measuredWires, shorterIn, wireDone, workedOff } from '@/core/bench/wireDone';
import { BESIDES, minutesLost, minutesOfPiece, minutesOfSetUp } from '@/core/bench/sittingMinutes';
import { proposeCuts } from '@/core/cuttingStock/propose';
import { insidesWanted } from '@/core/pattern/insidesWanted';
import { wantedCuts, type PatternBody } from '@/core/pattern/pattern';
import { um } from '@/core/units/length';
import type { KnownSpec } from '../catalogue/wireSpecs';
import type { Choice } from '../making/proposeMaking';
import type { BenchTold, MakingTold } from '../making/makePiece.input';
import type { KeptSitting, PieceOfSitting } from './sittings';

/** A wire of a piece as it was cut, with all that was lost of it. */
interface WireTold {
  readonly cut: MakingTold['cuts'][number];
  readonly specId: string;
  readonly lost: readonly {
    readonly from: string;
    readonly length: ReturnType<typeof um>;
    readonly reason: string;
  }[];
}

/** The specs of the wires of a sitting, by their ids. */
type SpecsKnown = Readonly<Partial<Record<string, KnownSpec>>>;

/** The wires of a piece, as they were said to be cut or weighed; those that nobody spoke of are as they were meant. */
function wiresTold(
  { body, count }: KeptSitting,
  { piece, wires, trayPiece }: PieceOfSitting,
  sitting: Sitting,
  specs: SpecsKnown,
): readonly WireTold[] {
  const so = pieceIn(sitting, piece);
  const kept = new Map(wires.map((wire) => [wireKey(wire), wire]));
  return wantedCuts(body).map((wanted) => {
    const { cutIndex, copy, specId } = wanted;
    const wire = kept.get(wireKey(wanted));
    const spec = specs[specId];
    const alike = (body.cuts[cutIndex]?.count ?? 1) * count;
    const done = wireDone(so, wanted, wire, spec ? workedOff(sitting, cutIndex, alike, spec) : null);
    const from = wire?.from ?? '';
    const length = wire?.length ?? wanted.length;
    const lost = so.lostWires
      .filter((each) => wireKey(each) === wireKey(wanted))
      // Of a wire out of the tray no more can be lost than lay there.
      .map(({ length: much, reason }) => ({
        from,
        length: trayPiece === null ? much : um(Math.min(much, length)),
        reason,
      }));
    // What was kept for less out of a tray lies there as it was booked.
    const cut = trayPiece !== null && shorterIn(so, wanted) ? length : done.cut;
    return {
      cut: { cutIndex, copy, from, cut, back: [...done.back] },
      specId,
      lost,
    };
  });
}

/**
 * Where wires come from now: what was meant when the sitting began, as long as it is there; else what fits best of what there is. A wire that
 * was lost out of a tray is cut again off the rack.
 */
function withSources(
  wires: readonly WireTold[],
  { trayPiece }: PieceOfSitting,
  choices: readonly Choice[],
): readonly WireTold[] {
  if (trayPiece === null) {
    const left = new Map(choices.map(({ id, length }) => [id, Number(length)]));
    for (const { cut, lost } of wires)
      for (const { from, length } of [{ from: cut.from, length: cut.cut }, ...lost])
        left.set(from, (left.get(from) ?? 0) - length);
    if (wires.every(({ cut }) => (left.get(cut.from) ?? -1) >= 0)) return wires;
  }
  const again = wires.filter(({ lost }) => trayPiece === null || lost.length > 0);
  const { from } = proposeCuts(
    again.map(({ specId, cut, lost }) => ({
      specId,
      length: um(cut.cut + (trayPiece === null ? lost.reduce((sum, { length }) => sum + length, 0) : 0)),
    })),
    choices.map((each) => ({ ...each, isOffCut: each.form === 'off-cut' })),
  );
  return wires.map((wire) => {
    const found = from[again.indexOf(wire)] ?? null;
    if (found === null) return wire;
    const lost = trayPiece === null ? wire.lost.map((each) => ({ ...each, from: found })) : wire.lost;
    return { ...wire, cut: { ...wire.cut, from: found }, lost };
  });
}

/** Which pieces of a sitting are still to be entered, and which were lost. */
export function leftOf({ pieces }: KeptSitting, sitting: Sitting) {
  const open = pieces.filter(({ became }) => became === null);
  return {
    toMake: open.filter(({ piece }) => !isLost(sitting, piece)),
    lost: open.filter(({ piece }) => isLost(sitting, piece)),
  };
}

/** What is lost with a piece: every wire that was cut for it. A wire of a tray is lost once, whether it was spoiled before or not. */
export function wiresLost(
  kept: KeptSitting,
  piece: PieceOfSitting,
  sitting: Sitting,
  specs: SpecsKnown,
): MakingTold['spoiled'] {
  const so = pieceIn(sitting, piece.piece);
  if (piece.trayPiece !== null)
    return piece.wires.map(({ from, length }) => ({ from, length, reason: so.lost }));
  return wiresTold(kept, piece, sitting, specs).flatMap(({ cut: { from, cut }, lost }) => [
    { from, length: cut, reason: so.lost },
    ...lost,
  ]);
}

/** What is remembered of a piece: what was noted, and what was done otherwise where a wire was too short. */
const noteOf = ({ cuts }: PatternBody, { note, shorterWires }: PieceSoFar): string =>
  [note, ...shorterWires.map(({ cutIndex, does }) => `${cuts[cutIndex]?.name ?? 'wire'} too short: ${does}`)]
    .filter((each) => each !== '')
    .join('\n');

/** Turns that were measured, with the wires that were bent. */
function bendsTold(body: PatternBody, { bends }: Sitting, specs: SpecsKnown): BenchTold['bends'] {
  return insidesWanted(body).flatMap(({ name, specId }, turn) => {
    const bent = bends.get(turn);
    const spec = specs[specId ?? ''];
    return bent && spec ? [{ name, specId: spec.id, ...bent }] : [];
  });
}

/**
 * What a sitting comes to for one of its pieces, as a making is told.
 * @param bears wires of pieces that were lost, which it bears
 * @param choices what there is on the rack of its wires
 * @param drawer what of the drawers it becomes; what stands on the shelf has none
 */
export function toldOfPiece(
  kept: KeptSitting,
  piece: PieceOfSitting,
  sitting: Sitting,
  {
    bears,
    specs,
    choices,
    drawer,
  }: {
    readonly bears: MakingTold['spoiled'];
    readonly specs: SpecsKnown;
    readonly choices: readonly Choice[];
    readonly drawer: MakingTold['drawer'];
  },
): MakingTold {
  const { body, count, checks } = kept;
  const so = pieceIn(sitting, piece.piece);
  const wires = withSources(wiresTold(kept, piece, sitting, specs), piece, choices);
  const own = minutesOfPiece(sitting, body.steps, count, piece.piece);
  const setUp = minutesOfSetUp(sitting, body.steps, count);
  const made = kept.pieces.filter((each) => !isLost(sitting, each.piece));
  // What was done once for all of them stands in the log of the first.
  const isFirst = made[0]?.piece === piece.piece;
  return {
    cuts: wires.map(({ cut }) => cut),
    spoiled: [...wires.flatMap(({ lost }) => lost), ...bears],
    minutes: own.minutes,
    setUpMinutes: setUp.minutes + minutesLost(sitting, body.steps, count),
    sharedBy: made.length,
    finished: finishedInside(so),
    ...(drawer ? { goesTo: 'drawer', drawer } : {}),
    steps: [...(isFirst ? setUp.timed : []), ...own.timed],
    bench: {
      note: noteOf(body, so),
      flaw: so.flaw,
      mass: so.mass,
      sizes: so.sizes,
      lostParts: so.lostParts,
      checks: [...so.checks]
        .sort(([one], [other]) => one - other)
        .map(([check, found]) => ({ ...found, name: checks[check] ?? '' })),
      besides: BESIDES.map((work) => ({
        work,
        minutes: own.besides[work] + (isFirst ? setUp.besides[work] : 0),
      })),
      measured: measuredWires(sitting, { piece: piece.piece, isFirst }, wantedCuts(body)),
      bends: isFirst ? bendsTold(body, sitting, specs) : [],
    },
  };
}
