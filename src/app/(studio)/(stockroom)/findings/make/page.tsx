import { purchaseHints } from '@/app/lib/hints';
import { pageMember } from '@/app/lib/member';
import { MakeFindingsForm } from './MakeFindingsForm';

export const metadata = { title: 'Make findings' };

export default async function MakeFindingsPage() {
  const { session } = await pageMember();
  return (
    <>
      <h1>What findings were made, of how much of which wire?</h1>
      <div className="leaf mt-4 max-w-3xl p-4">
        <MakeFindingsForm places={(await purchaseHints(session)).places} />
      </div>
    </>
  );
}
