import type { Day } from '@/core/calendar/day';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsOptional, ValidateNested } from 'class-validator';
import { refuse, type Result } from '@/core/result';
import { SHARED_BY, type SharedBy } from '@/core/stock/delivery';
import type { Micrograms } from '@/core/units/mass';
import { CURRENCIES, parseAmount } from '@/core/units/money';
import { BeadFields, FindingFields, StoneFields, SupplyFields } from '../drawers/receive.input';
import {
  onlyIf,
  ReadsBy,
  ReadsMassOrNone,
  ReadsMoneyOrNone,
  ReadsOneOf,
  ReadsPastDay,
  ReadsText,
} from '../kernel/rules';
import { WireFields } from '../wire/receiveWire.input';
import type { Amount, Typed } from '../kernel/typed';

/** Wares that are bought. */
export const DELIVERED = ['wire', 'bead', 'stone', 'finding', 'supply'] as const;
export type DeliveredWare = (typeof DELIVERED)[number];

/** How a line of a delivery may have been got. */
const GOT = ['paid', 'free'] as const;

/** What is said of every line besides what it is. */
export interface LineFields<W extends DeliveredWare = DeliveredWare> {
  ware: Typed<W>;
  /** Paid, or a gift that was put in. */
  costIs: Typed<(typeof GOT)[number]>;
  /** Before postage and tax, in the invoice's currency; of a gift it is not asked. */
  price: Typed<Amount | null>;
  /** Where it is put. */
  place: string;
  /** What it weighs with its packing, where the postage is shared by weight and the wire's own weight does not say it. */
  weight: Typed<Micrograms | null>;
}

/** What a line cost: more than nothing, since a gift is said to be one. */
function readLinePrice(text: string): Result<Amount> {
  const read = parseAmount(text);
  return read.ok && read.value.money === 0
    ? refuse(`“${text}” is nothing; say that it was a gift, or what it cost.`)
    : read;
}

/** An input class with the fields of a line of a delivery besides its own. */
function Delivered<W extends DeliveredWare, Own extends object>(
  ware: W,
  Base: new () => Own,
): new () => Own & LineFields<W> {
  class DeliveredInput extends (Base as new () => object) implements LineFields {
    @ReadsOneOf([ware], 'what came') ware!: Typed<W>;
    @ReadsOneOf(GOT, 'how it was got') costIs!: string;
    @ReadsBy('readsLinePrice', (text, { costIs }: DeliveredInput) =>
      onlyIf(costIs !== 'free', () => readLinePrice(text)),
    )
    price!: Typed<Amount | null>;
    @ReadsText(120) place!: string;
    @ReadsMassOrNone() weight!: Typed<Micrograms | null>;
  }
  return DeliveredInput as unknown as new () => Own & LineFields<W>;
}

export class WireLine extends Delivered('wire', WireFields) {}
export class BeadLine extends Delivered('bead', BeadFields) {}
export class StoneLine extends Delivered('stone', StoneFields) {}
export class FindingLine extends Delivered('finding', FindingFields) {}
export class SupplyLine extends Delivered('supply', SupplyFields) {}

/** The input classes of lines, by their wares. */
export const LINES = {
  wire: WireLine,
  bead: BeadLine,
  stone: StoneLine,
  finding: FindingLine,
  supply: SupplyLine,
} as const;

/** A line that does not say what came. */
class UnknownLine {
  @ReadsOneOf(DELIVERED, 'what came') ware!: Typed<DeliveredWare>;
}

/** A line of a delivery, by its ware. */
export type DeliveryLine = WireLine | BeadLine | StoneLine | FindingLine | SupplyLine;

/** Several purchases that came together. */
export class DeliveryInput {
  @ReadsText(120) supplier!: string;
  @ReadsPastDay() boughtOn!: Typed<Day>;
  /** What stands on the invoice. */
  @ReadsText(400) note!: string;
  /** Of the invoice. */
  @ReadsOneOf(CURRENCIES.map(({ code }) => code), 'a currency')
  currency!: string;
  @ReadsMoneyOrNone({ zero: true }) postage!: Typed<Amount | null>;
  /** Tax that is not got back. */
  @ReadsMoneyOrNone({ zero: true }) tax!: Typed<Amount | null>;
  @ReadsOneOf(SHARED_BY, 'what the postage is shared by') sharedBy!: Typed<SharedBy>;
  /** What the invoice came to in the studio's currency; only when it is in another. */
  @IsOptional() @ReadsMoneyOrNone() cameTo?: Typed<Amount | null>;

  @IsArray()
  @ArrayMinSize(1, { message: 'A delivery has one line at least.' })
  @ArrayMaxSize(80, { message: 'A delivery has at most 80 lines.' })
  @ValidateNested({ each: true })
  @Type(() => UnknownLine, {
    discriminator: {
      property: 'ware',
      subTypes: Object.entries(LINES).map(([name, value]) => ({ name, value })),
    },
    keepDiscriminatorProperty: true,
  })
  lines!: DeliveryLine[];
}
