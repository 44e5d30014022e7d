import { randomUUID } from 'node:crypto';
import { costAt } from '@/core/costing/unitPrice';
import {
  notEnoughFor,
  settleMaking,
  type CutMade,
  type NotEnough,
  type SettledMaking,
  type Source,
  type SpoiledLength,
} from '@/core/cutting/making';
import { usefulMinimumFor } from '@/core/cutting/settle';
import { wantedCuts, type PatternBody, type WantedCut } from '@/core/pattern/pattern';
import { ringSizeOf } from '@/core/pattern/ringSizeOf';
import { expectOk } from '@/core/result';
import { parseCount } from '@/core/stock/amount';
import type { FindingKind } from '@/core/stock/finding';
import { tag } from '@/core/tag';
import {
  formatLength,
  parseLength,
  parseLengths,
  sumLengths,
  um,
  type Micrometres,
} from '@/core/units/length';
import { ug } from '@/core/units/mass';
import { cost, sumCosts, type CostUnits } from '@/core/units/money';
import { massOfLength } from '@/core/wire/mass';
import { describeSpec } from '@/core/wire/spec';
import type { Tx } from '@/data/inStudio';
import { Piece } from '@/data/models/making';
import { invalid, Refused, refused, type Outcome } from '../kernel/outcome';
import {
  bearWaste,
  closeTray,
  openTray,
  useStone,
  type PieceOfBatch,
  type WasteShare,
} from '../batches/makeFromTray';
import { setAsideOf } from '../batches/setAsides';
import { ensureFinding } from '../drawers/receive';
import { takeNumbers } from '../kernel/numbers';
import { readInput } from '../kernel/readInput';
import { numberOf } from '../kernel/rules';
import { post, type StudioSession } from '../kernel/useCase';
import { enterLabour } from '../ledger/labour';
import { lockStock, Posting, type HeldStock } from '../ledger/posting';
import { replacementPrices } from '../prices/replacement';
import { minimumsOf, settingsIn, type Settings } from '../settings/settings';
import { specsById, type KnownSpec } from '../wire/specs';
import { ensurePlace } from '../stock/places';
import { MakePieceInput, type IntoDrawerInput } from './makePiece.input';
import { takeParts } from './takeParts';
import { useSupplies } from './useSupplies';

/** The finished piece's number; of what went into the drawers, the number of the findings. */
export interface Made {
  readonly number: number;
  readonly as: 'piece' | 'finding';
}

/** The pattern, in the revision, that the bench was working from; and the piece of a batch that it was made as. */
export interface MadeFrom {
  readonly number: number;
  readonly revision: number;
  readonly batch?: PieceOfBatch;
}

interface StockRow extends HeldStock, Source {}

/**
 * Makes one piece: takes every cut from its stock piece, keeps what came back as off-cuts, logs what was spoiled, scraps
 * what is too short, and puts the piece on the shelf with what it took. All in one transaction or not at all.
 */
export function makePiece(
  session: StudioSession,
  postKey: string,
  madeFrom: MadeFrom,
  plain: unknown,
): Promise<Outcome<Made>> {
  const prepare = () => readInput(MakePieceInput, plain);
  return post(session, 'makePiece', postKey, prepare, async (tx, input) => {
    const settings = await settingsIn(tx);
    const tray = madeFrom.batch && (await openTray(tx, madeFrom.batch));
    const { patternId, revision, body } = tray ?? (await patternOf(tx, madeFrom));
    const cuts = input.cuts.map(({ from, cut, back }): CutMade => ({
      from,
      cut: expectOk(parseLength(cut)),
      back: expectOk(parseLengths(back)),
    }));
    const spoiled = input.spoiled.map(({ from, length, reason }): SpoiledLength => ({
      from,
      length: expectOk(parseLength(length)),
      reason: reason.trim(),
    }));

    const { stock, specs } = await lockWires(
      tx,
      [...cuts, ...spoiled].map(({ from }) => from),
      settings,
    );
    checkAgainstPattern(input, cuts, wantedCuts(body), stock);
    spoiled.forEach(({ from }, index) => {
      if (!stock.has(from))
        throw invalid(`spoiled.${index}.from`, 'This wire is no longer on the rack; choose another.');
    });
    const short = notEnoughFor([...stock.values()], cuts, spoiled);
    if (short.length > 0) throw tellShortage(short, input, stock, specs, settings);
    await refuseSetAside(tx, cuts, stock, settings, tray?.batchId ?? null);

    const settled = settleMaking([...stock.values()], cuts, spoiled);
    const pieceId = randomUUID();
    const number = await takeNumbers(tx, 'piece');
    const outlay = await outlayOf(tx, settled, stock, specs);
    const posting = new Posting(tx, postKey, { pieceId, batchId: tray?.batchId ?? null });
    const drawer = input.goesTo === 'drawer' ? input.drawer : undefined;
    if (tray && drawer)
      throw refused(
        'A piece of a batch stands on the shelf; make findings by themselves. Nothing was posted.',
      );
    // A finding is no finished piece: nothing is packed or polished for it.
    const supplies = drawer ? NO_SUPPLIES : await useSupplies(tx, posting);
    const waste = tray ? await bearWaste(tx, tray) : NO_WASTE;
    const stone = tray ? await useStone(tx, posting, tray) : cost(0);
    const parts = await takeParts(tx, posting, body.parts, input.parts, {
      batchId: tray?.batchId ?? null,
      reason: tray ? `for ${tag('batch', tray.number)}` : `in ${tag('piece', number)}`,
    });
    const partsTaken = sumCosts([stone, parts.taken]);
    await tx.add(Piece, [
      {
        pieceId,
        number,
        patternId,
        revision,
        name: body.name,
        kind: body.kind,
        size: ringSizeOf(body) ?? '',
        userId: session.userId,
        madeAt: session.now,
        ...withWaste(outlay, waste),
        ...supplies,
        partsCost: sumCosts([partsTaken, parts.said]),
        partsTaken,
        minutes: numberOf(input.minutes),
        setUpMinutes: numberOf(input.setUpMinutes),
        sharedBy: numberOf(input.sharedBy),
        hourlyRate: settings.hourlyRate,
        overheadPerHour: settings.overheadPerHour,
        goingPrice: null,
        school: null,
        price: null,
      },
    ]);
    if (tray) await closeTray(tx, tray, pieceId);
    enterMaking(posting, settled, stock);
    await toJars(posting, settled, specs);
    const labour = {
      minutes: numberOf(input.minutes) + numberOf(input.setUpMinutes) / numberOf(input.sharedBy),
      settings,
    };
    const findings = drawer && (await intoDrawer(tx, posting, drawer, settled, parts.taken, labour));
    const numbers = await posting.commit();
    if (!findings) return { number, as: 'piece' };
    await Piece.update(
      { drawerStockId: findings },
      { where: { studioId: session.studioId, pieceId }, ...tx.within },
    );
    return { number: numbers.get(findings) ?? 0, as: 'finding' };
  });
}

