'use client';

import { useWatch, type Control } from 'react-hook-form';
import { plainAmountOf, type SupplyUnit } from '@/core/stock/amount';
import type { Ware } from '@/core/stock/ware';
import { mulDiv } from '@/core/units/exact';
import { cost, plainMoney } from '@/core/units/money';
import { priceUnit } from '@/core/stock/priceUnit';
import type { PriceView } from '@/studio/prices/replacement';
import { SetPricingInput } from '@/studio/prices/replacement.input';
import type { MinimumView } from '@/studio/toBuy/toBuy';
import { SetMinimumInput } from '@/studio/toBuy/toBuy.input';
import { Amount } from '@/ui/Amount';
import { Fold } from '@/ui/Fold';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField, MoneyField, NumberField, TextField } from '@/ui/form/fields';
import { useCurrency } from '@/ui/currency';
import { Cost } from '@/ui/money';
import { setMinimumAction, setPricingAction } from './articleActions';
import { LazyPriceHistory } from './LazyPriceHistory';
import { useDone } from '@/ui/useDone';

interface ArticleRulesProps {
  readonly ware: Ware;
  readonly unit: SupplyUnit | null;
  readonly pricing: PriceView | null;
  readonly minimum: MinimumView | null;
}

const FOR_ONE: Readonly<Record<Ware, string>> = {
  wire: 'a metre',
  bead: 'each',
  stone: 'each',
  finding: 'each',
  supply: 'a unit',
  scrap: 'a gram',
};

/** How an article is priced, and how much of it should be there: for all stock of it, not for one piece. */
export function ArticleRules({ ware, unit, pricing, minimum }: ArticleRulesProps) {
  return (
    <section className="leaf px-4 py-2" aria-label="Rules for all stock of this">
      {pricing && (
        <Fold title="What it would cost today">
          <p>
            {pricing.now ? (
              <>
                <Cost of={cost(mulDiv(pricing.now.price, priceUnit(ware), pricing.now.quantity))} />{' '}
                {FOR_ONE[ware]}
              </>
            ) : (
              'Nothing is known of its price yet.'
            )}
          </p>
          {pricing.history.length > 1 && <LazyPriceHistory points={pricing.history} unit={FOR_ONE[ware]} />}
          <Pricing ware={ware} pricing={pricing} />
        </Fold>
      )}
      {minimum && (
        <Fold title="The least that should be there">
          <p>
            {minimum.minimumBy === 'none' ? (
              'Nobody is told when it runs out.'
            ) : (
              <>
                <Amount ware={ware} unit={unit} of={minimum.least} />
              </>
            )}{' '}
            <span className="muted">
              Over the last 90 days <Amount ware={ware} unit={unit} of={minimum.used} /> were used.
            </span>
          </p>
          <Minimum ware={ware} unit={unit} minimum={minimum} />
        </Fold>
      )}
    </section>
  );
}

function Pricing({ ware, pricing }: { ware: Ware; pricing: PriceView }) {
  const onDone = useDone(() => 'The price is set.');
  const currency = useCurrency();
  return (
    <ActForm
      key={pricing.version}
      input={SetPricingInput}
      defaultValues={{
        version: String(pricing.version),
        priceBy: pricing.priceBy,
        price: '',
        quantity: ware === 'wire' ? '1 m' : '1',
        premium: String(pricing.premium / 100),
        fabricationPerMetre: `${plainMoney(pricing.fabricationPerMetre, currency)} ${currency}`,
      }}
      send={(key, input) => setPricingAction(key, pricing.articleId, input)}
      onDone={onDone}
      action="Price it so"
      busy="Setting …"
    >
      {(control) => <PricingFields control={control} ware={ware} />}
    </ActForm>
  );
}

function PricingFields({ control, ware }: { control: Control<SetPricingInput>; ware: Ware }) {
  const by = useWatch({ control, name: 'priceBy' });
  return (
    <>
      <ChoiceField
        control={control}
        name="priceBy"
        label="Replacement price"
        choices={[
          { value: 'paid', text: 'what was paid last' },
          { value: 'typed', text: 'a price I type' },
          ...(ware === 'wire' ? [{ value: 'spot', text: 'from the metal’s price of the day' }] : []),
        ]}
      />
      {by === 'typed' && (
        <>
          <MoneyField control={control} name="price" label="Price" />
          <TextField control={control} name="quantity" label="For" />
        </>
      )}
      {by === 'spot' && (
        <>
          <NumberField control={control} name="premium" label="Premium over the metal" unit="%" />
          <MoneyField control={control} name="fabricationPerMetre" label="Drawing it, a metre" />
        </>
      )}
    </>
  );
}

function Minimum({ ware, unit, minimum }: { ware: Ware; unit: SupplyUnit | null; minimum: MinimumView }) {
  const onDone = useDone(() => 'It is noted.');
  return (
    <ActForm
      key={minimum.version}
      input={SetMinimumInput}
      defaultValues={{
        version: String(minimum.version),
        minimumBy: minimum.minimumBy,
        minimum: minimum.minimum > 0 ? plainAmountOf({ ware, unit }, minimum.minimum) : '',
        soldBy: minimum.soldBy > 0 ? plainAmountOf({ ware, unit }, minimum.soldBy) : '',
      }}
      send={(key, input) => setMinimumAction(key, minimum.articleId, input)}
      onDone={onDone}
      action="Keep this much"
      busy="Noting …"
    >
      {(control) => <MinimumFields control={control} />}
    </ActForm>
  );
}

function MinimumFields({ control }: { control: Control<SetMinimumInput> }) {
  const by = useWatch({ control, name: 'minimumBy' });
  return (
    <>
      <ChoiceField
        control={control}
        name="minimumBy"
        label="It goes by"
        choices={[
          { value: 'none', text: 'nothing' },
          { value: 'typed', text: 'an amount I type' },
          { value: 'use', text: 'use: a month of the last three' },
        ]}
      />
      {by === 'typed' && (
        <TextField control={control} name="minimum" label="At least" placeholder="2 m, 3 dozen" />
      )}
      <TextField
        control={control}
        name="soldBy"
        label="Sold by the"
        placeholder="10 m, 1 gross"
        hint="Empty: as bought last"
      />
    </>
  );
}
