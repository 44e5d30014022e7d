/** What the boxes of pieces are called, wherever on the page they stand. */
export const CHOSEN = 'piece';
