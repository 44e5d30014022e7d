import { Link } from '@/ui/Link';
import { pathOf, tag } from '@/core/tag';
import type { Measure } from '@/core/stock/amount';
import { reservationsOf } from '@/studio/reservations/reservationsOf';
import type { StudioSession } from '@/studio/kernel/useCase';
import { Amount } from '@/ui/Amount';
import { Fact } from './HistoryTable';

/** What of a stock piece lies aside for which batch; nothing when none does. */
export async function SetAsideFact({
  session,
  of,
  measure,
}: {
  session: StudioSession;
  of: string;
  measure: Measure;
}) {
  const reserved = await reservationsOf(session, of);
  if (reserved.length === 0) return null;
  return (
    <Fact name="Set aside">
      {reserved.map(({ number, name, quantity }) => (
        <span key={number} className="block min-h-7">
          <Amount {...measure} of={quantity} /> for{' '}
          <Link className="link" href={pathOf('batch', number)}>
            {tag('batch', number)}
          </Link>{' '}
          {name}
        </span>
      ))}
    </Fact>
  );
}
