import type { Specs } from '@/core/pattern/composition';
import type { DrawnPart } from '@/core/pattern/drawnParts';
import { hangingOf, saidHanging } from '@/core/pattern/hangs';
import { saidChecks } from '@/core/pattern/pieceChecks';
import { Said } from '../house';
import { metalOfPart } from './metalOfPart';

/** What is to be said of a whole piece: how it hangs from its bail and what would mend a tilt, what of its stone is bare, how its sides differ. */
export function PieceHangs({
  part: { piece, ...part },
  specs,
  alone = false,
}: {
  readonly part: DrawnPart;
  readonly specs: Specs;
  /** Whether a technique that goes on from no other is checked, too: not while one types. */
  readonly alone?: boolean;
}) {
  const { run } = part.plan;
  const whole = piece ?? (alone && run ? { run, hang: undefined } : undefined);
  if (!whole) return null;
  const checks = saidChecks(whole);
  const hangs = hangingOf(whole, metalOfPart(part, specs));
  return (
    <>
      {hangs && (
        <p className="mt-1 text-sm">
          <Said>{saidHanging(hangs)}</Said>{' '}
          <span className="muted">Stones and beads are reckoned as quartz.</span>
        </p>
      )}
      {checks.length > 0 && (
        <ul className="mt-1 text-sm" aria-label="Checks of the whole piece">
          {checks.map((said) => (
            <li key={said}>
              <Said>{said}</Said>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
