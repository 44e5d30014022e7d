import { tag } from '@/core/tag';
import { um } from '@/core/units/length';
import { cost, sumCosts } from '@/core/units/money';
import { twist, twistedProfile } from '@/core/wire/twist';
import { specKey } from '@/core/wire/spec';
import { invalid, refused } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { Posting } from '../ledger/posting';
import { settingsIn } from '../settings/settings';
import { ensurePlace } from '../stock/places';
import { lockOne, quantityWithin } from '../stock/takeOut';
import { ensureSpec, specsById } from '../catalogue/wireSpecs';
import { TwistWireInput } from './twistWire.input';

/** Makes twisted stock out of a square wire, or of two rounds: it carries all they carried. */
export const twistWire = posts(
  'twistWire',
  { input: TwistWireInput },
  async ({ tx, postKey }, input, number: number) => {
    const { lengthSystem } = await settingsIn(tx);
    const first = await lockOne(tx, 'wire', number);
    const other = input.second;
    const second = other === null || other === number ? undefined : await lockOne(tx, 'wire', other);
    const spec = (await specsById(tx, [first.articleId])).get(first.articleId);
    if (!spec) throw new Error(`the spec of ${tag('wire', number)} vanished`);
    if (second && second.articleId !== first.articleId)
      throw invalid(
        'second',
        `${tag('wire', second.number)} is not the same wire; two of the same are twisted together.`,
      );
    if (second && twistedProfile(spec) !== 'twisted pair')
      throw invalid('second', 'A square wire is twisted on its own; leave this empty.');

    const before = quantityWithin('before', input.before, first, { ware: 'wire' }, lengthSystem);
    const pair = twistedProfile(spec) === 'twisted pair';
    // Both strands from one wire: it must hold twice the length.
    if (pair && !second) quantityWithin('before', `${2 * before} µm`, first, { ware: 'wire' }, lengthSystem);
    if (second) quantityWithin('before', input.before, second, { ware: 'wire' }, lengthSystem);
    const twisted = twist({
      spec,
      before: um(before),
      after: input.after,
      turns: input.turns,
    });
    if (!twisted.ok) throw refused(twisted.error, { after: twisted.error });
    const made = await ensureSpec(tx, twisted.value);

    const posting = new Posting(tx, postKey).hold(first, ...(second ? [second] : []));
    const reason = `${input.turns} turns`;
    const shares = second
      ? [
          posting.take(first.id, 'twisted', before, { reason }),
          posting.take(second.id, 'twisted', before, { reason }),
        ]
      : [posting.take(first.id, 'twisted', pair ? 2 * before : before, { reason })];
    const placeId = (await ensurePlace(tx, input.place)) ?? first.placeId;
    const stock = {
      ware: 'wire',
      articleId: made.id,
      sortKey: specKey(made),
      lotId: null,
      form: 'coil',
      placeId,
    } as const;
    const from = [first, ...(second ? [second] : [])].map((each) => tag('wire', each.number)).join(' and ');
    const id = posting.open(stock, 'twisted', input.after, cost(sumCosts(shares)), {
      reason: `from ${from}`,
    });
    return { number: (await posting.commit()).get(id) ?? 0 };
  },
);
