'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useRef, useState } from 'react';
import { useController, useFieldArray, type Control } from 'react-hook-form';
import { roundSpan } from '@/core/ruler';
import { FINDINGS } from '@/core/stock/finding';
import { pathOf, tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { um, writableLength, writableLengths } from '@/core/units/length';
import type { Choice, MakingProposal } from '@/studio/making/proposeMaking';
import type { Outcome } from '@/studio/kernel/outcome';
import type { MadeAlike } from '@/studio/making/makeAlike';
import type { Made } from '@/studio/making/makePiece';
import { MakePieceInput } from '@/studio/making/makePiece.input';
import type { KnownSpec } from '@/studio/catalogue/wireSpecs';
import { OrderOfWork } from '@/ui/craft/OrderOfWork';
import { SpoilageReasons, SPOILAGE_REASONS_ID } from '@/ui/craft/SpoilageReasons';
import { ChoiceField, LengthField, NumberField, TextField } from '@/ui/form/fields';
import { FormEnd } from '@/ui/form/FormEnd';
import { AddButton, RemoveButton } from '@/ui/form/RowButtons';
import { RingField } from '@/ui/form/RingField';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useLengths } from '@/ui/lengths';
import { Ruler } from '@/ui/Ruler';
import { useToast } from '@/ui/toasts';
import { Field, TextInput } from '@/ui/form/Field';
import { newKey } from '@/ui/newKey';
import { BegunAt } from '../BegunAt';
import { makeAlikeAction, makePieceAction } from './actions';
import { AlikeWires, alikeIn, choicesFor } from './AlikeWires';
import { PartsTaken } from './PartsTaken';

type FormControl = Control<MakePieceInput>;

/** What the maker did with each wire; opened with the proposal, sent in one go. */
export function MakeForm({ proposal }: { proposal: MakingProposal }) {
  const router = useRouter();
  const toast = useToast();
  const { system } = useLengths();
  const { pattern, ring, batch, cuts, choices, parts, minutes, drawer } = proposal;
  const { number, revision } = pattern;
  const [alike, setAlike] = useState('1');
  const ready = batch?.ready ?? 1;
  const count = /^\d{1,3}$/.test(alike.trim()) ? Number(alike) : 0;
  const isCount = count >= 1 && count <= ready;
  const keys = useRef<string[]>([]);
  const send = useCallback(
    async (key: string, values: MakePieceInput): Promise<Outcome<Made | MadeAlike>> => {
      const from = { number, revision, ...(batch ? { batch } : {}) };
      if (count <= 1) return makePieceAction(key, from, values);
      // The same keys as long as the same is sent, so that nothing is made twice.
      if (keys.current[0] !== key || keys.current.length !== count)
        keys.current = [key, ...Array.from({ length: count - 1 }, newKey)];
      return makeAlikeAction(keys.current, from, values);
    },
    [number, revision, batch, count],
  );
  const onDone = useCallback(
    (made: Made | MadeAlike) => {
      if ('made' in made) {
        const { length } = made.made;
        const where = made.made.some(({ as }) => as === 'finding') ? ', in the drawer' : '';
        toast(`${counted(length, 'piece is', 'pieces are')} made${where}. ${made.stopped}`.trim());
        router.push(batch ? `/batches/${tag('batch', batch.number)}` : '/shelf');
        router.refresh();
        return;
      }
      if (made.as === 'finding') {
        toast(`Made: it is ${tag('finding', made.number)}, in the drawer with its wire and its hours.`);
        router.push(batch ? `/batches/${tag('batch', batch.number)}` : pathOf('finding', made.number));
        return;
      }
      toast(`Made: it is ${tag('piece', made.number)}, and stands on the shelf.`);
      // Who makes a batch goes on with it; a single piece is priced next.
      router.push(batch ? `/batches/${tag('batch', batch.number)}` : `/shelf/${tag('piece', made.number)}`);
    },
    [router, toast, batch],
  );
  const defaultValues: MakePieceInput = {
    cuts: cuts.map(({ cutIndex, copy, from, length, tails }) => ({
      cutIndex,
      copy,
      from: from ?? '',
      cut: writableLength(length, system),
      back: writableLengths(tails, system),
    })),
    spoiled: [],
    parts: parts.flatMap(({ part, picks }) =>
      picks.map(({ from, count }) => ({ part, from: from ?? '', count: String(count) })),
    ),
    ...(pattern.body.kind === 'ring' ? { finished: '' } : {}),
    ...(drawer ? { goesTo: 'drawer', drawer } : {}),
    minutes: String(minutes.each),
    setUpMinutes: String(minutes.setUp),
    sharedBy: String(batch?.count ?? 1),
  };
  const { form, submit, problem, sending, before } = useStudioForm({
    input: MakePieceInput,
    defaultValues,
    send,
    onDone,
  });
  const { control } = form;
  const span = roundSpan(um(Math.max(...cuts.map(({ length }) => length), 50_000)));
  return (
    <FormBox onSubmit={submit} className="bench mt-4 space-y-4">
      <BegunAt drift={proposal.drift} ring={proposal.ring} />
      <section className="leaf p-4">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2>{batch ? 'Its wires' : 'Cut these'}</h2>
          <p className="muted">Hold both sides of the wire when you cut: ends fly. Wear eye protection.</p>
        </div>
        <div className="mt-2 hidden lg:block">
          <Ruler span={span} label="Ruler for the cuts" />
        </div>
        <ol className="divide-y divide-base-300">
          {alikeIn(cuts).map((alike) => (
            <AlikeWires
              key={`${alike[0]?.cut.cutIndex}.${alike[0]?.cut.copy}`}
              form={form}
              alike={alike}
              proposal={proposal}
              span={span}
            />
          ))}
        </ol>
      </section>
      {parts.length > 0 && <PartsTaken control={control} parts={parts} />}
      {pattern.body.steps.length > 0 && (
        <section className="leaf p-4">
          <h2>Then, in this order</h2>
          <OrderOfWork steps={pattern.body.steps} />
        </section>
      )}
      <Spoiled control={control} choices={choices} specs={pattern.specs} />
      <section className="leaf grid gap-4 p-4 sm:grid-cols-3">
        <NumberField control={control} name="minutes" label="Time on this piece" unit="min" />
        <NumberField control={control} name="setUpMinutes" label="Setting up, once a sitting" unit="min" />
        <NumberField
          control={control}
          name="sharedBy"
          label="Pieces made in the sitting"
          hint="They share the setting up"
        />
      </section>
      {pattern.body.kind === 'ring' && (
        <section className="leaf p-4">
          <RingField
            control={control}
            name="finished"
            label="Reads on the mandrel when finished"
            hint={ring ? `Made for ${ring}; read it both ways round` : 'Read it both ways round'}
          />
        </section>
      )}
      {drawer && <IntoDrawer control={control} />}
      {ready > 1 && (
        <section className="leaf p-4">
          <Field
            label="Pieces made so"
            hint={`${ready} lie ready in the tray; the others are taken as this one, each out of its own wires`}
            error={isCount ? undefined : `“${alike}” was given; 1 to ${ready} are allowed.`}
          >
            {(ties) => (
              <TextInput
                {...ties}
                inputMode="numeric"
                value={alike}
                onChange={({ target: { value } }) => setAlike(value)}
              />
            )}
          </Field>
        </section>
      )}
      <FormEnd
        problem={problem}
        sending={sending || !isCount}
        before={before}
        action={count > 1 ? `All ${count} are made` : 'It is made'}
        busy={sending ? 'Posting …' : 'It is made'}
      >
        <p className="muted">Everything is posted together, or nothing.</p>
      </FormEnd>
    </FormBox>
  );
}

