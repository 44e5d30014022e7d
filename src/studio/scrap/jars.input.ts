import { ReadsMass, ReadsMoney, ReadsName, ReadsPastDay } from '../kernel/rules';

/** Scrap that goes to a refiner. */
export class SendForRefiningInput {
  @ReadsMass() mass!: string;
  @ReadsName('the refiner', 120) refiner!: string;
  @ReadsPastDay() sentOn!: string;
  /** What comes back for it. */
  @ReadsMoney({ zero: true }) proceeds!: string;
}
