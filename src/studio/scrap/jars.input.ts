import type { Day } from '@/core/calendar/day';
import { ReadsMass, ReadsMoney, ReadsName, ReadsPastDay } from '../kernel/rules';
import type { Amount, Typed } from '../kernel/typed';
import type { Micrograms } from '@/core/units/mass';

/** Scrap that goes to a refiner. */
export class SendForRefiningInput {
  @ReadsMass() mass!: Typed<Micrograms>;
  @ReadsName('the refiner', 120) refiner!: string;
  @ReadsPastDay() sentOn!: Typed<Day>;
  /** What comes back for it. */
  @ReadsMoney({ zero: true }) proceeds!: Typed<Amount>;
}
