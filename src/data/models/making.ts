import type { PatternBody, PatternKind } from '@/core/pattern/pattern';
import type { Micrograms } from '@/core/units/mass';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import { big, byDefault, float, instant, int, json, key, maybe, text, uuid } from '../columns';
import { belongsTo, mayBelongTo, table } from '../table';
import { StockPiece } from './stock';
import { User } from './studio';

/** A pattern as it is listed; what it says is in its revisions. */
export const Pattern = table('patterns', {
  patternId: key(uuid<'pattern'>()),
  number: int(),
  /** The newest revision. */
  revision: int(),
  name: text(),
  kind: text<PatternKind>(),
  createdAt: instant(),
});

/** What a pattern said at one time. A finished piece keeps the revision it was made from. */
export const PatternRevision = table(
  'pattern_revisions',
  {
    patternId: key(uuid<'pattern'>()),
    revision: key(int()),
    body: json<PatternBody>(),
    userId: uuid<'user'>(),
    writtenAt: instant(),
  },
  {
    pattern: belongsTo(Pattern, 'patternId'),
    user: belongsTo(User, 'userId'),
  },
);

/** One finished, numbered object with what it took. */
export const Piece = table(
  'pieces',
  {
    pieceId: key(uuid<'piece'>()),
    number: int(),
    patternId: uuid<'pattern'>(),
    revision: int(),
    name: text(),
    kind: text<PatternKind>(),
    /** The ring size that it was made in, as it is said; empty for what has none. */
    size: byDefault(text(), ''),
    userId: uuid<'user'>(),
    madeAt: instant(),
    wireCost: big<CostUnits>(),
    wireReplacement: big<CostUnits>(),
    scrapCost: big<CostUnits>(),
    scrapReplacement: big<CostUnits>(),
    spoilageCost: big<CostUnits>(),
    spoilageReplacement: big<CostUnits>(),
    partsCost: big<CostUnits>(),
    /** Of it, what was paid for beads, stones and findings that left the drawers. */
    partsTaken: byDefault(big<CostUnits>(), 0),
    minutes: float(),
    setUpMinutes: float(),
    sharedBy: int(),
    /** Rates as they were when it was made. */
    hourlyRate: big<MinorUnits>(),
    overheadPerHour: big<MinorUnits>(),
    /** Wire that is in the piece, by computation. */
    wireMassUg: big<Micrograms>(),
    goingPrice: maybe(big<MinorUnits>()),
    school: maybe(text()),
    price: maybe(big<MinorUnits>()),
    version: byDefault(int(), 1),
    /** When its making was taken back: then it never was. */
    struckAt: byDefault(maybe(instant()), null),
    /** Supplies that every piece uses up, at what they cost and at today's price. */
    suppliesCost: byDefault(big<CostUnits>(), 0),
    suppliesReplacement: byDefault(big<CostUnits>(), 0),
    /** The findings it became, when it went into the drawers; null for what stands on the shelf. */
    drawerStockId: byDefault(maybe(uuid<'stock piece'>()), null),
  },
  {
    pattern: belongsTo(Pattern, 'patternId'),
    made: belongsTo(PatternRevision, 'patternId', 'revision'),
    user: belongsTo(User, 'userId'),
    /** What it became in the drawers. */
    drawerStock: mayBelongTo(StockPiece, 'drawerStockId'),
  },
);
