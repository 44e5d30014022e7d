import { pageMember } from '@/app/lib/member';
import { textsAsked, type Search } from '@/app/lib/search';
import { todayOf } from '@/studio/kernel/useCase';
import { customerNames } from '@/studio/selling/customers';
import { forSale, openChannels } from '@/studio/selling/sales';
import { MOST_SOLD } from '@/studio/selling/sell.input';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { SellForm } from './SellForm';

export const metadata = { title: 'Sell' };

/** Pieces are sold together. */
export default async function SellingPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const { pieces = '', channel = '' } = await textsAsked(searchParams);
  const numbers = pieces
    .split('.')
    .flatMap((each) => (/^\d{1,8}$/.test(each) ? [Number(each)] : []))
    .slice(0, MOST_SOLD);
  const [open, begun] = [await openChannels(session), await forSale(session, numbers)];
  // Where it is sold stands first when it is said.
  const channels = [...open.filter(({ id }) => id === channel), ...open.filter(({ id }) => id !== channel)];
  if (channels.length === 0)
    return session.role === 'owner' ? (
      <EmptyPlace title="Where do you sell?" next={{ href: '/channels', text: 'Write down where you sell' }}>
        A fair, a shop on commission, a page of your own: each keeps its part of a sale. Write down one, and
        pieces can be sold there.
      </EmptyPlace>
    ) : (
      <EmptyPlace title="Nothing is sold yet" next={{ href: '/shelf', text: 'To the shelf' }}>
        The owner has not written down where pieces are sold.
      </EmptyPlace>
    );
  return (
    <SellForm
      key={`${channel} ${begun.map(({ number }) => number).join('.')}`}
      channels={channels}
      begun={begun}
      today={todayOf(session)}
      names={await customerNames(session)}
    />
  );
}
