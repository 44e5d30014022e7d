import { proposeCuts, type Shortage } from '@/core/cuttingStock/propose';
import type { Judgement } from '@/core/judgement/judgement';
import { allParts } from '@/core/pattern/allParts';
import { cutsOf, stepsOf } from '@/core/pattern/bodyOf';
import type { Composition, Measure } from '@/core/pattern/composition';
import { cutFromWire } from '@/core/pattern/cutFromWire';
import { resolve } from '@/core/pattern/resolve';
import { whyNot } from '@/core/pattern/whyNot';
import { techniqueOf } from '@/core/techniques/registry';
import { wantedCuts, wireBySpec, type PatternBody, type PatternKind } from '@/core/pattern/pattern';
import type { Texts } from '@/core/parameter/readTexts';
import { formatLengthShort, um, type Micrometres } from '@/core/units/length';
import { isTradeWire } from '@/core/wire/tradeWires';
import type { Tx } from '@/data/inStudio';
import { composedPatternsSql } from '@/data/sql/patterns';
import { breath } from '../kernel/breath';
import { look, type StudioSession } from '../kernel/useCase';
import { choicesFor, lengthFree } from '../making/proposeMaking';
import { settingsIn } from '../settings/settings';
import type { StockPieceView } from '../wire/rack';
import { allWires, specsById, type KnownSpec } from '../catalogue/wireSpecs';
import { listStarters } from '../patterns/starters';

/** A pattern that is tried on a stone, a ring or a bead, or on a length of the rack. */
export interface Fitted {
  /** Null for a pattern of the house that the studio has no copy of. */
  readonly number: number | null;
  readonly name: string;
  readonly kind: PatternKind;
  readonly body: PatternBody;
  /** Why it cannot be made for these measures; empty when it can. */
  readonly refusal: string;
  /** Whether it can be made for these measures and keeps what it is made for. */
  readonly suits: boolean;
  /** Every wire that it is of, by id: those that are wound about too. */
  readonly specs: Readonly<Record<string, KnownSpec>>;
  readonly wires: readonly { readonly spec: KnownSpec; readonly length: Micrometres }[];
  readonly shortages: readonly (Shortage & { readonly spec: KnownSpec | undefined })[];
  readonly judgements: readonly Judgement[];
  readonly minutes: number;
  /** What it takes for these measures, for its cost. */
  readonly takes: Pick<PatternBody, 'cuts' | 'parts' | 'steps'>;
}

/** A measure that patterns are tried on. */
export interface OnMeasure {
  readonly measure: Measure;
  readonly texts: Texts;
}

/** What patterns are tried on: their measures, or the wire that they are cut from. */
export type TriedOn =
  | OnMeasure
  | {
      /** A length of the rack: everything as thick as it is cut from it alone. */
      readonly wire: Pick<StockPieceView, 'id' | 'number' | 'spec' | 'length'>;
    };

/** Composed patterns that are tried at once; the newest first. */
const AT_ONCE = 60;
/** Working a pattern out takes milliseconds: after so many, whoever else waits for an answer comes first. */
const BREATH_MS = 8;

interface Row {
  readonly number: number | null;
  readonly name: string;
  readonly kind: PatternKind;
  readonly body: PatternBody;
}

/** Some patterns that were tried, and which come next. */
export interface FittedPage {
  readonly fitted: readonly Fitted[];
  /** The number that the next page begins under; null when these were the last. */
  readonly next: number | null;
}

/**
 * What is read before anything is worked out: no transaction stays open meanwhile.
 */
async function readPatterns(session: StudioSession, under: number | undefined, on: TriedOn) {
  return look(session, async (tx) => {
    const found = await tx.rows(composedPatternsSql, { under: under ?? null, most: AT_ONCE + 1 });
    const rows = found.slice(0, AT_ONCE);
    const ids = rows.flatMap(({ body }) =>
      (body.composition?.uses ?? []).flatMap(({ wires }) => Object.values(wires)),
    );
    // On a wire of the rack patterns come to be of other wires than they name.
    const specs = 'wire' in on ? await allWires(tx) : Object.fromEntries(await specsById(tx, ids));
    return {
      rows,
      ...(await readStock(tx, specs, on)),
      next: found.length > AT_ONCE ? (rows.at(-1)?.number ?? null) : null,
    };
  });
}

/** The wires that patterns name, and what the rack has of them. */
async function readStock(tx: Tx, specs: Readonly<Record<string, KnownSpec>>, on: TriedOn) {
  const tried = 'wire' in on ? { ...on.wire, length: await lengthFree(tx, on.wire.id) } : undefined;
  const own = Object.keys(specs).filter((id) => !isTradeWire(id) && id !== tried?.spec.id);
  const stock = (await choicesFor(tx, own)).map((each) => ({ ...each, isOffCut: each.form === 'off-cut' }));
  const { lengthSystem } = await settingsIn(tx);
  return { specs, stock, lengthSystem, tried };
}

