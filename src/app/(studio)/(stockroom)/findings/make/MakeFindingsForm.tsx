'use client';

import { FINDINGS } from '@/core/stock/finding';
import { tag } from '@/core/tag';
import { MakeFindingsInput } from '@/studio/drawers/makeFindings.input';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField, LengthField, TextField } from '@/ui/form/fields';
import { Hints } from '../../parts/PurchaseFieldset';
import { same } from '../../parts/SpecFieldset';
import { useDone } from '../../parts/useDone';
import { makeFindingsAction } from './actions';

/** Findings made here: they come into stock with what their wire cost. */
export function MakeFindingsForm({ places }: { places: readonly string[] }) {
  const onDone = useDone(
    ({ number }: { number: number }) => `They are in the drawer: ${tag('finding', number)}.`,
    ({ number }) => `/findings/${tag('finding', number)}`,
  );
  return (
    <ActForm
      input={MakeFindingsInput}
      defaultValues={{ finding: 'jump ring', size: '', from: '', length: '', count: '', place: '' }}
      send={makeFindingsAction}
      onDone={onDone}
      action="Put them in the drawer"
      busy="Posting …"
      quiet={false}
    >
      {(control) => (
        <>
          <ChoiceField control={control} name="finding" label="Finding" choices={same(FINDINGS)} />
          <TextField control={control} name="size" label="Size" placeholder="4 mm inside" />
          <TextField control={control} name="from" label="Of the wire" placeholder="W-0042" />
          <LengthField
            control={control}
            name="length"
            label="All the wire they took"
            hint="With what the cutter lost"
          />
          <TextField control={control} name="count" label="How many" placeholder="5 dozen" />
          <TextField control={control} name="place" label="Put them in" list="places" />
          <Hints id="places" names={places} />
        </>
      )}
    </ActForm>
  );
}
