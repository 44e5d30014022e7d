import { COST_IS_WORDS } from '@/core/stock/costIs';
import type { Measure } from '@/core/stock/amount';
import { pathOf, tag } from '@/core/tag';
import { formatMoney } from '@/core/units/money';
import type { LotView } from '@/studio/stock/history';
import { Amount } from '@/ui/Amount';
import { Link } from '@/ui/Link';
import { Money } from '@/ui/money';
import { MoneyIn } from '@/ui/MoneyIn';
import { Day } from '@/ui/When';
import type { ReactNode } from 'react';
import { Fact } from './HistoryTable';

/** Where something was bought and what was paid for it; a way to buy the same again for the owner, who sees prices. */
export function LotFacts({
  lot,
  measure,
  again,
  children,
}: {
  lot: LotView;
  measure: Measure;
  /** Address of the form that buys the same again. */
  again: string;
  /** What more is said of the price. */
  children?: ReactNode;
}) {
  const { boughtOn, supplier, label, costIs, note, delivery, price, paid, paidCurrency, extras, quantity } =
    lot;
  return (
    <>
      <Fact name={costIs === 'free' ? 'Got' : 'Bought'}>
        <Day at={boughtOn} />
        {supplier && ` from ${supplier}`}
        {label && `, as ${label.replace(/ AWG$/, ' ga')}`}
        {costIs !== 'paid' && ` · ${COST_IS_WORDS[costIs]}`}
        {note && <span className="muted"> · {note}</span>}
      </Fact>
      {price !== null && (
        <Fact name={costIs === 'estimated' ? 'Estimated' : 'Paid'}>
          {price > 0 ? (
            <>
              <Money of={price} /> for <Amount {...measure} of={quantity} />
            </>
          ) : (
            'nothing'
          )}
          {children}
          {paid !== null && <MoneyIn of={paid} currency={paidCurrency} />}
          {extras !== null && extras > 0 && `, ${formatMoney(extras, paidCurrency)} of it postage and tax`}
          <span className="no-print">
            {delivery !== null && (
              <>
                {' · '}
                <Link className="link" href={pathOf('delivery', delivery)}>
                  {tag('delivery', delivery)}
                </Link>
              </>
            )}
            {' · '}
            <Link className="link" href={again}>
              buy the same again
            </Link>
          </span>
        </Fact>
      )}
    </>
  );
}
