import { landedCosts, type LandedLine } from '@/core/stock/delivery';
import { minor, type MinorUnits } from '@/core/units/money';
import { describeSpec } from '@/core/wire/spec';
import {
  DeliveryInput,
  LINES,
  type DeliveredWare,
  type DeliveryLine,
  type LineFields,
  type WireLine,
} from '@/studio/deliveries/delivery.input';
import { readSoFar } from '@/studio/kernel/readInput';
import type { Amount } from '@/studio/kernel/typed';
import { specSoFar } from '@/studio/wire/specOf';
import { reckon } from '../rack/receive/reckon';
import { WARE_WORDS } from './wareWords';

/** What can be said of a delivery that is half typed. */
export interface DeliveryReckoned {
  /** What each line comes to; undefined until all of it can be shared out. */
  readonly landed: readonly LandedLine[] | undefined;
  /** Why it cannot. */
  readonly why: string | undefined;
  readonly total: MinorUnits;
}

const amountIn = (amount: Amount | null | undefined, currency: string): MinorUnits =>
  amount?.code === currency ? amount.money : minor(0);

const isWire = (line: DeliveryLine): line is WireLine => line.ware === 'wire';

/** Shares postage and tax out as far as they are typed. */
export function reckonDelivery(typed: DeliveryInput, own: string): DeliveryReckoned {
  const { currency = own, postage, tax, sharedBy = 'value', cameTo } = readSoFar(DeliveryInput, typed);
  const priced = typed.lines.map((line) => {
    const { price, weight } = readSoFar<LineFields>(LINES[line.ware as DeliveredWare], line);
    return {
      price: amountIn(price, currency),
      weight: weight ?? (isWire(line) ? reckon(line).mass : undefined),
    };
  });
  const extras = { postage: amountIn(postage, currency), tax: amountIn(tax, currency) };
  const landed = landedCosts({
    lines: priced,
    ...extras,
    sharedBy,
    cameTo: currency === own ? undefined : amountIn(cameTo, own),
  });
  const total = minor(priced.reduce((sum, { price }) => sum + price, 0) + extras.postage + extras.tax);
  return landed.ok
    ? { landed: landed.value, why: undefined, total }
    : { landed: undefined, why: landed.error, total };
}

/** What a line is, as far as it is typed: "20 ga round copper, dead soft". */
export function sayLine(line: DeliveryLine): string {
  const { ware, ...said } = line as DeliveryLine & Readonly<Record<string, string | undefined>>;
  const spec = isWire(line) ? specSoFar(line) : undefined;
  const words = spec
    ? describeSpec(spec)
    : [said['material'], said['finding'], said['shape'], said['outline'], said['name'], said['size']]
        .filter((word) => word !== undefined && word !== '')
        .join(' ');
  return words === '' ? WARE_WORDS[ware as keyof typeof WARE_WORDS] : words;
}
