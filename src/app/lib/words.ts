import type { MovementKind } from '@/core/stock/movement';

/** How each kind of movement is said. */
export const MOVEMENT_WORDS: Readonly<Record<MovementKind, string>> = {
  received: 'received',
  opened: 'brought in',
  returned: 'came back',
  made: 'made here',
  jarred: 'into the jar',
  cut: 'cut',
  used: 'used',
  scrapped: 'to the scrap jar',
  spoiled: 'spoiled',
  refined: 'sent for refining',
  split: 'moved over',
  twisted: 'twisted',
  relabelled: 'relabelled',
  weighed: 'weighed in',
  counted: 'counted',
};

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
