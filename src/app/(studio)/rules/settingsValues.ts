import { writableLength } from '@/core/units/length';
import { plainMoney, type MinorUnits } from '@/core/units/money';
import type { Settings } from '@/studio/settings/settings';
import type { ChangeSettingsInput } from '@/studio/settings/settings.input';

/** The rules as the form's texts. */
export function settingsValues(settings: Settings): ChangeSettingsInput {
  const { currency, lengthSystem } = settings;
  const money = (amount: MinorUnits) => `${plainMoney(amount, currency)} ${currency}`;
  const percent = (points: number) => String(points / 100);
  return {
    version: String(settings.version),
    name: settings.name,
    lengthSystem,
    timeZone: settings.timeZone,
    numbers: settings.numbers,
    days: settings.days,
    rings: settings.rings,
    sheet: settings.sheet,
    letterhead: settings.letterhead,
    payTo: settings.payTo,
    hourlyRate: money(settings.hourlyRate),
    overheadPerHour: money(settings.overheadPerHour),
    targetPerHour: money(settings.targetPerHour),
    materialsFactor: percent(settings.materialsFactor),
    targetMargin: percent(settings.targetMargin),
    feePercent: percent(settings.feePercent),
    feeFixed: money(settings.feeFixed),
    taxPercent: percent(settings.taxPercent),
    taxIncluded: settings.taxIncluded,
    priceFrom: settings.priceFrom,
    rounding: settings.rounding,
    priceEndings: settings.endings.map(money),
    usefulMinimum: writableLength(settings.usefulMinimum, lengthSystem),
    minimums: settings.minimums.map(({ scope, of, length }) => ({
      scope,
      of,
      length: writableLength(length, lengthSystem),
    })),
  };
}
