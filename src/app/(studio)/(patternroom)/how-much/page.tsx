import { pageMember } from '@/app/lib/member';
import { techniqueOf, TECHNIQUES } from '@/core/technique/registry';
import { QuickAnswer } from './QuickAnswer';

export const metadata = { title: 'How much wire' };

/** Longest text that an address carries for a field: a traced outline has hundreds of figures. */
const MOST = 5000;

export default async function HowMuchPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  await pageMember();
  const { of, ...asked } = await searchParams;
  const first = TECHNIQUES[0];
  const technique = (typeof of === 'string' ? techniqueOf(of) : undefined) ?? first;
  const texts = Object.fromEntries(
    Object.entries(asked).flatMap(([field, text]) =>
      typeof text === 'string' ? [[field, text.slice(0, MOST)]] : [],
    ),
  );
  return technique ? <QuickAnswer initialId={technique.id} initialTexts={texts} /> : null;
}
