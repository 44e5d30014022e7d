import type { ShadeGroup } from '@/core/bead/symmetricalSet';
import type { MovementKind } from '@/core/stock/movement';
import type { StockForm, Ware } from '@/core/stock/ware';
import type { Micrometres } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import type { GaugeSystem } from '@/core/wire/gauge';
import type { Finish, MetalId, Temper } from '@/core/wire/metal';
import type { Profile } from '@/core/wire/profile';
import { big, byDefault, instant, int, json, key, maybe, serial, text, uuid } from '../columns';
import { table } from '../table';

/** Where in the studio something is kept: a drawer, a peg, a tin. */
export const Place = table('places', {
  placeId: key(uuid()),
  name: text(),
  /** The order in which one goes round when counting. */
  position: int(),
});

/** A kind of empty spool, with what it weighs. */
export const SpoolType = table('spool_types', {
  spoolTypeId: key(uuid()),
  name: text(),
  emptyMassUg: big<Micrograms>(),
});

/** What something in stock is: a wire, a kind of bead, a stone, a finding, a supply, a metal's scrap. */
export const Article = table('articles', {
  articleId: key(uuid()),
  ware: text<Ware>(),
  name: text(),
  /** How it is said, lower case, for finding it by words. */
  said: text(),
  /** Equal for the same stock only, whatever order it is kept in. */
  identity: text(),
  /** Sorts as the stock is kept. */
  sortKey: text(),
  minimumBy: byDefault(text<'none' | 'typed' | 'use'>(), 'none'),
  minimum: byDefault(big(), 0),
  soldBy: byDefault(big(), 0),
  priceBy: byDefault(text<'paid' | 'typed' | 'spot'>(), 'paid'),
  /** Basis points over the metal's price. */
  premium: byDefault(int(), 0),
  fabricationPerMetre: byDefault(big<MinorUnits>(), 0),
  version: byDefault(int(), 1),
  photoId: byDefault(maybe(uuid()), null),
});

/** One kind of wire: same metal, profile, size, temper and finish. Never changed once written. */
export const WireSpecRow = table('wire_specs', {
  /** The same as its article's. */
  specId: key(uuid()),
  metal: text<MetalId>(),
  profile: text<Profile>(),
  widthUm: int<Micrometres>(),
  heightUm: int<Micrometres>(),
  /** Turns per metre of twisted stock; 0 for the rest. */
  twist: int(),
  temper: text<Temper>(),
  finish: text<Finish>(),
  finishName: text(),
  gaugeSystem: text<GaugeSystem>(),
  gaugeNumber: text(),
});

/** One physical thing in stock with what is left of it and of its cost. */
export const StockPiece = table('stock_pieces', {
  stockPieceId: key(uuid()),
  ware: text<Ware>(),
  number: int(),
  articleId: uuid(),
  lotId: maybe(uuid()),
  form: text<StockForm>(),
  /** In the ware's unit: µm of wire, single things, thousandths of a supply's unit, µg of scrap. */
  initialQuantity: big(),
  quantity: big(),
  costUnits: big<CostUnits>(),
  sortKey: text(),
  placeId: maybe(uuid()),
  spoolTypeId: byDefault(maybe(uuid()), null),
  emptyMassUg: byDefault(maybe(big<Micrograms>()), null),
  note: byDefault(text(), ''),
  version: byDefault(int(), 1),
  /** Shade groups of a strand, light to dark. */
  shades: byDefault(json<readonly ShadeGroup[]>(), []),
  createdAt: instant(),
});

/** One change of one stock piece. Never changed, never taken away. */
export const Movement = table('movements', {
  movementId: serial(),
  postKey: uuid(),
  happenedAt: instant(),
  userId: uuid(),
  kind: text<MovementKind>(),
  stockPieceId: uuid(),
  /** What the stock piece was at the time. */
  articleId: uuid(),
  /** Signed: what the stock piece gained. */
  quantity: big(),
  costUnits: big<CostUnits>(),
  reason: text(),
  lotId: maybe(uuid()),
  pieceId: maybe(uuid()),
  /** The batch that it was done for. */
  batchId: maybe(uuid()),
  /** The movement that this one undoes. */
  reverses: maybe(big()),
});

/** One reading taken of a spool. Never changed. */
export const Weighing = table('weighings', {
  weighingId: serial(),
  postKey: uuid(),
  stockPieceId: uuid(),
  weighedAt: instant(),
  userId: uuid(),
  grossUg: big<Micrograms>(),
  emptyUg: big<Micrograms>(),
  resolutionUg: big<Micrograms>(),
  beforeUm: big<Micrometres>(),
  afterUm: big<Micrometres>(),
  uncertaintyUm: big<Micrometres>(),
  /** What spoke against the reading, and why it was taken nevertheless. */
  warning: text(),
  overrideReason: text(),
});
