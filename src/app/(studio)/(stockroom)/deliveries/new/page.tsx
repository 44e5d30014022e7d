import { purchaseHints } from '@/app/lib/hints';
import { pageOwner } from '@/app/lib/member';
import { asked, type Search } from '@/app/lib/search';
import { numberOnTag } from '@/core/tag';
import { deliveryAgain } from '@/studio/deliveries/deliveries';
import { AgainQuery } from '@/studio/deliveries/deliveries.input';
import { DeliveryForm } from '../DeliveryForm';

export const metadata = { title: 'Receive a delivery' };

export default async function NewDeliveryPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageOwner();
  const number = numberOnTag('delivery', (await asked(searchParams, AgainQuery)).again ?? '');
  const again = number === undefined ? null : await deliveryAgain(session, number);
  return (
    <>
      <h1>What came in one delivery, and what did it cost?</h1>
      <DeliveryForm hints={await purchaseHints(session)} again={again} />
    </>
  );
}
