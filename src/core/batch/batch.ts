import { partKey } from '../part/partKey';
import { wantedCuts, type PatternBody, type WantedCut } from '../pattern/pattern';
import type { Micrometres } from '../units/length';

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

/** Which wire of which piece of a batch. */
export type CutOfBatch = Pick<BatchCut, 'line' | 'piece' | 'cutIndex' | 'copy'>;

/** Equal for the same wire only. */
export const cutKey = ({ line, piece, cutIndex, copy }: CutOfBatch): string =>
  `${line}.${piece}.${cutIndex}.${copy}`;

/** Every wire that a batch asks for, piece by piece. @param done keys of wires that are cut already, which are left out */
export const cutsOfBatch = (lines: readonly BatchLine[], done: ReadonlySet<string> = new Set()): BatchCut[] =>
  lines.flatMap(({ line, count, body }) => {
    const wanted = wantedCuts(body);
    return Array.from({ length: count }, (_, piece) => wanted.map((cut) => ({ ...cut, line, piece })))
      .flat()
      .filter((cut) => !done.has(cutKey(cut)));
  });

/** So many wires of one spec and length. */
export interface CutCount {
  readonly specId: string;
  readonly length: Micrometres;
  readonly count: number;
}

/** How many wires a batch asks for, without naming each: a batch of thousands of pieces is as quickly counted as one of ten. */
export const countWires = (lines: readonly BatchLine[]): number =>
  lines.reduce((sum, { count, body }) => sum + count * wantedCuts(body).length, 0);

/**
 * Counts the wires that a batch asks for by spec and length.
 * @param done keys of wires that are cut already, which are left out
 * @returns counts of the wires of lines of the same numbers, of any count up to that of the lines given
 */
export function cutCounter(
  done: ReadonlySet<string> = new Set(),
): (lines: readonly BatchLine[]) => CutCount[] {
  const donePieces = new Map<string, number[]>();
  for (const key of done) {
    const [line = '', piece = '', cutIndex = '', copy = ''] = key.split('.');
    const wire = `${line}.${cutIndex}.${copy}`;
    const known = donePieces.get(wire);
    if (known) known.push(Number(piece));
    else donePieces.set(wire, [Number(piece)]);
  }
  return (lines) =>
    lines.flatMap(({ line, count, body }) =>
      wantedCuts(body).flatMap(({ specId, length, cutIndex, copy }): CutCount[] => {
        const cut = donePieces.get(`${line}.${cutIndex}.${copy}`) ?? [];
        const open = count - cut.filter((piece) => piece < count).length;
        return open > 0 ? [{ specId, length, count: open }] : [];
      }),
    );
}

/** The pieces of one line of a batch that can be made now: all their wires are cut, and they are not made yet. First is 0. */
export function piecesReady(
  { line, count, body }: BatchLine,
  cut: ReadonlySet<string>,
  made: ReadonlySet<number>,
): number[] {
  const wanted = wantedCuts(body);
  if (cut.size === 0 && wanted.length > 0) return [];
  return Array.from({ length: count }, (_, piece) => piece).filter(
    (piece) => !made.has(piece) && wanted.every((each) => cut.has(cutKey({ ...each, line, piece }))),
  );
}

/** The lines without the pieces that are made. @param made how many of each line */
export const linesToMake = <Line extends Pick<BatchLine, 'line' | 'count'>>(
  lines: readonly Line[],
  made: ReadonlyMap<number, number> = new Map(),
): Line[] => lines.map((each) => ({ ...each, count: Math.max(0, each.count - (made.get(each.line) ?? 0)) }));

/** Beads, stones or findings of one name. */
export interface BatchPart {
  readonly name: string;
  readonly count: number;
}

/** Everything that is picked from the drawers for a batch, by name. */
export function partsOfBatch(lines: readonly BatchLine[]): BatchPart[] {
  const parts = new Map<string, BatchPart>();
  for (const { count, body } of lines.filter((line) => line.count > 0))
    for (const part of body.parts) {
      const key = partKey(part.name);
      const known = parts.get(key);
      parts.set(key, { name: known?.name ?? part.name, count: (known?.count ?? 0) + count * part.count });
    }
  return [...parts.values()];
}

/** A line of a batch as far as its work goes. */
export interface WorkLine extends Pick<BatchLine, 'line' | 'count'> {
  readonly body: Pick<BatchLine['body'], 'name' | 'steps'>;
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
export function stepsOfBatch(lines: readonly WorkLine[]): BatchStep[] {
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
export const minutesOfBatch = (lines: readonly WorkLine[]): number =>
  stepsOfBatch(lines).reduce((sum, { minutes }) => sum + minutes, 0);
