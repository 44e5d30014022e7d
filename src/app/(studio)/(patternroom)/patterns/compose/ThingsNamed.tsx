import type { Thing } from '@/core/pattern/things';
import { Fold } from '@/ui/Fold';
import { Said } from '@/ui/house';

/** Everything of a piece by name, to be taken in hand by keys as it is pointed at on the picture. */
export function ThingsNamed({
  things,
  held,
  onHold,
}: {
  readonly things: readonly Thing[];
  readonly held: Thing | undefined;
  readonly onHold: (thing: Thing) => void;
}) {
  return (
    <Fold title={`Stones, beads and wires by name (${things.length})`}>
      <div className="flex flex-wrap gap-2">
        {things.map((thing) => (
          <button
            key={thing.id}
            type="button"
            aria-pressed={thing.id === held?.id}
            className={`btn btn-sm h-auto min-h-11 py-1 font-normal ${thing.id === held?.id ? 'btn-primary' : ''}`}
            onClick={() => onHold(thing)}
          >
            <Said>{thing.name}</Said>
          </button>
        ))}
      </div>
    </Fold>
  );
}
