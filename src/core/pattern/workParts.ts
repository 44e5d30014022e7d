import type { StoneSize } from '../stone/stoneSize';
import type { Values } from '../parameter/readValues';
import { saidBy, type Plan, type AnyTechnique } from '../technique/technique';
import type { StoneMeasures } from '../stone/stone';
import { standsFor } from '../part/wantedPart';

/** A bead or stone that follows from the techniques of a pattern. */
export interface WorkPart {
  readonly name: string;
  readonly count: number;
}

/** A technique of a pattern that could be worked out. */
interface PlannedUse {
  /** `own`: parameters that are not bound to what the pattern shares. */
  readonly use: { readonly own: readonly string[] };
  readonly technique: AnyTechnique;
  readonly plan: Plan;
  readonly values: Values;
}

/** How the stone that a technique holds is called as a part. */
export const stonePart = ({ outline, length, width }: StoneSize): string =>
  `${outline} stone, ${saidBy(length, width)}`;

/**
 * The beads and stones that techniques want, alike ones together. The stone that several of them hold is one stone.
 * @param shared the stone that the composition is for; undefined when it is for none, or what was typed cannot be read
 */
export function workParts(
  planned: readonly PlannedUse[],
  shared: StoneSize | undefined,
  copies: number,
): WorkPart[] {
  const single = planned.flatMap(({ use, technique, plan, values }) => [
    ...Object.entries(technique.parameters).flatMap(([key, { kind }]) =>
      kind === 'stone' && use.own.includes(key)
        ? [{ name: stonePart(values[key] as StoneSize), count: 1 }]
        : [],
    ),
    ...plan.parts,
  ]);
  const stone = shared ? [{ name: stonePart(shared), count: 1 }] : [];
  const counts = new Map<string, number>();
  for (const { name, count } of [...stone, ...single])
    counts.set(name, (counts.get(name) ?? 0) + count * copies);
  return [...counts].map(([name, count]) => ({ name, count }));
}

/** How a stone of the drawers is called as a part; its size follows from the pattern. */
export const namedStone = ({ material, outline }: Pick<StoneMeasures, 'material' | 'outline'>): string =>
  `${material} ${outline} stone`;

/**
 * Parts with a stone of the drawers among them: in place of another one that was chosen before, or of what stands for it, else behind them all.
 * @param chosen names that stones are chosen by
 */
export function withStoneNamed<P extends { readonly name: string }>(
  parts: readonly P[],
  named: P,
  stone: StoneSize,
  chosen: ReadonlySet<string>,
): readonly P[] {
  const at = parts.findIndex(({ name }) => chosen.has(name) || standsFor(name, stonePart(stone)));
  return at < 0
    ? [...parts, named]
    : parts.map((part, index) => (index === at ? { ...part, name: named.name } : part));
}
