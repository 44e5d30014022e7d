'use client';

import { useEffect, type ReactNode } from 'react';
import { useController, useWatch, type Control, type DefaultValues, type FieldValues } from 'react-hook-form';
import { BEAD_SHAPES } from '@/core/bead/bead';
import { seedSize } from '@/core/bead/seedSize';
import { FINDINGS } from '@/core/stock/finding';
import { SUPPLY_UNITS } from '@/core/stock/amount';
import { HOLE_AXES, OUTLINES, type HoleAxis, type OutlineKind, type StoneMeasures } from '@/core/stone/stone';
import { tag, TAG_PATHS } from '@/core/tag';
import { parseLength, UM_PER_MM } from '@/core/units/length';
import type { DrawerWare } from '@/studio/drawers/drawers';
import {
  ReceiveBeadsInput,
  ReceiveFindingsInput,
  ReceiveStoneInput,
  ReceiveSupplyInput,
} from '@/studio/drawers/receive.input';
import type { PurchaseFields } from '@/studio/stock/purchase.input';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField, LengthField, TextField } from '@/ui/form/fields';
import { StoneDrawing } from '@/ui/StoneDrawing';
import { noPurchase, PurchaseFieldset, type PurchaseHints } from '../../parts/PurchaseFieldset';
import { same } from '../../parts/SpecFieldset';
import { useDone } from '../../parts/useDone';
import { receiveAction } from '../actions';

interface ReceivingProps<Values extends FieldValues & PurchaseFields> {
  readonly ware: DrawerWare;
  readonly input: new () => Values;
  readonly values: DefaultValues<Values>;
  readonly hints: PurchaseHints;
  readonly children: (control: Control<Values>) => ReactNode;
}

/** A form that takes something in: its own fields, then those of every purchase. */
function Receiving<Values extends FieldValues & PurchaseFields>({
  ware,
  input,
  values,
  hints,
  children,
}: ReceivingProps<Values>) {
  const onDone = useDone(
    ({ number }: { number: number }) => `Received: it is ${tag(ware, number)}. Write that on it.`,
    ({ number }) => `${TAG_PATHS[ware]}/${tag(ware, number)}`,
  );
  return (
    <ActForm
      input={input}
      defaultValues={values}
      send={(key, given: Values) => receiveAction(ware, key, given)}
      onDone={onDone}
      action="Put it in the drawer"
      busy="Posting …"
      quiet={false}
      className=""
    >
      {(control) => (
        <>
          <div className="grid gap-4 sm:grid-cols-3">{children(control)}</div>
          <PurchaseFieldset control={control} hints={hints} />
        </>
      )}
    </ActForm>
  );
}

/** A seed bead’s number becomes its size, to be seen in the field. */
function SeedNumber({ control }: { control: Control<ReceiveBeadsInput> }) {
  const { field } = useController({ control, name: 'size' });
  const size = seedSize(field.value);
  const { onChange } = field;
  useEffect(() => {
    if (size !== undefined) onChange(`${size / UM_PER_MM} mm`);
  }, [onChange, size]);
  return null;
}