const NO_SUPPLIES = { suppliesCost: cost(0), suppliesReplacement: cost(0) };

/** Lets what was made become findings that carry all it took: wire, scrap, parts and hours. @returns their id */
async function intoDrawer(
  tx: Tx,
  posting: Posting,
  { finding, material, size, count, place }: IntoDrawerInput,
  { movements, offCuts }: SettledMaking,
  parts: CostUnits,
  { minutes, settings }: { readonly minutes: number; readonly settings: Settings },
): Promise<string> {
  const wire = sumCosts([
    ...movements.map(({ cost: amount }) => cost(0 - amount)),
    ...offCuts.map(({ cost: amount }) => cost(0 - amount)),
  ]);
  const labour = await enterLabour(tx, posting.postKey, minutes, settings);
  const article = await ensureFinding(tx, { finding: finding as FindingKind, material, size });
  const placeId = await ensurePlace(tx, place);
  return posting.open(
    { ware: 'finding', ...article, lotId: null, form: 'pack', placeId },
    'made',
    expectOk(parseCount(count)),
    sumCosts([wire, parts, labour]),
  );
}

async function patternOf(
  tx: Tx,
  { number, revision }: MadeFrom,
): Promise<{ patternId: string; revision: number; body: PatternBody }> {
  const row = await tx.first<{ patternId: string; body: PatternBody }>(
    `SELECT p.pattern_id AS "patternId", r.body FROM patterns p
       JOIN pattern_revisions r ON r.studio_id = p.studio_id AND r.pattern_id = p.pattern_id
      WHERE p.studio_id = $1 AND p.number = $2 AND r.revision = $3`,
    [tx.session.studioId, number, revision],
  );
  if (!row) throw refused('This pattern, or this revision of it, is no longer there.');
  return { ...row, revision };
}

/** Locks the wires that are cut, with what each spec's useful minimum is. */
async function lockWires(
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

function specOf(specs: ReadonlyMap<string, KnownSpec>, id: string): KnownSpec {
  const spec = specs.get(id);
  if (!spec) throw new Error(`spec ${id} vanished`);
  return spec;
}

/** Every wire of the pattern is cut once, from its own spec, and no more comes back than was cut. */
function checkAgainstPattern(
  { cuts: done }: MakePieceInput,
  lengths: readonly CutMade[],
  wanted: readonly WantedCut[],
  stock: ReadonlyMap<string, StockRow>,
): void {
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
    const { cut, back } = lengths[index] ?? { cut: 0, back: [] };
    if (sumLengths(back) > cut)
      throw invalid(`cuts.${index}.back`, `More came back (${each.back}) than was cut (${each.cut}).`);
  });
  const [missing] = open.values();
  if (missing)
    throw new Refused({
      kind: 'invalid',
      message: `Nothing is said about ${missing.name}; every wire of the pattern is cut.`,
    });
}

