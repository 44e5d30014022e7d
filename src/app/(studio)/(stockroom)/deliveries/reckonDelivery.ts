import { landedCosts, type LandedLine, type SharedBy } from '@/core/stock/delivery';
import { parseMass, type Micrograms } from '@/core/units/mass';
import { minor, parseAmount, type MinorUnits } from '@/core/units/money';
import { describeSpec } from '@/core/wire/spec';
import type { DeliveryInput, DeliveryLine } from '@/studio/deliveries/delivery.input';
import type { ReceiveWireInput } from '@/studio/wire/receiveWire.input';
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

const amountIn = (text: string | undefined, currency: string): MinorUnits => {
  const read = parseAmount(text ?? '');
  return read.ok && read.value.code === currency ? read.value.money : minor(0);
};

function weightOf(line: DeliveryLine): Micrograms | undefined {
  const typed = parseMass(line.weight);
  if (typed.ok) return typed.value;
  return line.ware === 'wire' ? reckon(line as unknown as ReceiveWireInput).mass : undefined;
}

/** Shares postage and tax out as far as they are typed. */
export function reckonDelivery(
  { lines, currency, postage, tax, sharedBy, cameTo }: DeliveryInput,
  own: string,
): DeliveryReckoned {
  const priced = lines.map((line) => ({
    price: line.costIs === 'free' ? minor(0) : amountIn(line.price, currency),
    weight: weightOf(line),
  }));
  const extras = { postage: amountIn(postage, currency), tax: amountIn(tax, currency) };
  const landed = landedCosts({
    lines: priced,
    ...extras,
    sharedBy: sharedBy as SharedBy,
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
  const spec = ware === 'wire' ? reckon(line as unknown as ReceiveWireInput).spec : undefined;
  const words = spec
    ? describeSpec(spec)
    : [said['material'], said['finding'], said['shape'], said['outline'], said['name'], said['size']]
        .filter((word) => word !== undefined && word !== '')
        .join(' ');
  return words === '' ? WARE_WORDS[ware as keyof typeof WARE_WORDS] : words;
}
