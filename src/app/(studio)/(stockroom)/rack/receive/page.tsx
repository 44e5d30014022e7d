import { purchaseHints } from '@/app/lib/hints';
import { pageOwner } from '@/app/lib/member';
import { asked, type Search } from '@/app/lib/search';
import { purchaseAgain } from '@/studio/deliveries/again';
import { AgainQuery } from '@/studio/deliveries/deliveries.input';
import { listSpecs } from '@/studio/catalogue/wireSpecs';
import { ReceiveWireForm } from './ReceiveWireForm';

export const metadata = { title: 'Receive wire' };

export default async function ReceivePage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageOwner();
  const { again } = await asked(searchParams, AgainQuery);
  const [hints, specs, bought] = await Promise.all([
    purchaseHints(session),
    listSpecs(session),
    purchaseAgain(session, again ?? ''),
  ]);
  return (
    <>
      <h1>What wire came in, and what was paid for it?</h1>
      <ReceiveWireForm hints={hints} specs={specs} again={bought} />
    </>
  );
}
