import { listSuppliers } from '@/studio/wire/rack';
import { pageOwner } from '../../../lib/member';
import { ReceiveWireForm } from './ReceiveWireForm';

export const metadata = { title: 'Receive wire' };

export default async function ReceivePage() {
  const { session } = await pageOwner();
  return (
    <>
      <h1>What wire came in, and what was paid for it?</h1>
      <ReceiveWireForm
        suppliers={await listSuppliers(session)}
        today={session.now.toISOString().slice(0, 10)}
      />
    </>
  );
}
