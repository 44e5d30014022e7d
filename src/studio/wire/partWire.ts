import type { WireForm } from '@/core/stock/ware';
import { tag } from '@/core/tag';
import { cost } from '@/core/units/money';
import { posts } from '../kernel/posts';
import { Posting } from '../ledger/posting';
import { settingsIn } from '../settings/settings';
import { ensurePlace } from '../stock/places';
import { lockOne, quantityWithin } from '../stock/takeOut';
import { PartWireInput } from './partWire.input';

/** Winds a bobbin from a spool, or cuts a length off by hand: the part keeps its share of the cost and its purchase. */
export const partWire = posts(
  'partWire',
  { input: PartWireInput },
  async ({ tx, postKey }, input, number: number) => {
    const { lengthSystem } = await settingsIn(tx);
    const source = await lockOne(tx, 'wire', number);
    const length = quantityWithin('length', input.length, source, { ware: 'wire' }, lengthSystem);
    const placeId = (await ensurePlace(tx, input.place)) ?? source.placeId;
    const posting = new Posting(tx, postKey).hold(source);
    const reason = `${input.form === 'bobbin' ? 'wound' : 'cut'} from ${tag('wire', number)}`;
    const share = posting.take(source.id, 'split', length, { reason });
    const { articleId, sortKey, lotId } = source;
    const part = { ware: 'wire', articleId, sortKey, lotId, form: input.form as WireForm, placeId } as const;
    const id = posting.open(part, 'split', length, cost(share), { reason });
    return { number: (await posting.commit()).get(id) ?? 0 };
  },
);