/** Findings go into the drawers, where pieces take them; or one stands on the shelf, to be sold by itself. */
function IntoDrawer({ control }: { control: FormControl }) {
  const { field } = useController({ control, name: 'goesTo' });
  return (
    <section className="leaf p-4">
      <h2>Where does it go?</h2>
      <div className="mt-2 flex flex-wrap gap-x-6" role="radiogroup" aria-label="Where it goes">
        {[
          { goesTo: 'drawer', text: 'Into the findings drawer' },
          { goesTo: 'shelf', text: 'On the shelf, to be sold by itself' },
        ].map(({ goesTo, text }) => (
          <label key={text} className="flex min-h-11 cursor-pointer items-center gap-2">
            <input
              type="radio"
              name={field.name}
              className="radio radio-sm"
              checked={field.value === goesTo}
              onChange={() => field.onChange(goesTo)}
            />
            {text}
          </label>
        ))}
      </div>
      {field.value === 'drawer' && (
        <div className="mt-2 grid gap-4 sm:grid-cols-3">
          <ChoiceField
            control={control}
            name="drawer.finding"
            label="Finding"
            choices={FINDINGS.map((value) => ({ value, text: value }))}
          />
          <TextField control={control} name="drawer.material" label="Material" />
          <TextField control={control} name="drawer.size" label="Size" placeholder="4 mm, 20 ga" />
          <TextField control={control} name="drawer.count" label="How many came of it" placeholder="24" />
          <TextField control={control} name="drawer.place" label="Put it in" placeholder="Findings box" />
        </div>
      )}
    </section>
  );
}

function Spoiled({
  control,
  choices,
  specs,
}: {
  control: FormControl;
  choices: readonly Choice[];
  specs: Readonly<Record<string, KnownSpec>>;
}) {
  const { system } = useLengths();
  const { fields, append, remove } = useFieldArray({ control, name: 'spoiled' });
  const all = Object.keys(specs).flatMap((specId) => choicesFor(choices, specId, system));
  return (
    <section className="leaf p-4">
      <h2>Spoiled on the way</h2>
      {fields.length === 0 && (
        <p className="muted mt-1">Nothing, so far. What went wrong is part of what a piece honestly costs.</p>
      )}
      {fields.map(({ id }, index) => (
        <div key={id} className="mt-2 grid items-start gap-3 sm:grid-cols-[4fr_3fr_4fr_auto]">
          <ChoiceField
            control={control}
            name={`spoiled.${index}.from`}
            label="Spoiled wire was from"
            choices={all}
          />
          <LengthField control={control} name={`spoiled.${index}.length`} label="Length lost" />
          <TextField
            control={control}
            name={`spoiled.${index}.reason`}
            label="Why"
            list={SPOILAGE_REASONS_ID}
          />
          <div className="pt-7">
            <RemoveButton what={`spoiled length ${index + 1}`} onClick={() => remove(index)} quiet />
          </div>
        </div>
      ))}
      <SpoilageReasons />
      <AddButton onClick={() => append({ from: '', length: '', reason: '' })}>A spoiled length</AddButton>
    </section>
  );
}
