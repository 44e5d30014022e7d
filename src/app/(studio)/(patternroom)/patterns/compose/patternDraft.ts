import type { Composition } from '@/core/pattern/composition';
import { EMPTY_COMPOSITION } from '@/core/pattern/composition';
import type { PatternBody } from '@/core/pattern/pattern';
import { readComposition } from '@/core/pattern/readComposition';
import type { StoneMeasures } from '@/core/stone/stone';
import type { OfferedTechnique } from '@/core/technique/technique';
import { plainMoney, toMinor } from '@/core/units/money';
import type { PartDraft } from '@/ui/pricing/PriceLive';

/** A pattern while it is composed. */
export interface PatternDraft {
  readonly name: string;
  readonly kind: string;
  readonly notes: string;
  readonly composition: Composition;
  readonly parts: readonly PartDraft[];
}

export const EMPTY_DRAFT: PatternDraft = {
  name: '',
  kind: 'pendant',
  notes: '',
  composition: EMPTY_COMPOSITION,
  parts: [],
};

/** Whether something that a device kept is a draft of the techniques there are. */
export function isPatternDraft(value: unknown, offered: readonly OfferedTechnique[]): value is PatternDraft {
  if (typeof value !== 'object' || value === null) return false;
  const { name, kind, notes, composition, parts } = value as Record<string, unknown>;
  return (
    [name, kind, notes].every((each) => typeof each === 'string') &&
    readComposition(composition, offered).ok &&
    Array.isArray(parts) &&
    parts.every(
      (part: unknown) =>
        typeof part === 'object' &&
        part !== null &&
        ['name', 'count', 'unitCost'].every(
          (key) => typeof (part as Record<string, unknown>)[key] === 'string',
        ),
    )
  );
}

/** A pattern that is kept, as it is composed on. */
export const draftOf = (
  { name, kind, notes, parts }: PatternBody,
  composition: Composition,
  currency: string,
): PatternDraft => ({
  name,
  kind,
  notes,
  composition,
  parts: parts
    .filter(({ ofWork }) => !ofWork)
    .map((part) => ({
      name: part.typedName ?? part.name,
      count: String(part.count),
      unitCost: part.unitCost === null ? '' : plainMoney(toMinor(part.unitCost), currency),
    })),
});

/** A stone of the studio that a pattern can be composed for. */
export interface StoneChoice extends StoneMeasures {
  readonly number: number;
}
