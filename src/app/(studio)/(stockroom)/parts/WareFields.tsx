'use client';

import { useEffect } from 'react';
import { useController, useWatch, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { BEAD_SHAPES } from '@/core/bead/bead';
import { seedSize } from '@/core/bead/seedSize';
import { SUPPLY_UNITS } from '@/core/stock/amount';
import { FINDINGS } from '@/core/stock/finding';
import { HOLE_AXES, OUTLINES, type StoneMeasures } from '@/core/stone/stone';
import { UM_PER_MM } from '@/core/units/length';
import type { DeliveredWare } from '@/studio/deliveries/delivery.input';
import { StoneFields as StoneTyped } from '@/studio/drawers/receive.input';
import { readSoFar } from '@/studio/kernel/readInput';
import { BOUGHT_FORMS } from '@/studio/wire/receiveWire.input';
import { ChoiceField, LengthField, MassField, TextField } from '@/ui/form/fields';
import { StoneDrawing } from '@/ui/StoneDrawing';
import { same, SpecFieldset } from './SpecFieldset';

/** What the fields of a ware stand on: the form's control, and where in the form each of them is. */
interface WareProps<Values extends FieldValues> {
  readonly control: Control<Values>;
  /** The path of a field of the ware. */
  readonly at: (name: string) => FieldPath<Values>;
}

/** Values of each ware that nothing is said of yet. */
export const BLANK = {
  wire: {
    metal: 'copper',
    profile: 'round',
    gaugeSystem: 'AWG',
    gaugeNumber: '',
    height: '',
    temper: 'dead soft',
    finish: 'bare',
    finishName: '',
    form: 'spool',
    length: '',
    mass: '',
  },
  bead: {
    material: '',
    shape: 'round',
    size: '',
    largest: '',
    hole: '',
    form: 'strand',
    count: '',
    shades: '',
  },
  stone: {
    material: '',
    outline: 'oval',
    length: '',
    width: '',
    depth: '',
    edge: '',
    holeAxis: 'none',
    hole: '',
  },
  finding: { finding: 'jump ring', material: '', size: '', count: '' },
  supply: { name: '', unit: 'piece', quantity: '', perPiece: '0' },
} as const satisfies Readonly<Record<DeliveredWare, Readonly<Record<string, string>>>>;

/** How much wire came, on what. */
export function HowMuchWire<Values extends FieldValues>({ control, at }: WareProps<Values>) {
  return (
    <div className="mt-2 grid gap-4 sm:grid-cols-3">
      <ChoiceField control={control} name={at('form')} label="On a" choices={same(BOUGHT_FORMS)} />
      <LengthField
        control={control}
        name={at('length')}
        label="Length"
        hint="Or the weight; both check each other"
        placeholder="50 ft"
      />
      <MassField control={control} name={at('mass')} label="Weight" hint="Without the spool" />
    </div>
  );
}

function WireFields<Values extends FieldValues>({ control, at }: WareProps<Values>) {
  return (
    <div className="sm:col-span-3">
      <SpecFieldset control={control} at={at} />
      <HowMuchWire control={control} at={at} />
    </div>
  );
}

/** A seed bead’s number becomes its size, to be seen in the field. */
function SeedNumber<Values extends FieldValues>({ control, at }: WareProps<Values>) {
  const { field } = useController({ control, name: at('size') });
  const size = seedSize(String(field.value));
  const { onChange } = field;
  useEffect(() => {
    if (size !== undefined) onChange(`${size / UM_PER_MM} mm`);
  }, [onChange, size]);
  return null;
}

function BeadFields<Values extends FieldValues>({ control, at }: WareProps<Values>) {
  return (
    <>
      <TextField control={control} name={at('material')} label="Material" placeholder="garnet" />
      <ChoiceField control={control} name={at('shape')} label="Shape" choices={same(BEAD_SHAPES)} />
      <LengthField
        bare="mm"
        control={control}
        name={at('size')}
        label="Size across"
        placeholder="4 mm, or 11/0"
      />
      <SeedNumber control={control} at={at} />
      <LengthField
        bare="mm"
        control={control}
        name={at('largest')}
        label="Largest, when graded"
        placeholder="6 mm"
        hint="Empty: all of one size"
      />
      <LengthField bare="mm" control={control} name={at('hole')} label="Hole" placeholder="0.8 mm" />
      <ChoiceField
        control={control}
        name={at('form')}
        label="They came"
        choices={[
          { value: 'strand', text: 'on a strand' },
          { value: 'loose', text: 'loose' },
        ]}
      />
      <TextField control={control} name={at('count')} label="How many" placeholder="48, or 4 dozen" />
      <div className="sm:col-span-2">
        <TextField
          control={control}
          name={at('shades')}
          label="Shades or sizes, in stringing order"
          placeholder="pale 12, middle 20, deep 16"
          hint="May stay empty. A graded strand: 3 mm 8, 4 mm 12. Symmetrical sets are counted out by them"
        />
      </div>
    </>
  );
}

/** “25x18x6” typed as the length becomes length, width and depth, each in its own field. */
function SizesTogether<Values extends FieldValues>({ control, at }: WareProps<Values>) {
  const { value, onChange: setLength } = useController({ control, name: at('length') }).field;
  const { onChange: setWidth } = useController({ control, name: at('width') }).field;
  const { onChange: setDepth } = useController({ control, name: at('depth') }).field;
  useEffect(() => {
    const [length, width, depth] = sizesIn(String(value)) ?? [];
    if (length === undefined) return;
    setLength(`${length} mm`);
    setWidth(`${width ?? ''} mm`);
    setDepth(`${depth ?? ''} mm`);
  }, [value, setLength, setWidth, setDepth]);
  return null;
}

/** Length, width and depth of “25x18x6”, once the last of them is typed. */
function sizesIn(text: string): string[] | undefined {
  const parts = text
    .toLowerCase()
    .replaceAll('mm', '')
    .replaceAll('×', 'x')
    .split('x')
    .map((part) => part.trim());
  return parts.length === 3 && parts.every((part) => /^\d+(?:[.,]\d+)?$/.test(part)) ? parts : undefined;
}

const STONE_NAMES = ['outline', 'holeAxis', 'length', 'width', 'depth', 'edge', 'hole'];

function StoneFields<Values extends FieldValues>({ control, at }: WareProps<Values>) {
  const texts = useWatch({ control, name: STONE_NAMES.map(at) }) as readonly string[];
  const typed = Object.fromEntries(STONE_NAMES.map((name, index) => [name, texts[index]]));
  const { outline, holeAxis, length, width, depth, edge, hole } = readSoFar(StoneTyped, typed);
  const none = 0 as StoneMeasures['hole'];
  const stone =
    length && width && outline && holeAxis
      ? {
          material: '',
          outline,
          length,
          width,
          depth: depth ?? none,
          edge: edge ?? none,
          holeAxis,
          hole: hole ?? none,
        }
      : undefined;
  return (
    <>
      <TextField control={control} name={at('material')} label="Stone" placeholder="prehnite" />
      <ChoiceField control={control} name={at('outline')} label="Outline" choices={same(OUTLINES)} />
      <ChoiceField
        control={control}
        name={at('holeAxis')}
        label="Drilled"
        choices={HOLE_AXES.map((value) => ({ value, text: value === 'none' ? 'not at all' : value }))}
      />
      <LengthField bare="mm" control={control} name={at('length')} label="Length" placeholder="18 mm" />
      <SizesTogether control={control} at={at} />
      <LengthField bare="mm" control={control} name={at('width')} label="Width" placeholder="13 mm" />
      <LengthField bare="mm" control={control} name={at('depth')} label="Depth" placeholder="5 mm" />
      <LengthField
        bare="mm"
        control={control}
        name={at('edge')}
        label="Height of its edge"
        placeholder="3 mm"
        hint="What the holds go round"
      />
      {holeAxis !== 'none' && (
        <LengthField bare="mm" control={control} name={at('hole')} label="Hole" placeholder="0.6 mm" />
      )}
      {stone && stone.length <= 200_000 && stone.width <= 200_000 && (
        <p className="flex items-center gap-3 sm:col-span-3">
          <StoneDrawing stone={stone} />
          <span className="muted text-sm">Life size on most screens</span>
        </p>
      )}
    </>
  );
}

function FindingFields<Values extends FieldValues>({ control, at }: WareProps<Values>) {
  return (
    <>
      <ChoiceField control={control} name={at('finding')} label="Finding" choices={same(FINDINGS)} />
      <TextField control={control} name={at('material')} label="Material" placeholder="sterling" />
      <TextField control={control} name={at('size')} label="Size" placeholder="4 mm, 20 ga" />
      <TextField
        control={control}
        name={at('count')}
        label="How many"
        placeholder="1 gross"
        hint="Each, dozen or gross"
      />
    </>
  );
}

function SupplyFields<Values extends FieldValues>({ control, at }: WareProps<Values>) {
  return (
    <>
      <TextField control={control} name={at('name')} label="Supply" placeholder="Polishing cloth" />
      <ChoiceField control={control} name={at('unit')} label="By the" choices={same(SUPPLY_UNITS)} />
      <TextField control={control} name={at('quantity')} label="How much" placeholder="250" />
      <TextField
        control={control}
        name={at('perPiece')}
        label="A finished piece takes"
        placeholder="2"
        hint="0 when it is not counted to pieces"
      />
    </>
  );
}

const FIELDS = {
  wire: WireFields,
  bead: BeadFields,
  stone: StoneFields,
  finding: FindingFields,
  supply: SupplyFields,
} as const;

/** The fields that say what came of a ware, and how much. */
export function WareFields<Values extends FieldValues>({
  ware,
  ...props
}: WareProps<Values> & { ware: DeliveredWare }) {
  const Fields = FIELDS[ware];
  return <Fields {...props} />;
}
