import { pageMember } from '@/app/lib/member';
import { tag } from '@/core/tag';
import { showStall, type StallPiece } from '@/studio/selling/stall';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { KeepHere } from '@/ui/kept/KeepHere';
import { Stall } from './Stall';

export const metadata = { title: 'At the stall' };

/** What a card shows of a piece: its photograph, or how it is drawn. */
const pictureOf = ({ number, photo }: StallPiece): string =>
  photo === null ? `/pictures/${tag('piece', number)}.svg` : `/photos/${photo}`;

/** Selling at a stall, on the phone: with a connection or without. */
export default async function StallPage() {
  const { session } = await pageMember();
  const { pieces, channels } = await showStall(session);
  if (channels.length === 0)
    return (
      <EmptyPlace
        title="Where do you sell?"
        next={
          session.role === 'owner'
            ? { href: '/channels', text: 'Write down where you sell' }
            : { href: '/shelf', text: 'To the shelf' }
        }
      >
        A fair is written down once, with its fees and its tax; then its stall can be opened here.
      </EmptyPlace>
    );
  return (
    <>
      <KeepHere also={pieces.map(pictureOf)} />
      <Stall studio={session.studioId} pieces={pieces} channels={channels} />
    </>
  );
}
