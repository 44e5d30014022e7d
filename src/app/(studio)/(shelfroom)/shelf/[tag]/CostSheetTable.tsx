import type { CostSheet } from '@/core/costing/costSheet';
import { COST_WORDS } from '@/ui/costWords';
import { Cost } from '@/ui/money';

/** What one piece cost: at what was paid, and at what it would cost to make again today. */
export function CostSheetTable({
  sheet,
  priceFrom,
}: {
  sheet: CostSheet;
  priceFrom: 'actual' | 'replacement';
}) {
  const strong = (column: 'actual' | 'replacement') =>
    column === priceFrom ? 'text-right font-semibold' : 'text-right';
  return (
    <section className="leaf overflow-x-auto p-4">
      <h2>What it cost</h2>
      <table className="table table-sm mt-2">
        <thead>
          <tr>
            <th scope="col">
              <span className="sr-only">What for</span>
            </th>
            <th className="text-right">Paid</th>
            <th className="text-right">To replace today</th>
          </tr>
        </thead>
        <tbody>
          {sheet.lines.map(({ id, actual, replacement }) => (
            <tr key={id} className={actual === 0 && replacement === 0 ? 'muted' : ''}>
              <th scope="row" className="font-normal">
                {COST_WORDS[id]}
              </th>
              <td className={strong('actual')}>
                <Cost of={actual} />
              </td>
              <td className={strong('replacement')}>
                <Cost of={replacement} />
              </td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr className="text-base text-base-content">
            <th scope="row">Together</th>
            <td className={strong('actual')}>
              <Cost of={sheet.total.actual} />
            </td>
            <td className={strong('replacement')}>
              <Cost of={sheet.total.replacement} />
            </td>
          </tr>
        </tfoot>
      </table>
      <p className="muted mt-2 text-sm">
        Prices are set on {priceFrom === 'replacement' ? 'the cost to replace' : 'what was paid'}.{' '}
        {Number(sheet.minutes.toFixed(1))} minutes of bench time.
      </p>
    </section>
  );
}
