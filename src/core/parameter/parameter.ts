import type { Vec } from '../geometry/vector';
import type { WireUseId } from '../wire/wireUse';
import type { StoneSize } from '../stone/stoneSize';
import type { WireSize } from '../wire/wireSize';
import type { Weave } from '../weave/notation';

interface Told {
  readonly label: string;
  readonly help?: string;
  /** The choice that it hangs on, and what must be chosen for it to be asked; always when it is not told. */
  readonly asked?: { readonly of: string; readonly is: readonly string[] };
}

/** A length, mm. */
export interface LengthParameter extends Told {
  readonly kind: 'length';
  /** The inside of a ring, which is also said as a size; or the size of a bead, which several techniques may share. */
  readonly as?: 'ring' | 'bead';
  /** What a number without a unit is, whatever the studio measures wire in: beads and holes are told in millimetres everywhere. */
  readonly bare?: 'mm';
  readonly from: number;
  readonly to: number;
  readonly initial: number;
}
/** A whole number of something. */
export interface CountParameter extends Told {
  readonly kind: 'count';
  readonly from: number;
  readonly to: number;
  readonly initial: number;
}
export interface ChoiceParameter<Choice extends string = string> extends Told {
  readonly kind: 'choice';
  readonly choices: readonly Choice[];
  readonly initial: Choice;
}
export interface WireParameter extends Told {
  readonly kind: 'wire';
  readonly initial: WireSize;
  /** What it is for, which says what wire suits it. */
  readonly use: WireUseId;
}
export interface StoneParameter extends Told {
  readonly kind: 'stone';
  readonly initial: StoneSize;
}
export interface WeaveParameter extends Told {
  readonly kind: 'weave';
  readonly initial: Weave;
}

/** Points of a line from where an end stands: how far on along it and how far to its right, mm. */
export interface LineParameter extends Told {
  readonly kind: 'line';
  readonly initial: readonly Vec[];
}

/** How many points a line has besides its beginning. */
export const LINE_POINTS = { least: 1, most: 40 } as const;

export type Parameter =
  | LengthParameter
  | CountParameter
  | ChoiceParameter
  | WireParameter
  | StoneParameter
  | WeaveParameter
  | LineParameter;

export type Parameters = Readonly<Record<string, Parameter>>;

/** What a parameter is told as. */
type ValueOf<P extends Parameter> =
  P extends ChoiceParameter<infer Choice>
    ? Choice
    : P extends LengthParameter | CountParameter
      ? number
      : P extends WireParameter
        ? WireSize
        : P extends StoneParameter
          ? StoneSize
          : P extends LineParameter
            ? readonly Vec[]
            : Weave;

/** The values of a technique’s parameters. */
export type ValuesOf<P extends Parameters> = { readonly [Key in keyof P]: ValueOf<P[Key]> };

export const length = (
  label: string,
  initial: number,
  from: number,
  to: number,
  help?: string,
): LengthParameter => ({ kind: 'length', label, initial, from, to, ...(help ? { help } : {}) });

/** The size of a bead along its hole, mm. */
export const beadLength = (label: string, initial: number, from: number, to: number): LengthParameter => ({
  ...length(label, initial, from, to),
  as: 'bead',
  bare: 'mm',
});

/** The hole of a bead or drop, which the wire must pass; it changes no length. */
export const drilled = (initial: number): LengthParameter => ({
  ...length('Hole of the bead', initial, 0.2, 10),
  bare: 'mm',
});

/** A parameter that is asked only when something is chosen in another. */
export const askedWhen = <P extends Parameter>(parameter: P, of: string, ...is: readonly string[]): P => ({
  ...parameter,
  asked: { of, is },
});

/** Whether a parameter is asked, by what was typed in the others. */
export const isAsked = (
  { asked }: Pick<Parameter, 'asked'>,
  texts: Readonly<Record<string, string | undefined>>,
): boolean => !asked || asked.is.includes(texts[asked.of] ?? '');

export const count = (
  label: string,
  initial: number,
  from: number,
  to: number,
  help?: string,
): CountParameter => ({ kind: 'count', label, initial, from, to, ...(help ? { help } : {}) });

export const choice = <const Choice extends string>(
  label: string,
  choices: readonly Choice[],
  initial: NoInfer<Choice>,
): ChoiceParameter<Choice> => ({ kind: 'choice', label, choices, initial });

export const line = (label: string, initial: readonly Vec[], help: string): LineParameter => ({
  kind: 'line',
  label,
  initial,
  help,
});

/** A square wire of a thickness. */
export const squareWire = (side: number): WireSize => ({ profile: 'square', width: side, height: side });

export const roundWire = (diameter: number): WireSize => ({
  profile: 'round',
  width: diameter,
  height: diameter,
});

export const wire = (label: string, initial: WireSize, use: WireUseId = 'any'): WireParameter => ({
  kind: 'wire',
  label,
  initial,
  use,
});

export const stone = (label: string, initial: StoneSize): StoneParameter => ({
  kind: 'stone',
  label,
  initial,
});

/** The values that every parameter begins with. */
export const initialValues = <P extends Parameters>(parameters: P): ValuesOf<P> =>
  Object.fromEntries(Object.entries(parameters).map(([key, { initial }]) => [key, initial])) as ValuesOf<P>;

export const weave = (label: string, initial: Weave, help?: string): WeaveParameter => ({
  kind: 'weave',
  label,
  initial,
  ...(help ? { help } : {}),
});
