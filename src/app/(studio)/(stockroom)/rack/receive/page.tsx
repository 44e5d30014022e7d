import { purchaseHints } from '@/app/lib/hints';
import { pageOwner } from '@/app/lib/member';
import { listSpecs } from '@/studio/wire/specs';
import { ReceiveWireForm } from './ReceiveWireForm';

export const metadata = { title: 'Receive wire' };

export default async function ReceivePage() {
  const { session } = await pageOwner();
  const [hints, specs] = await Promise.all([purchaseHints(session), listSpecs(session)]);
  return (
    <>
      <h1>What wire came in, and what was paid for it?</h1>
      <ReceiveWireForm hints={hints} specs={specs} />
    </>
  );
}
