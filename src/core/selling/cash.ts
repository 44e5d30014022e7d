import { minor, type MinorUnits } from '../units/money';

/** Notes and coins are of one, two or five of a power of ten, as almost everywhere (the preferred numbers 1, 2, 5 of coinage; common practice). */
const FACES = [1, 2, 5];
/** Nobody pays with what is much smaller than what is due, nor with one note that is much larger. */
const SMALLEST = 10;
const LARGEST = 4;
const MOST = 5;

/**
 * What a buyer is likely to hand over in cash: what is due exactly, or the next that can be laid down in notes of one kind.
 * @returns the smallest first; at most five
 * @example likelyCash(minor(2700)) // [2700, 3000, 4000, 5000, 10000]
 */
export function likelyCash(due: MinorUnits): readonly MinorUnits[] {
  if (due <= 0) return [];
  const amounts = new Set<number>([due]);
  for (let power = 1; power <= due * LARGEST; power *= 10)
    for (const face of FACES.map((each) => each * power))
      if (face >= due / SMALLEST && face <= due * LARGEST) amounts.add(Math.ceil(due / face) * face);
  return [...amounts]
    .toSorted((one, other) => one - other)
    .slice(0, MOST)
    .map(minor);
}
