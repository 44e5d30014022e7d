import type { Figure } from '@/core/learning/ruling';
import type { PatternBody, PatternKind } from '@/core/pattern/pattern';
import type { PieceState } from '@/core/selling/life';
import type { Micrometres } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import { big, bool, byDefault, float, instant, int, json, key, maybe, text, uuid } from '../columns';
import { belongsTo, mayBelongTo, table } from '../table';
import { Article, Photo, Place } from './articles';
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
    /** The ring size that it has, as it is said: what the mandrel said, or what it was made for; empty for what has none. */
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
    /** What its pattern says of both; null for what was made before it was kept. */
    plannedMinutes: byDefault(maybe(float()), null),
    plannedSetUpMinutes: byDefault(maybe(float()), null),
    /** Of a ring: the inside diameter that was wanted, and what the mandrel said when it was finished. */
    wantedInside: byDefault(maybe(big<Micrometres>()), null),
    finishedInside: byDefault(maybe(big<Micrometres>()), null),
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
    /** What was noted while it was made. */
    note: byDefault(text(), ''),
    /** Why it is sold as less than it should be; empty when it is as it should be. */
    flaw: byDefault(text(), ''),
    /** What it weighs on the scale when it is finished; null when nobody weighed it. */
    weighedUg: byDefault(maybe(big<Micrograms>()), null),
    /** Where it is in its life, and since when; null since it was made. */
    state: byDefault(text<PieceState>(), 'on the shelf'),
    stateSince: byDefault(maybe(instant()), null),
    /** The box, the case or the shelf that it lies in. */
    placeId: byDefault(maybe(uuid<'place'>()), null),
    /** Photographs of it. */
    frontPhotoId: byDefault(maybe(uuid<'photo'>()), null),
    backPhotoId: byDefault(maybe(uuid<'photo'>()), null),
  },
  {
    pattern: belongsTo(Pattern, 'patternId'),
    made: belongsTo(PatternRevision, 'patternId', 'revision'),
    user: belongsTo(User, 'userId'),
    /** What it became in the drawers. */
    drawerStock: mayBelongTo(StockPiece, 'drawerStockId'),
    place: mayBelongTo(Place, 'placeId'),
    frontPhoto: mayBelongTo(Photo, 'frontPhotoId'),
    backPhoto: mayBelongTo(Photo, 'backPhotoId'),
  },
);

/** What each wire of a making was planned as and came to. Pieces that were made before it was kept have none. */
export const WireLog = table(
  'wire_log',
  {
    pieceId: key(uuid<'piece'>()),
    cutIndex: key(int()),
    copy: key(int()),
    /** As the pattern calls it. */
    name: text(),
    /** What is learned from it: the work that the wire is for. */
    subject: text(),
    patternId: uuid<'pattern'>(),
    userId: uuid<'user'>(),
    articleId: uuid<'article'>(),
    madeAt: instant(),
    /** Length to cut as planned, and what of it was to be trimmed off again. */
    planned: big<Micrometres>(),
    tails: big<Micrometres>(),
    /** What was really cut, and what of it came back. */
    cut: big<Micrometres>(),
    back: big<Micrometres>(),
    /** Whether the maker said so; otherwise it is as planned, or as another piece was. */
    isMeasured: bool(),
  },
  {
    piece: belongsTo(Piece, 'pieceId'),
    pattern: belongsTo(Pattern, 'patternId'),
    user: belongsTo(User, 'userId'),
    article: belongsTo(Article, 'articleId'),
  },
);

/** How long each step of a making took that was timed. */
export const StepLog = table(
  'step_log',
  {
    pieceId: key(uuid<'piece'>()),
    /** Its place in the order of work, from 0. */
    step: key(int()),
    name: text(),
    /** What is learned from it: the work that it is a step of. */
    subject: text(),
    patternId: uuid<'pattern'>(),
    userId: uuid<'user'>(),
    madeAt: instant(),
    plannedMinutes: float(),
    minutes: float(),
  },
  {
    piece: belongsTo(Piece, 'pieceId'),
    pattern: belongsTo(Pattern, 'patternId'),
    user: belongsTo(User, 'userId'),
  },
);

/** What an owner says against the log: from when on it counts for a figure, or what goes in its place. */
export const RulingRow = table(
  'rulings',
  {
    figure: key(text<Figure>()),
    /** What the figure is of: the work of a wire, or the tag of a pattern. */
    subject: key(text()),
    since: maybe(instant()),
    fixed: maybe(float()),
    userId: uuid<'user'>(),
    ruledAt: instant(),
  },
  { user: belongsTo(User, 'userId') },
);
