'use client';

import { cutLength, spanOf, type PatternCut } from '@/core/pattern/pattern';
import { um, type Micrometres } from '@/core/units/length';
import type { WireSpec } from '@/core/wire/spec';
import { Length } from './lengths';
import { Ruler } from './Ruler';
import { WireBar, type BarMark } from './WireBar';

interface PatternDrawingProps {
  readonly cuts: readonly PatternCut[];
  readonly specs: Readonly<Record<string, WireSpec>>;
  /** Small: no ruler, no words; for cards that share one. */
  readonly small?: boolean;
  /** Length the full width stands for, where several drawings share one scale. */
  readonly span?: Micrometres;
}

/** Marks along a cut: where its net length ends and where each allowance ends. */
function marksOf({ net, allowances }: PatternCut): BarMark[] {
  const marks: BarMark[] = [];
  let at: number = net;
  for (const { name, length } of allowances) {
    marks.push({ at: um(at), name });
    at += length;
  }
  return marks;
}

/** A pattern as its wires, each drawn to its length with marks where its allowances begin. */
export function PatternDrawing({ cuts, specs, small = false, span = spanOf([cuts]) }: PatternDrawingProps) {
  if (cuts.length === 0) return <p className="muted">No wires yet.</p>;
  return (
    <div role="img" aria-label={`${cuts.length} kinds of wire drawn to scale`}>
      {!small && <Ruler span={span} label="Ruler for the wires" />}
      <ul className="mt-1 space-y-1">
        {cuts.map((cut, index) => {
          const spec = specs[cut.specId];
          if (!spec) return null;
          const bars = Array.from({ length: Math.min(cut.count, small ? 3 : 6) }, (_, copy) => (
            <WireBar
              key={copy}
              spec={spec}
              length={cutLength(cut)}
              span={span}
              marks={small ? [] : marksOf(cut)}
              height={small ? 10 : 18}
            />
          ));
          if (small) return <li key={index}>{bars}</li>;
          return (
            <li key={index}>
              <p className="flex flex-wrap gap-x-3 text-sm">
                <span className="font-semibold">
                  {cut.count > 1 && `${cut.count} × `}
                  {cut.name}
                </span>
                <span>
                  <Length of={cutLength(cut)} />
                  {cut.allowances.length > 0 && (
                    <span className="muted">
                      {' = '}
                      <Length of={cut.net} /> net
                      {cut.allowances.map((allowance, each) => (
                        <span key={each}>
                          {' + '}
                          <Length of={allowance.length} /> {allowance.name}
                        </span>
                      ))}
                    </span>
                  )}
                </span>
              </p>
              {bars}
              {cut.count > bars.length && (
                <p className="muted text-sm">and {cut.count - bars.length} more of these</p>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
