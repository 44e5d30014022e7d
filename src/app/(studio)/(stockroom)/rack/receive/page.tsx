import { purchaseHints } from '@/app/lib/hints';
import { pageOwner } from '@/app/lib/member';
import { ReceiveWireForm } from './ReceiveWireForm';

export const metadata = { title: 'Receive wire' };

export default async function ReceivePage() {
  const { session } = await pageOwner();
  return (
    <>
      <h1>What wire came in, and what was paid for it?</h1>
      <ReceiveWireForm hints={await purchaseHints(session)} />
    </>
  );
}
