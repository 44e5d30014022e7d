import type { Specs } from '@/core/pattern/composition';
import type { DrawnPart } from '@/core/pattern/drawnParts';
import { hangingOf, saidHanging } from '@/core/pattern/hangs';
import { Said } from '../house';
import { metalOfPart } from './metalOfPart';

/** How a whole piece hangs from its bail and what would mend a tilt; nothing where it has none. */
export function PieceHangs({
  part: { piece, ...part },
  specs,
}: {
  readonly part: DrawnPart;
  readonly specs: Specs;
}) {
  const hangs = piece && hangingOf(piece, metalOfPart(part, specs));
  return (
    hangs && (
      <p className="mt-1 text-sm">
        <Said>{saidHanging(hangs)}</Said>{' '}
        <span className="muted">Stones and beads are reckoned as quartz.</span>
      </p>
    )
  );
}
