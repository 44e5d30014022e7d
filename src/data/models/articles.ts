import type { Ware } from '@/core/stock/ware';
import type { Micrometres } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import type { MinorUnits } from '@/core/units/money';
import type { GaugeSystem } from '@/core/wire/gauge';
import type { Finish, MetalId, Temper } from '@/core/wire/metal';
import type { Profile } from '@/core/wire/profile';
import { big, byDefault, bytes, instant, int, key, maybe, text, uuid } from '../columns';
import { belongsTo, mayBelongTo, table } from '../table';

/** A photograph, made small and stripped of everything but the picture. Never changed. */
export const Photo = table('photos', {
  photoId: key(uuid<'photo'>()),
  mediaType: text(),
  width: int(),
  height: int(),
  bytes: bytes(),
  takenIn: instant(),
});

/** Where in the studio something is kept: a drawer, a peg, a tin. */
export const Place = table('places', {
  placeId: key(uuid<'place'>()),
  name: text(),
  /** The order in which one goes round when counting. */
  position: int(),
});

/** A kind of empty spool, with what it weighs. */
export const SpoolType = table('spool_types', {
  spoolTypeId: key(uuid<'spool type'>()),
  name: text(),
  emptyMassUg: big<Micrograms>(),
});

/** What something in stock is: a wire, a kind of bead, a stone, a finding, a supply, a metal's scrap. */
export const Article = table(
  'articles',
  {
    articleId: key(uuid<'article'>()),
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
    photoId: byDefault(maybe(uuid<'photo'>()), null),
  },
  {
    photo: mayBelongTo(Photo, 'photoId'),
  },
);

/** One kind of wire: same metal, profile, size, temper and finish. Never changed once written. */
export const WireSpecRow = table(
  'wire_specs',
  {
    /** The same as its article's. */
    specId: key(uuid<'article'>()),
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
  },
  {
    article: belongsTo(Article, 'specId'),
  },
);
