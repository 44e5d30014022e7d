import { Pattern } from '@/data/models/making';
import { Lot } from '@/data/models/purchases';
import { currencyOf, minor, type MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { Studio } from '@/data/models/studio';
import { refused, stale } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { look, type StudioSession } from '../kernel/useCase';
import { ChangeCurrencyInput } from './changeCurrency.input';
import { settingsIn } from './settings';

/** Whether no amount is in the books yet: nothing bought, no pattern with prices in it. */
async function areBooksEmpty(tx: Tx): Promise<boolean> {
  const bought = await tx.one(Lot, ['lotId'], { where: {} });
  const pattern = await tx.one(Pattern, ['patternId'], { where: {} });
  return !bought && !pattern;
}

/** Whether the owner may still change the currency. */
export function isCurrencyOpen(session: StudioSession): Promise<boolean> {
  return look(session, areBooksEmpty);
}

/**
 * Corrects the currency chosen at set-up, as long as no amount is in the books: dollars do not become euros by renaming
 * them. The rates keep their figures (20.00 stays 20), whatever places the currency has.
 */
export const changeCurrency = posts(
  'changeCurrency',
  { input: ChangeCurrencyInput, by: 'owner' },
  async ({ tx }, input) => {
    const now = await settingsIn(tx);
    if (now.version !== input.version) {
      throw stale(
        'Somebody changed the rules while you had this page open. Reload it, then choose the currency again.',
      );
    }
    if (!(await areBooksEmpty(tx))) {
      throw refused(
        `There are amounts in ${now.currency} in the books already; the currency can be changed only before the first wire or pattern.`,
      );
    }
    const factor = 10 ** (currencyOf(input.currency).places - currencyOf(now.currency).places);
    const same = (amount: MinorUnits): MinorUnits => minor(Math.round(amount * factor));
    const studio = await Studio.findOne({ rejectOnEmpty: true });
    await studio.update({
      currency: input.currency,
      hourlyRate: same(now.hourlyRate),
      overheadPerHour: same(now.overheadPerHour),
      targetPerHour: same(now.targetPerHour),
      feeFixed: same(now.feeFixed),
      priceEndings: now.endings.map(same),
    });
    return null;
  },
);
