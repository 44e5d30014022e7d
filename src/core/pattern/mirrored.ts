import { parsePoints, printPoints } from '../outline/points';
import { vec } from '../geometry/vector';
import { ok, refuse, type Result } from '../result';
import { isActed } from '../technique/act';
import type { ChosenPorts, Offer } from '../technique/joinActs';
import { LINE_POINTS, type Parameter } from '../technique/parameter';
import type { Texts } from '../technique/readTexts';
import type { AnyTechnique, Techniques } from '../technique/technique';
import { freeId } from './addTechnique';
import type { Composition, TechniqueUse } from './composition';
import type { Resolved } from './resolve';

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

/** Whether an offer is the other end of the wire that another is an end of, as the same technique leaves it. */
const isOpposite = (a: Offer, b: Offer): boolean =>
  a.takes === 'end' && b.takes === 'end' && a.use === b.use && a.wire === b.wire && a.side !== b.side;

/** What lies on the other side: what the mirror of the use that leaves it leaves, else the other end of its wire. */
function opposite(
  ref: string,
  offered: readonly Offer[],
  left: readonly Offer[],
  uses: readonly TechniqueUse[],
): Offer | undefined {
  const [use = '', rest = ''] = [ref.slice(0, ref.indexOf('.')), ref.slice(ref.indexOf('.') + 1)];
  const twin =
    uses.find(({ mirrors }) => mirrors === use) ??
    uses.find(({ id }) => id === uses.find((each) => each.id === use)?.mirrors);
  if (twin) return left.find((offer) => offer.ref === `${twin.id}.${rest}`);
  const offer = offered.find((each) => each.ref === ref);
  return offer && left.find((each) => isOpposite(each, offer));
}

/** What a use takes up, on the other side; undefined when something of it is not free there. */
function takesOpposite(
  { use: { takes }, offered }: Pick<Resolved['uses'][number], 'use' | 'offered'>,
  left: readonly Offer[],
  uses: readonly TechniqueUse[],
): ChosenPorts | undefined {
  const ports = Object.entries(takes).map(
    ([port, refs]) => [port, refs.map((ref) => opposite(ref, offered, left, uses)?.ref)] as const,
  );
  if (ports.length === 0 || ports.some(([, refs]) => refs.includes(undefined))) return undefined;
  return Object.fromEntries(ports.map(([port, refs]) => [port, refs.flatMap((ref) => ref ?? [])]));
}

/** Whether what a use does can be done on the other side too: it takes up ends whose opposites are free. */
export const canMirror = (id: string, { uses, left }: Pick<Resolved, 'uses' | 'left'>): boolean => {
  const resolved = uses.find(({ use }) => use.id === id);
  if (!resolved || !isActed(resolved.technique) || resolved.use.mirrors !== undefined) return false;
  const all = uses.map(({ use }) => use);
  return takesOpposite(resolved, left, all) !== undefined;
};

/**
 * Does what a use does on the other side as well, mirrored; the two stay alike until they are cut loose from one another.
 * @param resolved what the composition comes to
 * @returns a sentence when the other side is not free for it
 */
export function withMirrored(
  composition: Composition,
  id: string,
  { uses, left }: Pick<Resolved, 'uses' | 'left'>,
): Result<Composition> {
  const resolved = uses.find(({ use }) => use.id === id);
  const takes = resolved && takesOpposite(resolved, left, composition.uses);
  if (!resolved || !takes)
    return refuse(
      `${resolved?.use.name ?? id}: what it takes up has nothing free opposite; it takes ends whose other ends nothing takes up.`,
    );
  const { name, technique, texts, wires, own } = resolved.use;
  const twin = { id: freeId(composition), technique, name, texts, wires, own, takes, mirrors: id };
  return ok({ ...composition, uses: [...composition.uses, twin] });
}

const loose = ({ mirrors: _, ...use }: TechniqueUse): TechniqueUse => use;

/** Cuts what follows a use loose from it, or a use from what it follows: it keeps its measures as they are now. */
export function cutLoose(composition: Composition, id: string, techniques: Techniques): Composition {
  const now = followed(composition.uses, techniques);
  return {
    ...composition,
    uses: composition.uses.map((use, index) => {
      if (use.mirrors === undefined || (use.id !== id && use.mirrors !== id)) return use;
      return loose(now[index] as TechniqueUse);
    }),
  };
}
