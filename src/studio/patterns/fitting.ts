import { proposeCuts, type Shortage } from '@/core/cutting/propose';
import type { Judgement } from '@/core/judgement/judgement';
import { cutsOf } from '@/core/pattern/bodyOf';
import { resolve, type Measure } from '@/core/pattern/composition';
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
  /** Every wire that it is of, by id: those that are wound about too. */
  readonly specs: Readonly<Record<string, KnownSpec>>;
  readonly wires: readonly { readonly spec: KnownSpec; readonly length: Micrometres }[];
  readonly shortages: readonly (Shortage & { readonly spec: KnownSpec | undefined })[];
  readonly judgements: readonly Judgement[];
  readonly minutes: number;
}

/** Composed patterns that are tried at once; the newest first. */
const MOST = 300;

interface Row {
  readonly number: number;
  readonly name: string;
  readonly kind: PatternKind;
  readonly body: PatternBody;
}

/**
 * Tries every composed pattern that is bound to a measure on the one that is given: which suit it, how much wire each takes, and
 * whether the rack has it. Those that can be made come first, and of them those with the least to be said against.
 */
export function fitPatterns(session: StudioSession, measure: Measure, texts: Texts): Promise<Fitted[]> {
  return look(session, async (tx) => {
    const rows = await tx.select<Row>(
      `SELECT p.number, p.name, p.kind, r.body
         FROM patterns p JOIN pattern_revisions r
           ON r.studio_id = p.studio_id AND r.pattern_id = p.pattern_id AND r.revision = p.revision
        WHERE p.studio_id = $1 AND r.body ? 'composition' ORDER BY p.number DESC LIMIT ${MOST}`,
      [session.studioId],
    );
    const ids = rows.flatMap(({ body }) =>
      (body.composition?.uses ?? []).flatMap(({ wires }) => Object.values(wires)),
    );
    const specs = Object.fromEntries(await specsById(tx, ids));
    const stock = (await choicesFor(tx, Object.keys(specs))).map((each) => ({
      ...each,
      isOffCut: each.form === 'off-cut',
    }));
    const { lengthSystem } = await settingsIn(tx);
    const fitted = rows.flatMap((row): Fitted[] => {
      const { composition } = row.body;
      if (!composition) return [];
      const resolved = resolve(composition, specs, { ...composition.measures, ...texts });
      if (!resolved.measures.includes(measure)) return [];
      const refusal =
        Object.values(resolved.measuresWrong)[0] ??
        resolved.uses.map((use) => use.refusal || (Object.values(use.wrong)[0] ?? '')).find(Boolean) ??
        '';
      const cuts = cutsOf(resolved, lengthSystem);
      const { shortages } = proposeCuts(wantedCuts({ cuts }), stock);
      return [
        {
          ...row,
          refusal,
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
          judgements: resolved.uses.flatMap(({ judgements }) => judgements),
          minutes: resolved.minutes,
        },
      ];
    });
    const rank = ({ refusal, shortages, judgements }: Fitted) =>
      (refusal ? 1e6 : 0) + (shortages.length > 0 ? 1e3 : 0) + judgements.length;
    return fitted.sort((a, b) => rank(a) - rank(b) || a.number - b.number);
  });
}
