/** Who stands at the stall. */
export const STALL_OWNER = { name: 'Wren', login: 'wren', password: 'a stall by the water' } as const;
export const STALL_HELPER = { name: 'Ash', login: 'ash', password: 'change in the tin' } as const;

/** So many pieces are taken to the fair. */
export const AT_FAIR = 70;
/** What stands on the tag of a piece, in dollars: another amount for each. */
export const priceOf = (piece: number): number => 12 + piece;