function tellShortage(
  short: readonly NotEnough[],
  input: MakePieceInput,
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
async function refuseSetAside(
  tx: Tx,
  cuts: readonly CutMade[],
  stock: ReadonlyMap<string, StockRow>,
  { lengthSystem }: Settings,
  batchId: string | null,
): Promise<void> {
  const aside = await setAsideOf(tx, [...stock.keys()], batchId);
  const left = new Map([...stock].map(([id, { length }]) => [id, length - (aside.get(id) ?? 0)]));
  cuts.forEach(({ from, cut }, index) => {
    const rest = (left.get(from) ?? 0) - cut;
    left.set(from, rest);
    if (rest >= 0 || !aside.has(from)) return;
    const kept = formatLength(um(aside.get(from) ?? 0), lengthSystem);
    throw invalid(
      `cuts.${index}.from`,
      `${kept} of ${tag('wire', stock.get(from)?.number ?? 0)} are set aside for a batch; choose another, or cancel the batch.`,
    );
  });
}

/** What is borne of a batch’s waste counts as the piece’s own; today’s price of it is not asked, since it is a small part. */
function withWaste<
  T extends Record<'scrapCost' | 'scrapReplacement' | 'spoilageCost' | 'spoilageReplacement', CostUnits>,
>(outlay: T, { scrap, spoilage }: WasteShare): T {
  return {
    ...outlay,
    scrapCost: sumCosts([outlay.scrapCost, scrap]),
    scrapReplacement: sumCosts([outlay.scrapReplacement, scrap]),
    spoilageCost: sumCosts([outlay.spoilageCost, spoilage]),
    spoilageReplacement: sumCosts([outlay.spoilageReplacement, spoilage]),
  };
}

const NO_WASTE: WasteShare = { scrap: cost(0), spoilage: cost(0) };

/** What the piece took, at what was paid and at the last price paid for each spec. */
async function outlayOf(
  tx: Tx,
  { movements, offCuts }: SettledMaking,
  stock: ReadonlyMap<string, StockRow>,
  specs: ReadonlyMap<string, KnownSpec>,
) {
  const prices = await replacementPrices(tx, [...specs.keys()]);
  const today = (specId: string, length: number, actual: CostUnits): CostUnits => {
    const price = prices.get(specId);
    return price ? costAt(price, length) : actual;
  };
  const entries = [
    ...movements.map(({ kind, from, length, cost: amount }) => ({
      kind,
      specId: stock.get(from)?.specId ?? '',
      length: -length,
      cost: cost(0 - amount),
    })),
    ...offCuts.map(({ specId, length, cost: amount }) => ({
      kind: 'cut' as const,
      specId,
      length: -length,
      cost: cost(0 - amount),
    })),
  ];
  const sum = (kind: string) => {
    const own = entries.filter((entry) => entry.kind === kind);
    const actual = sumCosts(own.map((entry) => entry.cost));
    const perSpec = [...new Set(own.map(({ specId }) => specId))].map((specId) => {
      const ofSpec = own.filter((entry) => entry.specId === specId);
      return today(
        specId,
        ofSpec.reduce((total, { length }) => total + length, 0),
        sumCosts(ofSpec.map((entry) => entry.cost)),
      );
    });
    return { actual, replacement: sumCosts(perSpec) };
  };
  const [wire, scrap, spoilage] = [sum('cut'), sum('scrapped'), sum('spoiled')];
  const mass = entries
    .filter(({ kind }) => kind === 'cut')
    .reduce((total, { specId, length }) => {
      const spec = specs.get(specId);
      return total + (spec ? massOfLength(spec, um(length)) : 0);
    }, 0);
  return {
    wireCost: wire.actual,
    wireReplacement: wire.replacement,
    scrapCost: scrap.actual,
    scrapReplacement: scrap.replacement,
    spoilageCost: spoilage.actual,
    spoilageReplacement: spoilage.replacement,
    wireMassUg: ug(mass),
  };
}

/** Enters what a making took from the rack, and what came back to it. */
function enterMaking(
  posting: Posting,
  { movements, offCuts }: SettledMaking,
  stock: ReadonlyMap<string, StockRow>,
): void {
  posting.hold(...stock.values());
  for (const { kind, from, length, cost: amount, reason } of movements)
    posting.enter(from, kind, length, amount, { reason });
  for (const { from, specId, length, cost: amount } of offCuts) {
    const source = stock.get(from);
    posting.open(
      {
        ware: 'wire',
        articleId: specId,
        sortKey: source?.sortKey ?? '',
        lotId: source?.lotId ?? null,
        form: 'off-cut',
        placeId: source?.placeId ?? null,
      },
      'returned',
      length,
      amount,
      { reason: `cut from ${tag('wire', source?.number ?? 0)}` },
    );
  }
}

/** Lets what was scrapped or spoiled fall into the jars, with what it cost. */
async function toJars(
  posting: Posting,
  { movements }: SettledMaking,
  specs: ReadonlyMap<string, KnownSpec>,
): Promise<void> {
  for (const { kind, from, length, cost: amount, reason } of movements) {
    if (kind === 'cut') continue;
    const spec = specOf(specs, posting.balance(from).articleId);
    await posting.toJar(spec.metal, massOfLength(spec, um(-length)), cost(0 - amount), reason);
  }
}
