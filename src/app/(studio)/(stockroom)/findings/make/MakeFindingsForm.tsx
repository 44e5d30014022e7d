'use client';

import { FINDINGS } from '@/core/stock/finding';
import { tag } from '@/core/tag';
import { MakeFindingsInput } from '@/studio/drawers/makeFindings.input';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField, LengthField, NumberField, TextField } from '@/ui/form/fields';
import { Hints } from '../../parts/PurchaseFieldset';
import { same } from '../../parts/SpecFieldset';
import { useDone } from '@/ui/useDone';
import { makeFindingsAction } from './actions';

/** Findings made here: they come into stock with what their wire and their hours cost. */
export function MakeFindingsForm({
  places,
  asked,
}: {
  places: readonly string[];
  /** What a calculation or a pattern has filled in. */
  asked: Partial<MakeFindingsInput>;
}) {
  const onDone = useDone(
    ({ number }: { number: number }) => `They are in the drawer: ${tag('finding', number)}.`,
    ({ number }) => `/findings/${tag('finding', number)}`,
  );
  return (
    <ActForm
      input={MakeFindingsInput}
      defaultValues={{
        finding: 'jump ring',
        size: '',
        from: '',
        length: '',
        count: '',
        minutes: '',
        place: '',
        ...asked,
      }}
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
          <NumberField
            control={control}
            name="minutes"
            label="Minutes at the bench"
            hint="For all of them; they carry it at your hourly rate"
          />
          <TextField control={control} name="place" label="Put them in" list="places" />
          <Hints id="places" names={places} />
        </>
      )}
    </ActForm>
  );
}
