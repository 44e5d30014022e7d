import { USUAL_WORTH, type CuttingProblem } from '../../src/core/cuttingStock/problem';
import { Chance } from '@/core/chance';
import { mm, um } from '../../src/core/units/length';

export interface ProblemSize {
  readonly cuts: number;
  readonly lengths: number;
  readonly offCuts: number;
  readonly spools: number;
  /** Micrometres that lengths are multiples of: a millimetre when it is not told; kept to whole micrometres. */
  readonly step?: number;
}

/** A studio’s tin of off-cuts and its open spools, with cuts of so many lengths. */
export function mixedProblem(
  seed: number,
  { cuts, lengths, offCuts, spools, step = 1000 }: ProblemSize,
): CuttingProblem {
  const chance = new Chance(seed);
  const onStep = (millimetres: number) => um(Math.round(Math.round((millimetres * 1000) / step) * step));
  const wanted = Array.from({ length: lengths }, () => chance.whole(40, 300));
  return {
    cuts: Array.from({ length: cuts }, () => ({
      length: onStep(wanted[chance.whole(0, lengths - 1)] ?? 40),
      count: 1,
    })),
    stock: [
      ...Array.from({ length: offCuts }, (_, index) => ({
        id: `o${index}`,
        length: onStep(chance.whole(60, 900)),
        isOffCut: true,
      })),
      ...Array.from({ length: spools }, (_, index) => ({
        id: `s${index}`,
        length: onStep(chance.whole(2000, 10_000)),
        isOffCut: false,
      })),
    ],
    usefulMinimum: mm(50),
    worth: USUAL_WORTH,
  };
}
