import { groupBy } from '../groupBy';
import { proposeCounts, type StockLength } from '../cuttingStock/propose';
import { um, type Micrometres } from '../units/length';
import { cutCounter, linesToMake, partsOfBatch, type BatchLine, type CutCount } from './batch';
import { partKey } from '../part/partKey';

/** Free stock: wire by the piece, parts by count under the key of their name; a part that nobody counts holds nothing up. */
export interface FreeStock {
  readonly wires: readonly StockLength[];
  readonly parts: ReadonlyMap<string, number>;
  /** Keys of the wires that are cut already and lie in the tray. */
  readonly cut?: ReadonlySet<string>;
  /** How many pieces of each line are made already, and have their parts. */
  readonly made?: ReadonlyMap<number, number>;
}

/** How a wire stands against what a batch asks of it. */
export interface WireNeed {
  readonly specId: string;
  readonly cuts: number;
  readonly needed: Micrometres;
  readonly longestCut: Micrometres;
  /** What is free of it, all lengths together. */
  readonly free: Micrometres;
  readonly longestFree: Micrometres;
  /** Sum of the cuts that find no length to come from; more than what is missing when free lengths are too short to cut from. */
  readonly short: Micrometres;
  readonly shortCuts: number;
  /** How many pieces of the batch it is enough for, when everything else is there. */
  readonly pieces: number;
}

/** How a part stands against what a batch asks of it. */
export interface PartNeed {
  readonly name: string;
  readonly needed: number;
  readonly free: number;
  readonly short: number;
  readonly pieces: number;
}

/** Whether a batch can be made. */
export interface Enough {
  readonly wires: readonly WireNeed[];
  readonly parts: readonly PartNeed[];
  /** Pieces that can be made now, by line: all of the first line before any of the second. */
  readonly complete: ReadonlyMap<number, number>;
  /** What holds the batch up most: what is enough for the fewest pieces; undefined when there is enough of everything. */
  readonly bottleneck: WireNeed | PartNeed | undefined;
}

/** Whether wires can all be cut, by eye. */
const canCut = (cuts: readonly CutCount[], wires: readonly StockLength[]): boolean =>
  proposeCounts(cuts, wires).shortages.length === 0;

const canPick = (lines: readonly BatchLine[], { parts, made }: Pick<FreeStock, 'parts' | 'made'>): boolean =>
  partsOfBatch(linesToMake(lines, made)).every(
    ({ name, count }) => count <= (parts.get(partKey(name)) ?? Infinity),
  );

/**
 * The most pieces, line after line, for which something holds; it holds for fewer when it holds for more.
 * @returns how many of each line
 */
export function mostPieces(
  lines: readonly BatchLine[],
  holds: (lines: readonly BatchLine[]) => boolean,
): Map<number, number> {
  const taken: BatchLine[] = [];
  for (const line of lines) {
    let [can, cannot] = [0, line.count + 1];
    while (cannot - can > 1) {
      const middle = Math.floor((can + cannot) / 2);
      if (holds([...taken, { ...line, count: middle }])) can = middle;
      else cannot = middle;
    }
    taken.push({ ...line, count: can });
  }
  return new Map(taken.map(({ line, count }) => [line, count]));
}

const sum = (counts: ReadonlyMap<number, number>): number =>
  [...counts.values()].reduce((total, count) => total + count, 0);

/** The lines with nothing but what they need of one wire, or of one part. */
const onlyWire = (lines: readonly BatchLine[], specId: string): BatchLine[] =>
  lines.map((line) => ({
    ...line,
    body: { ...line.body, parts: [], cuts: line.body.cuts.filter((cut) => cut.specId === specId) },
  }));
const onlyPart = (lines: readonly BatchLine[], key: string): BatchLine[] =>
  lines.map((line) => ({
    ...line,
    body: { ...line.body, cuts: [], parts: line.body.parts.filter(({ name }) => partKey(name) === key) },
  }));

/** What lines need of each wire and part, and what of it is not there. */
export interface Needs {
  readonly wires: readonly Omit<WireNeed, 'pieces'>[];
  readonly parts: readonly Omit<PartNeed, 'pieces'>[];
}

const bySpec = <T extends { readonly specId: string }>(all: readonly T[]) =>
  groupBy(all, ({ specId }) => specId);

/** How lines stand against what is free: of each wire and part needed, free and short. */
export function needsOf(lines: readonly BatchLine[], free: FreeStock): Needs {
  const cuts = cutCounter(free.cut)(lines);
  const { shortages } = proposeCounts(cuts, free.wires);
  const wiresOf = bySpec(free.wires);
  const wires = [...bySpec(cuts)].map(([specId, own]) => {
    const there = (wiresOf.get(specId) ?? []).map(({ length }) => length as number);
    const longest = (lengths: readonly number[]) => um(lengths.reduce((a, b) => Math.max(a, b), 0));
    const shortage = shortages.find((each) => each.specId === specId);
    return {
      specId,
      cuts: own.reduce((all, cut) => all + cut.count, 0),
      needed: um(own.reduce((all, cut) => all + cut.count * cut.length, 0)),
      longestCut: longest(own.map(({ length }) => length)),
      free: um(there.reduce((all, length) => all + length, 0)),
      longestFree: longest(there),
      short: shortage?.missing ?? um(0),
      shortCuts: shortage?.cuts ?? 0,
    };
  });
  const parts = partsOfBatch(linesToMake(lines, free.made)).map(({ name, count }) => {
    const has = free.parts.get(partKey(name)) ?? Infinity;
    return { name, needed: count, free: has, short: Math.max(0, count - has) };
  });
  return { wires, parts };
}

/** How a batch stands against what is free: what it needs, and how many of its pieces can be made now. */
export function enoughFor(lines: readonly BatchLine[], free: FreeStock): Enough {
  const count = cutCounter(free.cut);
  const needs = needsOf(lines, free);
  const wiresOf = bySpec(free.wires);
  const wires = needs.wires.map((need): WireNeed => {
    const wiresOfIt = wiresOf.get(need.specId) ?? [];
    return {
      ...need,
      pieces: sum(mostPieces(onlyWire(lines, need.specId), (part) => canCut(count(part), wiresOfIt))),
    };
  });
  const parts = needs.parts.map((need): PartNeed => ({
    ...need,
    pieces: sum(mostPieces(onlyPart(lines, partKey(need.name)), (part) => canPick(part, free))),
  }));
  const missing = [...wires, ...parts].filter(({ short }) => short > 0);
  return {
    wires,
    parts,
    complete: mostPieces(lines, (part) => canPick(part, free) && canCut(count(part), free.wires)),
    bottleneck: missing.reduce<WireNeed | PartNeed | undefined>(
      (least, each) => (least === undefined || each.pieces < least.pieces ? each : least),
      undefined,
    ),
  };
}
