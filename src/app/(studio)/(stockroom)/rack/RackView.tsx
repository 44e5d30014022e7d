'use client';

import { Link } from '@/ui/Link';
import { useRef } from 'react';
import { roundSpan } from '@/core/ruler';
import { tag } from '@/core/tag';
import { um, type Micrometres } from '@/core/units/length';
import type { WireSpec } from '@/core/wire/spec';
import type { RackGroup, RackPiece } from '@/studio/wire/rack';
import { Length } from '@/ui/lengths';
import { Cost } from '@/ui/money';
import { Ruler } from '@/ui/Ruler';
import { WireBar } from '@/ui/WireBar';
import { WireChip } from '@/ui/WireChip';
import { useRovingKeys } from '@/ui/useRovingKeys';

/** Off-cuts longer than this run off their ruler rather than squeeze the short ones. */
const LONGEST_OFF_CUT_SPAN = um(1_000_000);

const longest = (pieces: readonly RackPiece[]): Micrometres =>
  um(Math.max(0, ...pieces.map(({ initialLength }) => initialLength)));

/** The rack: each wire's lengths drawn to what is left, wound wire against a ruler of metres, off-cuts against one of millimetres. */
export function RackView({ groups }: { groups: readonly RackGroup[] }) {
  const list = useRef<HTMLDivElement>(null);
  useRovingKeys(list, 'a[data-piece]');
  const all = groups.flatMap(({ pieces }) => pieces);
  const wound = all.filter(({ form }) => form !== 'off-cut');
  const offCuts = all.filter(({ form }) => form === 'off-cut');
  const woundSpan = roundSpan(longest(wound), um(1_000_000));
  const offCutSpan = um(Math.min(LONGEST_OFF_CUT_SPAN, roundSpan(longest(offCuts), um(200_000))));
  const columns = wound.length > 0 && offCuts.length > 0;
  const grid = columns ? 'lg:grid-cols-[minmax(0,11fr)_minmax(0,9fr)]' : '';

  return (
    <div ref={list} className="leaf mt-3">
      <div
        className={`sticky top-0 z-20 hidden gap-6 rounded-t-[inherit] border-b border-base-300 bg-base-100 px-3 pt-2 lg:grid ${grid}`}
      >
        {wound.length > 0 && (
          <ColumnHead title="On spools, coils and bobbins" span={woundSpan} label="Ruler for wound wire" />
        )}
        {offCuts.length > 0 && <ColumnHead title="Off-cuts" span={offCutSpan} label="Ruler for off-cuts" />}
      </div>
      {groups.map(({ spec, pieces, pieceCount, totalLength, totalCost }) => {
        const own = pieces.filter(({ form }) => form !== 'off-cut');
        const cut = pieces.filter(({ form }) => form === 'off-cut');
        return (
          <section
            key={spec.id}
            className="border-b border-base-300 px-3 py-3 last:border-b-0 print:break-inside-avoid"
          >
            <div className="flex flex-wrap items-center justify-between gap-x-6">
              <h2 className="font-sans text-base font-normal">
                <WireChip spec={spec} />
              </h2>
              <p className="text-sm">
                {pieceCount} {pieceCount === 1 ? 'length' : 'lengths'}, <Length of={totalLength} short />
                {totalCost !== null && (
                  <>
                    , <Cost of={totalCost} />
                  </>
                )}
                {pieceCount > pieces.length && (
                  <span className="muted"> · {pieces.length} of them on this page</span>
                )}
              </p>
            </div>
            <div className={`mt-1 grid gap-x-6 gap-y-1 ${grid}`}>
              {wound.length > 0 && <Column spec={spec} pieces={own} span={woundSpan} label="wound wire" />}
              {offCuts.length > 0 && <Column spec={spec} pieces={cut} span={offCutSpan} label="off-cuts" />}
            </div>
          </section>
        );
      })}
    </div>
  );
}

/** Room for the tag before a bar and the length after it; the ruler leaves the same. */
const ROW = 'grid grid-cols-[3.6rem_minmax(0,1fr)_5.2rem] items-center gap-2';

function ColumnHead({ title, span, label }: { title: string; span: Micrometres; label: string }) {
  return (
    <div>
      <p className="text-sm font-semibold">{title}</p>
      <div className={ROW}>
        <span />
        <Ruler span={span} label={label} />
      </div>
    </div>
  );
}

function Column({
  spec,
  pieces,
  span,
  label,
}: {
  spec: WireSpec;
  pieces: readonly RackPiece[];
  span: Micrometres;
  label: string;
}) {
  if (pieces.length === 0) return <div className="hidden lg:block" />;
  return (
    <div>
      <div className={`${ROW} lg:hidden`}>
        <span />
        <Ruler span={span} label={`Ruler for ${label}`} />
      </div>
      <ul>
        {pieces.map(({ id, number, form, length, initialLength }) => (
          <li key={id}>
            <Link
              href={`/rack/${tag('wire', number)}`}
              data-piece
              className={`${ROW} min-h-8 rounded hover:bg-base-200`}
            >
              <span className="text-sm">{tag('wire', number)}</span>
              <WireBar spec={spec} length={length} span={span} was={initialLength} />
              <span className="text-right text-sm">
                <Length of={length} short />
                <span className="sr-only"> left on {form}</span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}
