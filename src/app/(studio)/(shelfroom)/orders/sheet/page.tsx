import { pageOwner } from '@/app/lib/member';
import { patternChoices } from '@/studio/patterns/patterns';
import { MOST_OFFERED } from '@/studio/paper/lineSheet';
import { orderChoices } from '../orderForm';
import { SheetForm } from './SheetForm';

export const metadata = { title: 'Line sheet' };

/** What is shown to a shop: patterns with their pictures and prices, on paper. */
export default async function LineSheetPage() {
  const { session } = await pageOwner();
  const { channels } = await orderChoices(session);
  const patterns = await patternChoices(session);
  return (
    <>
      <h1>What do you show to shops?</h1>
      <p className="muted">
        Each pattern with its picture, and the last price on a tag as the way of selling has it. Up to{' '}
        {MOST_OFFERED} of them.
      </p>
      <SheetForm
        channels={channels.map(({ id, name }) => ({ value: id, text: name }))}
        patterns={patterns.map(({ number, name }) => ({ number, name }))}
        most={MOST_OFFERED}
      />
    </>
  );
}
