import { redirect } from 'next/navigation';
import { needsSetUp } from '@/studio/people/setUpStudio';
import { SetUpForm } from './SetUpForm';

export const metadata = { title: 'Set up your studio' };

export default async function SetUpPage() {
  if (!(await needsSetUp())) redirect('/sign-in');
  return (
    <main className="mx-auto max-w-2xl p-4 md:p-8">
      <p className="font-display text-lg font-bold">Pewterer</p>
      <h1 className="mt-2">Set up your studio: eight answers, then the first spool</h1>
      <p className="muted mt-2">
        Rates, lengths and the studio’s name can be changed later; the currency until the first wire comes in.
      </p>
      <SetUpForm />
    </main>
  );
}
