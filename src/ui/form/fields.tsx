'use client';

import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import {
  formatBothWays,
  parseLength,
  parseLengths,
  sumLengths,
  type LengthSystem,
} from '@/core/units/length';
import { formatMass, formatTroyOunces, parseMass } from '@/core/units/mass';
import { currencyOf, formatMoney, parseMoney } from '@/core/units/money';
import { useWriting } from '../house';
import { useLengths } from '../lengths';
import { useCurrency } from '../currency';
import { Field, TextInput } from './Field';
import { useNumbers, type Dialect } from './useNumbers';

export interface BaseProps<Values extends FieldValues> {
  readonly control: Control<Values>;
  readonly name: FieldPath<Values>;
  readonly label: React.ReactNode;
  readonly hint?: React.ReactNode;
  readonly hideLabel?: boolean;
  readonly placeholder?: string;
}

const pickField = ({
  label,
  hint,
  hideLabel = false,
}: {
  label: React.ReactNode;
  hint?: React.ReactNode;
  hideLabel?: boolean;
}) => ({
  label,
  hint,
  hideLabel,
});

/** A line of text. */
export function TextField<Values extends FieldValues>({
  control,
  name,
  placeholder,
  type = 'text',
  list,
  autoComplete,
  ...rest
}: BaseProps<Values> & { type?: 'text' | 'password' | 'date'; list?: string; autoComplete?: string }) {
  const { field, fieldState } = useController({ control, name });
  return (
    <Field {...pickField(rest)} error={fieldState.error?.message}>
      {(ties) => (
        <TextInput
          {...ties}
          {...field}
          type={type}
          value={field.value ?? ''}
          {...(placeholder === undefined ? {} : { placeholder })}
          {...(list === undefined ? {} : { list })}
          {...(autoComplete === undefined ? {} : { autoComplete })}
        />
      )}
    </Field>
  );
}

/** Text of several lines. */
export function NotesField<Values extends FieldValues>({ control, name, ...rest }: BaseProps<Values>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <Field {...pickField(rest)} error={fieldState.error?.message}>
      {(ties) => (
        <textarea
          {...ties}
          {...field}
          value={field.value ?? ''}
          rows={2}
          className="textarea w-full text-base"
        />
      )}
    </Field>
  );
}

/** A number written plainly: minutes, counts, percentages. */
export function NumberField<Values extends FieldValues>({
  control,
  name,
  unit,
  ...rest
}: BaseProps<Values> & { unit?: string }) {
  const { field, fieldState } = useController({ control, name });
  const { shown, type } = useNumbers(String(field.value ?? ''));
  return (
    <Field {...pickField(rest)} error={fieldState.error?.message}>
      {(ties) => (
        <span className={`input w-full text-base ${fieldState.error ? 'input-error' : ''}`}>
          <input
            {...ties}
            {...field}
            value={shown}
            onChange={(event) => field.onChange(type(event.target.value))}
            type="text"
            inputMode="decimal"
            autoComplete="off"
            className="min-w-0 grow text-right"
          />
          {unit && <span className="muted">{unit}</span>}
        </span>
      )}
    </Field>
  );
}

