import type { Row, Variable } from '../programme/programme';
import { UM_PER_METRE } from '../units/length';
import { cutsOfBatch, type BatchCut } from './batch';
import { partKey } from '../part/partKey';
import type { Candidate, MakeableProblem } from './makeableProblem';

/** Which pieces to make, as an integer programme to be minimised; the first variables are the pieces of each pattern. */
export interface MakeableProgramme {
  readonly rows: readonly Row[];
  readonly variables: readonly Variable[];
  /** What one of the programme’s cost is of the aim. */
  readonly unit: number;
}

/** A tie is decided by the margin: this much of the aim. */
const TIE = 1e-4;

/** The solver likes numbers of one size. */
const metres = (of: number): number => of / UM_PER_METRE;

/** Rows of a programme, with what the pieces of each pattern add to them. */
class Rows {
  readonly rows: Row[] = [];
  readonly entries: [number, number][][];

  constructor(readonly candidates: readonly Candidate[]) {
    this.entries = candidates.map(() => []);
  }

  add(most: number, of: (candidate: Candidate, index: number) => number): number {
    const at = this.rows.push({ least: -Infinity, most }) - 1;
    this.candidates.forEach((candidate, index) => {
      const value = of(candidate, index);
      if (value !== 0) this.entries[index]?.push([at, value]);
    });
    return at;
  }
}

/**
 * The programme of what could be made: for every wire its length and, for every length that is cut, how often it goes into what is
 * free; the parts; the hours, with what is done once a sitting.
 * @param limits less of a wire than there is, by its spec, in micrometres
 */
export function makeableProgramme(
  problem: MakeableProblem,
  limits: ReadonlyMap<string, number>,
): MakeableProgramme {
  const { candidates, parts, mostOfEach, aim } = problem;
  const rows = new Rows(candidates);
  const cutsOf = candidates.map(({ body }) => cutsOfBatch([{ line: 1, count: 1, body }]));
  wireRows(problem, limits, rows, cutsOf);
  for (const [key, free] of parts)
    rows.add(free, ({ body }) =>
      body.parts.filter(({ name }) => partKey(name) === key).reduce((sum, { count }) => sum + count, 0),
    );
  const more = [
    ...sittings(problem, rows),
    ...(aim === 'off-cuts' ? offCutsUsed(problem, rows, cutsOf) : []),
  ];
  const unit = aim === 'margin' ? Math.max(1, ...candidates.map(({ margin }) => Math.abs(margin))) : 1;
  const most = Math.max(1, ...candidates.map(({ margin }) => Math.abs(margin)));
  const pieces = candidates.map(({ margin }, index): Variable => {
    const cost = aim === 'margin' ? -margin / unit : aim === 'pieces' ? -1 - (TIE * margin) / most : 0;
    return { cost, least: 0, most: mostOfEach, whole: true, entries: rows.entries[index] ?? [] };
  });
  return { rows: rows.rows, variables: [...pieces, ...more], unit };
}

type CutsOf = readonly (readonly BatchCut[])[];

const sum = (of: readonly number[]): number => of.reduce((all, each) => all + each, 0);

const specsOf = (cutsOf: CutsOf): Set<string> => new Set(cutsOf.flat().map(({ specId }) => specId));

const needed =
  (cutsOf: CutsOf, specId: string, of: (cut: BatchCut) => number) =>
  (_: Candidate, index: number): number =>
    sum((cutsOf[index] ?? []).filter((cut) => cut.specId === specId).map(of));

function wireRows(
  { wires }: MakeableProblem,
  limits: ReadonlyMap<string, number>,
  rows: Rows,
  cutsOf: CutsOf,
): void {
  for (const specId of specsOf(cutsOf)) {
    const stock = wires.filter((wire) => wire.specId === specId).map(({ length }) => length as number);
    rows.add(
      metres(Math.min(sum(stock), limits.get(specId) ?? Infinity)),
      needed(cutsOf, specId, ({ length }) => metres(length)),
    );
    const lengths = new Set(cutsOf.flat().flatMap((cut) => (cut.specId === specId ? [cut.length] : [])));
    // A cut of so many times a length, or longer, takes the room of that many of it: a dual-feasible function (Fekete and
    // Schepers, 2001).
    for (const length of lengths)
      rows.add(
        sum(stock.map((each) => Math.floor(each / length))),
        needed(cutsOf, specId, (cut) => Math.floor(cut.length / length)),
      );
  }
}

/** What is done once a sitting and called the same is done once for all that have it, in the time of the longest. */
function sittings({ candidates, minutes, mostOfEach }: MakeableProblem, rows: Rows): Variable[] {
  const time = rows.add(minutes, ({ body }) =>
    sum(body.steps.filter(({ perSitting }) => !perSitting).map((step) => step.minutes)),
  );
  const once = new Map<string, number>();
  for (const { name, minutes: takes, perSitting } of candidates.flatMap(({ body }) => body.steps))
    if (perSitting) once.set(partKey(name), Math.max(takes, once.get(partKey(name)) ?? 0));
  return [...once].map(([key, takes]) => {
    const entries: [number, number][] = [[time, takes]];
    candidates.forEach(({ body }, index) => {
      if (!body.steps.some(({ name, perSitting }) => perSitting && partKey(name) === key)) return;
      const at = rows.add(0, (_, each) => (each === index ? 1 : 0));
      entries.push([at, -mostOfEach]);
    });
    return { cost: 0, least: 0, most: 1, whole: true, entries };
  });
}

/** How much of each off-cut is used, the longer it has lain there the better: no more than is needed of its wire. */
function offCutsUsed({ wires }: MakeableProblem, rows: Rows, cutsOf: CutsOf): Variable[] {
  return [...specsOf(cutsOf)].flatMap((specId) => {
    const used = rows.add(
      0,
      needed(cutsOf, specId, ({ length }) => -metres(length)),
    );
    const own = cutsOf.flat().filter((cut) => cut.specId === specId);
    const shortest = own.reduce((least, { length }) => Math.min(least, length), Infinity);
    return wires
      .filter((wire) => wire.specId === specId && wire.isOffCut && wire.length >= shortest)
      .map(({ length, days }): Variable => ({
        cost: -days,
        least: 0,
        most: metres(length),
        whole: false,
        entries: [[used, 1]],
      }));
  });
}
