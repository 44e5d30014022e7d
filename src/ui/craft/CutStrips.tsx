'use client';

import { memo, type ComponentType } from 'react';
import { roundSpan } from '@/core/ruler';
import type { PlannedCut } from '@/core/technique/technique';
import { cutLengthOf } from '@/core/plan/totals';
import { mm, um, type Micrometres } from '@/core/units/length';
import { formatGauge } from '@/core/wire/gauge';
import type { WireSpec } from '@/core/wire/spec';
import { Reckoned } from '../lengths';
import { Ruler } from '../Ruler';
import { WireBar } from '../WireBar';
import { WireChip } from '../WireChip';
import { MarkList } from './MarkList';

/** A cut with what it is cut from. */
export interface Strip {
  readonly key: string;
  readonly title: string;
  readonly cut: Pick<PlannedCut, 'count' | 'terms' | 'marks'>;
  readonly spec: WireSpec;
  /** Whether no wire of the studio is chosen for it yet. */
  readonly unchosen?: boolean;
  readonly note?: string;
}

type Below = ComponentType<{ readonly strip: Strip }>;

/** Cuts against one ruler: how long, of what, why, and what happens where along each. */
export const CutStrips = memo(function CutStrips({
  strips,
  below,
}: {
  strips: readonly Strip[];
  /** What stands below each cut. */
  below?: Below;
}) {
  const span = roundSpan(um(Math.max(1, ...strips.map(({ cut }) => cutLengthOf(cut)))), um(50_000));
  return (
    <div>
      <Ruler span={span} label="Ruler for the cuts" />
      <ul className="mt-1 space-y-4">
        {strips.map((strip) => (
          <CutStrip key={strip.key} strip={strip} span={span} below={below} />
        ))}
      </ul>
    </div>
  );
});

/** One cut against the ruler; drawn anew only when it, or the ruler, changes. */
const CutStrip = memo(function CutStrip({
  strip,
  span,
  below: Below,
}: {
  strip: Strip;
  span: Micrometres;
  below: Below | undefined;
}) {
  const { title, cut, spec, unchosen, note } = strip;
  return (
    <li>
      <p className="flex flex-wrap items-center gap-x-3">
        <span className="font-display text-lg font-semibold">
          {cut.count > 1 && `${cut.count} × `}
          <Reckoned of={cutLengthOf(cut)} cut />
        </span>
        <span className="font-semibold">{title}</span>
        {note && <span className="muted text-sm">{note}</span>}
        <span className="ml-auto">
          {unchosen ? (
            <span className="muted text-sm">
              {formatGauge(spec.label)} {spec.profile}, its wire is not chosen
            </span>
          ) : (
            <WireChip spec={spec} />
          )}
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
      <MarkList marks={cut.marks.map(({ at, what }) => ({ at: mm(at), what }))} on={title} />
      {Below && <Below strip={strip} />}
    </li>
  );
});
