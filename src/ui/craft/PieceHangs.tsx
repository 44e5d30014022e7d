import type { DrawnPart } from '@/core/pattern/drawnParts';
import { counted } from '@/core/units/counted';
import type { Looks } from '@/core/drawing/look';
import { hangingOf, saidHanging } from '@/core/pattern/hangs';
import { Said } from '../house';

/** How a whole piece hangs from its bail and what would mend a tilt; nothing where it has none. */
export function PieceHangs({ part: { piece }, looks }: { readonly part: DrawnPart; readonly looks: Looks }) {
  const hangs = piece && hangingOf(piece, looks);
  return (
    hangs && (
      <p className="mt-1 text-sm">
        <Said>{saidHanging(hangs)}</Said>
        {hangs.asQuartz > 0 && (
          <span className="muted">
            {' '}
            {hangs.asQuartz === hangs.bodies
              ? 'Stones and beads are'
              : `${counted(hangs.asQuartz, 'stone or bead', 'stones and beads')} of which nothing is known are`}{' '}
            reckoned as quartz.
          </span>
        )}
      </p>
    )
  );
}
