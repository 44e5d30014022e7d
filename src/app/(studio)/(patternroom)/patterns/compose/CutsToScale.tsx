'use client';

import dynamic from 'next/dynamic';
import { createContext, memo, useCallback, useContext, useMemo, type ReactNode } from 'react';
import type { Composition, Specs } from '@/core/pattern/composition';
import { cutKey, withLengthTyped, type CutInHand } from '@/core/pattern/inHand';
import type { Resolved, ResolvedCut } from '@/core/pattern/resolve';
import { cutOf } from '@/core/technique/technique';
import { completedText, readInside, type Texts } from '@/core/parameter/readTexts';
import { mm } from '@/core/units/length';
import { CutStrips, type Strip } from '@/ui/craft/CutStrips';
import { stripsOf } from '@/ui/craft/stripsOf';
import { Field, TextInput } from '@/ui/form/Field';
import { useNumbers } from '@/ui/form/useNumbers';
import { useHouse } from '@/ui/house';
import { Reckoned, useLengths } from '@/ui/lengths';
import { useSame } from '@/ui/useSame';

/** It is asked of a length that is too short. */
const InsteadOfIt = dynamic(() => import('./InsteadOfIt').then((loaded) => loaded.InsteadOfIt), {
  ssr: false,
});

interface CutsToScaleProps {
  readonly resolved: Resolved;
  readonly byId: Specs;
  /** Lengths that are cut already, as typed. */
  readonly inHand: Texts;
  readonly compose: (next: (before: Composition) => Composition, tag: string) => void;
  readonly onShape: (use: string, texts: Texts, tag: string) => void;
}

/** What is in hand for each cut, for the fields below them: they change while the cuts stay. */
interface InHand {
  readonly typed: Texts;
  readonly cuts: ReadonlyMap<string, ResolvedCut>;
  readonly onType: (key: string, typed: string) => void;
  /** What is asked of a length that is too short. */
  readonly instead: (cut: ResolvedCut) => ReactNode;
}

const InHandContext = createContext<InHand>({
  typed: {},
  cuts: new Map(),
  onType: () => undefined,
  instead: () => null,
});

/** The wires that a pattern is cut from, to one scale, and what of them is cut already. */
export const CutsToScale = memo(function CutsToScale({
  resolved,
  byId,
  inHand,
  compose,
  onShape,
}: CutsToScaleProps) {
  const onType = useCallback(
    (key: string, typed: string) =>
      compose(
        (before) => ({ ...before, inHand: withLengthTyped(before.inHand ?? {}, key, typed) }),
        `inHand.${key}`,
      ),
    [compose],
  );
  const told = useMemo(
    () => ({
      typed: inHand,
      cuts: new Map(resolved.cuts.map((cut) => [cutKey(cut.use.id, cut), cut])),
      onType,
      instead: (cut: ResolvedCut) => (
        <InsteadOfIt
          resolved={resolved}
          cut={cut}
          length={cutOf(cut) + (cut.inHand?.over ?? 0)}
          onShape={onShape}
        />
      ),
    }),
    [inHand, resolved, onType, onShape],
  );
  return (
    <section className="leaf p-4" aria-label="Cuts">
      <h2>Wires to cut, to scale</h2>
      <div className="mt-2">
        <InHandContext value={told}>
          <CutStrips strips={useSame(stripsOf(resolved, byId))} below={LengthBelow} />
        </InHandContext>
      </div>
      <p className="muted mt-3 text-sm">
        {resolved.grams.toFixed(2)} g of wire stay in the piece, as far as its wires are chosen.
      </p>
    </section>
  );
});

function LengthBelow({ strip: { key, title } }: { readonly strip: Strip }) {
  const { typed, cuts, onType, instead } = useContext(InHandContext);
  const cut = cuts.get(key);
  const inHand = cut?.inHand;
  return (
    <>
      <LengthInHand cut={title} of={key} typed={typed[key] ?? ''} inHand={inHand} onType={onType} />
      {cut && inHand && inHand.over < 0 && instead(cut)}
    </>
  );
}

const LENGTH = { field: 'inHand', label: 'I have cut', kind: 'length' } as const;

/** Asks what is cut already for a wire, and says what of it is left over, or by how much it is too short. */
const LengthInHand = memo(function LengthInHand({
  cut,
  of,
  typed,
  inHand,
  onType,
}: {
  readonly cut: string;
  /** By what it is kept. */
  readonly of: string;
  readonly typed: string;
  /** What it comes to; undefined when nothing is typed that can be read. */
  readonly inHand: CutInHand | undefined;
  readonly onType: (key: string, typed: string) => void;
}) {
  const { system } = useLengths();
  const { rings } = useHouse();
  const box = useNumbers(typed, { complete: (text) => completedText(LENGTH, text, { system, rings }) });
  const read = typed === '' ? undefined : readInside(typed, system);
  const short = inHand && inHand.over < 0;
  return (
    <div className="mt-1 max-w-md">
      <Field
        label={
          <>
            I have cut<span className="sr-only"> of {cut}</span>
          </>
        }
        error={read?.ok === false ? read.error : undefined}
        hint={
          inHand &&
          (short ? (
            <strong className="text-error">
              <Reckoned of={mm(-inHand.over)} /> too short: cut another, or see what it would do instead.
            </strong>
          ) : inHand.over > 0 ? (
            <>
              <Reckoned of={mm(inHand.over)} /> of it are left over at its end.
            </>
          ) : (
            'Just what it takes.'
          ))
        }
      >
        {(ties) => (
          <TextInput
            {...ties}
            value={box.shown}
            placeholder="nothing yet"
            onChange={({ target }) => onType(of, box.type(target.value))}
            onBlur={box.settle}
          />
        )}
      </Field>
    </div>
  );
});