type Read = Awaited<ReturnType<typeof readStock>>;

/**
 * Tries composed patterns that are bound to a measure on the one that is given, or those that are of a wire like one of the rack on that: which suit
 * it, how much wire each takes, and whether the rack has it. Those that suit come first, and of them those with the least to be said against.
 * @param under only patterns of smaller numbers, for the pages after the first
 */
export async function fitPatterns(session: StudioSession, on: TriedOn, under?: number): Promise<FittedPage> {
  const read = await readPatterns(session, under, on);
  return { fitted: await inTurn(read.rows, on, read), next: read.next };
}

/**
 * Tries patterns of the house that the studio has no copy of, as {@link fitPatterns} tries its own; wires that it lacks are those of the trade.
 */
export async function fitStarters(session: StudioSession, on: TriedOn): Promise<readonly Fitted[]> {
  const { starters } = await listStarters(session);
  const read = await look(session, async (tx) => readStock(tx, await allWires(tx), on));
  const rows = starters.flatMap(({ name, kind, notes, composition, parts, isTaken }): Row[] => {
    const named = parts.map((part) => ({ ...part, unitCost: null }));
    const body = { name, kind, notes, composition, cuts: [], parts: named, steps: [] };
    return isTaken ? [] : [{ number: null, name, kind, body }];
  });
  return inTurn(rows, on, read);
}

/** Tries patterns one by one, and lets others have their turn in between. */
async function inTurn(rows: readonly Row[], on: TriedOn, read: Read): Promise<readonly Fitted[]> {
  const fitted: Fitted[] = [];
  let since = performance.now();
  for (const row of rows) {
    const one = tryOn(row, on, read);
    if (one) fitted.push(one);
    if (performance.now() - since < BREATH_MS) continue;
    await breath();
    since = performance.now();
  }
  const rank = ({ refusal, suits, shortages, judgements }: Fitted) =>
    (refusal ? 1e9 : 0) + (suits ? 0 : 1e6) + (shortages.length > 0 ? 1e3 : 0) + judgements.length;
  return fitted.sort((a, b) => rank(a) - rank(b) || (a.number ?? 0) - (b.number ?? 0));
}

/** A pattern as it is for what it is tried on; undefined when that has nothing to do with it. */
function madeFor(composition: Composition, on: TriedOn, specs: Read['specs']) {
  if ('wire' in on) {
    const cut = cutFromWire(composition, on.wire.spec.id, specs);
    return cut && { composition: cut, resolved: resolve(cut, specs, techniqueOf) };
  }
  const resolved = resolve(composition, specs, techniqueOf, { ...composition.measures, ...on.texts });
  return resolved.measures.includes(on.measure) ? { composition, resolved } : undefined;
}

/** How much of a wire of the rack a pattern takes that no batch leaves it; nothing when there is enough. */
function missingOf(cuts: PatternBody['cuts'], { spec, length }: NonNullable<Read['tried']>) {
  const taken = wireBySpec({ cuts }).get(spec.id) ?? 0;
  return Math.max(0, taken - length);
}

/** A pattern on what it is tried on; undefined when that has nothing to do with it. */
function tryOn(row: Row, on: TriedOn, { specs, stock, lengthSystem, tried }: Read): Fitted | undefined {
  const made = row.body.composition && madeFor(row.body.composition, on, specs);
  if (!made) return undefined;
  const { composition, resolved } = made;
  const cuts = cutsOf(resolved, lengthSystem);
  const judgements = resolved.uses.flatMap((use) => use.judgements);
  const short = tried ? missingOf(cuts, tried) : 0;
  const refusal =
    whyNot(resolved) ||
    (short > 0
      ? `It takes ${formatLengthShort(um(short), lengthSystem)} more of this wire than is free.`
      : '');
  // Of a wire that it is tried on only that length is cut.
  const free = tried
    ? [...stock, { id: tried.id, specId: tried.spec.id, length: tried.length, isOffCut: false }]
    : stock;
  const { shortages } = proposeCuts(wantedCuts({ cuts }), free);
  return {
    ...row,
    body: { ...row.body, composition },
    refusal,
    suits: refusal === '' && judgements.every(({ weight }) => weight !== 'fault'),
    specs: Object.fromEntries(
      composition.uses
        .flatMap(({ wires }) => Object.values(wires))
        .flatMap((id) => (specs[id] ? [[id, specs[id]]] : [])),
    ),
    wires: [...wireBySpec({ cuts })].flatMap(([specId, length]) => {
      const spec = specs[specId];
      return spec ? [{ spec, length }] : [];
    }),
    shortages: shortages.map((shortage) => ({ ...shortage, spec: specs[shortage.specId] })),
    judgements,
    minutes: resolved.minutes,
    takes: {
      cuts,
      parts: allParts(
        resolved.parts,
        row.body.parts.filter(({ ofWork }) => !ofWork),
      ),
      steps: stepsOf(resolved),
    },
  };
}
