'use client';

import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { saidFrom, viewsOf, type View } from '@/core/drawing/view';
import type { Composition, Specs } from '@/core/pattern/composition';
import type { Named } from '@/core/pattern/looksOf';
import { IN_THE_ROUND, SeenFrom } from '@/ui/craft/SeenFrom';
import { stepPicture } from './stepPicture';

/** What it takes to turn a piece weighs more than the page. */
const TurnedPart = dynamic(() => import('@/ui/craft/TurnedPart'), {
  ssr: false,
  loading: () => <p className="muted">It is being put together…</p>,
});

/** What is needed to turn the piece of a pattern. */
export interface Turnable {
  readonly composition: Composition;
  readonly specs: Specs;
  readonly parts: Named;
}

const CLASS = 'h-[46vh] w-full lg:h-[56vh]';

/** The piece when a step is done, large, from all sides and in the round: its pictures come drawn, what it takes to turn it comes when it is turned. */
export function StepSeen({
  tag,
  step,
  name,
  next,
  isRing,
  piece,
}: {
  /** Of the pattern. */
  readonly tag: string;
  /** Its number, 1 for the first. */
  readonly step: number;
  readonly name: string;
  /** The number of the step whose picture is wanted soon. */
  readonly next: number | undefined;
  readonly isRing: boolean;
  readonly piece: Turnable;
}) {
  const [chosen, choose] = useState<View | typeof IN_THE_ROUND>('front');
  const views = [...viewsOf(isRing), IN_THE_ROUND] as const;
  const shown = views.find((each) => each === chosen) ?? 'front';
  const soon = next !== undefined && shown !== IN_THE_ROUND ? stepPicture(tag, next, shown) : undefined;
  useEffect(() => {
    if (soon !== undefined) new Image().src = soon;
  }, [soon]);
  const label = `After “${name}”, drawn to scale`;
  return (
    <section className="leaf p-2" aria-label="When it is done">
      {shown === IN_THE_ROUND ? (
        <TurnedPart {...piece} turned={{ afterStep: step }} name={label} className={CLASS} />
      ) : (
        <Picture key={shown} src={stepPicture(tag, step, shown)} alt={`${label}, ${saidFrom(shown)}`} />
      )}
      <SeenFrom views={views} shown={shown} choose={choose} />
    </section>
  );
}

/** A picture that was drawn by the studio; without a connection it says that it is missing, and comes when that is back. */
function Picture({ src, alt }: { src: string; alt: string }) {
  const [missing, setMissing] = useState('');
  const isMissing = missing === src;
  useEffect(() => {
    if (!isMissing) return undefined;
    const again = () => setMissing('');
    window.addEventListener('online', again);
    return () => window.removeEventListener('online', again);
  }, [isMissing]);
  if (isMissing)
    return (
      <p className={`muted p-4 text-xl ${CLASS}`}>
        This picture is not on this device; it comes when the connection is back.
      </p>
    );
  return (
    <img
      // It may have failed before the page listened.
      ref={(image) => {
        if (image?.complete && image.naturalWidth === 0) setMissing(src);
      }}
      src={src}
      alt={alt}
      className={`object-contain ${CLASS}`}
      onError={() => setMissing(src)}
    />
  );
}
