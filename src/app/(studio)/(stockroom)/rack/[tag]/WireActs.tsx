'use client';

import { Link } from '@/ui/Link';
import { tag } from '@/core/tag';
import { isTwisted } from '@/core/wire/profile';
import type { WireSpec } from '@/core/wire/spec';
import { twistedProfile } from '@/core/wire/twist';
import { ChangeStockInput } from '@/studio/stock/changeStock.input';
import type { SpoolTypeView } from '@/studio/stock/places';
import { PartWireInput } from '@/studio/wire/partWire.input';
import { RelabelWireInput } from '@/studio/wire/relabelWire.input';
import { specValues } from '@/studio/wire/specValues';
import { TwistWireInput } from '@/studio/wire/twistWire.input';
import { Fold } from '@/ui/Fold';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField, LengthField, MassField, NumberField, TextField } from '@/ui/form/fields';
import { MeasuredSize } from '../../parts/MeasuredSize';
import { PlaceField } from '../../parts/PlaceField';
import { Hints } from '../../parts/PurchaseFieldset';
import { SpecFieldset } from '../../parts/SpecFieldset';
import { TakeOut } from '../../parts/TakeOut';
import { useDone } from '@/ui/useDone';
import {
  changeWireAction,
  partWireAction,
  relabelWireAction,
  takeWireAction,
  twistWireAction,
} from './actions';

interface WireActsProps {
  readonly number: number;
  readonly spec: WireSpec;
  /** The wires that the studio knows, for the calliper to suggest. */
  readonly specs: readonly WireSpec[];
  readonly isUsedUp: boolean;
  readonly kept: ChangeStockInput;
  readonly places: readonly string[];
  readonly spools: readonly SpoolTypeView[];
}

/** Everything that may be done with one length of wire. */
export function WireActs({ number, spec, specs, isUsedUp, kept, places, spools }: WireActsProps) {
  return (
    <section className="leaf px-4 py-2" aria-label="What to do with it">
      <Link href={`/rack/${tag('wire', number)}/weigh`} className="btn btn-primary my-2">
        Weigh it in
      </Link>
      {!isUsedUp && (
        <>
          <Part number={number} />
          <Take number={number} />
          {twistedProfile(spec) && <Twist number={number} pair={spec.profile === 'round'} />}
          <Relabel number={number} spec={spec} specs={specs} />
        </>
      )}
      <Fold title="Put it in another place, say what spool it is on">
        <Keep number={number} kept={kept} spools={spools} />
      </Fold>
      <Hints id="places" names={places} />
    </section>
  );
}

const toTag = ({ number }: { number: number }) => `/rack/${tag('wire', number)}`;

function Part({ number }: { number: number }) {
  const onDone = useDone(({ number: made }: { number: number }) => `It is ${tag('wire', made)} now.`, toTag);
  return (
    <Fold title="Wind a bobbin, or cut a length off">
      <ActForm
        input={PartWireInput}
        defaultValues={{ form: 'bobbin', length: '', place: '' }}
        send={(key, input) => partWireAction(key, number, input)}
        onDone={onDone}
        action="Part it"
        busy="Posting …"
      >
        {(control) => (
          <>
            <ChoiceField
              control={control}
              name="form"
              label="It becomes"
              choices={[
                { value: 'bobbin', text: 'a bobbin' },
                { value: 'off-cut', text: 'an off-cut' },
                { value: 'coil', text: 'a coil' },
              ]}
            />
            <LengthField control={control} name="length" label="Length" />
            <PlaceField control={control} hint="Empty: where this one is" />
          </>
        )}
      </ActForm>
    </Fold>
  );
}

function Take({ number }: { number: number }) {
  return (
    <TakeOut
      send={(key, input) => takeWireAction(key, number, input)}
      kinds={[
        { value: 'spoiled', text: 'spoiled: into the scrap jar' },
        { value: 'used', text: 'used for something without a pattern' },
      ]}
      quantity=""
      quantityField={(control) => <LengthField control={control} name="quantity" label="Length" />}
      why={{ label: 'Why', example: 'marred by pliers' }}
    />
  );
}

function Twist({ number, pair }: { number: number; pair: boolean }) {
  const onDone = useDone(
    ({ number: made }: { number: number }) => `Twisted: it is ${tag('wire', made)}.`,
    toTag,
  );
  return (
    <Fold title={pair ? 'Twist two of it together' : 'Twist it on its axis'}>
      <ActForm
        input={TwistWireInput}
        defaultValues={{ before: '', after: '', turns: '', second: '', place: '' }}
        send={(key, input) => twistWireAction(key, number, input)}
        onDone={onDone}
        action="It is twisted"
        busy="Posting …"
      >
        {(control) => (
          <>
            <LengthField
              control={control}
              name="before"
              label={pair ? 'Each strand before' : 'Length before'}
            />
            <LengthField control={control} name="after" label="Length after" />
            <NumberField control={control} name="turns" label="Turns put in" />
            {pair && (
              <TextField
                control={control}
                name="second"
                label="Second strand from"
                placeholder="W-0042"
                hint="Empty: both from this one"
              />
            )}
            <PlaceField control={control} hint="Empty: where this one is" />
          </>
        )}
      </ActForm>
    </Fold>
  );
}

function Relabel({ number, spec, specs }: { number: number; spec: WireSpec; specs: readonly WireSpec[] }) {
  const onDone = useDone(() => 'It is relabelled.');
  if (isTwisted(spec.profile)) return null;
  return (
    <Fold title="Relabel it: the calliper says another size">
      <div>
        <ActForm
          className=""
          input={RelabelWireInput}
          defaultValues={{ ...specValues(spec), reason: '' }}
          send={(key, input) => relabelWireAction(key, number, input)}
          onDone={onDone}
          action="Relabel it"
          busy="Posting …"
        >
          {(control) => (
            <>
              <MeasuredSize control={control} specs={specs} />
              <SpecFieldset control={control} />
              <div className="mt-3">
                <TextField control={control} name="reason" label="Why" placeholder="calliper says 0.72 mm" />
              </div>
            </>
          )}
        </ActForm>
      </div>
    </Fold>
  );
}

function Keep({
  number,
  kept,
  spools,
}: {
  number: number;
  kept: ChangeStockInput;
  spools: readonly SpoolTypeView[];
}) {
  const onDone = useDone(() => 'It is noted.');
  return (
    <ActForm
      key={kept.version}
      input={ChangeStockInput}
      defaultValues={kept}
      send={(key, input) => changeWireAction(key, number, input)}
      onDone={onDone}
      action="Note it"
      busy="Noting …"
    >
      {(control) => (
        <>
          <TextField control={control} name="place" label="Place" list="places" />
          <TextField control={control} name="spoolType" label="Kind of spool" list="spool-types" />
          <MassField control={control} name="emptyMass" bare="g" label="The empty spool weighs" />
          <TextField control={control} name="note" label="Note" />
          <Hints id="spool-types" names={spools.map(({ name }) => name)} />
        </>
      )}
    </ActForm>
  );
}
