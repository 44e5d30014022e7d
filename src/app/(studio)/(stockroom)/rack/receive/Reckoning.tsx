'use client';

import { formatDiameter, formatLength, um } from '@/core/units/length';
import { formatMass, formatTroyOunces } from '@/core/units/mass';
import { formatGauge, identifyGauge } from '@/core/wire/gauge';
import { feetPerTroyOunce, gramsPerMetre } from '@/core/wire/mass';
import { describeSpec } from '@/core/wire/spec';
import { metalOf } from '@/core/wire/metal';
import type { ReceiveWireInput } from '@/studio/wire/receiveWire.input';
import { CrossSection } from '@/ui/CrossSection';
import { useLengths } from '@/ui/lengths';
import { Cost } from '@/ui/money';
import { reckon } from './reckon';
import { Said } from '@/ui/house';

/** What follows from what is typed so far: size in every system, the other quantity, price per length, and a check of the two. */
export function Reckoning({ values }: { values: ReceiveWireInput }) {
  const { system } = useLengths();
  const { spec, length, mass, lengthIsTyped, massIsTyped, price, check } = reckon(values);
  return (
    <aside aria-live="polite" aria-label="What this works out to" className="leaf p-4 lg:sticky lg:top-3">
      <h2>What this works out to</h2>
      {spec ? (
        <>
          <div className="mt-3 flex items-center gap-3">
            <CrossSection spec={spec} box={48} />
            <p className="font-semibold">
              <Said>{describeSpec(spec)}</Said>
            </p>
          </div>
          <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
            <dt className="muted">True size</dt>
            <dd>
              <Said>{formatDiameter(spec.width)}</Said>
            </dd>
            <dt className="muted">Nearest</dt>
            <dd>
              {identifyGauge(spec.width)
                .candidates.map(
                  (each) =>
                    `${formatGauge(each)}${each.deviation === 0 ? '' : ` (${each.deviation > 0 ? '+' : '−'}${formatDiameter(um(Math.abs(each.deviation)))})`}`,
                )
                .join(', ')}
            </dd>
            <dt className="muted">Weighs</dt>
            <dd>
              {gramsPerMetre(spec).toPrecision(4)} g/m
              {metalOf(spec.metal).precious && ` · ${feetPerTroyOunce(spec).toPrecision(3)} ft per oz t`}
            </dd>
            {length !== undefined && (
              <>
                <dt className="muted">Length{lengthIsTyped ? '' : ', from the weight'}</dt>
                <dd>
                  {formatLength(length, system)}{' '}
                  <span className="muted">({formatLength(length, system === 'in' ? 'mm' : 'in')})</span>
                </dd>
              </>
            )}
            {mass !== undefined && (
              <>
                <dt className="muted">Weight{massIsTyped ? '' : ', from the length'}</dt>
                <dd>
                  <Said>{formatMass(mass)}</Said> <span className="muted">({formatTroyOunces(mass)})</span>
                </dd>
              </>
            )}
            {price && (
              <>
                <dt className="muted">A metre costs</dt>
                <dd>
                  <Cost of={price.perMetre} />
                </dd>
                <dt className="muted">A foot costs</dt>
                <dd>
                  <Cost of={price.perFoot} />
                </dd>
              </>
            )}
          </dl>
          {check && (
            <p
              className={`mt-3 border-l-4 p-2 ${check.verdict === 'fine' ? 'border-success' : 'border-warning bg-warning/15'}`}
            >
              {check.sentence}
              {check.verdict === 'wrong' &&
                ' Is it another gauge, another metal, or was the spool weighed with it?'}
            </p>
          )}
        </>
      ) : (
        <p className="muted mt-2">Type the size on the label to see what the wire is.</p>
      )}
    </aside>
  );
}
