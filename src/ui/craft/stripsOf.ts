import type { Specs } from '@/core/pattern/composition';
import type { Resolved } from '@/core/pattern/resolve';
import type { PlannedCut } from '@/core/technique/technique';
import { plainSpec } from '@/core/plan/totals';
import type { Strip } from './CutStrips';
import { UNCHOSEN } from '@/core/drawing/look';

/** Strips of cuts, the same objects while nothing of them changes, so that only what does is drawn anew. */
const known = new WeakMap<
  PlannedCut['terms'],
  {
    readonly strip: Strip;
    readonly note: string;
    readonly count: number;
    readonly specs: Specs;
    readonly specId: string | undefined;
  }
>();

/** The cuts of a pattern as strips: of its wires as far as they are chosen. */
export const stripsOf = ({ cuts, uses }: Resolved, specs: Specs): Strip[] =>
  cuts.map(({ use, name, count, terms, marks, size, specId }) => {
    const note = uses.length > 1 ? use.name : '';
    const before = known.get(terms);
    if (before?.note === note && before.count === count && before.specs === specs && before.specId === specId)
      return before.strip;
    const strip: Strip = {
      key: `${use.id} ${name}`,
      title: name,
      note,
      cut: { count, terms, marks },
      spec: specs[specId ?? ''] ?? plainSpec(size, UNCHOSEN.metal),
      unchosen: specId === undefined,
    };
    known.set(terms, { strip, note, count, specs, specId });
    return strip;
  });
