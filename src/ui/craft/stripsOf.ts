import type { Resolved, Specs } from '@/core/pattern/composition';
import { plainSpec } from '@/core/technique/totals';
import type { Strip } from './CutStrips';
import { UNCHOSEN } from './unchosen';

/** The cuts of a pattern as strips: of its wires as far as they are chosen. */
export const stripsOf = ({ cuts, uses }: Resolved, specs: Specs): Strip[] =>
  cuts.map(({ use, name, count, terms, marks, size, specId }) => ({
    key: `${use.id} ${name}`,
    title: name,
    note: uses.length > 1 ? use.name : '',
    cut: { count, terms, marks },
    spec: specs[specId ?? ''] ?? plainSpec(size, UNCHOSEN),
    unchosen: specId === undefined,
  }));
