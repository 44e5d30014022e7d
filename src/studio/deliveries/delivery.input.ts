import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsOptional, ValidateNested } from 'class-validator';
import { ok, refuse } from '@/core/result';
import { SHARED_BY } from '@/core/stock/delivery';
import { parseMass } from '@/core/units/mass';
import { CURRENCIES, parseAmount } from '@/core/units/money';
import { BeadFields, FindingFields, StoneFields, SupplyFields } from '../drawers/receive.input';
import { ReadsBy, ReadsMoney, ReadsOneOf, ReadsPastDay, ReadsText } from '../kernel/rules';
import { WireFields } from '../wire/receiveWire.input';

/** Wares that are bought. */
export const DELIVERED = ['wire', 'bead', 'stone', 'finding', 'supply'] as const;
export type DeliveredWare = (typeof DELIVERED)[number];

/** How a line of a delivery may have been got. */
const GOT = ['paid', 'free'] as const;

/** What is said of every line besides what it is. */
export interface LineFields {
  ware: string;
  /** Paid, or a gift that was put in. */
  costIs: string;
  /** Before postage and tax, in the invoice's currency; of a gift it is not asked. */
  price: string;
  /** Where it is put. */
  place: string;
  /** What it weighs with its packing, where the postage is shared by weight and the wire's own weight does not say it. */
  weight: string;
}

/** An input class with the fields of a line of a delivery besides its own. */
function Delivered<Own extends object>(Base: new () => Own): new () => Own & LineFields {
  class DeliveredInput extends (Base as new () => object) implements LineFields {
    @ReadsOneOf(DELIVERED, 'what came') ware!: string;
    @ReadsOneOf(GOT, 'how it was got') costIs!: string;
    @ReadsBy<DeliveredInput>('readsLinePrice', (text, { costIs }) => {
      if (costIs === 'free') return ok(null);
      const read = parseAmount(text);
      return read.ok && read.value.money === 0
        ? refuse(`“${text}” is nothing; say that it was a gift, or what it cost.`)
        : read;
    })
    price!: string;
    @ReadsText(120) place!: string;
    @ReadsBy('readsWeight', (text) => (text.trim() === '' ? ok(null) : parseMass(text))) weight!: string;
  }
  return DeliveredInput as unknown as new () => Own & LineFields;
}

export class WireLine extends Delivered(WireFields) {}
export class BeadLine extends Delivered(BeadFields) {}
export class StoneLine extends Delivered(StoneFields) {}
export class FindingLine extends Delivered(FindingFields) {}
export class SupplyLine extends Delivered(SupplyFields) {}

/** A line that does not say what came. */
class UnknownLine {
  @ReadsOneOf(DELIVERED, 'what came') ware!: string;
}

/** A line of a delivery, by its ware. */
export type DeliveryLine = WireLine | BeadLine | StoneLine | FindingLine | SupplyLine;

/** Several purchases that came together. */
export class DeliveryInput {
  @ReadsText(120) supplier!: string;
  @ReadsPastDay() boughtOn!: string;
  /** What stands on the invoice. */
  @ReadsText(400) note!: string;
  /** Of the invoice. */
  @ReadsOneOf(CURRENCIES.map(({ code }) => code), 'a currency')
  currency!: string;
  @ReadsMoney({ zero: true, empty: true }) postage!: string;
  /** Tax that is not got back. */
  @ReadsMoney({ zero: true, empty: true }) tax!: string;
  @ReadsOneOf(SHARED_BY, 'what the postage is shared by') sharedBy!: string;
  /** What the invoice came to in the studio's currency; only when it is in another. */
  @IsOptional() @ReadsMoney({ empty: true }) cameTo?: string;

  @IsArray()
  @ArrayMinSize(1, { message: 'A delivery has one line at least.' })
  @ArrayMaxSize(80, { message: 'A delivery has at most 80 lines.' })
  @ValidateNested({ each: true })
  @Type(() => UnknownLine, {
    discriminator: {
      property: 'ware',
      subTypes: [
        { name: 'wire', value: WireLine },
        { name: 'bead', value: BeadLine },
        { name: 'stone', value: StoneLine },
        { name: 'finding', value: FindingLine },
        { name: 'supply', value: SupplyLine },
      ],
    },
    keepDiscriminatorProperty: true,
  })
  lines!: DeliveryLine[];
}
