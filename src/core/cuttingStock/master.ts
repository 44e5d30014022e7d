import type { Row, Variable } from '../programme/programme';
import type { Micrometres } from '../units/length';
import type { Pattern, Sorted } from './patterns';
import { weightOfUnmet, worthOf, type CuttingPlan } from './problem';

/** Costs are told to the solver in millimetres of wire on a spool, since it likes small numbers. */
export const UM = 1000;

/** What is still to be cut of each type, and how many pieces of each class are still whole. */
export interface Open {
  readonly counts: readonly number[];
  readonly pieces: readonly number[];
}

/**
 * The master programme: which pattern is cut how often. Long stock is cut without patterns, since where so many cuts come off one
 * piece the rest is what counts: each cut type a variable, one row for its length, and a yes or no to whether it ends as scrap.
 */
export interface Master {
  readonly rows: readonly Row[];
  /** Cuts left out, and cuts from long stock. */
  readonly fixed: readonly Variable[];
  readonly variableOf: (pattern: Pattern) => Variable;
  readonly classRow: (from: number) => number;
  /** What is cut from long stock, by the values of the fixed variables. */
  readonly readLong: (values: ArrayLike<number>) => Map<string, Micrometres[]>;
  /** The values of the fixed variables in a plan. */
  readonly valuesOf: (plan: CuttingPlan) => number[];
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

export function masterOf({ problem, types, classes, long }: Sorted, open: Open): Master {
  const { usefulMinimum, worth } = problem;
  const common = types.reduce((sum, { length }) => gcd(sum, length), 0) || 1;
  const countOf = (type: number) => open.counts[type] ?? 0;
  const rows: Row[] = [
    ...types.map((_, type) => ({ least: countOf(type), most: Infinity })),
    ...classes.map((_, from) => ({ least: -Infinity, most: open.pieces[from] ?? 0 })),
  ];
  const fixed: Variable[] = types.map(({ length }, type) => ({
    cost: weightOfUnmet(length, problem) / UM,
    least: 0,
    most: countOf(type),
    whole: true,
    entries: [[type, 1]],
  }));
  for (const { length, isOffCut } of long) {
    const each = isOffCut ? worth.offCut : 1;
    const [roomRow, scrapRow, keptRow] = [rows.length, rows.length + 1, rows.length + 2];
    // Cuts add up to a multiple of what they have in common; into the useful minimum they reach only when the rest is to be scrap.
    const room = Math.floor(length / common) * common;
    const keeping = Math.min(room, length - usefulMinimum);
    rows.push({ least: -Infinity, most: keeping / UM });
    // Scrap costs more than what is kept: t ≥ B·y − (each − scrap)·cut and t ≥ −e·y, where e is what it costs to keep the piece.
    const scrapBase = worthOf(length, isOffCut, problem) - worth.scrap * length;
    const kept = each * length - worthOf(length, isOffCut, problem);
    rows.push({ least: 0, most: Infinity }, { least: 0, most: Infinity });
    types.forEach((type, index) =>
      fixed.push({
        cost: (each * type.length) / UM,
        least: 0,
        most: Math.min(countOf(index), Math.floor(length / type.length)),
        whole: true,
        entries: [
          [index, 1],
          [roomRow, type.length / UM],
          [scrapRow, ((each - worth.scrap) * type.length) / UM],
        ],
      }),
    );
    fixed.push(
      {
        cost: 0,
        least: 0,
        most: 1,
        whole: true,
        entries: [
          [roomRow, (keeping - room) / UM],
          [scrapRow, -scrapBase / UM],
          [keptRow, kept / UM],
        ],
      },
      {
        cost: 1,
        least: -Infinity,
        most: Infinity,
        whole: false,
        entries: [
          [scrapRow, 1],
          [keptRow, 1],
        ],
      },
    );
  }
  const block = types.length + 2;
  return {
    rows,
    fixed,
    classRow: (from) => types.length + from,
    variableOf: ({ from, counts, cost }) => ({
      cost: cost / UM,
      least: 0,
      most: open.pieces[from] ?? 0,
      whole: true,
      entries: [...counts, [types.length + from, 1]],
    }),
    readLong: (values) =>
      new Map(
        long.map(({ id }, index) => {
          const at = types.length + index * block;
          return [
            id,
            types.flatMap(({ length }, type) =>
              Array.from({ length: Math.round(values[at + type] ?? 0) }, () => length),
            ),
          ];
        }),
      ),
    valuesOf: ({ pieces, unmet }) => {
      const timesIn = (cuts: readonly Micrometres[]) => {
        const counts = new Map<Micrometres, number>();
        for (const cut of cuts) counts.set(cut, (counts.get(cut) ?? 0) + 1);
        return types.map(({ length }) => counts.get(length) ?? 0);
      };
      const missing = new Map(unmet.map(({ length, count }) => [length, count]));
      return [
        ...types.map(({ length }) => missing.get(length) ?? 0),
        ...long.flatMap(({ id, length, isOffCut }) => {
          const piece = pieces.find((each) => each.id === id);
          if (!piece) return [...types.map(() => 0), length < usefulMinimum ? 1 : 0, 0];
          const loss = worthOf(length, isOffCut, problem) - worthOf(piece.left, isOffCut, problem);
          const each = isOffCut ? worth.offCut : 1;
          const more = (loss - each * (length - piece.left)) / UM;
          return [...timesIn(piece.cuts), piece.left < usefulMinimum ? 1 : 0, more];
        }),
      ];
    },
  };
}
