import { pageOwner } from '@/app/lib/member';
import { listScenarios } from '@/studio/selling/pricesNow';
import { PricesRoom } from './PricesRoom';

export const metadata = { title: 'Prices' };

/** The prices of the whole shelf: what is worth looking at, and what would be if something were otherwise. */
export default async function PricesPage() {
  const { session } = await pageOwner();
  return (
    <>
      <h1>Prices of the whole shelf</h1>
      <p className="muted">
        Each piece at what its wire, its stones and its hours cost today, sold with the fees and the tax of
        your house rules.
      </p>
      <PricesRoom scenarios={await listScenarios(session)} />
    </>
  );
}
