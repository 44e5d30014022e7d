'use client';

import { SendForRefiningInput } from '@/studio/scrap/jars.input';
import { ActForm } from '@/ui/form/ActForm';
import { MassField, MoneyField, TextField } from '@/ui/form/fields';
import { useDone } from '@/ui/useDone';
import { sendForRefiningAction } from './actions';

/** Scrap goes to a refiner: out of the jar, with what came back for it. */
export function RefineForm({ number, mass, today }: { number: number; mass: string; today: string }) {
  const onDone = useDone(() => 'It is out of the jar.');
  return (
    <section className="leaf p-4">
      <h2>Send it for refining</h2>
      <div className="mt-2">
        <ActForm
          key={mass}
          input={SendForRefiningInput}
          defaultValues={{ mass, refiner: '', sentOn: today, proceeds: '' }}
          send={(key, input) => sendForRefiningAction(key, number, input)}
          onDone={onDone}
          action="Send it off"
          busy="Posting …"
          quiet={false}
        >
          {(control) => (
            <>
              <MassField control={control} name="mass" label="Weight" />
              <TextField control={control} name="refiner" label="Refiner" />
              <TextField control={control} name="sentOn" label="On" type="date" />
              <MoneyField control={control} name="proceeds" label="Came back for it" />
            </>
          )}
        </ActForm>
      </div>
    </section>
  );
}
