import type { MinorUnits } from '@/core/units/money';

declare const reads: unique symbol;

/** Text as somebody types it, of which {@link readInput} makes a value: what a form holds, and what a file or a program sends. */
export type Typed<Value> = string & { readonly [reads]?: { readonly as: Value } };

/** An amount of money in the currency it was typed in. */
export interface Amount {
  readonly money: MinorUnits;
  readonly code: string;
}

/** What a field of an input class yields. */
export type ValueOf<Field> = Field extends string
  ? Field extends { readonly [reads]?: infer Mark }
    ? unknown extends Mark
      ? Field
      : Exclude<Mark, undefined> extends { readonly as: infer Value }
        ? Value
        : Field
    : Field
  : Field extends number | boolean | null | undefined
    ? Field
    : Field extends readonly (infer Entry)[]
      ? readonly ValueOf<Entry>[]
      : Field extends object
        ? ValuesOf<Field>
        : Field;

/** What an input class yields: of every typed text its value. */
export type ValuesOf<Input> = { [Name in keyof Input]: ValueOf<Input[Name]> };

/** Says how the text of a field is read; the field's own type has to say what comes of it. */
export type Reads<Value> = <Input extends object, Name extends keyof Input & string>(
  input: Input,
  name: [Value] extends [ValueOf<Exclude<Input[Name], undefined>>] ? Name : never,
) => void;
