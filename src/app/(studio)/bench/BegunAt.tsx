import type { RingsComeOut } from '@/studio/logbook/learnedDrift';
import { begunAt, sayDrift } from '@/core/learning/sayDrift';
import { counted } from '@/core/units/counted';
import { Said } from '@/ui/house';

/** That a ring is begun off its size, since its like come out so; nothing where they come out as they are wanted. */
export function BegunAt({
  drift,
  ring,
}: {
  /** How its like come out; null while none was read on the mandrel. */
  drift: RingsComeOut | null;
  /** The size that is wanted, as it is said. */
  ring: string | undefined;
}) {
  const begun = drift ? begunAt(drift.value) : '';
  if (drift === null || begun === '') return null;
  return (
    <p role="status" className="border-l-4 border-base-content pl-3">
      <Said>{`Wind it ${begun} than it is wanted${ring ? `, ${ring}` : ''}: its rings come out ${sayDrift(drift.value)}`}</Said>
      <span className="muted">
        {drift.count > 0 ? `, from ${counted(drift.count, 'ring')}.` : ', as the owner said.'}
      </span>
    </p>
  );
}
