'use client';

import { useState } from 'react';
import { sayMoreThanPlanned } from '@/core/learning/sayMore';
import { counted } from '@/core/units/counted';
import type { Micrometres } from '@/core/units/length';
import type { LearnedCut } from '@/studio/logbook/proposeLengths';
import { Fold } from '@/ui/Fold';
import { Link } from '@/ui/Link';
import { Length, Reckoned } from '@/ui/lengths';
import { LazyCutCurve } from './LazyCutCurve';

/** Chances are told of a hundred, and never as certain. */
const ofHundred = (probability: number): number => Math.min(99, Math.max(1, Math.round(probability * 100)));

/** What the log says of a cut: what it really takes, and how long it is better cut. The plan stays what it is until the maker says so. */
export function LearnedLength({
  learned: {
    own,
    others,
    wild,
    isRuled,
    more,
    deviation,
    length,
    sure,
    plannedSure,
    leavesUseful,
    sureLengths,
    curve,
  },
  pattern,
  planned,
  onCut,
}: {
  learned: LearnedCut;
  /** Tag of the pattern. */
  pattern: string;
  planned: Micrometres;
  onCut: (length: Micrometres) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <div className="mt-2 border-l-4 border-base-300 pl-3 text-base">
      <p>
        It takes {sayMoreThanPlanned(more)}, ± <Length of={deviation} />.{' '}
        <span className="muted">
          {isRuled ? (
            <>
              As it was said{' '}
              <Link href={`/patterns/${pattern}`} className="link">
                on the pattern’s page
              </Link>
              , in place of what the log says.
            </>
          ) : (
            <>
              From{' '}
              <Link
                href={own > 0 ? `/logbook?pattern=${pattern}&with=measured` : '/logbook?with=measured'}
                className="link"
              >
                {fromWhich(own, others)}
              </Link>
              {wild > 0 && `; ${wild} of them far off, counting little`}.
            </>
          )}
        </span>
      </p>
      <p>
        As planned, it is enough {ofHundred(plannedSure)} times in 100
        {length === planned ? (
          ', and cheapest so.'
        ) : (
          <>
            ; <Reckoned of={length} cut /> is enough {ofHundred(sure)} times, and cheaper on the average
            {leavesUseful && ', since the end that is trimmed off is long enough to keep'}.
          </>
        )}
      </p>
      {length !== planned && (
        <button type="button" className="btn btn-sm mt-1" onClick={() => onCut(length)}>
          Cut <Reckoned of={length} cut />
        </button>
      )}
      <Fold title="How sure, and why" onOpen={setOpen}>
        <p className="flex flex-wrap gap-2">
          {sureLengths.map((each) => (
            <button key={each.sure} type="button" className="btn btn-sm" onClick={() => onCut(each.length)}>
              {ofHundred(each.sure)} % sure: <Reckoned of={each.length} cut />
            </button>
          ))}
        </p>
        {isOpen && curve && <LazyCutCurve curve={curve} chosen={length} />}
      </Fold>
    </div>
  );
}

/** Which makings it was learned from. */
function fromWhich(own: number, others: number): string {
  const mine = own > 0 ? `${counted(own, 'making', 'makings')} of yours` : '';
  const theirs =
    others > 0
      ? `${own > 0 ? `${others}` : counted(others, 'making', 'makings')} of other patterns or hands`
      : '';
  return [mine, theirs].filter(Boolean).join(' and ');
}
