'use client';

import { roundSpan } from '@/core/ruler';
import type { Values } from '@/core/technique/readValues';
import type { PlannedCut } from '@/core/technique/technique';
import type { WireSize } from '@/core/technique/parameter';
import { cutLengthOf, plainSpec } from '@/core/technique/totals';
import { mm, um } from '@/core/units/length';
import type { MetalId } from '@/core/wire/metal';
import { Reckoned } from '../lengths';
import { Ruler } from '../Ruler';
import { WireBar } from '../WireBar';
import { WireChip } from '../WireChip';

/** The cuts of a plan against one ruler: how long, of what, why, and what happens where along each. */
export function CutStrips({
  cuts,
  values,
  metalOf,
}: {
  cuts: readonly PlannedCut[];
  values: Values;
  metalOf: (wire: string) => MetalId;
}) {
  const span = roundSpan(um(Math.max(1, ...cuts.map(cutLengthOf))), um(50_000));
  return (
    <div>
      <Ruler span={span} label="Ruler for the cuts" />
      <ul className="mt-1 space-y-4">
        {cuts.map((cut) => {
          const spec = plainSpec(values[cut.wire] as WireSize, metalOf(cut.wire));
          return (
            <li key={cut.name}>
              <p className="flex flex-wrap items-center gap-x-3">
                <span className="font-display text-lg font-semibold">
                  {cut.count > 1 && `${cut.count} × `}
                  <Reckoned of={cutLengthOf(cut)} cut />
                </span>
                <span className="font-semibold">{cut.name}</span>
                <span className="ml-auto">
                  <WireChip spec={spec} />
                </span>
              </p>
              <WireBar
                spec={spec}
                length={cutLengthOf(cut)}
                span={span}
                marks={cut.marks.map(({ at, what }) => ({ at: mm(at), name: what }))}
              />
              <p className="text-sm">
                {cut.terms.map(({ name, length, kind }, index) => (
                  <span key={name} className={kind === 'net' ? '' : 'muted'}>
                    {index > 0 && ' + '}
                    <Reckoned of={mm(length)} /> {name}
                  </span>
                ))}
              </p>
              {cut.marks.length > 0 && (
                <ol className="mt-1 flex flex-wrap gap-x-4 text-sm" aria-label={`Marks on ${cut.name}`}>
                  {cut.marks.map(({ at, what }) => (
                    <li key={`${at} ${what}`}>
                      <span className="font-semibold">
                        <Reckoned of={mm(at)} />
                      </span>{' '}
                      {what}
                    </li>
                  ))}
                </ol>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
