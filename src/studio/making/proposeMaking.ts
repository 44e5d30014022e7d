import type { Id } from '@/core/id';
import { proposeCuts, type Shortage } from '@/core/cuttingStock/propose';
import { minutesOf, wantedCuts, type PatternBody, type WantedCut } from '@/core/pattern/pattern';
import { ringSizeOf } from '@/core/pattern/ringSizeOf';
import { findingsMade } from '@/core/plan/findingsMade';
import { um, type Micrometres } from '@/core/units/length';
import { describeMetal } from '@/core/wire/spec';
import { type RowOf } from '@/data/sql/statement';
import type { Tx } from '@/data/inStudio';
import { lengthFreeSql, wiresToChooseFromSql } from '@/data/sql/reservations';
import { batchesBegunSql } from '@/data/sql/batches';
import { piecesReady } from '@/core/batch/batch';
import { batchNumbered, linesInBrief, linesOf } from '../batches/batches';
import type { PieceOfBatch } from '../trayMaking/makeFromTray';
import { NOTHING_DONE, progressOf, wiresInTray } from '../batches/tray';
import { look, type StudioSession } from '../kernel/useCase';
import { ringsComeOut, type RingsComeOut } from '../logbook/learnedDrift';
import { proposeLengths, type LearnedCut } from '../logbook/proposeLengths';
import { proposeParts, type PartProposal } from './proposeParts';
import type { IntoDrawerInput } from './makePiece.input';
import { specsById, type KnownSpec } from '../catalogue/wireSpecs';
import { bodyShownTo, showPattern, type PatternView } from '../patterns/patterns';

/** A stock piece that a cut may be taken from. */
export type Choice = RowOf<typeof wiresToChooseFromSql>;

/** Everything the bench shows before a piece is made. */
export interface MakingProposal {
  readonly pattern: Pick<PatternView, 'number' | 'revision' | 'name' | 'body' | 'specs'>;
  /** The ring size that it is made for, as it is said; undefined for what is no ring. */
  readonly ring: string | undefined;
  /** How rings of the pattern come out, in US sizes; null for what is no ring, and while none was read on the mandrel. */
  readonly drift: RingsComeOut | null;
  /** The piece of a batch that is made, with its name and how many pieces its line has; undefined when it is made by itself. */
  readonly batch?: PieceOfBatch & {
    readonly name: string;
    readonly count: number;
    /** How many pieces of the line lie ready, this one among them. */
    readonly ready: number;
  };
  readonly cuts: readonly (WantedCut & { readonly from: string | null })[];
  /** What each spec may be cut from: off-cuts first, short to long, then what is wound. */
  readonly choices: readonly Choice[];
  /** Of beads, stones and findings: what each may be taken from, and is proposed to be. */
  readonly parts: readonly PartProposal[];
  /** What the log says of its cuts: how long they are better cut. Nothing of wires that lie cut in a tray. */
  readonly learned: readonly LearnedCut[];
  readonly shortages: readonly (Shortage & { readonly spec: KnownSpec | undefined })[];
  readonly minutes: { readonly each: number; readonly setUp: number };
  /** What of the drawers it becomes, for a pattern of findings; null for what stands on the shelf. */
  readonly drawer: IntoDrawerInput | null;
}

/** What a pattern of findings makes, as far as its techniques tell; null for any other pattern. */
export function drawerFor(
  { kind, composition, cuts }: PatternBody,
  specs: Readonly<Record<string, KnownSpec>>,
): IntoDrawerInput | null {
  if (kind !== 'finding') return null;
  const [use, ...others] = composition?.uses ?? [];
  const made = use && others.length === 0 ? findingsMade(use.technique, use.texts) : undefined;
  const spec = specs[cuts[0]?.specId ?? ''];
  return {
    finding: made?.finding ?? 'other',
    material: spec ? describeMetal(spec) : '',
    size: '',
    count: made ? String(made.count * (composition?.copies ?? 1)) : '',
    place: '',
  };
}

/** Off-cuts and spools of one spec that are offered; beyond that a list is no help. */
const OFFERED = 60;

