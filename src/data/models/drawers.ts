import type { BeadShape } from '@/core/bead/bead';
import type { Vec } from '@/core/geometry/vector';
import type { SupplyUnit } from '@/core/stock/amount';
import type { FindingKind } from '@/core/stock/finding';
import type { HoleAxis, OutlineKind } from '@/core/stone/stone';
import type { Micrometres } from '@/core/units/length';
import { big, byDefault, int, json, key, text, uuid } from '../columns';
import { belongsTo, table } from '../table';
import { Article } from './articles';

/** One kind of bead. Never changed once written. */
export const Bead = table(
  'beads',
  {
    articleId: key(uuid<'article'>()),
    material: text(),
    shape: text<BeadShape>(),
    minUm: int<Micrometres>(),
    maxUm: int<Micrometres>(),
    holeUm: int<Micrometres>(),
  },
  {
    article: belongsTo(Article, 'articleId'),
  },
);

/** One stone as it was measured. */
export const Stone = table(
  'stones',
  {
    articleId: key(uuid<'article'>()),
    material: text(),
    outline: text<OutlineKind>(),
    lengthUm: int<Micrometres>(),
    widthUm: int<Micrometres>(),
    depthUm: int<Micrometres>(),
    /** Height of its edge, which the holds go round. */
    edgeUm: int<Micrometres>(),
    holeAxis: text<HoleAxis>(),
    holeUm: int<Micrometres>(),
    /** Places of its edge, mm from the middle of its measures; none while it was not traced. */
    traced: byDefault(json<readonly Vec[]>(), []),
  },
  {
    article: belongsTo(Article, 'articleId'),
  },
);

/** One kind of finding. Never changed once written. */
export const Finding = table(
  'findings',
  {
    articleId: key(uuid<'article'>()),
    finding: text<FindingKind>(),
    material: text(),
    size: text(),
  },
  {
    article: belongsTo(Article, 'articleId'),
  },
);

/** One supply: polish, antiquing, packaging. */
export const Supply = table(
  'supplies',
  {
    articleId: key(uuid<'article'>()),
    unit: text<SupplyUnit>(),
    /** Thousandths of the unit that every finished piece uses up. */
    perPiece: big(),
  },
  {
    article: belongsTo(Article, 'articleId'),
  },
);
