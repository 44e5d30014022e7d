import type { Id } from '@/core/id';
import { type CutMade, type NotEnough, type Source } from '@/core/making/making';
import { usefulMinimumFor } from '@/core/making/settle';
import { type WantedCut } from '@/core/pattern/pattern';
import { tag } from '@/core/tag';
import { formatLength, sumLengths, um, type Micrometres } from '@/core/units/length';
import { describeSpec } from '@/core/wire/spec';
import type { Tx } from '@/data/inStudio';
import { invalid, Refused, refused } from '../kernel/outcome';
import { reservedOf } from '../reservations/reservations';
import { lockStock, type HeldStock } from '../ledger/posting';
import { minimumsOf, type Settings } from '../settings/settings';
import { specsById, type KnownSpec } from '../catalogue/wireSpecs';
import type { MakingTold } from './makePiece.input';

/** A wire that a making takes from, held for it. */
export interface StockRow extends HeldStock, Source {}

/** Locks the wires that are cut, with what each spec's useful minimum is. */
export async function lockWires(
  tx: Tx,
  ids: readonly string[],
  settings: Settings,
): Promise<{ stock: Map<string, StockRow>; specs: Map<string, KnownSpec> }> {
  const held = [...(await lockStock(tx, ids)).values()].filter(({ ware }) => ware === 'wire');
  const specs = await specsById(
    tx,
    held.map(({ articleId }) => articleId),
  );
  const minimums = minimumsOf(settings);
  const rows = held.map((each): StockRow => {
    const { id, metal } = specOf(specs, each.articleId);
    return {
      ...each,
      specId: id,
      length: um(each.quantity),
      usefulMinimum: usefulMinimumFor({ id, metal }, minimums),
    };
  });
  return { stock: new Map(rows.map((row) => [row.id, row])), specs };
}

/** The spec of a wire that is held. @throws Error when it is gone, which the database rules out */
export function specOf(specs: ReadonlyMap<string, KnownSpec>, id: string): KnownSpec {
  const spec = specs.get(id);
  if (!spec) throw new Error(`spec ${id} vanished`);
  return spec;
}

/** Every wire of the pattern is cut once, from its own spec, and no more comes back than was cut. */
export function checkAgainstPattern(
  done: MakingTold['cuts'],
  wanted: readonly WantedCut[],
  stock: ReadonlyMap<string, StockRow>,
  { lengthSystem }: Settings,
): void {
  const say = (length: Micrometres) => formatLength(length, lengthSystem);
  const keyOf = ({ cutIndex, copy }: { cutIndex: number; copy: number }) => `${cutIndex}.${copy}`;
  const open = new Map(wanted.map((each) => [keyOf(each), each]));
  done.forEach((each, index) => {
    const asked = open.get(keyOf(each));
    if (!asked)
      throw invalid(`cuts.${index}.cut`, 'This wire is not one of the pattern’s, or is given twice.');
    open.delete(keyOf(each));
    const source = stock.get(each.from);
    if (!source) throw invalid(`cuts.${index}.from`, 'This wire is no longer on the rack; choose another.');
    if (source.specId !== asked.specId) {
      throw invalid(
        `cuts.${index}.from`,
        `${tag('wire', source.number)} is not the wire the pattern asks for ${asked.name}.`,
      );
    }
    const back = sumLengths(each.back);
    if (back > each.cut)
      throw invalid(`cuts.${index}.back`, `More came back (${say(back)}) than was cut (${say(each.cut)}).`);
  });
  const [missing] = open.values();
  if (missing)
    throw new Refused({
      kind: 'invalid',
      message: `Nothing is said about ${missing.name}; every wire of the pattern is cut.`,
    });
}

/** What is said of wires that there is not enough of, beside each cut and spoiled length from them. */
export function tellShortage(
  short: readonly NotEnough[],
  input: MakingTold,
  stock: ReadonlyMap<string, StockRow>,
  specs: ReadonlyMap<string, KnownSpec>,
  { lengthSystem }: Settings,
): Refused {
  const say = (length: Micrometres) => formatLength(length, lengthSystem);
  const sentences = new Map(
    short.map(({ id, specId, has, wanted }) => {
      const spec = specs.get(specId);
      const number = stock.get(id)?.number ?? 0;
      const holds = has === 0 ? 'is used up' : `has ${say(has)} left`;
      const missing = `${say(um(wanted - has))} short of ${spec ? describeSpec(spec) : 'it'}`;
      return [id, `${tag('wire', number)} ${holds}; ${say(wanted)} is wanted from it: ${missing}.`];
    }),
  );
  const beside = (list: string, entries: readonly { from: string }[]) =>
    entries.flatMap(({ from }, index): [string, string][] => {
      const sentence = sentences.get(from);
      return sentence === undefined ? [] : [[`${list}.${index}.from`, sentence]];
    });
  const fields = Object.fromEntries([...beside('cuts', input.cuts), ...beside('spoiled', input.spoiled)]);
  return refused(`${[...sentences.values()].join(' ')} Nothing was posted.`, fields);
}

/** What is set aside for a batch is not cut for something else, though for the batch itself. @throws Refused beside the first cut that would */
export async function refuseSetAside(
  tx: Tx,
  cuts: readonly CutMade[],
  stock: ReadonlyMap<string, StockRow>,
  { lengthSystem }: Settings,
  batchId: Id<'batch'> | null,
): Promise<void> {
  const reserved = await reservedOf(tx, [...stock.keys()], batchId);
  const left = new Map([...stock].map(([id, { length }]) => [id, length - (reserved.get(id) ?? 0)]));
  cuts.forEach(({ from, cut }, index) => {
    const rest = (left.get(from) ?? 0) - cut;
    left.set(from, rest);
    if (rest >= 0 || !reserved.has(from)) return;
    const kept = formatLength(um(reserved.get(from) ?? 0), lengthSystem);
    throw invalid(
      `cuts.${index}.from`,
      `${kept} of ${tag('wire', stock.get(from)?.number ?? 0)} are set aside for a batch; choose another, or cancel the batch.`,
    );
  });
}