/** “25x18x6” typed as the length becomes length, width and depth, each in its own field. */
function SizesTogether({ control }: { control: Control<ReceiveStoneInput> }) {
  const { value, onChange: setLength } = useController({ control, name: 'length' }).field;
  const { onChange: setWidth } = useController({ control, name: 'width' }).field;
  const { onChange: setDepth } = useController({ control, name: 'depth' }).field;
  useEffect(() => {
    const [length, width, depth] = sizesIn(value) ?? [];
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

interface FormProps {
  readonly hints: PurchaseHints;
}

export function ReceiveBeads({ hints }: FormProps) {
  return (
    <Receiving
      ware="bead"
      input={ReceiveBeadsInput}
      hints={hints}
      values={{
        material: '',
        shape: 'round',
        size: '',
        largest: '',
        hole: '',
        form: 'strand',
        count: '',
        shades: '',
        ...noPurchase(hints.today),
      }}
    >
      {(control) => (
        <>
          <TextField control={control} name="material" label="Material" placeholder="garnet" />
          <ChoiceField control={control} name="shape" label="Shape" choices={same(BEAD_SHAPES)} />
          <LengthField
            bare="mm"
            control={control}
            name="size"
            label="Size across"
            placeholder="4 mm, or 11/0"
          />
          <SeedNumber control={control} />
          <LengthField
            bare="mm"
            control={control}
            name="largest"
            label="Largest, when graded"
            placeholder="6 mm"
            hint="Empty: all of one size"
          />
          <LengthField bare="mm" control={control} name="hole" label="Hole" placeholder="0.8 mm" />
          <ChoiceField
            control={control}
            name="form"
            label="They came"
            choices={[
              { value: 'strand', text: 'on a strand' },
              { value: 'loose', text: 'loose' },
            ]}
          />
          <TextField control={control} name="count" label="How many" placeholder="48, or 4 dozen" />
          <div className="sm:col-span-2">
            <TextField
              control={control}
              name="shades"
              label="Shades or sizes, in stringing order"
              placeholder="pale 12, middle 20, deep 16"
              hint="May stay empty. A graded strand: 3 mm 8, 4 mm 12. Symmetrical sets are counted out by them"
            />
          </div>
        </>
      )}
    </Receiving>
  );
}

export function ReceiveStone({ hints }: FormProps) {
  return (
    <Receiving
      ware="stone"
      input={ReceiveStoneInput}
      hints={hints}
      values={{
        material: '',
        outline: 'oval',
        length: '',
        width: '',
        depth: '',
        edge: '',
        holeAxis: 'none',
        hole: '',
        ...noPurchase(hints.today),
      }}
    >
      {(control) => <StoneFields control={control} />}
    </Receiving>
  );
}

function StoneFields({ control }: { control: Control<ReceiveStoneInput> }) {
  const [outline, holeAxis, ...sizes] = useWatch({
    control,
    name: ['outline', 'holeAxis', 'length', 'width', 'depth', 'edge', 'hole'],
  });
  const [length, width, depth, edge, hole] = sizes.map((text) => {
    const read = parseLength(text ?? '');
    return read.ok ? read.value : undefined;
  });
  const none = 0 as StoneMeasures['hole'];
  const stone =
    length && width
      ? {
          material: '',
          outline: outline as OutlineKind,
          length,
          width,
          depth: depth ?? none,
          edge: edge ?? none,
          holeAxis: holeAxis as HoleAxis,
          hole: hole ?? none,
        }
      : undefined;
  return (
    <>
      <TextField control={control} name="material" label="Stone" placeholder="prehnite" />
      <ChoiceField control={control} name="outline" label="Outline" choices={same(OUTLINES)} />
      <ChoiceField
        control={control}
        name="holeAxis"
        label="Drilled"
        choices={HOLE_AXES.map((value) => ({ value, text: value === 'none' ? 'not at all' : value }))}
      />
      <LengthField bare="mm" control={control} name="length" label="Length" placeholder="18 mm" />
      <SizesTogether control={control} />
      <LengthField bare="mm" control={control} name="width" label="Width" placeholder="13 mm" />
      <LengthField bare="mm" control={control} name="depth" label="Depth" placeholder="5 mm" />
      <LengthField
        bare="mm"
        control={control}
        name="edge"
        label="Height of its edge"
        placeholder="3 mm"
        hint="What the holds go round"
      />
      {holeAxis !== 'none' && (
        <LengthField bare="mm" control={control} name="hole" label="Hole" placeholder="0.6 mm" />
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

export function ReceiveFindings({ hints }: FormProps) {
  return (
    <Receiving
      ware="finding"
      input={ReceiveFindingsInput}
      hints={hints}
      values={{ finding: 'jump ring', material: '', size: '', count: '', ...noPurchase(hints.today) }}
    >
      {(control) => (
        <>
          <ChoiceField control={control} name="finding" label="Finding" choices={same(FINDINGS)} />
          <TextField control={control} name="material" label="Material" placeholder="sterling" />
          <TextField control={control} name="size" label="Size" placeholder="4 mm, 20 ga" />
          <TextField
            control={control}
            name="count"
            label="How many"
            placeholder="1 gross"
            hint="Each, dozen or gross"
          />
        </>
      )}
    </Receiving>
  );
}

export function ReceiveSupply({ hints }: FormProps) {
  return (
    <Receiving
      ware="supply"
      input={ReceiveSupplyInput}
      hints={hints}
      values={{ name: '', unit: 'piece', quantity: '', perPiece: '0', ...noPurchase(hints.today) }}
    >
      {(control) => (
        <>
          <TextField control={control} name="name" label="Supply" placeholder="Polishing cloth" />
          <ChoiceField
            control={control}
            name="unit"
            label="By the"
            choices={SUPPLY_UNITS.map((value) => ({ value, text: value }))}
          />
          <TextField control={control} name="quantity" label="How much" placeholder="250" />
          <TextField
            control={control}
            name="perPiece"
            label="A finished piece takes"
            placeholder="2"
            hint="0 when it is not counted to pieces"
          />
        </>
      )}
    </Receiving>
  );
}
