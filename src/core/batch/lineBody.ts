import { allParts } from '../pattern/allParts';
import { cutsOf, stepsOf } from '../pattern/bodyOf';
import { withMissingWires } from '../pattern/addTechnique';
import { swapped, swapThroughout } from '../pattern/swapWires';
import type { Specs } from '../pattern/composition';
import { resolve } from '../pattern/resolve';
import { whyNot } from '../pattern/whyNot';
import type { PatternBody } from '../pattern/pattern';
import { ok, refuse, type Result } from '../result';
import type { Texts } from '../parameter/readTexts';
import type { Techniques } from '../technique/technique';
import type { LengthSystem } from '../units/length';
import { metalOf, type MetalId } from '../wire/metal';
import { describeSpec } from '../wire/spec';

/** What a line of a batch wants of its pattern. */
export interface Wanted {
  /** Measures in place of the pattern’s own: another stone, ring size or bead. */
  readonly measures: Texts;
  /** The metal that all its wires are of; the pattern’s own when it is left out. */
  readonly metal?: MetalId;
}

const missingIn = (specs: Specs, metal: MetalId, ids: readonly string[]): Result<never> =>
  refuse(
    `The studio knows no ${metalOf(metal).name} in place of ${ids.map((id) => (specs[id] ? describeSpec(specs[id]) : 'a wire')).join(', ')}; receive it first.`,
  );

/**
 * What a pattern says for another stone, size or metal.
 * @param specs of the whole studio, since a swap looks for the wire that comes nearest
 * @param techniques that it may be made by
 * @returns a sentence when it cannot be made so
 */
export function bodyFor(
  body: PatternBody,
  { measures, metal }: Wanted,
  specs: Specs,
  techniques: Techniques,
  system: LengthSystem,
): Result<PatternBody> {
  if (!body.composition) {
    if (metal === undefined) return ok(body);
    const cuts = body.cuts.map((cut) => {
      const spec = specs[cut.specId];
      return { ...cut, specId: spec ? swapped(spec, { metal }, specs) : undefined, was: cut.specId };
    });
    const missing = cuts.filter(({ specId }) => specId === undefined).map(({ was }) => was);
    if (missing.length > 0) return missingIn(specs, metal, [...new Set(missing)]);
    return ok({ ...body, cuts: cuts.map(({ was, specId = was, ...cut }) => ({ ...cut, specId })) });
  }
  if (metal === undefined && Object.keys(measures).length === 0) return ok(body);
  // Another stone or metal is worked out anew, by techniques that may have had fewer wires when the pattern was written.
  const whole = withMissingWires(body.composition, techniques, specs);
  const swap =
    metal === undefined ? { composition: whole, missing: [] } : swapThroughout(whole, { metal }, specs);
  if (metal !== undefined && swap.missing.length > 0) return missingIn(specs, metal, swap.missing);
  const composition = { ...swap.composition, measures: { ...swap.composition.measures, ...measures } };
  const resolved = resolve(composition, specs, techniques);
  const wrong = whyNot(resolved);
  if (wrong !== '') return refuse(wrong);
  const own = body.parts.filter(({ ofWork }) => !ofWork);
  return ok({
    ...body,
    composition,
    cuts: cutsOf(resolved, system),
    parts: allParts(resolved.parts, own),
    steps: stepsOf(resolved),
  });
}

/** What parts are called that are stones: by how they are worked, or by outlines that little else has. */
const STONE_WORDS = /\b(cab|cabochon|stone|briolette|point|pebble|tumbled|teardrop|marquise|crescent)s?\b/i;
/** What else may be called so. */
const OTHER_WORDS = /\b(bead|ring|pin|wire|clasp|chain|cap|spacer)s?\b/i;

/** Whether a part of a pattern is called like a stone. */
export const isStonePart = (name: string): boolean => STONE_WORDS.test(name) && !OTHER_WORDS.test(name);

/**
 * What a pattern says once one stone of the drawer is chosen for it: the part that stands for a stone is that one, and is neither picked
 * nor paid for besides. It is the part that is called by the stone’s material, else one that is called like a stone.
 */
export function withStoneChosen(body: PatternBody, material: string): PatternBody {
  const word = material.trim().toLowerCase();
  const named = word === '' ? -1 : body.parts.findIndex(({ name }) => name.toLowerCase().includes(word));
  const at = named >= 0 ? named : body.parts.findIndex(({ name }) => isStonePart(name));
  if (at < 0) return body;
  return {
    ...body,
    parts: body.parts.flatMap((part, index) =>
      index !== at ? [part] : part.count > 1 ? [{ ...part, count: part.count - 1 }] : [],
    ),
  };
}
