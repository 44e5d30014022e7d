import type { InsideWanted } from '@/core/pattern/insidesWanted';
import { usualSpring } from '@/core/wire/spring';
import type { ShownSitting } from './shown';

/** How far a turn of a sitting springs open, as a part of its diameter, and how many measured bends say so; none where it is only usual. */
export function springOf(
  { specs, springs, cuts }: Pick<ShownSitting['view'], 'specs' | 'springs' | 'cuts'>,
  bent: Pick<InsideWanted, 'specId'> | undefined,
): { readonly spring: number; readonly from: number } {
  const specId = bent?.specId ?? cuts[0]?.specId ?? '';
  const learned = springs[specId];
  return learned
    ? { spring: learned.value, from: learned.own + learned.others }
    : { spring: usualSpring(specs[specId]?.temper ?? 'half hard'), from: 0 };
}
