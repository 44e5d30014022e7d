import { formatAmountOf, parseAmountOf, type Measure } from '@/core/stock/amount';
import { WARE_WORDS, type Ware } from '@/core/stock/ware';
import { tag } from '@/core/tag';
import type { LengthSystem } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { Supply } from '@/data/models/drawers';
import { invalid, refused } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { lockNumbered, Posting, type HeldStock } from '../ledger/posting';
import { throwAway } from '../ledger/throwAway';
import { settingsIn } from '../settings/settings';
import { specsById } from '../catalogue/wireSpecs';
import { TakeOutInput } from './takeOut.input';

/** A stock piece that is there, locked. @throws Refused when it is not, or is used up */
export async function lockOne(tx: Tx, ware: Ware, number: number): Promise<HeldStock> {
  const stock = await lockNumbered(tx, ware, number);
  if (!stock) throw refused(`There is no ${tag(ware, number)}.`);
  if (stock.quantity === 0) throw refused(`${tag(ware, number)} is used up. Nothing was posted.`);
  return stock;
}

/** How an article is measured. */
export async function measureOf(
  tx: Tx,
  { ware, articleId }: Pick<HeldStock, 'ware' | 'articleId'>,
): Promise<Measure> {
  if (ware !== 'supply') return { ware };
  const row = await tx.one(Supply, ['unit'], { where: { articleId } });
  return { ware, unit: row?.unit ?? null };
}

/** What a text says is taken of a stock piece. @throws Refused when it is no quantity, nothing, or more than there is */
export function quantityWithin(
  field: string,
  text: string,
  stock: HeldStock,
  measure: Measure,
  system: LengthSystem,
): number {
  const read = parseAmountOf(measure, text);
  if (!read.ok) throw invalid(field, read.error);
  if (read.value === 0) throw invalid(field, `“${text}” is nothing; it must be more than 0.`);
  refuseMoreThan(field, read.value, stock, measure, system, text);
  return read.value;
}

/**
 * @param said the quantity in the words in which it was typed, where they are known
 * @throws Refused beside the field when more is wanted of a stock piece than there is
 */
export function refuseMoreThan(
  field: string,
  quantity: number,
  stock: HeldStock,
  measure: Measure,
  system: LengthSystem,
  said = formatAmountOf(measure, quantity, system),
): void {
  if (quantity <= stock.quantity) return;
  const has = formatAmountOf(measure, stock.quantity, system);
  throw invalid(field, `${tag(stock.ware, stock.number)} has ${has} left; ${said} is more.`);
}

/** Takes something out of stock that no pattern asked for, or that was spoiled; spoiled wire falls into its metal's jar. */
export const takeOut = posts(
  'takeOut',
  { input: TakeOutInput },
  async ({ tx, postKey }, input, ware: Exclude<Ware, 'scrap'>, number: number) => {
    const { lengthSystem } = await settingsIn(tx);
    const stock = await lockOne(tx, ware, number);
    const quantity = quantityWithin(
      'quantity',
      input.quantity,
      stock,
      await measureOf(tx, stock),
      lengthSystem,
    );
    const { kind, reason } = input;
    const posting = new Posting(tx, postKey).hold(stock);
    if (ware === 'wire' && kind === 'spoiled') {
      const spec = (await specsById(tx, [stock.articleId])).get(stock.articleId);
      if (!spec) throw new Error(`the ${WARE_WORDS[ware].one} of ${tag(ware, number)} vanished`);
      await throwAway(posting, { id: stock.id, spec }, kind, quantity, reason);
    } else posting.take(stock.id, kind, quantity, { reason });
    await posting.commit();
    return null;
  },
);
