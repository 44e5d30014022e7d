import type { BatchTakings } from '@/studio/batches/batchTakings';
import { sayMonth } from '@/core/calendar/day';
import { FEW } from '@/core/selling/earned';
import type { Likely } from '@/core/selling/likelyPrice';
import { counted } from '@/core/units/counted';
import { Cost, Money, MoneyAbout } from '@/ui/money';

interface ExpectedTakingsProps {
  readonly takings: BatchTakings;
  readonly priceFrom: 'actual' | 'replacement';
}

/** What a batch should cost and bring, line by line, and what its hours earn. */
export function ExpectedTakings({
  takings: { lines, together, around, channels },
  priceFrom,
}: ExpectedTakingsProps) {
  const uncosted = [...new Set(lines.flatMap((line) => line.uncosted))];
  const isReckoned = lines.some(({ sale, isForDrawer }) => sale.isReckoned && !isForDrawer);
  return (
    <section className="leaf mt-4 overflow-x-auto p-4" aria-label="Expected takings">
      <h2>
        {lines.every(({ isForDrawer }) => isForDrawer) ? (
          'What it costs, for your own drawers'
        ) : (
          <>
            Should bring <Money of={together.price} />
            {together.perHour !== null && (
              <>
                ; its hours earn <MoneyAbout of={together.perHour} /> each
              </>
            )}
          </>
        )}
      </h2>
      <table className="table table-sm mt-2">
        <thead>
          <tr>
            <th scope="col">Pieces</th>
            <th scope="col" className="text-right">
              Materials each
            </th>
            <th scope="col" className="text-right">
              Cost each
            </th>
            <th scope="col" className="text-right">
              Price each
            </th>
            <th scope="col" className="text-right">
              An hour earns
            </th>
            <th scope="col" className="text-right">
              Together
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map(
            ({
              line,
              count,
              name,
              isForDrawer,
              likely,
              sale: { sheet, price, split, isReckoned: reckoned },
            }) => (
              <tr key={line}>
                <th scope="row" className="font-normal [overflow-wrap:anywhere]">
                  {count} × {name}
                </th>
                <td className="text-right">
                  <Cost of={sheet.materials[priceFrom]} />
                </td>
                <td className="text-right">
                  <Cost of={sheet.total[priceFrom]} />
                </td>
                {isForDrawer ? (
                  <td colSpan={3} className="text-right">
                    for your own drawers
                  </td>
                ) : (
                  <>
                    <td className="text-right font-semibold">
                      <Money of={price} />
                      {reckoned && '*'}
                      {likely && <LikeIt likely={likely} />}
                    </td>
                    <td className="text-right">
                      {split?.perHour === null || split === undefined ? (
                        '—'
                      ) : (
                        <MoneyAbout of={split.perHour} />
                      )}
                    </td>
                    <td className="text-right">
                      <MoneyAbout of={price * count} />
                    </td>
                  </>
                )}
              </tr>
            ),
          )}
        </tbody>
      </table>
      <p className="muted mt-2 text-sm">
        At what such pieces sell for with you, in these months most of all, drawn toward the last price on a
        tag while few were sold; and at {priceFrom === 'replacement' ? 'today’s cost' : 'what was paid'}.
        {isReckoned && ' * No piece of it has a price yet: the price that keeps your margin.'}
      </p>
      {channels.length > 0 && (
        <p className="text-sm">
          Around {sayMonth(around.slice(0, 7)).replace(/ \d+$/, '')} such pieces were sold in{' '}
          {channels.map(({ channel, pieces, price: paid, days }, index) => (
            <span key={channel}>
              {index > 0 && '; '}
              {channel}: {pieces} at <MoneyAbout of={paid / pieces} /> each, after{' '}
              {counted(Math.round(days / pieces), 'day')}
            </span>
          ))}
          .
        </p>
      )}
      {uncosted.length > 0 && (
        <p className="text-sm font-semibold">
          No cost is known of {uncosted.join(', ')}; nothing is counted for it.
        </p>
      )}
    </section>
  );
}

/** How many like it were sold, and after how long; of few, that little is known. */
function LikeIt({ likely: { sold, days } }: { likely: Likely }) {
  return (
    <span className="muted block text-sm font-normal">
      {sold === 0 ? 'none sold yet' : `${sold} sold, after ${counted(Math.round(days ?? 0), 'day')}`}
      {sold > 0 && sold < FEW && ': little is known'}
    </span>
  );
}
