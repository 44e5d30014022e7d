import type { ShadeGroup } from './symmetricalSet';

/** The groups a strand is counted out by: its shades, and what has none as one more group. */
export function groupsOf(quantity: number, shades: readonly ShadeGroup[]): readonly ShadeGroup[] {
  const named = shades.reduce((sum, { count }) => sum + count, 0);
  const rest = quantity - named;
  return rest > 0 ? [...shades, { name: shades.length > 0 ? 'no shade' : 'all', count: rest }] : shades;
}
