import { redirect } from 'next/navigation';
import { pageMember } from './lib/member';

/** The studio opens at the wire. */
export default async function Home() {
  await pageMember();
  redirect('/rack');
}
