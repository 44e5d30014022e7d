import type { ChannelKind, FeeBasis } from '@/core/selling/channel';
import type { PatternKind } from '@/core/pattern/pattern';
import type { PaidBy } from '@/core/selling/sale';
import type { PieceTurn } from '@/core/selling/life';
import type { SaleTyped } from '@/core/selling/stall';
import type { TaxKind, TaxRounding } from '@/core/selling/tax';
import type { Supposed } from '@/core/selling/whatIf';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import type { BasisPoints } from '@/core/units/percent';
import {
  big,
  bool,
  byDefault,
  date,
  float,
  instant,
  int,
  json,
  key,
  maybe,
  serial,
  text,
  uuid,
} from '../columns';
import { belongsTo, mayBelongTo, table } from '../table';
import { Place } from './articles';
import { Pattern, Piece } from './making';
import { User } from './studio';

/** A way that pieces leave the studio for money, and what selling there costs. */
export const Channel = table('channels', {
  channelId: key(uuid<'channel'>()),
  kind: text<ChannelKind>(),
  name: text(),
  feePercent: int<BasisPoints>(),
  feeOn: text<FeeBasis>(),
  feeFixed: big<MinorUnits>(),
  postageAsked: big<MinorUnits>(),
  postage: big<MinorUnits>(),
  packing: big<MinorUnits>(),
  taxKind: text<TaxKind>(),
  taxPercent: int<BasisPoints>(),
  taxRounding: text<TaxRounding>(),
  /** So much of the price on a tag is asked there, and what prices there end in. */
  pricePercent: byDefault(int<BasisPoints>(), 10_000),
  endings: byDefault(json<MinorUnits[]>(), []),
  /** Whether anything is sold there any more. */
  isOpen: byDefault(bool(), true),
  version: byDefault(int(), 1),
});

/** Something that was sold, or came back: then all of its money is less than nothing. Neither is ever changed. */
export const Sale = table(
  'sales',
  {
    saleId: key(uuid<'sale'>()),
    /** On its receipt; they run without gaps. */
    number: int(),
    channelId: uuid<'channel'>(),
    /** The sale that something came back of; null for what was sold. */
    returnOf: byDefault(maybe(uuid<'sale'>()), null),
    soldOn: date(),
    /** Who bought it, as it stands on the receipt; may be empty. */
    buyer: text(),
    note: text(),
    paidBy: text<PaidBy>(),
    /** What was handed over in cash, where that was told. */
    given: byDefault(maybe(big<MinorUnits>()), null),
    taxKind: text<TaxKind>(),
    taxPercent: int<BasisPoints>(),
    net: big<MinorUnits>(),
    tax: big<MinorUnits>(),
    gross: big<MinorUnits>(),
    /** What of it was paid before it was handed over. */
    paidBefore: byDefault(big<MinorUnits>(), 0),
    /** The day that an invoice is to be paid by; null where it is paid at once. */
    payBy: byDefault(maybe(date()), null),
    /** Where its buyer is, as an invoice says it; may be empty. */
    address: byDefault(text(), ''),
    /** What the channel keeps, and what packing and sending cost. */
    fees: big<MinorUnits>(),
    sending: big<MinorUnits>(),
    postKey: uuid<'post'>(),
    userId: uuid<'user'>(),
    postedAt: instant(),
  },
  {
    channel: belongsTo(Channel, 'channelId'),
    user: belongsTo(User, 'userId'),
  },
);

