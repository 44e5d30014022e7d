'use client';

import { useEffect, useState } from 'react';
import { tag } from '@/core/tag';
import type { SavedRevision } from '@/studio/patterns/newestRevision';
import type { PatternBase } from '@/studio/patterns/writePattern';
import { Link } from '@/ui/Link';
import { Moment } from '@/ui/When';

/** How often is asked whether somebody else saved the pattern, ms; and each time that one comes back to the page. */
const EVERY = 30_000;

/** What somebody else saved of a pattern after the revision that is being changed; undefined while nobody did. */
function useNewer({ number, revision }: PatternBase): SavedRevision | undefined {
  const [newest, setNewest] = useState<SavedRevision>();
  useEffect(() => {
    const stop = new AbortController();
    const ask = async () => {
      if (document.visibilityState === 'hidden') return;
      // Without a connection nothing is known of others: what is typed stays here, and saving says the rest.
      const answer = await fetch(`/api/patterns/${tag('pattern', number)}/revision`, {
        signal: stop.signal,
      }).catch(() => undefined);
      if (answer?.ok) setNewest((await answer.json()) as SavedRevision);
    };
    const again = () => void ask();
    const timer = setInterval(again, EVERY);
    document.addEventListener('visibilitychange', again);
    window.addEventListener('focus', again);
    return () => {
      stop.abort();
      clearInterval(timer);
      document.removeEventListener('visibilitychange', again);
      window.removeEventListener('focus', again);
    };
  }, [number]);
  return newest && newest.revision > revision ? newest : undefined;
}

/** Says when somebody else saved the pattern that is being changed, before the work on it is wasted. */
export function SavedMeanwhile({ base }: { readonly base: PatternBase }) {
  const newer = useNewer(base);
  const label = tag('pattern', base.number);
  return (
    <div aria-live="polite">
      {newer && (
        <p className="mt-2 border-l-4 border-warning bg-warning/15 p-3">
          <strong>
            {newer.by} saved revision {newer.revision}
          </strong>{' '}
          of {label} at <Moment at={new Date(newer.at)} />, while you are changing revision {base.revision}.
          What you change stays here, and cannot be saved over theirs:{' '}
          <Link href={`/patterns/${label}`} className="link">
            look at theirs
          </Link>{' '}
          and change that instead.
        </p>
      )}
    </div>
  );
}
