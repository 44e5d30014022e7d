import type { MovementKind } from '@/core/stock/movement';

/** How each kind of movement is said. */
export const MOVEMENT_WORDS: Readonly<Record<MovementKind, string>> = {
  received: 'received',
  opened: 'brought in',
  returned: 'came back',
  made: 'made here',
  jarred: 'into the jar',
  salvaged: 'out of a broken-up piece',
  cut: 'cut',
  used: 'used',
  scrapped: 'to the scrap jar',
  spoiled: 'spoiled',
  refined: 'sent for refining',
  split: 'split off',
  twisted: 'twisted',
  relabelled: 'relabelled',
  weighed: 'weighed in',
  counted: 'counted',
};
