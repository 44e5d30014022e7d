import { DAY_ORDERS, type DayOrder } from '@/core/calendar/day';
import type { PriceRules } from '@/core/costing/price';
import { RING_SYSTEMS, type RingSystem } from '@/core/ring/ringSize';
import { SHEET_NAMES, type SheetName } from '@/core/paper/sheet';
import { expectOk } from '@/core/result';
import { parseLength, type LengthSystem, type Micrometres } from '@/core/units/length';
import { currencyOf, type MinorUnits } from '@/core/units/money';
import { parsePercent } from '@/core/units/percent';
import { NUMBER_WRITINGS, type NumberWriting } from '@/core/units/writing';
import type { Tx } from '@/data/inStudio';
import { Studio, UsefulMinimum } from '@/data/models/studio';
import { Closing } from '@/data/models/books';
import { stale, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { numberOf, oneOf } from '../kernel/rules';
import { look, ownerOnly, post, type StudioSession } from '../kernel/useCase';
import { readMoney } from './readMoney';
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
  readonly hourlyRate: MinorUnits;
  readonly overheadPerHour: MinorUnits;
  readonly priceFrom: 'actual' | 'replacement';
  readonly usefulMinimum: Micrometres;
  readonly minimums: readonly {
    readonly scope: 'metal' | 'spec';
    readonly of: string;
    readonly length: Micrometres;
  }[];
}

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
export function changeSettings(
  session: StudioSession,
  postKey: string,
  plain: unknown,
): Promise<Outcome<null>> {
  const prepare = () => {
    ownerOnly(session);
    return readInput(ChangeSettingsInput, plain);
  };
  return post(session, 'changeSettings', postKey, prepare, async (tx, input) => {
    const now = await settingsIn(tx);
    if (now.version !== numberOf(input.version)) {
      throw stale(
        'Somebody changed the rules while you had this page open. What you typed is still here; open the page in another tab to compare.',
      );
    }
    const money = (field: keyof ChangeSettingsInput, text: string) => readMoney(field, text, now.currency);
    const studio = await Studio.findOne({ rejectOnEmpty: true });
    await studio.update({
      name: input.name.trim(),
      lengthSystem: input.lengthSystem === 'mm' ? 'mm' : 'in',
      timeZone: input.timeZone,
      numbers: oneOf(NUMBER_WRITINGS, input.numbers),
      days: oneOf(DAY_ORDERS, input.days),
      rings: oneOf(RING_SYSTEMS, input.rings),
      sheet: oneOf(SHEET_NAMES, input.sheet),
      hourlyRate: money('hourlyRate', input.hourlyRate),
      overheadPerHour: money('overheadPerHour', input.overheadPerHour),
      targetPerHour: money('targetPerHour', input.targetPerHour),
      materialsFactor: Math.round(numberOf(input.materialsFactor) * 100),
      targetMargin: expectOk(parsePercent(input.targetMargin)),
      feePercent: expectOk(parsePercent(input.feePercent)),
      feeFixed: money('feeFixed', input.feeFixed),
      taxPercent: expectOk(parsePercent(input.taxPercent)),
      taxIncluded: input.taxIncluded,
      priceFrom: input.priceFrom === 'actual' ? 'actual' : 'replacement',
      rounding: input.rounding === 'nearest' ? 'nearest' : 'up',
      priceEndings: input.priceEndings.map((text) => money('priceEndings', text)),
      usefulMinimumUm: expectOk(parseLength(input.usefulMinimum)),
    });
    // Months that were closed begin at other moments elsewhere; they are closed anew when they are asked for.
    if (input.timeZone !== now.timeZone) await tx.remove(Closing, {});
    const byKey = new Map(input.minimums.map((each) => [`${each.scope} ${each.of}`, each]));
    await tx.remove(UsefulMinimum, {});
    await tx.add(
      UsefulMinimum,
      [...byKey.values()].map(({ scope, of, length }) => ({
        scope: scope === 'metal' ? ('metal' as const) : ('spec' as const),
        of,
        lengthUm: expectOk(parseLength(length)),
      })),
    );
    return null;
  });
}
