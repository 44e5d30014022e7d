import type { DeliveredWare } from '@/studio/deliveries/delivery.input';

/** What a line of each ware is called, in the order of the buttons. */
export const WARE_WORDS: Readonly<Record<DeliveredWare, string>> = {
  wire: 'Wire',
  bead: 'Beads',
  stone: 'Stone',
  finding: 'Findings',
  supply: 'Supply',
};
