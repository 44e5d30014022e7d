import { proposeCuts, type Shortage } from '@/core/cutting/propose';
import type { Judgement } from '@/core/judgement/judgement';
import { cutsOf } from '@/core/pattern/bodyOf';
import type { Measure } from '@/core/pattern/composition';
import { resolve } from '@/core/pattern/resolve';
import { techniqueOf } from '@/core/technique/registry';
import { wantedCuts, wireBySpec, type PatternBody, type PatternKind } from '@/core/pattern/pattern';
import type { Texts } from '@/core/technique/readTexts';
import type { Micrometres } from '@/core/units/length';
import { look, type StudioSession } from '../kernel/useCase';
import { choicesFor } from '../making/proposeMaking';
import { settingsIn } from '../settings/settings';
import { specsById, type KnownSpec } from '../wire/specs';

/** A pattern that is tried on a stone, a ring or a bead. */
export interface Fitted {
  readonly number: number;
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
}

/** Composed patterns that are tried at once; the newest first. */
const AT_ONCE = 60;
/** Working a pattern out takes milliseconds: after so many, whoever else waits for an answer comes first. */
const BREATH_MS = 8;

interface Row {
  readonly number: number;
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

/** What is read before anything is worked out: no transaction stays open meanwhile. */
async function readPatterns(session: StudioSession, under: number | undefined) {
  return look(session, async (tx) => {
    const found = await tx.select<Row>(
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
    const stock = (await choicesFor(tx, Object.keys(specs))).map((each) => ({
      ...each,
      isOffCut: each.form === 'off-cut',
    }));
    const { lengthSystem } = await settingsIn(tx);
    return {
      rows,
      specs,
      stock,
      lengthSystem,
      next: found.length > AT_ONCE ? (rows.at(-1)?.number ?? null) : null,
    };
  });
}

type Read = Awaited<ReturnType<typeof readPatterns>>;

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
  const fitted: Fitted[] = [];
  let since = performance.now();
  for (const row of read.rows) {
    const one = tryOn(row, measure, texts, read);
    if (one) fitted.push(one);
    if (performance.now() - since < BREATH_MS) continue;
    await new Promise((resolve) => setImmediate(resolve));
    since = performance.now();
  }
  const rank = ({ refusal, suits, shortages, judgements }: Fitted) =>
    (refusal ? 1e9 : 0) + (suits ? 0 : 1e6) + (shortages.length > 0 ? 1e3 : 0) + judgements.length;
  return { fitted: fitted.sort((a, b) => rank(a) - rank(b) || a.number - b.number), next: read.next };
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
  const refusal =
    Object.values(resolved.measuresWrong)[0] ??
    resolved.uses.map((use) => use.refusal || (Object.values(use.wrong)[0] ?? '')).find(Boolean) ??
    '';
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
  };
}
