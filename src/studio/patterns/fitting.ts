import { proposeCuts, type Shortage } from '@/core/cutting/propose';
import type { Judgement } from '@/core/judgement/judgement';
import { allParts } from '@/core/pattern/allParts';
import { cutsOf, stepsOf } from '@/core/pattern/bodyOf';
import type { Measure } from '@/core/pattern/composition';
import { resolve } from '@/core/pattern/resolve';
import { whyNot } from '@/core/pattern/whyNot';
import { techniqueOf } from '@/core/technique/registry';
import { wantedCuts, wireBySpec, type PatternBody, type PatternKind } from '@/core/pattern/pattern';
import type { Texts } from '@/core/technique/readTexts';
import type { Micrometres } from '@/core/units/length';
import { isTradeWire } from '@/core/wire/tradeWires';
import type { Tx } from '@/data/inStudio';
import { look, type StudioSession } from '../kernel/useCase';
import { choicesFor } from '../making/proposeMaking';
import { settingsIn } from '../settings/settings';
import { allWires, specsById, type KnownSpec } from '../wire/specs';
import { listStarters } from './starters';

/** A pattern that is tried on a stone, a ring or a bead. */
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

/** A pattern of the studio. */
type OwnRow = Row & { readonly number: number };

/** Some patterns that were tried, and which come next. */
export interface FittedPage {
  readonly fitted: readonly Fitted[];
  /** The number that the next page begins under; null when these were the last. */
  readonly next: number | null;
}

/** What is read before anything is worked out: no transaction stays open meanwhile. */
async function readPatterns(session: StudioSession, under: number | undefined) {
  return look(session, async (tx) => {
    const found = await tx.select<OwnRow>(
      `SELECT p.number, p.name, p.kind, r.body
         FROM patterns p JOIN pattern_revisions r
           ON r.studio_id = p.studio_id AND r.pattern_id = p.pattern_id AND r.revision = p.revision
        WHERE p.studio_id = $1 AND ($2::int IS NULL OR p.number < $2) AND r.body ? 'composition'
        ORDER BY p.number DESC LIMIT ${AT_ONCE + 1}`,
      [session.studioId, under ?? null],
    );
    const rows = found.slice(0, AT_ONCE);
    const ids = rows.flatMap(({ body }) =>
      (body.composition?.uses ?? []).flatMap(({ wires }) => Object.values(wires)),
    );
    const specs = Object.fromEntries(await specsById(tx, ids));
    return {
      rows,
      ...(await readStock(tx, specs)),
      next: found.length > AT_ONCE ? (rows.at(-1)?.number ?? null) : null,
    };
  });
}

/** The wires that patterns name, and what the rack has of them. */
async function readStock(tx: Tx, specs: Readonly<Record<string, KnownSpec>>) {
  const own = Object.keys(specs).filter((id) => !isTradeWire(id));
  const stock = (await choicesFor(tx, own)).map((each) => ({ ...each, isOffCut: each.form === 'off-cut' }));
  const { lengthSystem } = await settingsIn(tx);
  return { specs, stock, lengthSystem };
}

type Read = Awaited<ReturnType<typeof readStock>>;

/**
 * Tries composed patterns that are bound to a measure on the one that is given: which suit it, how much wire each takes, and
 * whether the rack has it. Those that suit come first, and of them those with the least to be said against.
 * @param under only patterns of smaller numbers, for the pages after the first
 */
export async function fitPatterns(
  session: StudioSession,
  measure: Measure,
  texts: Texts,
  under?: number,
): Promise<FittedPage> {
  const read = await readPatterns(session, under);
  return { fitted: await inTurn(read.rows, measure, texts, read), next: read.next };
}

/**
 * Tries patterns of the house that the studio has no copy of, as {@link fitPatterns} tries its own; wires that it lacks are those of the trade.
 */
export async function fitStarters(
  session: StudioSession,
  measure: Measure,
  texts: Texts,
): Promise<readonly Fitted[]> {
  const { starters } = await listStarters(session);
  const read = await look(session, async (tx) => readStock(tx, await allWires(tx)));
  const rows = starters.flatMap(({ name, kind, notes, composition, parts, isTaken }): Row[] => {
    const named = parts.map((part) => ({ ...part, unitCost: null }));
    const body = { name, kind, notes, composition, cuts: [], parts: named, steps: [] };
    return isTaken ? [] : [{ number: null, name, kind, body }];
  });
  return inTurn(rows, measure, texts, read);
}

/** Tries patterns one by one, and lets others have their turn in between. */
async function inTurn(
  rows: readonly Row[],
  measure: Measure,
  texts: Texts,
  read: Read,
): Promise<readonly Fitted[]> {
  const fitted: Fitted[] = [];
  let since = performance.now();
  for (const row of rows) {
    const one = tryOn(row, measure, texts, read);
    if (one) fitted.push(one);
    if (performance.now() - since < BREATH_MS) continue;
    await new Promise((resolve) => setImmediate(resolve));
    since = performance.now();
  }
  const rank = ({ refusal, suits, shortages, judgements }: Fitted) =>
    (refusal ? 1e9 : 0) + (suits ? 0 : 1e6) + (shortages.length > 0 ? 1e3 : 0) + judgements.length;
  return fitted.sort((a, b) => rank(a) - rank(b) || (a.number ?? 0) - (b.number ?? 0));
}

/** A pattern on the measure; undefined when it is not bound to it. */
function tryOn(
  row: Row,
  measure: Measure,
  texts: Texts,
  { specs, stock, lengthSystem }: Read,
): Fitted | undefined {
  const { composition } = row.body;
  if (!composition) return undefined;
  const resolved = resolve(composition, specs, techniqueOf, { ...composition.measures, ...texts });
  if (!resolved.measures.includes(measure)) return undefined;
  const refusal = whyNot(resolved);
  const cuts = cutsOf(resolved, lengthSystem);
  const judgements = resolved.uses.flatMap((use) => use.judgements);
  const { shortages } = proposeCuts(wantedCuts({ cuts }), stock);
  return {
    ...row,
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
