import { usefulMinimumFor } from '@/core/making/settle';
import { tag } from '@/core/tag';
import { cost } from '@/core/units/money';
import { describeMetal } from '@/core/wire/spec';
import { posts } from '../kernel/posts';
import { enterLabour } from '../ledger/labour';
import { Posting } from '../ledger/posting';
import { throwAway, TOO_SHORT } from '../ledger/throwAway';
import { minimumsOf, settingsIn } from '../settings/settings';
import { ensurePlace } from '../stock/places';
import { quantityWithin } from '../stock/takeOut';
import { lockWire } from '../wire/taggedWire';
import { ensureFinding } from './receive';
import { MakeFindingsInput } from './makeFindings.input';

/**
 * Makes findings out of wire, jump rings say: they come into stock with what the wire cost and the hours they took; what is left too
 * short is scrapped at their expense.
 */
export const makeFindings = posts(
  'makeFindings',
  { input: MakeFindingsInput },
  async ({ tx, postKey }, input) => {
    const settings = await settingsIn(tx);
    const { count } = input;
    const { wire, spec } = await lockWire(tx, input.from);
    const length = quantityWithin('length', input.length, wire, { ware: 'wire' }, settings.lengthSystem);
    const made = await ensureFinding(tx, {
      finding: input.finding,
      material: describeMetal(spec),
      size: input.size,
    });
    const reason = `${count} × ${input.finding} made`;
    const posting = new Posting(tx, postKey).hold(wire);
    let share = posting.take(wire.id, 'cut', length, { reason });
    const left = posting.balance(wire.id);
    const minimum = usefulMinimumFor(spec, minimumsOf(settings));
    if (left.quantity > 0 && left.quantity < minimum) {
      // The tail nobody keeps is at the expense of what was made.
      const tail = await throwAway(posting, { id: wire.id, spec }, 'scrapped', left.quantity, TOO_SHORT);
      share = cost(share + tail);
    }
    const placeId = await ensurePlace(tx, input.place);
    const labour = await enterLabour(tx, postKey, input.minutes, settings);
    const id = posting.open(
      { ware: 'finding', ...made, lotId: null, form: 'pack', placeId },
      'made',
      count,
      cost(share + labour),
      { reason: `of ${input.length} of ${tag('wire', wire.number)}` },
    );
    return { number: (await posting.commit()).get(id) ?? 0 };
  },
);
