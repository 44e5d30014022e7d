'use client';

import { PRICED_METALS } from '@/core/metalPrice/metalPrice';
import { TypeMetalPriceInput } from '@/studio/prices/typeMetalPrice.input';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField, MoneyField, TextField } from '@/ui/form/fields';
import { same } from '../parts/SpecFieldset';
import { useDone } from '@/ui/useDone';
import { typeMetalPriceAction } from './actions';

/** A metal's price as it was read somewhere: each day keeps its own. */
export function TypePrice({ today }: { today: string }) {
  const onDone = useDone<null>(() => 'The price is kept.');
  return (
    <section className="leaf no-print p-4" aria-label="Type a price">
      <h2>Type a price</h2>
      <ActForm
        input={TypeMetalPriceInput}
        defaultValues={{ metal: 'silver', day: today, price: '', per: 'troy ounce' }}
        send={typeMetalPriceAction}
        onDone={onDone}
        action="Keep this price"
        busy="Posting …"
      >
        {(control) => (
          <>
            <ChoiceField control={control} name="metal" label="Metal" choices={same(PRICED_METALS)} />
            <MoneyField control={control} name="price" label="Price" />
            <ChoiceField
              control={control}
              name="per"
              label="Of a"
              choices={same(['troy ounce', 'kilogram'])}
            />
            <TextField control={control} name="day" label="On" type="date" />
          </>
        )}
      </ActForm>
    </section>
  );
}
