import { pageOwner } from '@/app/lib/member';
import { textsAsked, type Search } from '@/app/lib/search';
import { counted } from '@/core/units/counted';
import { listScenarios, trayNow } from '@/studio/selling/pricesNow';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { PricesRoom } from './PricesRoom';
import { TrayPrices } from './TrayPrices';

export const metadata = { title: 'Prices' };

/** The prices of the whole shelf, or of the pieces of a tray: `?pieces=12.13`. */
export default async function PricesPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageOwner();
  const { pieces = '' } = await textsAsked(searchParams);
  const numbers = pieces.split('.').flatMap((each) => (/^\d{1,8}$/.test(each) ? [Number(each)] : []));
  if (numbers.length > 0) {
    const tray = await trayNow(session, numbers);
    return tray.pieces.length === 0 ? (
      <EmptyPlace title="None of these is to be had any more" next={{ href: '/shelf', text: 'To the shelf' }}>
        What is sold or given away is not priced again.
      </EmptyPlace>
    ) : (
      <>
        <h1>Price {counted(tray.pieces.length, 'piece')} together</h1>
        <p className="muted">At what each takes today; pieces of a name are priced alike.</p>
        <TrayPrices tray={tray} />
      </>
    );
  }
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
