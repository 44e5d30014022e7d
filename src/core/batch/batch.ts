import { wantedCuts, type PatternBody, type WantedCut } from '../pattern/pattern';

/** Pieces of one kind in a batch: a pattern as it comes to for their stone, size and metal. */
export interface BatchLine {
  readonly line: number;
  readonly count: number;
  readonly body: Pick<PatternBody, 'name' | 'cuts' | 'parts' | 'steps'>;
}

/** One wire of one piece of a batch. */
export interface BatchCut extends WantedCut {
  readonly line: number;
  /** 0 for the first piece of its line. */
  readonly piece: number;
}

/** Every wire that a batch asks for, piece by piece. */
export const cutsOfBatch = (lines: readonly BatchLine[]): BatchCut[] =>
  lines.flatMap(({ line, count, body }) => {
    const wanted = wantedCuts(body);
    return Array.from({ length: count }, (_, piece) => wanted.map((cut) => ({ ...cut, line, piece }))).flat();
  });

/** Beads, stones or findings of one name. */
export interface BatchPart {
  readonly name: string;
  readonly count: number;
}

/** Names that differ only in their capitals and spaces are one. */
export const partKey = (name: string): string => name.trim().toLowerCase().replace(/\s+/g, ' ');

/** Everything that is picked from the drawers for a batch, by name. */
export function partsOfBatch(lines: readonly BatchLine[]): BatchPart[] {
  const parts = new Map<string, BatchPart>();
  for (const { count, body } of lines)
    for (const part of body.parts) {
      const key = partKey(part.name);
      const known = parts.get(key);
      parts.set(key, { name: known?.name ?? part.name, count: (known?.count ?? 0) + count * part.count });
    }
  return [...parts.values()];
}

/** A step of the work on a batch: setting up once, the others for every piece. */
export interface BatchStep {
  readonly line: number;
  readonly name: string;
  /** Of all pieces of the line together. */
  readonly minutes: number;
  /** Whether it is done once for all of them. */
  readonly once: boolean;
}

/**
 * The steps of a batch in the order of the work, line by line. What is done once a sitting and is called the same in several lines,
 * such as antiquing, is done once for all of them, in the time of the longest.
 */
export function stepsOfBatch(lines: readonly BatchLine[]): BatchStep[] {
  const once = new Map<string, number>();
  for (const { count, body } of lines)
    for (const { name, minutes, perSitting } of body.steps)
      if (perSitting && count > 0) once.set(partKey(name), Math.max(minutes, once.get(partKey(name)) ?? 0));
  return lines.flatMap(({ line, count, body }) =>
    body.steps.flatMap(({ name, minutes, perSitting }): BatchStep[] => {
      if (count === 0) return [];
      if (!perSitting) return [{ line, name, minutes: minutes * count, once: false }];
      const longest = once.get(partKey(name));
      once.delete(partKey(name));
      return longest === undefined ? [] : [{ line, name, minutes: longest, once: true }];
    }),
  );
}

/** Minutes at the bench that a batch takes. */
export const minutesOfBatch = (lines: readonly BatchLine[]): number =>
  stepsOfBatch(lines).reduce((sum, { minutes }) => sum + minutes, 0);