/** Proposes for every cut of a pattern which stock piece to take it from; null when there is no such pattern. */
export async function proposeMaking(
  session: StudioSession,
  patternNumber: number,
): Promise<MakingProposal | null> {
  const pattern = await showPattern(session, patternNumber);
  if (!pattern) return null;
  const wanted = wantedCuts(pattern.body);
  const { choices, parts, learned, drift } = await look(session, async (tx) => ({
    choices: await choicesFor(
      tx,
      wanted.map(({ specId }) => specId),
    ),
    parts: await proposeParts(tx, pattern.body.parts, null),
    learned: await proposeLengths(tx, session, pattern.id, pattern.body),
    drift: await ringsComeOut(tx, pattern, pattern.body),
  }));
  const stock = choices.map((each) => ({ ...each, isOffCut: each.form === 'off-cut' }));
  const { from, shortages } = proposeCuts(wanted, stock);
  return {
    pattern,
    ring: ringSizeOf(pattern.body),
    drift,
    cuts: wanted.map((cut, index) => ({ ...cut, from: from[index] ?? null })),
    choices,
    parts,
    learned,
    shortages: shortages.map((shortage) => ({ ...shortage, spec: pattern.specs[shortage.specId] })),
    minutes: minutesOf(pattern.body),
    drawer: drawerFor(pattern.body, pattern.specs),
  };
}

/** Takes the first piece of a line of a batch whose wires are all cut to the bench, out of its tray; null when there is none. */
export function proposeFromTray(
  session: StudioSession,
  number: number,
  line: number,
): Promise<MakingProposal | null> {
  return look(session, async (tx) => {
    const batch = await batchNumbered(tx, number);
    const [own] = batch ? (await linesOf(tx, [batch.id])).filter((each) => each.line === line) : [];
    if (!batch || !own || batch.state !== 'open') return null;
    const progress = (await progressOf(tx, [batch.id])).get(batch.id) ?? NOTHING_DONE;
    const ready = piecesReady(own, progress.cut, progress.made.get(line) ?? new Set());
    const [piece] = ready;
    if (piece === undefined) return null;
    const tray = await wiresInTray(tx, { batchId: batch.id, line, piece });
    const { patternNumber, revision, body, count } = own;
    const wanted = wantedCuts(body);
    const specIds = wanted.map(({ specId }) => specId);
    const specs = Object.fromEntries(await specsById(tx, specIds));
    return {
      pattern: {
        number: patternNumber,
        revision,
        name: body.name,
        body: bodyShownTo(session, body),
        specs,
      },
      ring: ringSizeOf(body),
      drift: await ringsComeOut(tx, { id: own.patternId, number: patternNumber }, body),
      batch: { number, line, piece, name: batch.name, count, ready: ready.length },
      cuts: wanted.map((cut) => {
        const cutFor = tray.find((each) => each.cutIndex === cut.cutIndex && each.copy === cut.copy);
        return { ...cut, length: cutFor?.length ?? cut.length, from: cutFor?.id ?? null };
      }),
      choices: [
        ...tray.map(({ cutIndex: _, copy: __, ...choice }) => choice),
        ...(await choicesFor(tx, specIds)),
      ],
      parts: await proposeParts(tx, body.parts, batch.id),
      learned: [],
      shortages: [],
      minutes: minutesOf(body),
      drawer: drawerFor(body, specs),
    };
  });
}

/** Pieces of a line of a batch that lie cut in the tray. */
export interface ReadyInTray {
  readonly number: number;
  readonly batch: string;
  readonly line: number;
  readonly name: string;
  readonly pieces: number;
}

/** What of the open batches lies cut in the tray and can be made, by the day it is due. */
export function readyInTrays(session: StudioSession): Promise<ReadyInTray[]> {
  return look(session, async (tx) => {
    const batches = await tx.rows(batchesBegunSql, {});
    const ids = batches.map(({ id }) => id);
    const [lines, progress] = [await linesInBrief(tx, ids), await progressOf(tx, ids)];
    return batches.flatMap(({ id, number, name }) => {
      const { cut, made } = progress.get(id) ?? NOTHING_DONE;
      return lines
        .filter(({ batchId }) => batchId === id)
        .flatMap((each): ReadyInTray[] => {
          const pieces = piecesReady(each, cut, made.get(each.line) ?? new Set()).length;
          return pieces > 0 ? [{ number, batch: name, line: each.line, name: each.body.name, pieces }] : [];
        });
    });
  });
}

/** Stock that cuts of these specs may be taken from, in the order it is offered. */
export function choicesFor(tx: Tx, specIds: readonly Id<'article'>[]): Promise<Choice[]> {
  return tx.rows(wiresToChooseFromSql, { specIds: [...new Set(specIds)], batchId: null, most: OFFERED });
}

/** How much of a wire of the rack is set aside for no batch; nothing of one that is not there. */
export async function lengthFree(tx: Tx, stockPieceId: Id<'stock piece'>): Promise<Micrometres> {
  const [found] = await tx.rows(lengthFreeSql, { stockPieceId, batchId: null });
  return found?.length ?? um(0);
}
