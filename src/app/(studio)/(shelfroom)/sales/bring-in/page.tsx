import { pageOwner } from '@/app/lib/member';
import { openChannels } from '@/studio/selling/sales';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { Link } from '@/ui/Link';
import { BringIn } from './BringIn';

export const metadata = { title: 'Sales from a file' };

/** Sales that a page or a shop wrote into a file are entered, each with its receipt. */
export default async function BringInPage() {
  const { session } = await pageOwner();
  const channels = await openChannels(session);
  if (channels.length === 0)
    return (
      <EmptyPlace title="Where do you sell?" next={{ href: '/channels', text: 'Write down where you sell' }}>
        A page of your own, a shop on commission: write it down first, with what it keeps.
      </EmptyPlace>
    );
  return (
    <>
      <p className="muted no-print">
        <Link href="/sales" className="link">
          Sales
        </Link>
      </p>
      <h1>Sales from a file</h1>
      <p className="muted">
        A CSV or a spreadsheet with a row for each piece: its tag, its price, the day. A file that is read
        twice enters nothing twice.
      </p>
      <BringIn channels={channels.map(({ id, name }) => ({ id, name }))} />
    </>
  );
}
