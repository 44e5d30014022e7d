/** How each line of a cost sheet is said. */
export const COST_WORDS = {
  wire: 'Wire in the piece',
  scrap: 'Wire to the scrap jar',
  spoilage: 'Wire spoiled',
  parts: 'Beads, stones and findings',
  supplies: 'Supplies',
  labour: 'Labour',
  overhead: 'Overhead',
} as const;
