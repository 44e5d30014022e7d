import type { Solver } from '../programme/programme';
import { masterOf, UM, type Master, type Open } from './master';
import { keyOf, type Pattern, type Sorted } from './patterns';
import { pricingOf, type Duals } from './pricing';

/** Patterns that are known, each once. */
export class Pool {
  private readonly keys = new Set<string>();
  readonly all: Pattern[] = [];

  /** @returns those that are new */
  add(patterns: readonly Pattern[]): Pattern[] {
    const fresh = patterns.filter((pattern) => {
      const key = keyOf(pattern);
      if (this.keys.has(key)) return false;
      this.keys.add(key);
      return true;
    });
    for (const pattern of fresh) this.all.push(pattern);
    return fresh;
  }
}

/** The linear relaxation of what is open: parts of patterns, and a bound. */
export interface Relaxed {
  readonly master: Master;
  /** Patterns by how often they are cut; those that are not are left out. */
  readonly used: readonly { readonly pattern: Pattern; readonly times: number }[];
  /** No plan for what is open has an objective under this, µm. */
  readonly bound: number;
  readonly duals: Duals;
}

/** New patterns in one round, about. */
const ROUND = 300;
/** Less of a pattern than this is nothing. */
const NOTHING = 1e-6;

/** Whether a pattern can still be cut. */
export const fits = ({ from, counts }: Pattern, { counts: left, pieces }: Open): boolean =>
  (pieces[from] ?? 0) > 0 && counts.every(([type, count]) => count <= (left[type] ?? 0));

/**
 * Solves the relaxation by column generation: patterns are added to the pool until none makes it better, or there is no more time.
 * Sources: Gilmore and Gomory (1961) for the columns; Farley (1990) for the bound before they are all found.
 */
export function relax(solver: Solver, sorted: Sorted, open: Open, pool: Pool, goOn: () => boolean): Relaxed {
  const master = masterOf(sorted, open);
  const classes = sorted.classes.map((each, from) => ({ ...each, pieces: open.pieces[from] ?? 0 }));
  const pricing = classes.some(({ pieces }) => pieces > 0) ? pricingOf(sorted, open) : undefined;
  const patterns = pool.all.filter((pattern) => fits(pattern, open));
  const linear = solver.linear(master.rows, [...master.fixed, ...patterns.map(master.variableOf)]);
  let bound = 0;
  try {
    for (;;) {
      const { objective, duals: of, values } = linear.solve();
      const duals: Duals = {
        ofType: (type) => (of[type] ?? 0) * UM,
        ofClass: (from) => (of[master.classRow(from)] ?? 0) * UM,
      };
      const under = (least: readonly number[]) =>
        objective * UM +
        least.reduce((sum, reduced, from) => sum + (classes[from]?.pieces ?? 0) * Math.min(0, reduced), 0);
      const priced = pricing?.price(duals, Math.max(2, Math.ceil(ROUND / classes.length)));
      if (!priced || !pricing) bound = objective * UM;
      else if (pricing.exact) bound = Math.max(bound, under(priced.least));
      const fresh = pool.add(priced?.patterns ?? []);
      if (fresh.length > 0 && goOn()) {
        for (const pattern of fresh) patterns.push(pattern);
        linear.add(fresh.map(master.variableOf));
        continue;
      }
      if (pricing && !pricing.exact) bound = Math.max(bound, under(pricing.leastOf(duals)));
      const used = patterns.flatMap((pattern, index) => {
        const times = values[master.fixed.length + index] ?? 0;
        return times > NOTHING ? [{ pattern, times }] : [];
      });
      return { master, used, bound, duals };
    }
  } finally {
    linear.dispose();
  }
}
