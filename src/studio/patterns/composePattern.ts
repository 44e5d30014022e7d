import { expectOk } from '@/core/result';
import { allParts } from '@/core/pattern/allParts';
import { cutsOf, stepsOf } from '@/core/pattern/bodyOf';
import type { Composition } from '@/core/pattern/composition';
import { resolve, type Resolved } from '@/core/pattern/resolve';
import { techniqueOf, TECHNIQUES } from '@/core/techniques/registry';
import type { PatternBody, PatternKind } from '@/core/pattern/pattern';
import { readComposition } from '@/core/pattern/readComposition';
import { isTradeWire, tradeWireOf } from '@/core/wire/tradeWires';
import type { Tx } from '@/data/inStudio';
import { invalid, refused, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { ownerOnly, post, type StudioSession } from '../kernel/useCase';
import { settingsIn } from '../settings/settings';
import { ensureSpec, specsById } from '../catalogue/wireSpecs';
import { ComposePatternInput } from './composePattern.input';
import { keepPattern, partsFrom, type PatternBase, type Written } from './writePattern';

/**
 * Keeps a pattern that is composed of techniques. Its cuts and steps are worked out here, from the composition and the studio’s own
 * wires, so that what is made at the bench is what was drawn.
 */
export function composePattern(
  session: StudioSession,
  postKey: string,
  base: PatternBase | null,
  plain: unknown,
): Promise<Outcome<Written>> {
  const prepare = () => {
    ownerOnly(session);
    return readInput(ComposePatternInput, plain);
  };
  return post(session, 'composePattern', postKey, prepare, async (tx, input) =>
    keepPattern(tx, base, await composedBody(tx, input)),
  );
}

/** What a composition comes to with the studio’s own wires. @throws Refused when it cannot be made as it stands */
export async function composedBody(
  tx: Tx,
  { name, kind, notes, parts, ...input }: ComposePatternInput,
): Promise<PatternBody> {
  const composition = await withOwnWires(tx, expectOk(readComposition(input.composition, TECHNIQUES)));
  const specs = await specsById(
    tx,
    composition.uses.flatMap(({ wires }) => Object.values(wires).filter(isUuid)),
  );
  const resolved = resolve(composition, Object.fromEntries(specs), techniqueOf);
  refuseUnready(composition, resolved);
  const { currency, lengthSystem } = await settingsIn(tx);
  return {
    name: name.trim(),
    kind: kind as PatternKind,
    notes,
    cuts: cutsOf(resolved, lengthSystem),
    parts: allParts(resolved.parts, partsFrom(parts, currency)),
    steps: stepsOf(resolved),
    composition,
  };
}

/** A composition whose wires of the trade have become the studio’s: known from now on, with nothing of them in stock. */
async function withOwnWires(tx: Tx, composition: Composition): Promise<Composition> {
  const wanted = new Set(composition.uses.flatMap(({ wires }) => Object.values(wires).filter(isTradeWire)));
  const own = new Map<string, string>();
  for (const id of wanted) {
    const wire = tradeWireOf(id);
    if (wire) own.set(id, (await ensureSpec(tx, wire)).id);
  }
  return {
    ...composition,
    uses: composition.uses.map((use) => ({
      ...use,
      wires: Object.fromEntries(Object.entries(use.wires).map(([key, id]) => [key, own.get(id) ?? id])),
    })),
  };
}

const isUuid = (text: string): boolean => /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(text);

/** @throws Refused when the composition cannot be made as it stands */
function refuseUnready({ uses }: Composition, resolved: Resolved): void {
  if (uses.length === 0) throw invalid('composition', 'A pattern holds one technique at least.');
  const [measure] = Object.entries(resolved.measuresWrong);
  if (measure) throw invalid(`measures.${measure[0]}`, measure[1]);
  for (const { use, wrong, refusal } of resolved.uses) {
    const [field] = Object.entries(wrong);
    if (field) throw invalid(`uses.${use.id}.${field[0]}`, `${use.name}: ${field[1]}`);
    if (refusal) throw invalid(`uses.${use.id}`, `${use.name}: ${refusal}`);
  }
  const loose = resolved.cuts.find(({ specId }) => specId === undefined);
  if (loose)
    throw invalid(
      `uses.${loose.use.id}.${loose.wire}`,
      `${loose.use.name}: choose the wire that the ${loose.name} is cut from.`,
    );
  const wrong = resolved.steps.find((step) => step.wrong !== '');
  if (wrong) throw invalid(`steps.${wrong.id}`, wrong.wrong);
  const [fault] = resolved.faults;
  if (fault) throw refused(`${fault.said} ${fault.mend} Or override it by name.`);
}
