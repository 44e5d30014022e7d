import { proposeCuts, type Shortage } from '@/core/cutting/propose';
import { minutesOf, wantedCuts, type WantedCut } from '@/core/pattern/pattern';
import type { Micrometres } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import type { WireForm } from '@/core/stock/ware';
import { SET_ASIDE_FOR_OTHERS } from '../batches/setAsides';
import { look, type StudioSession } from '../kernel/useCase';
import type { KnownSpec } from '../wire/specs';
import { showPattern, type PatternView } from '../patterns/patterns';

/** A stock piece that a cut may be taken from. */
export interface Choice {
  readonly id: string;
  readonly number: number;
  readonly specId: string;
  readonly form: WireForm;
  readonly length: Micrometres;
}

/** Everything the bench shows before a piece is made. */
export interface MakingProposal {
  readonly pattern: PatternView;
  readonly cuts: readonly (WantedCut & { readonly from: string | null })[];
  /** What each spec may be cut from: off-cuts first, short to long, then what is wound. */
  readonly choices: readonly Choice[];
  readonly shortages: readonly (Shortage & { readonly spec: KnownSpec | undefined })[];
  readonly minutes: { readonly each: number; readonly setUp: number };
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
  const choices = await look(session, (tx) =>
    choicesFor(
      tx,
      wanted.map(({ specId }) => specId),
    ),
  );
  const stock = choices.map((each) => ({ ...each, isOffCut: each.form === 'off-cut' }));
  const { from, shortages } = proposeCuts(wanted, stock);
  return {
    pattern,
    cuts: wanted.map((cut, index) => ({ ...cut, from: from[index] ?? null })),
    choices,
    shortages: shortages.map((shortage) => ({ ...shortage, spec: pattern.specs[shortage.specId] })),
    minutes: minutesOf(pattern.body),
  };
}

/** Stock that cuts of these specs may be taken from, in the order it is offered. */
export function choicesFor(tx: Tx, specIds: readonly string[]): Promise<Choice[]> {
  return tx.select<Choice>(
    // What is set aside for a batch is not offered.
    `SELECT c.* FROM unnest($2::uuid[]) AS wanted(spec_id) CROSS JOIN LATERAL (
       SELECT p.stock_piece_id AS id, p.number, p.article_id AS "specId", p.form, p.quantity - ${SET_ASIDE_FOR_OTHERS} AS length
         FROM stock_pieces p
        WHERE p.studio_id = $1 AND p.article_id = wanted.spec_id AND p.quantity > ${SET_ASIDE_FOR_OTHERS}
        ORDER BY p.is_off_cut DESC, p.quantity LIMIT ${OFFERED}) AS c`,
    [tx.session.studioId, [...new Set(specIds)], null],
  );
}