/** One piece of a sale, or what its buyer paid for being sent it. */
export const SaleLine = table(
  'sale_lines',
  {
    saleId: key(uuid<'sale'>()),
    line: key(int()),
    pieceId: maybe(uuid<'piece'>()),
    /** The price that was asked, and what it was sold for. */
    asked: big<MinorUnits>(),
    price: big<MinorUnits>(),
    net: big<MinorUnits>(),
    tax: big<MinorUnits>(),
    gross: big<MinorUnits>(),
    /** What of fees and sending is its own. */
    fees: big<MinorUnits>(),
    sending: big<MinorUnits>(),
    /** What the piece stood in the books at. */
    costUnits: big<CostUnits>(),
    channelId: uuid<'channel'>(),
    /** The day of its receipt, and the day that its piece was sold on: of what comes back an earlier one. */
    soldOn: date(),
    stoodOn: date(),
    /** One that is sold, one less of what comes back; none of what buyers pay to be sent it. */
    pieces: byDefault(int(), 0),
    /** What the piece is, and what it took as its cost sheet said; nothing for what buyers pay to be sent it. */
    patternId: byDefault(maybe(uuid<'pattern'>()), null),
    kind: byDefault(text<PatternKind | ''>(), ''),
    /** The metal that most of its wire is of. */
    metal: byDefault(text(), ''),
    materials: byDefault(big<CostUnits>(), 0),
    replaced: byDefault(big<CostUnits>(), 0),
    minutes: byDefault(float(), 0),
    labour: byDefault(big<CostUnits>(), 0),
    overhead: byDefault(big<CostUnits>(), 0),
    /** From the bench to the buyer. */
    days: byDefault(int(), 0),
  },
  {
    sale: belongsTo(Sale, 'saleId'),
    piece: mayBelongTo(Piece, 'pieceId'),
    pattern: mayBelongTo(Pattern, 'patternId'),
    channel: belongsTo(Channel, 'channelId'),
  },
);

/** What happened to a finished piece. */
export const PieceEvent = table(
  'piece_events',
  {
    eventId: serial(),
    pieceId: uuid<'piece'>(),
    turn: text<PieceTurn>(),
    /** The event that it takes back; null for what happened. */
    undoes: byDefault(maybe(big()), null),
    placeId: byDefault(maybe(uuid<'place'>()), null),
    /** For whom, to whom, or which shop; may be empty. */
    who: byDefault(text(), ''),
    note: byDefault(text(), ''),
    /** What of its cost came into the finished pieces, or left them. */
    costUnits: big<CostUnits>(),
    /** The sale that it was sold by, or came back by. */
    saleId: byDefault(maybe(uuid<'sale'>()), null),
    postKey: uuid<'post'>(),
    userId: uuid<'user'>(),
    happenedAt: instant(),
  },
  {
    piece: belongsTo(Piece, 'pieceId'),
    place: mayBelongTo(Place, 'placeId'),
    user: belongsTo(User, 'userId'),
    sale: mayBelongTo(Sale, 'saleId'),
  },
);

/** A sale that was made at a stall and could not be entered as it was told. */
export const UnsettledSale = table(
  'stall_sales',
  {
    stallSaleId: key(uuid<'stall sale'>()),
    /** When it was made, on the clock of its device, and when the studio heard of it. */
    madeAt: instant(),
    heardAt: instant(),
    userId: uuid<'user'>(),
    typed: json<SaleTyped>(),
    /** Why it could not be entered, as a sentence. */
    why: text(),
    settledAt: byDefault(maybe(instant()), null),
    settledBy: byDefault(maybe(uuid<'user'>()), null),
    /** The sale that it was entered as in the end; null where it was none. */
    saleId: byDefault(maybe(uuid<'sale'>()), null),
    note: byDefault(text(), ''),
  },
  {
    user: belongsTo(User, 'userId'),
    settler: mayBelongTo(User, 'settledBy'),
    sale: mayBelongTo(Sale, 'saleId'),
  },
);

/** What it cost to stand somewhere on a day: stall rent, the way there. */
export const StallCost = table(
  'stall_costs',
  {
    stallCostId: key(uuid<'stall cost'>()),
    channelId: uuid<'channel'>(),
    day: date(),
    amount: big<MinorUnits>(),
    note: byDefault(text(), ''),
    userId: uuid<'user'>(),
    postedAt: instant(),
    struckAt: byDefault(maybe(instant()), null),
  },
  {
    channel: belongsTo(Channel, 'channelId'),
    user: belongsTo(User, 'userId'),
  },
);

/** What somebody supposed of prices and rates, to look at it again. */
export const Scenario = table(
  'scenarios',
  {
    scenarioId: key(uuid<'scenario'>()),
    name: text(),
    supposed: json<Supposed>(),
    userId: uuid<'user'>(),
    keptAt: instant(),
  },
  { user: belongsTo(User, 'userId') },
);

/** Somebody who buys. What they bought is found by the name on its receipts. */
export const Customer = table('customers', {
  customerId: key(uuid<'customer'>()),
  name: text(),
  contact: byDefault(text(), ''),
  ringSizes: byDefault(text(), ''),
  wishes: byDefault(text(), ''),
  since: instant(),
  version: byDefault(int(), 1),
});
