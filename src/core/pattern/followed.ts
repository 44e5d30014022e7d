import { parsePoints, printPoints } from '../outline/points';
import { vec } from '../geometry/vector';
import { LINE_POINTS, type Parameter } from '../parameter/parameter';
import type { Texts } from '../parameter/readTexts';
import type { AnyTechnique, Techniques } from '../technique/technique';
import type { TechniqueUse } from './composition';

/** The choice that means the same on the other side: “to the left” for “to the right”. */
function choiceMirrored(choices: readonly string[], text: string): string {
  const other = text.replace(/\b(left|right)\b/, (side) => (side === 'left' ? 'right' : 'left'));
  return choices.includes(other) ? other : text;
}

/** A text of a parameter as it is on the other side. */
function textMirrored(parameter: Parameter | undefined, text: string): string {
  if (parameter?.kind === 'choice') return choiceMirrored(parameter.choices, text);
  if (parameter?.kind !== 'line') return text;
  const read = parsePoints(text, LINE_POINTS);
  return read.ok ? printPoints(read.value.map(({ x, y }) => vec(x, -y))) : text;
}

const textsMirrored = (texts: Texts, { parameters }: AnyTechnique): Texts =>
  Object.fromEntries(
    Object.entries(texts).map(([field, text]) => [field, textMirrored(parameters[field], text)]),
  );

/** Mirrored uses as they were last, by what they follow, the same objects while nothing of it changes. */
const known = new WeakMap<TechniqueUse, { readonly original: TechniqueUse; readonly use: TechniqueUse }>();

function follow(use: TechniqueUse, original: TechniqueUse, techniques: Techniques): TechniqueUse {
  const before = known.get(use);
  if (before?.original === original) return before.use;
  const technique = techniques(use.technique);
  if (!technique) return use;
  const { texts, wires, own } = original;
  const followed = { ...use, texts: textsMirrored(texts, technique), wires, own };
  known.set(use, { original, use: followed });
  return followed;
}

/** Uses, those that are alike on the other side with the measures and wires of what they follow. */
export function followed(uses: readonly TechniqueUse[], techniques: Techniques): readonly TechniqueUse[] {
  if (uses.every(({ mirrors }) => mirrors === undefined)) return uses;
  const byId = new Map(uses.map((use) => [use.id, use]));
  return uses.map((use) => {
    const original = byId.get(use.mirrors ?? '');
    return original && original.technique === use.technique && original.mirrors === undefined
      ? follow(use, original, techniques)
      : use;
  });
}
