import type { Id } from '@/core/id';
import { allParts } from '@/core/pattern/allParts';
import { cutsOf, stepsOf } from '@/core/pattern/bodyOf';
import type { Composition, Specs } from '@/core/pattern/composition';
import { resolve, type Resolved } from '@/core/pattern/resolve';
import { techniqueOf } from '@/core/techniques/registry';
import type { PatternBody } from '@/core/pattern/pattern';
import { TRADE_WIRES } from '@/core/wire/tradeWires';
import type { Tx } from '@/data/inStudio';
import { invalid, refused, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import type { ValuesOf } from '../kernel/typed';
import { look, ownerOnly, post, type StudioSession } from '../kernel/useCase';
import { settingsIn } from '../settings/settings';
import { allWires, ensureSpec } from '../catalogue/wireSpecs';
import { ComposePatternInput } from './composePattern.input';
import { keepPattern, partsFrom, type PatternBase, type Written } from './writePattern';

/** A draft may name a wire of the trade that has become the studio’s since. */
const OF_THE_TRADE: Specs = Object.fromEntries(TRADE_WIRES.map((wire) => [wire.id, wire]));

/** A pattern as it is composed, worked out with wires of which some may not be the studio’s yet. */
export interface WorkedOut {
  readonly input: ValuesOf<ComposePatternInput>;
  readonly resolved: Resolved;
  readonly specs: Specs;
}

/**
 * Keeps a pattern that is composed of techniques. Its cuts and steps are worked out here, from the composition and the studio’s own
 * wires, so that what is made at the bench is what was drawn; nobody waits for that.
 */
export function composePattern(
  session: StudioSession,
  postKey: Id<'post'>,
  base: PatternBase | null,
  plain: unknown,
): Promise<Outcome<Written>> {
  const prepare = async () => {
    ownerOnly(session);
    const input = await readInput(ComposePatternInput, plain);
    return workOut(input, { ...OF_THE_TRADE, ...(await look(session, allWires)) });
  };
  return post(session, 'composePattern', postKey, prepare, async (tx, worked) =>
    keepPattern(tx, base, await composedBody(tx, worked)),
  );
}

/**
 * Works out what a composition comes to.
 * @param specs of its wires: the studio’s by their ids, others by what stands for them in the composition until they are the studio’s
 * @throws Refused when it cannot be made as it stands
 */
export function workOut(input: ValuesOf<ComposePatternInput>, specs: Specs): WorkedOut {
  const { composition } = input;
  const resolved = resolve(composition, specs, techniqueOf);
  refuseUnready(composition, resolved);
  return { input, resolved, specs };
}

/** What is kept of a composition that was worked out. Its other wires become the studio’s: known from now on, with nothing of them in stock. */
export async function composedBody(tx: Tx, worked: WorkedOut): Promise<PatternBody> {
  const { resolved } = worked;
  const { name, kind, notes, parts, composition } = worked.input;
  const { currency, lengthSystem } = await settingsIn(tx);
  const ids = await ownIds(tx, worked);
  const own = (id: string): string => ids.get(id) ?? id;
  return {
    name,
    kind,
    notes,
    cuts: cutsOf(resolved, lengthSystem).map((cut) => ({ ...cut, specId: own(cut.specId) })),
    parts: allParts(resolved.parts, partsFrom(parts, currency)),
    steps: stepsOf(resolved),
    composition: {
      ...composition,
      uses: composition.uses.map((use) => ({
        ...use,
        wires: Object.fromEntries(Object.entries(use.wires).map(([key, id]) => [key, own(id)])),
      })),
    },
  };
}

/** The studio’s ids of wires that something else stood for. */
async function ownIds(tx: Tx, { input, specs }: WorkedOut): Promise<ReadonlyMap<string, string>> {
  const wanted = new Set(input.composition.uses.flatMap(({ wires }) => Object.values(wires)));
  const own = new Map<string, string>();
  for (const id of wanted) {
    const spec = isUuid(id) ? undefined : specs[id];
    if (spec) own.set(id, (await ensureSpec(tx, spec)).id);
  }
  return own;
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
