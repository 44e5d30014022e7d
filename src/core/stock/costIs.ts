/** What is known of what stock cost: it was paid, it is an estimate for old stock, or it was a gift. */
export const COST_IS = ['paid', 'estimated', 'free'] as const;
export type CostIs = (typeof COST_IS)[number];

/** How each is said. */
export const COST_IS_WORDS: Readonly<Record<CostIs, string>> = {
  paid: 'paid',
  estimated: 'old stock, its cost estimated',
  free: 'a gift, free',
};
