'use client';

import { useCallback } from 'react';
import { useWatch } from 'react-hook-form';
import { roundSpan } from '@/core/ruler';
import { weighSpool, type WeighIn } from '@/core/stock/weighIn';
import { tag } from '@/core/tag';
import { formatBothWays, um, type Micrometres } from '@/core/units/length';
import { formatMass, type Micrograms } from '@/core/units/mass';
import type { WireSpec } from '@/core/wire/spec';
import type { SpoolTypeView } from '@/studio/stock/places';
import { readSoFar } from '@/studio/kernel/readInput';
import { WeighInInput } from '@/studio/wire/weighIn.input';
import { MassField, TextField } from '@/ui/form/fields';
import { useDevice } from '@/app/lib/devices';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { Length } from '@/ui/lengths';
import { Ruler } from '@/ui/Ruler';
import { WireBar } from '@/ui/WireBar';
import { ScalePanel } from '../../../parts/ScalePanel';
import { useDone } from '@/ui/useDone';
import { weighInAction } from '../actions';
import { Said } from '@/ui/house';

interface WeighInFormProps {
  readonly number: number;
  readonly spec: WireSpec;
  readonly expected: Micrometres;
  readonly initial: Micrometres;
  readonly emptyMass: Micrograms | null;
  readonly spools: readonly SpoolTypeView[];
}

const gramsOf = (mass: Micrograms): string => `${mass / 1e6} g`;

/** A spool on the scale: what it says is left, and the posting of the difference. */
export function WeighInForm({ number, spec, expected, initial, emptyMass, spools }: WeighInFormProps) {
  const send = useCallback((key: string, input: WeighInInput) => weighInAction(key, number, input), [number]);
  const onDone = useDone(
    ({ difference }: WeighIn) =>
      difference === 0
        ? 'The books were right.'
        : `The books are set right by ${formatBothWays(um(Math.abs(difference)))}.`,
    () => `/rack/${tag('wire', number)}`,
  );
  const { form, submit, problem, sending, before } = useStudioForm({
    input: WeighInInput,
    defaultValues: {
      expected: String(expected),
      gross: '',
      empty: emptyMass === null ? '0 g' : gramsOf(emptyMass),
      resolution: '0.01 g',
      reason: '',
      override: '',
    },
    send,
    onDone,
  });
  const { control, setValue } = form;
  const hasScale = useDevice('scale') !== 'none';
  const [gross, empty, resolution, override] = useWatch({
    control,
    name: ['gross', 'empty', 'resolution', 'override'],
  });
  const found = read(spec, expected, initial, gross, empty, resolution);
  const needsReason =
    (found?.warning ?? '') !== '' || problem?.fields?.['override'] !== undefined || override !== '';
  return (
    <FormBox
      onSubmit={submit}
      className={`mt-4 grid grid-cols-1 items-start gap-4 ${hasScale ? 'lg:grid-cols-[minmax(18rem,2fr)_minmax(0,3fr)]' : 'lg:max-w-3xl'}`}
    >
      {hasScale && (
        <ScalePanel
          onRead={(mass, division) => {
            setValue('gross', gramsOf(mass), { shouldValidate: true });
            setValue('resolution', gramsOf(division));
          }}
        />
      )}
      <div className="leaf p-4">
        <div className="grid gap-3 sm:grid-cols-3">
          <MassField control={control} name="gross" bare="g" label="Spool and wire" placeholder="60 g" />
          <MassField control={control} name="empty" bare="g" label="Empty spool" hint="0 g for a coil" />
          <MassField control={control} name="resolution" bare="g" label="Scale reads to" />
        </div>
        {spools.length > 0 && (
          <p className="mt-2 flex flex-wrap items-center gap-2 text-sm">
            <span className="muted">Empty weights known:</span>
            {spools.map(({ id, name, emptyMass: weight }) => (
              <button
                key={id}
                type="button"
                className="btn btn-sm"
                onClick={() => setValue('empty', gramsOf(weight), { shouldValidate: true })}
              >
                {name}, <Said>{formatMass(weight)}</Said>
              </button>
            ))}
          </p>
        )}
        {found && <Verdict found={found} spec={spec} expected={expected} initial={initial} />}
        <div className="mt-3 grid gap-3 sm:grid-cols-2">
          <TextField
            control={control}
            name="reason"
            label="Why they differ"
            placeholder="month’s end"
            hint="May stay empty"
          />
          {needsReason && (
            <TextField
              control={control}
              name="override"
              label="Take this reading all the same, because"
              hint="Kept with the reading"
            />
          )}
        </div>
        <FormEnd
          problem={problem}
          sending={sending}
          before={before}
          action="Set the books to this"
          busy="Posting …"
        />
      </div>
    </FormBox>
  );
}

function read(
  spec: WireSpec,
  expected: Micrometres,
  initial: Micrometres,
  ...[grossTyped, emptyTyped, resolutionTyped]: [gross: string, empty: string, resolution: string]
): WeighIn | undefined {
  const { gross, empty, resolution } = readSoFar(WeighInInput, {
    gross: grossTyped,
    empty: emptyTyped,
    resolution: resolutionTyped,
  });
  if (gross === undefined || empty === undefined || resolution === undefined) return undefined;
  return weighSpool({ spec, gross, empty, resolution, expected, initial });
}

function Verdict({
  found,
  spec,
  expected,
  initial,
}: {
  found: WeighIn;
  spec: WireSpec;
  expected: Micrometres;
  initial: Micrometres;
}) {
  const span = roundSpan(um(Math.max(initial, found.length, 1)), um(100_000));
  return (
    <div className="mt-4" role="status">
      <p className="text-lg font-semibold">
        <Length of={found.length} /> left, give or take <Length of={found.uncertainty} />
      </p>
      <Ruler span={span} label="Ruler" />
      <WireBar spec={spec} length={found.length} span={span} was={expected} height={26} />
      <p className="mt-1">
        {found.differs ? (
          <>
            That is <Length of={um(Math.abs(found.difference))} /> {found.difference < 0 ? 'less' : 'more'}{' '}
            than the books say.
          </>
        ) : (
          'The books agree within what the scale and the wire can tell.'
        )}
      </p>
      {found.warning && (
        <p className="mt-2 border-l-4 border-warning bg-warning/20 p-3 font-semibold">{found.warning}</p>
      )}
    </div>
  );
}
