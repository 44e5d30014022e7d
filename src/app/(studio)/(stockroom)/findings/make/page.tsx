import { purchaseHints } from '@/app/lib/hints';
import { pageMember } from '@/app/lib/member';
import { asked, type Search } from '@/app/lib/search';
import { FindingsAsked } from '@/studio/drawers/makeFindings.input';
import { MakeFindingsForm } from './MakeFindingsForm';

export const metadata = { title: 'Make findings' };

export default async function MakeFindingsPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  return (
    <>
      <h1>What findings were made, of how much of which wire?</h1>
      <div className="leaf mt-4 max-w-3xl p-4">
        <MakeFindingsForm
          places={(await purchaseHints(session)).places}
          asked={await asked(searchParams, FindingsAsked)}
        />
      </div>
    </>
  );
}
