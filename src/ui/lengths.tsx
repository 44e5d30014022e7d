'use client';

import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import {
  formatBothWays,
  formatLengthKnown,
  formatLengthShort,
  formatToCut,
  formatToMark,
  type LengthSystem,
  type Micrometres,
} from '@/core/units/length';
import { Said, useWriting } from './house';
import { remember } from './remember';

interface Lengths {
  readonly system: LengthSystem;
  readonly toggle: () => void;
}

const LengthsContext = createContext<Lengths>({ system: 'mm', toggle: () => undefined });

/** Holds whether lengths are shown in inches or metric; kept in a cookie so that the next page is right at once. */
export function LengthsProvider({ initial, children }: { initial: LengthSystem; children: ReactNode }) {
  const [system, setSystem] = useState(initial);
  const value = useMemo(
    () => ({
      system,
      toggle: () => {
        const next = system === 'in' ? 'mm' : 'in';
        remember('lengths', next);
        setSystem(next);
      },
    }),
    [system],
  );
  return <LengthsContext value={value}>{children}</LengthsContext>;
}

export const useLengths = (): Lengths => useContext(LengthsContext);

/** A computed length, as it is cut or as it is marked; exact on hovering. */
export function Reckoned({ of, cut = false }: { of: Micrometres; cut?: boolean }) {
  const { system } = useLengths();
  const write = useWriting();
  return (
    <span className="whitespace-nowrap" title={write(formatBothWays(of))}>
      <Said>{cut ? formatToCut(of, system) : formatToMark(of, system)}</Said>
    </span>
  );
}

/** A length as well as it is known, in the system shown; exactly and both ways on hovering. */
export function Length({ of, short = false }: { of: Micrometres; short?: boolean }) {
  const { system } = useLengths();
  const write = useWriting();
  const text = short ? formatLengthShort(of, system) : formatLengthKnown(of, system);
  return (
    <span className="whitespace-nowrap" title={write(formatBothWays(of))}>
      <Said>{text}</Said>
    </span>
  );
}
