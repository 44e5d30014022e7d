import type { PieceHanging } from '@/core/pattern/hangs';
import { saidHanging } from '@/core/pattern/hangs';
import { counted } from '@/core/units/counted';
import type { Vec3 } from '@/core/geometry/path';
import { RemarkSaid, type Showing } from './Remarks';

/** How a whole piece hangs from its bail and what would mend a tilt. @param at where it hangs from */
export function PieceHangs({
  hangs,
  at,
  showing,
}: {
  readonly hangs: PieceHanging;
  readonly at: Vec3;
  readonly showing?: Showing;
}) {
  const remark = { said: saidHanging(hangs), at: [at, hangs.middle] };
  return (
    <p className="mt-1 text-sm">
      <RemarkSaid remark={remark} {...(showing && { showing })} />
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
  );
}
