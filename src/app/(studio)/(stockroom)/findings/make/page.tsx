import { purchaseHints } from '@/app/lib/hints';
import { pageMember } from '@/app/lib/member';
import { searched, type Search } from '@/app/lib/search';
import { FINDINGS } from '@/core/stock/finding';
import { MakeFindingsForm } from './MakeFindingsForm';

export const metadata = { title: 'Make findings' };

const ASKED = ['finding', 'size', 'from', 'length', 'count', 'minutes'] as const;

export default async function MakeFindingsPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const { finding, ...asked } = await searched(searchParams, ASKED);
  const known = FINDINGS.find((each) => each === finding);
  const given = Object.fromEntries(Object.entries(asked).map(([field, text]) => [field, text.slice(0, 60)]));
  return (
    <>
      <h1>What findings were made, of how much of which wire?</h1>
      <div className="leaf mt-4 max-w-3xl p-4">
        <MakeFindingsForm
          places={(await purchaseHints(session)).places}
          asked={{ ...given, ...(known ? { finding: known } : {}) }}
        />
      </div>
    </>
  );
}
