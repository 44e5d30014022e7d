/** A number of mm for a note or a refusal. @example said(18) // '18 mm' */
export const said = (mm: number): string => `${figure(mm)} mm`;
const figure = (mm: number): number => Number(mm.toFixed(mm < 10 ? 2 : 1));

/** Two sizes in one: "18 × 13 mm". @example saidBy(18, 13) // '18 × 13 mm' */
export const saidBy = (length: number, width: number): string => `${figure(length)} × ${said(width)}`;
