'use client';

import { memo } from 'react';
import { TextInput } from '@/ui/form/Field';
import { AddButton, RemoveButton } from '@/ui/form/RowButtons';
import { Fold } from '@/ui/Fold';
import { useCurrency } from '@/ui/money';
import type { PartDraft } from './patternDraft';

interface PartsListProps {
  readonly parts: readonly PartDraft[];
  /** Beads and stones that the techniques want. */
  readonly wanted: readonly { readonly name: string; readonly count: number }[];
  readonly onChange: (change: (parts: readonly PartDraft[]) => readonly PartDraft[], label?: string) => void;
}

const FIELDS = [
  ['name', 'Bead, stone or finding'],
  ['count', 'How many'],
  ['unitCost', 'Cost of one'],
] as const;

/** Beads, stones and findings by count and cost; what the techniques want can be taken over. */
export const PartsList = memo(function PartsList({ parts, wanted, onChange }: PartsListProps) {
  const currency = useCurrency();
  const missing = wanted.filter(({ name }) => !parts.some((part) => part.name === name));
  return (
    <Fold title={`Beads, stones and findings (${parts.length})`} open={parts.length > 0}>
      {missing.length > 0 && (
        <p className="text-sm">
          The techniques want {missing.map(({ name, count }) => `${count} × ${name}`).join(', ')}.{' '}
          <button
            type="button"
            className="link"
            onClick={() =>
              onChange((before) => [
                ...before,
                ...missing.map(({ name, count }) => ({ name, count: String(count), unitCost: '' })),
              ])
            }
          >
            Take them over
          </button>
        </p>
      )}
      {parts.map((part, index) => (
        <fieldset key={index} className="mt-2 border-t border-base-300 pt-2">
          <legend className="sr-only">Part {index + 1}</legend>
          <div className="grid grid-cols-2 gap-2">
            {FIELDS.map(([field, label]) => (
              <label key={field} className={`text-sm font-semibold ${field === 'name' ? 'col-span-2' : ''}`}>
                {label}
                {field === 'unitCost' && `, ${currency}`}
                <TextInput
                  value={part[field]}
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
          <RemoveButton
            what={part.name || 'the part'}
            onClick={() => onChange((before) => before.filter((_, at) => at !== index))}
          />
        </fieldset>
      ))}
      <AddButton onClick={() => onChange((before) => [...before, { name: '', count: '1', unitCost: '' }])}>
        Add a bead or finding
      </AddButton>
    </Fold>
  );
});
