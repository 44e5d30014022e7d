'use client';

import { memo, useCallback, useMemo } from 'react';
import type { LineDrawing } from '@/core/drawing/lineDrawing';
import type { View } from '@/core/drawing/view';
import type { Specs } from '@/core/pattern/composition';
import { isRing, type DrawnPart } from '@/core/pattern/drawnParts';
import { looksOf, type Named } from '@/core/pattern/looksOf';
import { placesLeft } from '@/core/pattern/placesLeft';
import type { Offer } from '@/core/technique/joinActs';
import { ChecksSaid } from '@/ui/craft/ChecksSaid';
import { PieceHangs } from '@/ui/craft/PieceHangs';
import { PlanViews } from '@/ui/craft/PlanViews';
import { TouchesSaid } from '@/ui/craft/TouchesSaid';
import { usePieceSaid } from '@/ui/craft/usePieceSaid';
import { GoOnFrom, PlacesMarked } from './GoOnFrom';

/** A piece that is being composed, large; it stays in view while its techniques are worked on. */
export const PieceShown = memo(function PieceShown({
  part,
  specs,
  parts,
  left,
  picked,
  onPick,
}: {
  readonly part: DrawnPart;
  readonly specs: Specs;
  /** Stones, beads and findings as they are typed. */
  readonly parts: Named;
  /** What all pieces leave to go on from, and what of it was picked. */
  readonly left: readonly Offer[];
  readonly picked: readonly string[];
  readonly onPick: (ref: string) => void;
}) {
  const looks = useMemo(() => looksOf(part, specs, parts), [part, specs, parts]);
  const said = usePieceSaid(part.piece ?? {});
  const own = useMemo(() => (part.plan.run ? placesLeft(left, [{ run: part.plan.run }]) : []), [left, part]);
  const marked = useCallback(
    (view: View, box: LineDrawing['box']) => (
      <PlacesMarked places={own} picked={picked} onPick={onPick} view={view} box={box} />
    ),
    [own, picked, onPick],
  );
  return (
    <>
      <section aria-label={`The piece: ${part.name}`} className="leaf sticky top-0 z-10 p-2">
        <PlanViews
          plan={part.plan}
          looks={looks}
          label={`${part.name}, drawn to scale`}
          className="h-[30vh] w-full lg:h-[46vh]"
          isRing={isRing(part)}
          over={marked}
        />
      </section>
      <GoOnFrom places={own} picked={picked} onPick={onPick} />
      <section aria-label="What is to be said of the piece" className="leaf px-4 pt-1 pb-3">
        <PieceHangs part={part} looks={looks} />
        <ChecksSaid said={said?.checks ?? []} />
        <TouchesSaid said={said?.touches ?? []} />
      </section>
    </>
  );
});