/** One of a short list. */
export function ChoiceField<Values extends FieldValues>({
  control,
  name,
  choices,
  ...rest
}: BaseProps<Values> & { choices: readonly { readonly value: string; readonly text: string }[] }) {
  const { field, fieldState } = useController({ control, name });
  return (
    <Field {...pickField(rest)} error={fieldState.error?.message}>
      {(ties) => (
        <select
          {...ties}
          {...field}
          value={field.value ?? ''}
          className={`select w-full text-base ${fieldState.error ? 'select-error' : ''}`}
        >
          {!choices.some(({ value }) => value === field.value) && <option value="">Choose…</option>}
          {choices.map(({ value, text }) => (
            <option key={value} value={value}>
              {text}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}

/** Yes or no. */
export function TickField<Values extends FieldValues>({
  control,
  name,
  label,
}: {
  control: Control<Values>;
  name: FieldPath<Values>;
  label: string;
}) {
  const { field } = useController({ control, name });
  const { value, ...rest } = field;
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-2 text-sm">
      <input type="checkbox" className="checkbox checkbox-sm" {...rest} checked={Boolean(value)} />
      {label}
    </label>
  );
}

/** How a typed text becomes the text a form sends, and back, and what was understood of it. */
export interface TextDialect extends Dialect {
  readonly understood: (value: string) => string | undefined;
}

const BARE = /^[\d\s./,½¼¾⅛⅜⅝⅞⅓⅔-]+$/;

const isBare = (typed: string): boolean => BARE.test(typed) && /[\d½¼¾⅛⅜⅝⅞⅓⅔]/.test(typed);

/** The text with the unit that a bare number takes. */
export const withUnit = (typed: string, system: LengthSystem): string =>
  isBare(typed) ? `${typed.trim()} ${system}` : typed;

/** The same for several lengths: each that has none gets its unit. */
export const withUnits = (typed: string, system: LengthSystem): string =>
  typed
    .split('+')
    .map((part) => {
      const [, times = '', one = part] = /^(\s*\d{1,2}\s*[×x*])(.*)$/i.exec(part) ?? [];
      return `${times}${times && ' '}${withUnit(one, system)}`;
    })
    .join('+');

/** A field whose text is completed before it is sent, and which says what it understood. */
export function DialectField<Values extends FieldValues>({
  control,
  name,
  placeholder,
  dialect,
  ...rest
}: BaseProps<Values> & { dialect: TextDialect }) {
  const { field, fieldState } = useController({ control, name });
  const value = String(field.value ?? '');
  const write = useWriting();
  const { shown, type } = useNumbers(value, dialect);
  const understood = fieldState.error ? undefined : dialect.understood(value);
  const hint = understood === undefined ? rest.hint : write(understood);
  return (
    <Field {...pickField(rest)} hint={hint} error={fieldState.error?.message}>
      {(ties) => (
        <TextInput
          {...ties}
          ref={field.ref}
          name={field.name}
          value={shown}
          onBlur={field.onBlur}
          {...(placeholder === undefined ? {} : { placeholder: write(placeholder) })}
          onChange={(event) => field.onChange(type(event.target.value))}
        />
      )}
    </Field>
  );
}

/** The one length field: takes "10 1/4", "26cm", "0.4mm", "3' 2\"" and says what it understood. */
export function LengthField<Values extends FieldValues>({
  bare,
  several = false,
  ...props
}: BaseProps<Values> & {
  /** Whether it takes several lengths: "2 × 15 mm + 40 mm". */
  several?: boolean;
  /** What a number without a unit is; as lengths are shown when it is not told. Beads and stones are measured in mm everywhere. */
  bare?: LengthSystem;
}) {
  const lengths = useLengths();
  const system = bare ?? lengths.system;
  const dialect: TextDialect = {
    complete: (typed) => (several ? withUnits(typed, system) : withUnit(typed, system)),
    display: (value) => value,
    understood: (value) => {
      const read = value === '' ? undefined : several ? parseLengths(value) : parseLength(value);
      if (!read?.ok) return undefined;
      if (typeof read.value === 'number') return formatBothWays(read.value);
      const pieces = read.value.length > 1 ? ` in ${read.value.length} pieces` : '';
      return `${formatBothWays(sumLengths(read.value))}${pieces}`;
    },
  };
  return <DialectField placeholder={system === 'in' ? '10 1/4 in' : '260 mm'} {...props} dialect={dialect} />;
}

/** A weight as it stands on an invoice, or as a scale shows it. */
export function MassField<Values extends FieldValues>({
  bare,
  ...props
}: BaseProps<Values> & {
  /** What a number without a unit is; without it one is asked for. */
  bare?: 'g';
}) {
  const dialect: TextDialect = {
    complete: (typed) => (bare !== undefined && isBare(typed) ? `${typed.trim()} ${bare}` : typed),
    display: (value) => value,
    understood: (value) => {
      const read = value === '' ? undefined : parseMass(value);
      return read?.ok ? `${formatMass(read.value)} = ${formatTroyOunces(read.value)}` : undefined;
    },
  };
  return <DialectField placeholder="1 oz t" {...props} dialect={dialect} />;
}

/** An amount in the studio's currency. */
export function MoneyField<Values extends FieldValues>({
  currency,
  ...props
}: BaseProps<Values> & { currency?: string }) {
  const own = useCurrency();
  const code = currency ?? own;
  const dialect: TextDialect = {
    complete: (typed) =>
      typed.trim() === ''
        ? ''
        : `${typed
            .trim()
            .replace(new RegExp(`${code}$`), '')
            .trimEnd()} ${code}`,
    display: (value) => value.replace(/[A-Z]{3}$/, '').trimEnd(),
    understood: (value) => {
      const read = value === '' ? undefined : parseMoney(value, code);
      return read?.ok ? formatMoney(read.value, code) : undefined;
    },
  };
  return (
    <DialectField
      placeholder={currencyOf(code).places === 0 ? '1250' : '12.50'}
      {...props}
      dialect={dialect}
    />
  );
}
