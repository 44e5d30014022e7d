'use client';

import type { PatternCut } from '@/core/pattern/pattern';
import { cutLength } from '@/core/pattern/pattern';
import { um } from '@/core/units/length';
import { describeSpec } from '@/core/wire/spec';
import { readSoFar } from '@/studio/kernel/readInput';
import {
  AllowanceInput,
  PatternCutInput,
  PatternStepInput,
  type WritePatternInput,
} from '@/studio/patterns/writePattern.input';
import type { KnownSpec } from '@/studio/catalogue/wireSpecs';
import { Length } from '@/ui/lengths';
import { PatternDrawing } from '@/ui/PatternDrawing';

/** The cuts as far as they are typed: those with a wire and a length. */
function cutsSoFar(values: WritePatternInput): PatternCut[] {
  return (values.cuts ?? []).flatMap((cut): PatternCut[] => {
    const { specId, count, net, name = 'wire' } = readSoFar(PatternCutInput, cut);
    if (!net || !specId || !count) return [];
    const allowances = (cut.allowances ?? []).flatMap((each) => {
      const { length, name: called = '' } = readSoFar(AllowanceInput, each);
      return length ? [{ name: called, length }] : [];
    });
    return [{ name, specId, count, net, allowances }];
  });
}

/** The pattern being written: its wires drawn while one types, with the totals. */
export function PatternSoFar({ values, specs }: { values: WritePatternInput; specs: readonly KnownSpec[] }) {
  const cuts = cutsSoFar(values);
  const bySpec = Object.fromEntries(specs.map((spec) => [spec.id, spec]));
  const used = [...new Set(cuts.map(({ specId }) => specId))];
  const minutes = (values.steps ?? []).reduce(
    (sum, step) => sum + (readSoFar(PatternStepInput, step).minutes ?? 0),
    0,
  );
  return (
    <aside aria-label="The pattern so far" className="leaf p-4 xl:sticky xl:top-3">
      <h2>The pattern so far, to scale</h2>
      <div className="mt-2">
        {cuts.length === 0 ? (
          <p className="muted">Its wires are drawn here as soon as one has a length.</p>
        ) : (
          <PatternDrawing cuts={cuts} specs={bySpec} />
        )}
      </div>
      {used.length > 0 && (
        <dl className="mt-3 space-y-1 border-t border-base-300 pt-3">
          {used.map((specId) => {
            const spec = bySpec[specId];
            const total = cuts
              .filter((cut) => cut.specId === specId)
              .reduce((sum, cut) => sum + cutLength(cut) * cut.count, 0);
            return (
              <div key={specId} className="flex justify-between gap-3">
                <dt>{spec && describeSpec(spec)}</dt>
                <dd className="font-semibold">
                  <Length of={um(total)} />
                </dd>
              </div>
            );
          })}
          <div className="flex justify-between gap-3">
            <dt>Time written so far</dt>
            <dd className="font-semibold">{minutes} min</dd>
          </div>
        </dl>
      )}
    </aside>
  );
}
