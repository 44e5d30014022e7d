import { useFieldArray, type Control } from 'react-hook-form';
import { tag } from '@/core/tag';
import type { MakePieceInput } from '@/studio/making/makePiece.input';
import type { PartProposal } from '@/studio/making/proposeParts';
import { ChoiceField, NumberField } from '@/ui/form/fields';
import { AddButton, RemoveButton } from '@/ui/form/RowButtons';

/** Which beads, stones and findings went into the piece: opened with what is proposed. */
export function PartsTaken({
  control,
  parts,
}: {
  control: Control<MakePieceInput>;
  parts: readonly PartProposal[];
}) {
  const { fields, append, remove } = useFieldArray({ control, name: 'parts' });
  const rows = fields.map((field, index) => ({ ...field, index }));
  return (
    <section className="leaf p-4" aria-label="Beads, stones and findings">
      <h2>Take these from the drawers</h2>
      <ol className="divide-y divide-base-300">
        {parts.map(({ part, name, count, isCosted, choices }) => {
          const own = rows.filter((row) => row.part === part);
          return (
            <li key={part} className="py-3">
              <p className="text-2xl font-semibold [overflow-wrap:anywhere]">
                {count} × {name}
              </p>
              {choices.length === 0 && (
                <p className="muted">
                  {isCosted
                    ? 'Nothing in the drawers is it, so it is counted at the cost that the pattern says.'
                    : 'Nothing in the drawers is it and no cost is known: take it in first, or it is counted at nothing.'}
                </p>
              )}
              {(choices.length > 0 ? own : []).map(({ id, index }) => (
                <div
                  key={id}
                  className="mt-1 grid items-start gap-x-4 gap-y-2 sm:grid-cols-[minmax(15rem,5fr)_2fr_auto]"
                >
                  <ChoiceField
                    control={control}
                    name={`parts.${index}.from`}
                    label={
                      <>
                        Taken from<span className="sr-only"> for {name}</span>
                      </>
                    }
                    choices={[
                      ...choices.map(({ id: value, ware, number, name: called, free, place }) => ({
                        value,
                        text: `${tag(ware, number)} · ${called} · ${free} free${place ? ` · ${place}` : ''}`,
                      })),
                      {
                        value: '',
                        text: isCosted
                          ? 'not from the drawers, at the pattern’s cost'
                          : 'not from the drawers, counted at nothing',
                      },
                    ]}
                  />
                  <NumberField control={control} name={`parts.${index}.count`} label="How many" />
                  {own.length > 1 && (
                    <div className="pt-7">
                      <RemoveButton what={`lot ${index + 1}`} onClick={() => remove(index)} quiet />
                    </div>
                  )}
                </div>
              ))}
              {choices.length > 1 && count > 1 && (
                <AddButton onClick={() => append({ part, from: '', count: '1' })}>
                  From another lot too
                </AddButton>
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
