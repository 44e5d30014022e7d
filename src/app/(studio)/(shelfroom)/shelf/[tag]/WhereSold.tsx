import { leastPrice, reckonSale } from '@/core/selling/channel';
import { priceIn } from '@/core/selling/channelPrice';
import { currencyOf, minor, toMinor, type CostUnits, type MinorUnits } from '@/core/units/money';
import type { KnownChannel } from '@/studio/selling/channels';
import { Money } from '@/ui/money';

/** What a piece is asked for in each channel, and what that leaves over its cost. */
export function WhereSold({
  channels,
  price,
  cost,
  currency,
}: {
  channels: readonly KnownChannel[];
  price: MinorUnits;
  /** What it costs, hours and overhead with it. */
  cost: CostUnits;
  currency: string;
}) {
  if (channels.length === 0) return null;
  const { places } = currencyOf(currency);
  return (
    // However many ways of selling there are, a piece goes on one page of paper.
    <section className="leaf no-print mt-4 overflow-x-auto p-4" aria-label="Where it could be sold">
      <h2>Where it could be sold</h2>
      <table className="table table-sm mt-2">
        <thead>
          <tr>
            <th scope="col">Where</th>
            <th scope="col" className="text-right">
              Asked
            </th>
            <th scope="col" className="text-right">
              Comes to you
            </th>
            <th scope="col" className="text-right">
              Over its cost
            </th>
          </tr>
        </thead>
        <tbody>
          {channels.map(({ id, name, terms, rounding, pricing }) => {
            const asked = priceIn(price, pricing, places);
            const { left } = reckonSale([asked], terms, rounding);
            const over = left - toMinor(cost);
            return (
              <tr key={id}>
                <th scope="row">
                  {name}
                  {over < 0 && <Below least={leastPrice(toMinor(cost), terms)} />}
                </th>
                <td className="text-right font-semibold">
                  <Money of={asked} />
                </td>
                <td className="text-right">
                  <Money of={left} />
                </td>
                <td className={`text-right ${over < 0 ? 'font-semibold text-error' : ''}`}>
                  <Money of={minor(over)} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

/** That it would sell below its cost there, and what would pay. */
const Below = ({ least }: { least: MinorUnits | null }) => (
  <span className="block border-l-4 border-warning pl-2 font-normal">
    below its cost there
    {least !== null && (
      <>
        ; <Money of={least} /> would pay it
      </>
    )}
  </span>
);
