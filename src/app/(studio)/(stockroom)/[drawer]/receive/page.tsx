import { drawerOf } from '@/app/lib/drawers';
import { purchaseHints } from '@/app/lib/hints';
import { pageOwner } from '@/app/lib/member';
import { asked, type Search } from '@/app/lib/search';
import { purchaseAgain } from '@/studio/deliveries/again';
import { AgainQuery } from '@/studio/deliveries/deliveries.input';
import { ReceiveBeads, ReceiveFindings, ReceiveStone, ReceiveSupply } from './ReceiveForms';

export const metadata = { title: 'Receive' };

const FORMS = {
  bead: ReceiveBeads,
  stone: ReceiveStone,
  finding: ReceiveFindings,
  supply: ReceiveSupply,
} as const;
const ASKS = {
  bead: 'What beads came in, and what was paid for them?',
  stone: 'What does the calliper say of the stone, and what was paid for it?',
  finding: 'What findings came in, and what was paid for them?',
  supply: 'What supply came in, and how much does a piece take of it?',
} as const;

export default async function ReceiveDrawerPage({
  params,
  searchParams,
}: {
  params: Promise<{ drawer: string }>;
  searchParams: Search;
}) {
  const { ware } = drawerOf((await params).drawer);
  const { session } = await pageOwner();
  const { again } = await asked(searchParams, AgainQuery);
  const Form = FORMS[ware];
  return (
    <>
      <h1>{ASKS[ware]}</h1>
      <div className="leaf mt-4 max-w-4xl p-4">
        <Form hints={await purchaseHints(session)} again={await purchaseAgain(session, again ?? '')} />
      </div>
    </>
  );
}
