import type { Id } from '@/core/id';
import { groupsOf } from '@/core/bead/groupsOf';
import { countOut } from '@/core/bead/symmetricalSet';
import { tag } from '@/core/tag';
import { cost } from '@/core/units/money';
import { StockPiece } from '@/data/models/stock';
import { refused } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { Posting } from '../ledger/posting';
import { ensurePlace } from '../stock/places';
import { lockOne } from '../stock/takeOut';
import type { ShadeGroup } from '@/core/bead/symmetricalSet';
import { CountOutSetInput } from './countOutSet.input';

/** Counts a symmetrical set out of a strand into a lot of its own, with its share of the cost and its shades. */
export const countOutSet = posts(
  'countOutSet',
  { input: CountOutSetInput },
  async ({ tx, postKey }, input, number: number) => {
    const strand = await lockOne(tx, 'bead', number);
    const row = await StockPiece.findOne({
      where: { stockPieceId: strand.id },
      rejectOnEmpty: true,
    });
    const groups = groupsOf(strand.quantity, row.shades);
    const set = countOut(groups, input.aSide, input.withCentre);
    if (!set.enough) {
      throw refused(
        `${tag('bead', number)} yields ${set.most} a side${input.withCentre ? ' with one in the middle only if a bead is left over' : ''}; ${input.aSide} were wanted. Nothing was posted.`,
      );
    }
    const taken = groups.map(({ name, count }, index) => ({
      name,
      count: count - (set.shades[index]?.left ?? 0),
    }));
    const quantity = taken.reduce((sum, { count }) => sum + count, 0);
    const reason = `a set of ${set.shades.reduce((sum, { aSide }) => sum + aSide, 0)} a side from ${tag('bead', number)}`;
    const posting = new Posting(tx, postKey).hold(strand);
    const share = posting.take(strand.id, 'split', quantity, { reason });
    const { articleId, sortKey, lotId } = strand;
    const placeId = (await ensurePlace(tx, input.place)) ?? strand.placeId;
    const id = posting.open(
      { ware: 'bead', articleId, sortKey, lotId, form: 'loose', placeId },
      'split',
      quantity,
      cost(share),
      { reason },
    );
    const made = (await posting.commit()).get(id) ?? 0;
    const isShade = ({ name }: ShadeGroup) => row.shades.some((shade) => shade.name === name);
    const left = row.shades.map(({ name, count }) => ({
      name,
      count: count - (taken.find((each) => each.name === name)?.count ?? 0),
    }));
    const keep = (stockPieceId: Id<'stock piece'>, shades: readonly ShadeGroup[]) =>
      tx.change(StockPiece, { stockPieceId }, { shades: shades.filter(({ count }) => count > 0) });
    await keep(strand.id, left);
    await keep(id, taken.filter(isShade));
    return { number: made, set };
  },
);
