import { checksOf, type Checks } from '@/core/bench/checks';
import { isAlike } from '@/core/isAlike';
import { Studio } from '@/data/models/studio';
import { posts } from '../kernel/posts';
import { SetChecksInput } from './setChecks.input';
import { settingsIn } from './settings';

/** Says what finished pieces of a kind are looked at for. Sittings that go on keep what they began with. */
export const setChecks = posts(
  'setChecks',
  { input: SetChecksInput, by: 'owner' },
  async ({ tx }, { kind, checks }) => {
    const others: Checks = { ...(await settingsIn(tx)).checks, [kind]: undefined };
    // What a studio begins with stays what it is as the product learns more of it, as long as nobody wrote otherwise.
    const now: Checks = isAlike(checks, checksOf({}, kind)) ? others : { ...others, [kind]: checks };
    await tx.change(Studio, {}, { checks: now });
    return null;
  },
);
