import { earnedBy } from '@/core/selling/earned';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { minor, toMinor, type MinorUnits } from '@/core/units/money';
import type { PieceEarned } from '@/studio/selling/earned';
import { Link } from '@/ui/Link';
import { Money } from '@/ui/money';
import { Day } from '@/ui/When';

/** What a piece really earned when it was sold, from what was paid to what its hours brought. */
export function ItEarned({ earned: { sale, channel, soldOn, line } }: { earned: PieceEarned }) {
  const { forHours, anHour, profit } = earnedBy(line);
  const less = (amount: number): MinorUnits => minor(0 - amount);
  const rows: readonly (readonly [what: string, amount: MinorUnits])[] = [
    ['Paid for it, without tax', line.takings],
    ['Fees', less(line.fees)],
    ['Packing and sending', less(line.sending)],
    ['Standing there', less(toMinor(line.standing))],
    ['Materials', less(toMinor(line.materials))],
    ['Overhead', less(toMinor(line.overhead))],
  ];
  return (
    <section className="leaf mt-4 p-4" aria-label="What it earned">
      <h2>
        It earned <Money of={forHours} />
        {anHour !== null && (
          <>
            : <Money of={anHour} /> an hour
          </>
        )}
      </h2>
      <p className="muted">
        {channel}, <Day at={soldOn} />, after {counted(line.days, 'day')} ·{' '}
        <Link className="link" href={`/sales/${tag('sale', sale)}`}>
          {tag('sale', sale)}
        </Link>
      </p>
      <dl className="mt-2 grid max-w-md grid-cols-[1fr_auto] gap-x-6">
        {rows
          .filter(([, amount]) => amount !== 0)
          .map(([what, amount]) => (
            <div key={what} className="contents">
              <dt>{what}</dt>
              <dd className="text-right">
                <Money of={amount} />
              </dd>
            </div>
          ))}
        <div className="contents font-semibold">
          <dt className="border-t border-base-300">
            For its {Math.round(line.minutes)} minutes at the bench
          </dt>
          <dd className="border-t border-base-300 text-right">
            <Money of={forHours} />
          </dd>
        </div>
      </dl>
      <p className="mt-1">
        {profit < 0 ? (
          <>
            That does not pay its hours: <Money of={minor(0 - profit)} /> less than they cost.
          </>
        ) : (
          <>
            Over what its hours cost: <Money of={profit} />.
          </>
        )}{' '}
        {line.replaced !== line.materials && (
          <>
            To buy its materials again was <Money of={toMinor(line.replaced)} /> then.
          </>
        )}
      </p>
    </section>
  );
}
