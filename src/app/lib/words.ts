/** How each kind of movement is said. */
export const MOVEMENT_WORDS = {
  received: 'received',
  cut: 'cut',
  returned: 'came back',
  scrapped: 'to the scrap jar',
  spoiled: 'spoiled',
} as const;

/** How each line of a cost sheet is said. */
export const COST_WORDS = {
  wire: 'Wire in the piece',
  scrap: 'Wire to the scrap jar',
  spoilage: 'Wire spoiled',
  parts: 'Beads, stones and findings',
  labour: 'Labour',
  overhead: 'Overhead',
} as const;
