'use client';

import { tag } from '@/core/tag';
import { formatMass } from '@/core/units/mass';
import { metalOf } from '@/core/wire/metal';
import type { InPiece } from '@/studio/shelf/breakUp';
import { BreakUpInput } from '@/studio/shelf/breakUp.input';
import { ActForm } from '@/ui/form/ActForm';
import { MassField, NumberField, TextField } from '@/ui/form/fields';
import { Cost } from '@/ui/money';
import { useDone } from '@/ui/useDone';
import { breakUpAction } from './actions';

/** A piece is broken up: what comes out of it is weighed and counted, and goes back into stock at its cost. */
export function BreakUp({ number, inside }: { number: number; inside: InPiece }) {
  const done = useDone(() => 'It is broken up.');
  const { metals, parts } = inside;
  return (
    <ActForm
      input={BreakUpInput}
      defaultValues={{
        metals: metals.map(({ metal, mass }) => ({ metal, mass: formatMass(mass) })),
        parts: parts.map(({ from, count }) => ({ from, count: String(count) })),
        note: '',
      }}
      send={(key, input) => breakUpAction(key, number, input)}
      onDone={done}
      action="Break it up"
      busy="Writing …"
    >
      {(control) => (
        <>
          {metals.map(({ metal, cost }, index) => (
            <MassField
              key={metal}
              control={control}
              name={`metals.${index}.mass`}
              label={`Into the jar of ${metalOf(metal).name}`}
              bare="g"
              hint={
                <>
                  It cost <Cost of={cost} />
                </>
              }
            />
          ))}
          {parts.map(({ from, ware, number: lying, name, count, cost }, index) => (
            <NumberField
              key={from}
              control={control}
              name={`parts.${index}.count`}
              label={`${name}, back to ${tag(ware, lying)}`}
              hint={
                <>
                  {count} are in it; they cost <Cost of={cost} />
                </>
              }
            />
          ))}
          <TextField control={control} name="note" label="Why" placeholder="Never sold" />
        </>
      )}
    </ActForm>
  );
}
