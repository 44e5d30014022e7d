'use client';

import { useId } from 'react';
import type { TechniqueUse } from '@/core/pattern/composition';
import type { ActTechnique, Port } from '@/core/technique/act';
import type { Offer } from '@/core/technique/joinActs';

interface PortFieldsProps {
  readonly technique: ActTechnique;
  readonly takes: TechniqueUse['takes'];
  /** What is free before this technique. */
  readonly offered: readonly Offer[];
  readonly onChange: (takes: TechniqueUse['takes'], port: string) => void;
}

/** What a technique goes on from: ends and wires that are there, in the order they are chosen, or wires of its own. */
export function PortFields({ technique, takes, offered, onChange }: PortFieldsProps) {
  const ports = Object.entries(technique.ports);
  return ports.map(([key, port]) => {
    const chosen = takes[key] ?? [];
    const open = offered.filter(({ takes: kind }) => port.takes.includes(kind));
    if (open.length === 0 && chosen.length === 0) return null;
    return (
      <PortField
        key={key}
        port={port}
        chosen={chosen}
        open={open}
        onChoose={(refs) => {
          const others = Object.fromEntries(Object.entries(takes).filter(([each]) => each !== key));
          onChange(refs.length > 0 ? { ...others, [key]: refs } : others, key);
        }}
      />
    );
  });
}

function PortField({
  port,
  chosen,
  open,
  onChoose,
}: {
  readonly port: Port;
  readonly chosen: readonly string[];
  readonly open: readonly Offer[];
  readonly onChoose: (refs: readonly string[]) => void;
}) {
  const legend = useId();
  const toggle = (ref: string) => {
    if (chosen.includes(ref)) return onChoose(chosen.filter((each) => each !== ref));
    return onChoose(port.to === 1 ? [ref] : [...chosen, ref]);
  };
  const gone = chosen.filter((ref) => !open.some((offer) => offer.ref === ref));
  return (
    <fieldset aria-labelledby={legend} className="border-l-4 border-base-300 pl-3">
      <legend id={legend} className="contents">
        <span className="block font-semibold">{port.label}</span>
      </legend>
      <p className="muted text-sm">
        {chosen.length === 0 ? 'Nothing is chosen: wires of its own are cut.' : `${chosen.length} chosen.`}
      </p>
      <div className="flex flex-wrap gap-x-4">
        {open.map(({ ref, label }) => {
          const place = chosen.indexOf(ref);
          return (
            <label key={ref} className="flex min-h-9 cursor-pointer items-center gap-2 text-sm">
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={place >= 0}
                onChange={() => toggle(ref)}
              />
              {label}
              {place >= 0 && port.to > 1 && (
                <span className="badge badge-sm" aria-label={`number ${place + 1}`}>
                  {place + 1}
                </span>
              )}
            </label>
          );
        })}
        {gone.map((ref) => (
          <label key={ref} className="flex min-h-9 cursor-pointer items-center gap-2 text-sm">
            <input type="checkbox" className="checkbox checkbox-sm" checked onChange={() => toggle(ref)} />
            what was chosen and is not there any more
          </label>
        ))}
      </div>
    </fieldset>
  );
}
