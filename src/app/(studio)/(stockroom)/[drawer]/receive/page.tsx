import { drawerOf } from '@/app/lib/drawers';
import { purchaseHints } from '@/app/lib/hints';
import { pageOwner } from '@/app/lib/member';
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

export default async function ReceiveDrawerPage({ params }: { params: Promise<{ drawer: string }> }) {
  const { ware } = drawerOf((await params).drawer);
  const { session } = await pageOwner();
  const Form = FORMS[ware];
  return (
    <>
      <h1>{ASKS[ware]}</h1>
      <div className="leaf mt-4 max-w-4xl p-4">
        <Form hints={await purchaseHints(session)} />
      </div>
    </>
  );
}
