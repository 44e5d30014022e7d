'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import type { Judgement } from '@/core/judgement/judgement';
import { completedText, fieldsOf, readInside, type TextField, type Texts } from '@/core/parameter/readTexts';
import { isAsked, type Parameter, type Parameters } from '@/core/parameter/parameter';
import type { Wrong } from '@/core/parameter/readValues';
import { describeRing, ringOf } from '@/core/ring/ringSize';
import { counted } from '@/core/units/counted';
import { formatBothWays, UM_PER_MM, type LengthSystem } from '@/core/units/length';
import { describeSize } from '@/core/wire/spec';
import { gaugeSize, parseGauge } from '@/core/wire/gauge';
import { Field, TextInput } from '../form/Field';
import { useNumbers } from '../form/useNumbers';
import { useHouse, useWriting } from '../house';
import { useLengths } from '../lengths';
import { WeaveHelp } from './FieldHelp';
import { Judgements, type JudgementShowing } from './Judgements';

/** Few stones are traced: how comes when one is. */
const TraceStone = dynamic(() => import('./TraceStone').then((module) => module.TraceStone), { ssr: false });

interface ParameterFieldsProps {
  readonly parameters: Parameters;
  readonly texts: Texts;
  readonly wrong: Wrong;
  readonly judgements: readonly Judgement[];
  /** Where there is a picture: shows on it what a judgement is of. */
  readonly showing?: JudgementShowing | undefined;
  readonly onChange: (field: string, text: string) => void;
  /** Changes several fields at once. */
  readonly onFill: (texts: Texts) => void;
  /** What stands in place of a parameter’s fields, where it is not typed. */
  readonly instead?: (key: string, parameter: Parameter) => ReactNode;
  /** What stands before a parameter’s fields. */
  readonly before?: (key: string, parameter: Parameter) => ReactNode;
}

/** Whether something in the fields of a parameter cannot be read: then they stay, though nothing asks for them any more. */
const isWrong = (key: string, wrong: Wrong): boolean =>
  Object.keys(wrong).some((field) => field === key || field.startsWith(`${key}.`));

/** The parameters of a technique, each in its field, with what was understood and what the trade says of it beside. */
export function ParameterFields(props: ParameterFieldsProps) {
  const { parameters, texts, wrong, judgements, showing, instead, before } = props;
  return (
    <div className="space-y-3">
      {Object.entries(parameters)
        .filter(([key, parameter]) => isAsked(parameter, texts) || isWrong(key, wrong))
        .map(([key, parameter]) => (
          <div key={key} className="space-y-1">
            {before?.(key, parameter)}
            {instead?.(key, parameter) ?? <Fields {...props} name={key} parameter={parameter} />}
            <Judgements of={judgements.filter(({ about }) => about === key)} showing={showing} />
          </div>
        ))}
    </div>
  );
}

function Fields({
  name,
  parameter,
  texts,
  wrong,
  onChange,
  onFill,
}: Pick<ParameterFieldsProps, 'texts' | 'wrong' | 'onChange' | 'onFill'> & {
  name: string;
  parameter: Parameter;
}) {
  const fields = fieldsOf(name, parameter, texts);
  const grouped = fields.length > 1;
  const inputs = fields.map((field) => (
    <ParameterField
      key={field.field}
      field={field}
      group={grouped ? parameter.label : ''}
      text={texts[field.field] ?? ''}
      wrong={wrong[field.field]}
      onChange={(text) => onChange(field.field, text)}
    />
  ));
  if (parameter.kind === 'weave')
    return (
      <>
        {inputs}
        <WeaveHelp onPick={(text) => onChange(name, text)} />
      </>
    );
  if (!grouped) return inputs;
  return (
    <fieldset className="grid grid-cols-2 gap-2">
      <legend className="sr-only">{parameter.label}</legend>
      {inputs}
      {texts[`${name}.outline`] === 'freeform' && (
        <div className="col-span-2">
          <TraceStone name={name} onTraced={onFill} />
          {texts[`${name}.points`] && (
            <p className="muted text-sm">
              Traced by {counted(texts[`${name}.points`]?.trim().split(/\s+/).length ?? 0, 'point')}.
            </p>
          )}
        </div>
      )}
    </fieldset>
  );
}

function ParameterField({
  field,
  group,
  text,
  wrong,
  onChange,
}: {
  field: TextField;
  group: string;
  text: string;
  wrong: string | undefined;
  onChange: (text: string) => void;
}) {
  const { label, kind, choices, help } = field;
  const { system } = useLengths();
  const { rings } = useHouse();
  // Parts of a stone or a wire are told apart by what they are part of.
  const named =
    group === '' || group === label ? (
      label
    ) : (
      <>
        <span className="sr-only">{group}: </span>
        {label}
      </>
    );
  const write = useWriting();
  const box = useNumbers(text, { complete: (typed) => completedText(field, typed, { system, rings }) });
  const isNumber = kind !== 'weave' && kind !== 'line';
  const understood = wrong ? undefined : said(kind, text, system);
  return (
    <Field label={named} error={wrong} hint={understood === undefined ? help : write(understood)}>
      {(ties) =>
        choices ? (
          <select
            {...ties}
            className="select w-full text-base"
            value={text}
            onChange={(event) => onChange(event.target.value)}
          >
            {choices.map((choice) => (
              <option key={choice}>{choice}</option>
            ))}
          </select>
        ) : (
          <TextInput
            {...ties}
            value={isNumber ? box.shown : text}
            inputMode={kind === 'count' ? 'numeric' : 'text'}
            onChange={(event) => onChange(isNumber ? box.type(event.target.value) : event.target.value)}
            onBlur={box.settle}
          />
        )
      }
    </Field>
  );
}

/** What was understood, where it is not plain from what was typed. */
function said(kind: TextField['kind'], text: string, system: LengthSystem): string | undefined {
  if (kind === 'size') {
    const label = parseGauge(text);
    const size = label.ok ? gaugeSize(label.value) : undefined;
    return size?.ok ? describeSize({ profile: 'round', width: size.value, height: size.value }) : undefined;
  }
  if (kind !== 'length' && kind !== 'ring') return undefined;
  const read = readInside(text, system);
  if (!read.ok) return undefined;
  const both = formatBothWays(read.value);
  return kind === 'ring' ? `${both}, ${describeRing(ringOf(read.value / UM_PER_MM))}` : both;
}
