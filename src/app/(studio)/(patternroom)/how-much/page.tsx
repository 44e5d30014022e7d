import { Suspense } from 'react';
import { pageMember } from '@/app/lib/member';
import type { Search } from '@/app/lib/search';
import { TECHNIQUES } from '@/core/techniques/registry';
import { offerOf, takesWire } from '@/core/technique/technique';
import { tradeWiresBeside } from '@/core/wire/tradeWires';
import { priceBook } from '@/studio/prices/priceBook';
import { readSettings } from '@/studio/settings/settings';
import { listSpecs } from '@/studio/catalogue/wireSpecs';
import { askedHowMuch } from './askedHowMuch';
import type { Pricing } from './question';
import { QuickAnswer } from './QuickAnswer';
import type { StudioSession } from '@/studio/kernel/useCase';

export const metadata = { title: 'How much wire' };

export default async function HowMuchPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const asked = await askedHowMuch(searchParams);
  const technique = asked?.technique ?? TECHNIQUES[0];
  if (!technique) return null;
  const pricing = await pricingOf(session);
  return (
    // A browser fetches the technique by itself; what is drawn here stands until then.
    <Suspense>
      <QuickAnswer
        initialId={technique.id}
        initialTexts={asked?.texts ?? {}}
        offered={TECHNIQUES.filter(takesWire).map(offerOf)}
        pricing={pricing}
      />
    </Suspense>
  );
}

/** What everything costs, for the owner. */
async function pricingOf(session: StudioSession): Promise<Pricing | null> {
  const book = await priceBook(session);
  if (!book) return null;
  const specs = await listSpecs(session);
  return { book, rules: await readSettings(session), specs: [...specs, ...tradeWiresBeside(specs)] };
}
