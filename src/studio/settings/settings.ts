import type { Checks } from '@/core/bench/checks';
import type { Round } from '@/core/bench/rounds';
import { type DayOrder } from '@/core/calendar/day';
import type { PriceRules } from '@/core/costing/price';
import { type RingSystem } from '@/core/ring/ringSize';
import { type SheetName } from '@/core/paper/sheet';
import type { LengthSystem, Micrometres } from '@/core/units/length';
import { currencyOf, type MinorUnits } from '@/core/units/money';
import { type NumberWriting } from '@/core/units/writing';
import type { Tx } from '@/data/inStudio';
import { Studio, UsefulMinimum } from '@/data/models/studio';
import { Closing } from '@/data/models/books';
import { stale } from '../kernel/outcome';
import type { Amount } from '../kernel/typed';
import { posts } from '../kernel/posts';
import { look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { inCurrency } from './inCurrency';
import { ChangeSettingsInput } from './settings.input';

/** The studio's rules, as every use case reads them. */
export interface Settings extends PriceRules {
  readonly version: number;
  readonly name: string;
  readonly currency: string;
  readonly lengthSystem: LengthSystem;
  /** Where the studio is, an IANA time zone. */
  readonly timeZone: string;
  readonly numbers: NumberWriting;
  readonly days: DayOrder;
  /** How a ring size is meant that does not say. */
  readonly rings: RingSystem;
  readonly sheet: SheetName;
  /** Under its name on papers that go out, line by line; and where it is paid, at their foot. */
  readonly letterhead: string;
  readonly payTo: string;
  readonly hourlyRate: MinorUnits;
  readonly overheadPerHour: MinorUnits;
  readonly priceFrom: 'actual' | 'replacement';
  readonly usefulMinimum: Micrometres;
  /** What finished pieces of each kind are looked at for, where the studio has written it. */
  readonly checks: Checks;
  /** What it bends wire round. */
  readonly rounds: readonly Round[];
  readonly minimums: readonly {
    readonly scope: 'metal' | 'spec';
    readonly of: string;
    readonly length: Micrometres;
  }[];
}

/** Whose papers are written, and how. */
export type PaperStudio = Pick<
  Settings,
  'name' | 'letterhead' | 'payTo' | 'currency' | 'days' | 'numbers' | 'sheet'
>;

/** What of the rules papers that go out are written by. */
export const paperStudio = ({
  name,
  letterhead,
  payTo,
  currency,
  days,
  numbers,
  sheet,
}: PaperStudio): PaperStudio => ({ name, letterhead, payTo, currency, days, numbers, sheet });

/** What prices are worked out by. */
export type PricingRules = PriceRules & Pick<Settings, 'hourlyRate' | 'overheadPerHour'>;

/** What of the rules prices are worked out by. */
export const pricingRules = ({
  hourlyRate,
  overheadPerHour,
  feePercent,
  feeFixed,
  taxPercent,
  taxIncluded,
  endings,
  rounding,
  places,
  materialsFactor,
  targetMargin,
  targetPerHour,
}: PricingRules): PricingRules => ({
  ...{ hourlyRate, overheadPerHour, feePercent, feeFixed, taxPercent, taxIncluded },
  ...{ endings, rounding, places, materialsFactor, targetMargin, targetPerHour },
});

/** The rules inside a transaction. */
export async function settingsIn(tx: Tx): Promise<Settings> {
  const studio = await Studio.findOne({ rejectOnEmpty: true });
  const minimums = await tx.all(UsefulMinimum, ['scope', 'of', 'lengthUm'], { order: ['scope', 'of'] });
  const { usefulMinimumUm, priceEndings, ...rules } = studio.get({ plain: true });
  return {
    ...rules,
    endings: priceEndings,
    places: currencyOf(rules.currency).places,
    usefulMinimum: usefulMinimumUm,
    minimums: minimums.map(({ scope, of, lengthUm }) => ({ scope, of, length: lengthUm })),
  };
}

/** The useful minimums as the core looks them up. */
export function minimumsOf({ minimums, usefulMinimum }: Settings) {
  const ofScope = (scope: string) =>
    Object.fromEntries(minimums.filter((each) => each.scope === scope).map(({ of, length }) => [of, length]));
  return { bySpec: ofScope('spec'), byMetal: ofScope('metal'), otherwise: usefulMinimum };
}

/** The rules, for the owner. */
export async function readSettings(session: StudioSession): Promise<Settings> {
  ownerOnly(session);
  return look(session, settingsIn);
}

/** Changes the rules. Pieces already made keep the rates of their day. */
export const changeSettings = posts(
  'changeSettings',
  { input: ChangeSettingsInput, by: 'owner' },
  async ({ tx }, input) => {
    const now = await settingsIn(tx);
    if (now.version !== input.version) {
      throw stale(
        'Somebody changed the rules while you had this page open. What you typed is still here; open the page in another tab to compare.',
      );
    }
    const money = (field: keyof ChangeSettingsInput, amount: Amount) =>
      inCurrency(field, amount, now.currency);
    const studio = await Studio.findOne({ rejectOnEmpty: true });
    await studio.update({
      name: input.name,
      lengthSystem: input.lengthSystem,
      timeZone: input.timeZone,
      numbers: input.numbers,
      days: input.days,
      rings: input.rings,
      sheet: input.sheet,
      letterhead: input.letterhead,
      payTo: input.payTo,
      hourlyRate: money('hourlyRate', input.hourlyRate),
      overheadPerHour: money('overheadPerHour', input.overheadPerHour),
      targetPerHour: money('targetPerHour', input.targetPerHour),
      materialsFactor: Math.round(input.materialsFactor * 100),
      targetMargin: input.targetMargin,
      feePercent: input.feePercent,
      feeFixed: money('feeFixed', input.feeFixed),
      taxPercent: input.taxPercent,
      taxIncluded: input.taxIncluded,
      priceFrom: input.priceFrom,
      rounding: input.rounding,
      priceEndings: input.priceEndings.map((ending) => money('priceEndings', ending)),
      usefulMinimumUm: input.usefulMinimum,
    });
    // Months that were closed begin at other moments elsewhere; they are closed anew when they are asked for.
    if (input.timeZone !== now.timeZone) await tx.remove(Closing, {});
    const byKey = new Map(input.minimums.map((each) => [`${each.scope} ${each.of}`, each]));
    await tx.remove(UsefulMinimum, {});
    await tx.add(
      UsefulMinimum,
      [...byKey.values()].map(({ scope, of, length }) => ({
        scope,
        of,
        lengthUm: length,
      })),
    );
    return null;
  },
);
