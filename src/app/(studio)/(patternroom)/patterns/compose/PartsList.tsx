'use client';

import { memo, useId } from 'react';
import { findPart, type PricedPart } from '@/core/costing/forecast';
import { nameInSize, partsLeft } from '@/core/pattern/allParts';
import type { WorkPart } from '@/core/pattern/workParts';
import { costAt } from '@/core/costing/unitPrice';
import { TextInput } from '@/ui/form/Field';
import { AddButton, RemoveButton } from '@/ui/form/RowButtons';
import { Fold } from '@/ui/Fold';
import { useCurrency } from '@/ui/currency';
import { Cost } from '@/ui/money';
import type { PartDraft } from '@/ui/pricing/PriceLive';

interface PartsListProps {
  readonly parts: readonly PartDraft[];
  /** Beads and stones that the techniques want. */
  readonly wanted: readonly WorkPart[];
  /** What lies in the drawers. */
  readonly drawers: readonly PricedPart[];
  readonly onChange: (change: (parts: readonly PartDraft[]) => readonly PartDraft[], label?: string) => void;
}

const FIELDS = [
  ['name', 'Bead, stone or finding'],
  ['count', 'How many'],
  ['unitCost', 'Cost of one'],
] as const;

/** Kinds that are offered by name while one types. */
const OFFERED = 400;

/** Beads, stones and findings: what follows from the techniques, and what is added by hand. */
export const PartsList = memo(function PartsList({ parts, wanted, drawers, onChange }: PartsListProps) {
  const currency = useCurrency();
  const listId = useId();
  const left = partsLeft(wanted, parts);
  const add = (part: PartDraft) => onChange((before) => [...before, part]);
  return (
    <Fold
      title={`Beads, stones and findings (${parts.length + left.length})`}
      open={parts.length + left.length > 0}
    >
      <datalist id={listId}>
        {drawers.slice(0, OFFERED).map(({ name }) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      {left.map((part) => (
        <div key={part.name} className="mt-2 border-t border-base-300 pt-2">
          <p className="font-semibold">
            {part.count} × {part.name}
          </p>
          <InDrawers name={part.name} count={part.count} drawers={drawers} />
          <button
            type="button"
            className="link text-sm"
            onClick={() => add({ name: part.name, count: String(part.count), unitCost: '' })}
          >
            Say which<span className="sr-only"> {part.name}</span>
          </button>
        </div>
      ))}
      {parts.map((part, index) => (
        <fieldset key={index} className="mt-2 border-t border-base-300 pt-2">
          <legend className="sr-only">Part {index + 1}</legend>
          <div className="grid grid-cols-2 gap-2">
            {FIELDS.map(([field, label]) => (
              <label key={field} className={`text-sm font-semibold ${field === 'name' ? 'col-span-2' : ''}`}>
                {label}
                {field === 'unitCost' && `, ${currency}`}
                <TextInput
                  className="font-normal"
                  value={part[field]}
                  list={field === 'name' ? listId : undefined}
                  placeholder={field === 'unitCost' ? 'as the drawers have it' : undefined}
                  onChange={({ target: { value } }) =>
                    onChange(
                      (before) =>
                        before.map((each, at) => (at === index ? { ...each, [field]: value } : each)),
                      `part.${index}.${field}`,
                    )
                  }
                />
              </label>
            ))}
          </div>
          {part.name.trim() !== '' && (
            <InDrawers
              name={nameInSize(part.name.trim(), wanted)}
              count={Number(part.count) || 1}
              drawers={drawers}
            />
          )}
          <RemoveButton
            what={part.name || 'the part'}
            onClick={() => onChange((before) => before.filter((_, at) => at !== index))}
          />
        </fieldset>
      ))}
      <AddButton onClick={() => add({ name: '', count: '1', unitCost: '' })}>Add a bead or finding</AddButton>
    </Fold>
  );
});

/** What a part would be taken from, and what it cost. */
const InDrawers = memo(function InDrawers({
  name,
  count,
  drawers,
}: WorkPart & { readonly drawers: readonly PricedPart[] }) {
  const found = findPart({ name, count }, drawers);
  if (!found) return <p className="muted text-sm">Nothing in the drawers is “{name}” yet.</p>;
  return (
    <p className="muted text-sm">
      {found.name}, {found.free} free
      {found.price && (
        <>
          , <Cost of={costAt(found.price.paid, 1)} /> each
        </>
      )}
    </p>
  );
});
