'use client';

import { memo, useState } from 'react';
import { swapThroughout, type Swap, type Swapped } from '@/core/pattern/swapWires';
import type { Composition, Specs } from '@/core/pattern/composition';
import { resolve, type Resolved } from '@/core/pattern/resolve';
import { fetchedTechniques } from '@/core/techniques/fetchTechnique';
import { METALS, TEMPERS, type MetalId, type Temper } from '@/core/wire/metal';
import { describeSpec } from '@/core/wire/spec';
import type { KnownSpec } from '@/studio/catalogue/wireSpecs';
import { cutLengthOf } from '@/core/plan/totals';
import { Fold } from '@/ui/Fold';

interface SwapWiresProps {
  readonly composition: Composition;
  readonly resolved: Resolved;
  readonly specs: readonly KnownSpec[];
  readonly byId: Specs;
  readonly onSwap: (composition: Composition) => void;
}

const wireOf = ({ cuts }: Resolved): number =>
  cuts.reduce((sum, cut) => sum + cut.count * cutLengthOf(cut), 0) / 1000;

/** Swaps metal, temper or gauge throughout, and says what changes before it does. */
export const SwapWires = memo(function SwapWires({
  composition,
  resolved,
  specs,
  byId,
  onSwap,
}: SwapWiresProps) {
  const [metal, setMetal] = useState('');
  const [temper, setTemper] = useState('');
  const [only, setOnly] = useState('');
  const [width, setWidth] = useState('');
  const used = [...new Set(composition.uses.flatMap(({ wires }) => Object.values(wires)))];
  const wires = specs.filter(({ id }) => used.includes(id));
  if (wires.length === 0) return null;
  const swap: Swap = {
    ...(metal ? { metal: metal as MetalId } : {}),
    ...(temper ? { temper: temper as Temper } : {}),
    ...(width && only ? { width: Number(width) } : {}),
  };
  const wanted = Object.keys(swap).length > 0;
  const swapped = wanted ? swapThroughout(composition, swap, byId, only || undefined) : undefined;
  const widths = [...new Map(specs.map((spec) => [spec.width, spec])).values()].sort(
    (a, b) => b.width - a.width,
  );
  return (
    <Fold title="Swap a metal, gauge or temper throughout">
      <div className="grid grid-cols-2 gap-2">
        <Choice label="Wire" value={only} onChange={setOnly} none="every wire">
          {wires.map((spec) => ({ value: spec.id, text: describeSpec(spec) }))}
        </Choice>
        <Choice label="Becomes" value={metal} onChange={setMetal} none="the same metal">
          {METALS.map(({ id, name }) => ({ value: id, text: name }))}
        </Choice>
        <Choice label="Temper" value={temper} onChange={setTemper} none="the nearest there is">
          {TEMPERS.map((each) => ({ value: each, text: each }))}
        </Choice>
        {only && (
          <Choice label="Size" value={width} onChange={setWidth} none="the same size">
            {widths.map((spec) => ({ value: String(spec.width), text: `${spec.width / 1000} mm` }))}
          </Choice>
        )}
      </div>
      {swapped && (
        <Change
          before={resolved}
          swapped={swapped}
          after={resolve(swapped.composition, byId, fetchedTechniques)}
          byId={byId}
        />
      )}
      <button
        type="button"
        className="btn mt-2"
        disabled={!swapped}
        onClick={() => swapped && onSwap(swapped.composition)}
      >
        Swap them
      </button>
    </Fold>
  );
});

function Choice({
  label,
  value,
  onChange,
  none,
  children,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  none: string;
  children: readonly { readonly value: string; readonly text: string }[];
}) {
  return (
    <label className="text-sm font-semibold">
      {label}
      <select
        className="select w-full text-base font-normal"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      >
        <option value="">{none}</option>
        {children.map((choice) => (
          <option key={choice.value} value={choice.value}>
            {choice.text}
          </option>
        ))}
      </select>
    </label>
  );
}

/** What a swap changes: wire to cut, what stays in the piece, and what the studio has no counterpart of. */
function Change({
  before,
  after,
  swapped: { missing },
  byId,
}: {
  before: Resolved;
  after: Resolved;
  swapped: Swapped;
  byId: Specs;
}) {
  const advice = (each: Resolved) => each.uses.reduce((sum, { judgements }) => sum + judgements.length, 0);
  return (
    <ul className="mt-2 list-inside list-disc text-sm" aria-live="polite">
      <li>
        Wire to cut: {Math.round(wireOf(before))} mm becomes {Math.round(wireOf(after))} mm.
      </li>
      <li>
        Wire in the piece: {before.grams.toFixed(2)} g becomes {after.grams.toFixed(2)} g.
      </li>
      <li>
        Advice: {advice(before)} becomes {advice(after)}.
      </li>
      {missing.map((specId) => {
        const spec = byId[specId];
        return (
          spec && (
            <li key={specId}>
              <strong>Nothing of that kind is in the studio for {describeSpec(spec)}; it stays.</strong>
            </li>
          )
        );
      })}
    </ul>
  );
}
