import { mm, type Micrometres } from '../units/length';

/** Across, mm, of seed beads by the number they are sold under: the larger the number, the smaller the bead (common practice, from memory). */
const ACROSS: Readonly<Record<number, number>> = { 15: 1.5, 13: 1.7, 12: 1.9, 11: 2.1, 10: 2.3, 8: 3, 6: 4 };

/**
 * How wide a seed bead of a number is.
 * @returns undefined for what is no such number
 * @example seedSize('11/0') // um(2100)
 */
export function seedSize(text: string): Micrometres | undefined {
  const [, number] = /^(\d{1,2})\/0$/.exec(text.trim()) ?? [];
  const across = ACROSS[Number(number)];
  return across === undefined ? undefined : mm(across);
}
