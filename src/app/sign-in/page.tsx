import { redirect } from 'next/navigation';
import { needsSetUp } from '@/studio/people/setUpStudio';
import { DEMO_OWNER, isDemo } from '../lib/demo';
import { currentMember } from '../lib/member';
import { ForgetKept } from '@/ui/kept/ForgetKept';
import { SignInForm } from './SignInForm';

export const metadata = { title: 'Sign in' };

export default async function SignInPage() {
  if (await needsSetUp()) redirect('/set-up');
  if (await currentMember()) redirect('/rack');
  return (
    <main className="mx-auto max-w-md p-4 md:mt-12">
      <p className="font-display text-lg font-bold">Pewterer</p>
      <h1 className="mt-2">Sign in to the studio</h1>
      {isDemo() && (
        <p className="leaf mt-4 p-3">
          This is the demonstration studio. Sign in as <strong>{DEMO_OWNER.login}</strong> with the password{' '}
          <strong>{DEMO_OWNER.password}</strong>.
        </p>
      )}
      <SignInForm />
      <ForgetKept />
    </main>
  );
}
