import { readInside } from './readTexts';
import { refuse, type Result } from '../result';
import { UM_PER_MM, type Micrometres } from '../units/length';
import { RING_RANGE } from '../ring/ringSize';

/**
 * Reads the inside of a ring that a hand wears, by its size or its diameter.
 * @returns what is allowed, when it is none
 */
export function readWorn(text: string): Result<Micrometres> {
  const read = readInside(text, 'mm');
  if (!read.ok) return read;
  const { from, to } = RING_RANGE;
  const inMm = read.value / UM_PER_MM;
  return inMm >= from && inMm <= to
    ? read
    : refuse(
        `“${text.slice(0, 40)}” was given; ${from} mm to ${to} mm are allowed, or a size that is within that.`,
      );
}
