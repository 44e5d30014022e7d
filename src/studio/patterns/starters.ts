import type { Id } from '@/core/id';
import type { Composition, Specs } from '@/core/pattern/composition';
import type { PatternKind } from '@/core/pattern/pattern';
import type { Tx } from '@/data/inStudio';
import { Pattern } from '@/data/models/making';
import { invalid, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { look, ownerOnly, post, type StudioSession } from '../kernel/useCase';
import { allWires } from '../catalogue/wireSpecs';
import { composedBody, workOut } from './composePattern';
import { ComposePatternInput } from './composePattern.input';
import { composedOf } from '@/core/house/composedOf';
import { HOUSE_PATTERNS } from '@/core/house/housePatterns';
import { TakeStartersInput } from './starters.input';
import { keepPattern } from './writePattern';

export const STARTERS = HOUSE_PATTERNS.filter(({ isStarter }) => isStarter);

/** One of the house's own patterns that a studio can begin with. */
export interface Starter {
  readonly name: string;
  readonly kind: PatternKind;
  readonly notes: string;
  readonly composition: Composition;
  /** What it names of stones, beads and findings. */
  readonly parts: readonly { readonly name: string; readonly count: number }[];
  /** Whether the studio has a pattern of that name. */
  readonly isTaken: boolean;
}

export interface StarterList {
  readonly starters: readonly Starter[];
  readonly specs: Specs;
}

/** The house's own patterns, cut from the studio's wires where it has them and from the trade's where it has not. */
export function listStarters(session: StudioSession): Promise<StarterList> {
  return look(session, async (tx) => {
    const specs = await allWires(tx);
    const taken = await takenNames(tx);
    const starters = STARTERS.map((pattern): Starter => ({
      name: pattern.name,
      kind: pattern.kind,
      notes: pattern.notes,
      composition: composedOf(pattern, specs),
      parts: (pattern.parts ?? []).map(([name, count]) => ({ name, count })),
      isTaken: taken.has(pattern.name.toLowerCase()),
    }));
    return { starters, specs };
  });
}

/**
 * Takes copies of the house's own patterns; wires that the studio lacks become known to it, with nothing of them in stock. Those that it
 * has a pattern of the same name of are left out.
 * @returns how many were taken
 */
export function takeStarters(
  session: StudioSession,
  postKey: Id<'post'>,
  plain: unknown,
): Promise<Outcome<{ readonly taken: number }>> {
  const prepare = async () => {
    ownerOnly(session);
    const { names } = await readInput(TakeStartersInput, plain);
    const specs = await look(session, allWires);
    return Promise.all(
      names.map(async (name, index) => {
        const pattern = STARTERS.find((each) => each.name === name);
        if (!pattern) throw invalid(`names.${index}`, `“${name}” is none of the house’s own patterns.`);
        const { kind, notes } = pattern;
        const composition = composedOf(pattern, specs);
        const input = await readInput(ComposePatternInput, { name, kind, notes, composition, parts: [] });
        return { name, worked: workOut(input, specs) };
      }),
    );
  };
  return post(session, 'takeStarters', postKey, prepare, async (tx, starters) => {
    const had = await takenNames(tx);
    let taken = 0;
    for (const { name, worked } of starters) {
      if (had.has(name.toLowerCase())) continue;
      await keepPattern(tx, null, await composedBody(tx, worked));
      had.add(name.toLowerCase());
      taken += 1;
    }
    return { taken };
  });
}

async function takenNames(tx: Tx): Promise<Set<string>> {
  const rows = await tx.all(Pattern, ['name']);
  return new Set(rows.map(({ name }) => name.toLowerCase()));
}
