'use client';

import { useEffect, useRef, useState } from 'react';
import type { ResolvedCut, Resolved } from '@/core/pattern/resolve';
import { pullableIn, usesOfPiece } from '@/core/pattern/toShape';
import { insteadOf, type Instead } from '@/core/plan/insteadOf';
import { textsOf, type Texts } from '@/core/parameter/readTexts';
import { mm } from '@/core/units/length';
import { Said } from '@/ui/house';
import { Reckoned, useLengths } from '@/ui/lengths';

/** What was found so far for a pattern as it stood. */
interface Found {
  readonly of: Resolved;
  readonly all: readonly Instead[];
  readonly isDone: boolean;
}

/** What a pattern would do with a length that is too short for it: each measure that could be less, to be taken. */
export function InsteadOfIt({
  resolved,
  cut,
  length,
  onShape,
}: {
  readonly resolved: Resolved;
  readonly cut: Pick<ResolvedCut, 'use' | 'name'>;
  /** mm */
  readonly length: number;
  readonly onShape: (use: string, texts: Texts, tag: string) => void;
}) {
  const { system } = useLengths();
  const [found, setFound] = useState<Found>();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), [resolved]);
  const now = found?.of === resolved ? found : undefined;

  const work = () => {
    const uses = usesOfPiece(resolved, cut.use.id);
    const coming = insteadOf(uses, { use: cut.use.id, name: cut.name }, length, (id) => ({
      keys: pullableIn(resolved, id),
      alike: resolved.uses.flatMap(({ use }) => (use.mirrors === id ? [use.id] : [])),
    }));
    const all: Instead[] = [];
    // One measure at a time: whoever types meanwhile is not kept waiting.
    const next = () => {
      const { value, done } = coming.next();
      if (value) all.push(value);
      setFound({ of: resolved, all: [...all], isDone: done === true });
      if (!done) timer.current = setTimeout(next);
    };
    clearTimeout(timer.current);
    next();
  };
  const take = ({ use, key, parameter, value }: Instead) =>
    onShape(use, textsOf({ [key]: parameter }, { [key]: value }, system), '');

  return (
    <div className="mt-1 text-sm">
      {!now && (
        <button type="button" className="btn btn-sm min-h-11" onClick={work}>
          What it would do instead
        </button>
      )}
      <div aria-live="polite">
        {now && now.all.length > 0 && (
          <ul aria-label="What it would do instead" className="space-y-1">
            {now.all.map((each) => (
              <li
                key={`${each.use} ${each.key}`}
                className="flex flex-wrap items-center justify-between gap-x-3"
              >
                <span>
                  “{each.parameter.label}” of {each.name.toLowerCase()}{' '}
                  <strong>
                    <Amount of={each.value} kind={each.parameter.kind} />
                  </strong>{' '}
                  instead of <Amount of={each.was} kind={each.parameter.kind} />
                </span>
                <button
                  type="button"
                  className="btn btn-sm min-h-11"
                  aria-label={`Take it: “${each.parameter.label}” of ${each.name}`}
                  onClick={() => take(each)}
                >
                  Take it
                </button>
              </li>
            ))}
          </ul>
        )}
        {now?.isDone === false && <p className="muted">Looking at every measure of it…</p>}
        {now?.isDone && now.all.length === 0 && <p>No measure by itself can take up so much: cut another.</p>}
      </div>
    </div>
  );
}

function Amount({ of, kind }: { readonly of: number; readonly kind: 'count' | 'length' }) {
  return kind === 'count' ? <Said>{String(of)}</Said> : <Reckoned of={mm(of)} />;
}
