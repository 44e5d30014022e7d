'use client';

import { useState } from 'react';
import { useFieldArray, type Control } from 'react-hook-form';
import { FEW } from '@/core/selling/earned';
import { REVIEW_REASONS, type PriceProposal, type ReviewReason } from '@/core/selling/review';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import type { PricesNow } from '@/studio/selling/pricesNow';
import { MOST_REPRICED, RepriceInput } from '@/studio/selling/pricesNow.input';
import { typedMoney } from '@/app/lib/basket/BasketFields';
import { useCurrency } from '@/ui/currency';
import { MoneyField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { Link } from '@/ui/Link';
import { Money, MoneyAbout } from '@/ui/money';
import { SmallPicture } from '@/ui/SmallPicture';
import { repriceAction } from './actions';

/** So many of a kind are shown, and so many more when they are asked for. */
const SHOWN = 12;

const REASON_SAID: Readonly<Record<ReviewReason, (count: number) => string>> = {
  'under cost': (count) => `${counted(count, 'piece')} ${count === 1 ? 'sells' : 'sell'} under cost`,
  'goes at once': (count) => `${counted(count, 'piece')} of what goes at once`,
  stands: (count) => `${counted(count, 'piece')} that ${count === 1 ? 'stands' : 'stand'} and stand`,
};
const REASON_HINT: Readonly<Record<ReviewReason, string>> = {
  'under cost':
    'What is left of the price after fees and tax is less than what the piece costs today. Proposed is the lowest price that pays.',
  'goes at once':
    'Pieces of these patterns were sold in half of the usual time or less. Proposed is a tenth more.',
  stands:
    'On the shelf for twice as long as is usual, and for three months at least. Proposed is a tenth less, and nothing under cost.',
};

/** Prices that are worth looking at, changed together where their owner says so. */
export function ReviewPrices({
  prices,
  onChanged,
}: {
  prices: PricesNow;
  /** Told the tags of those whose prices are changed. */
  onChanged: (tags: readonly string[]) => void;
}) {
  const { proposals, shelf, unpriced } = prices;
  const currency = useCurrency();
  const { form, submit, problem, sending } = useStudioForm({
    input: RepriceInput,
    defaultValues: { pieces: [] },
    typedFor: null,
    send: async (key, values) => {
      const answer = await repriceAction(key, values);
      return answer.ok ? { ok: true, value: values.pieces.map(({ piece }) => String(piece)) } : answer;
    },
    onDone: onChanged,
  });
  const { control } = form;
  const { fields, append, remove } = useFieldArray({ control, name: 'pieces' });
  const chosen = new Map(fields.map(({ piece }, index) => [String(piece), index]));
  const rowOf = ({ number, price, proposed }: PriceProposal) => ({
    piece: tag('piece', number),
    from: typedMoney(price, currency),
    price: typedMoney(proposed, currency),
  });
  const choose = (some: readonly PriceProposal[]) =>
    append(some.filter(({ number }) => !chosen.has(tag('piece', number))).map(rowOf), { shouldFocus: false });
  const names = new Map(shelf.map(({ number, name }) => [number, name]));
  return (
    <section className="mt-4" aria-label="Worth looking at">
      <h2>
        {proposals.length === 0
          ? 'Every price stands'
          : `${counted(proposals.length, 'price')} of ${shelf.length} ${proposals.length === 1 ? 'is' : 'are'} worth looking at`}
        {unpriced > 0 && <span className="muted"> · {unpriced} without a price</span>}
      </h2>
      <FormBox onSubmit={submit}>
        {REVIEW_REASONS.map((reason) => (
          <Reviewed
            key={reason}
            reason={reason}
            proposals={proposals.filter((each) => each.reason === reason)}
            names={names}
            chosen={chosen}
            control={control}
            onChoose={choose}
            onLeave={(index) => remove(index)}
          />
        ))}
        {fields.length > 0 && (
          <div className="sticky bottom-14 z-10 mt-3 border-t-2 border-base-content bg-base-100 px-1 pb-3 md:bottom-0">
            <FormEnd
              problem={problem}
              sending={sending}
              action={`Change ${counted(fields.length, 'price')}`}
              busy="Changing …"
            />
          </div>
        )}
      </FormBox>
    </section>
  );
}

function Reviewed({
  reason,
  proposals,
  names,
  chosen,
  control,
  onChoose,
  onLeave,
}: {
  reason: ReviewReason;
  proposals: readonly PriceProposal[];
  names: ReadonlyMap<number, string>;
  /** Where in the form a piece is, by its tag. */
  chosen: ReadonlyMap<string, number>;
  control: Control<RepriceInput>;
  onChoose: (some: readonly PriceProposal[]) => void;
  onLeave: (index: number) => void;
}) {
  const [most, setMost] = useState(SHOWN);
  if (proposals.length === 0) return null;
  const shown = proposals.slice(0, most);
  return (
    <section className="leaf mt-3 p-4" aria-label={reason}>
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h3>{REASON_SAID[reason](proposals.length)}</h3>
        <button
          type="button"
          className="btn no-print min-h-11"
          onClick={() => onChoose(shown.slice(0, MOST_REPRICED))}
        >
          Choose {shown.length === 1 ? 'it' : `these ${shown.length}`}
        </button>
      </div>
      <p className="muted">{REASON_HINT[reason]}</p>
      <ul className="mt-2 divide-y divide-base-300">
        {shown.map((each) => {
          const at = tag('piece', each.number);
          const index = chosen.get(at);
          return (
            <li
              key={each.number}
              className="grid grid-cols-[4rem_minmax(0,1fr)] items-center gap-x-3 py-2 sm:grid-cols-[4rem_minmax(0,1fr)_9rem_12rem]"
            >
              <SmallPicture
                of="piece"
                number={each.number}
                name={names.get(each.number) ?? at}
                className="h-16 w-16"
              />
              <span className="[overflow-wrap:anywhere]">
                <Link className="link font-semibold" href={`/shelf/${at}`}>
                  {names.get(each.number)}
                </Link>{' '}
                <span className="muted">{at}</span>
                <Known proposal={each} />
              </span>
              <span className="max-sm:col-start-2">
                leaves <MoneyAbout of={each.leaves} />, would leave{' '}
                <strong>
                  <MoneyAbout of={each.wouldLeave} />
                </strong>
              </span>
              <span className="max-sm:col-start-2">
                <label className="flex min-h-11 cursor-pointer items-center gap-2">
                  <input
                    type="checkbox"
                    className="checkbox"
                    checked={index !== undefined}
                    onChange={() => (index === undefined ? onChoose([each]) : onLeave(index))}
                  />
                  <span>
                    <span className="sr-only">{at}: </span>
                    <Money of={each.price} /> → <Money of={each.proposed} />
                  </span>
                </label>
                {index !== undefined && (
                  <MoneyField control={control} name={`pieces.${index}.price`} label={`New price of ${at}`} />
                )}
              </span>
            </li>
          );
        })}
      </ul>
      {proposals.length > most && (
        <button type="button" className="btn no-print mt-2" onClick={() => setMost(most + SHOWN)}>
          {proposals.length - most} more
        </button>
      )}
    </section>
  );
}

/** How long it is there and how many like it were sold; of few, that little is known. */
function Known({ proposal: { days, sold } }: { proposal: PriceProposal }) {
  return (
    <span className="muted block text-sm">
      there for {counted(days, 'day')};{' '}
      {sold === 0 ? 'none like it sold in a year' : `${sold} like it sold in a year`}
      {sold > 0 && sold < FEW && ', so little is known'}
    </span>
  );
}
