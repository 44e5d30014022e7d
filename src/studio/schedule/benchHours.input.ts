import { ArrayMaxSize, ArrayMinSize, IsArray } from 'class-validator';
import { ReadsBy, ReadsNumbers, ReadsWhole } from '../kernel/rules';
import { readDaysOff, type DaysOffTyped } from './readDaysOff';
import type { Typed } from '../kernel/typed';

/** When there is time at the bench, as it is typed. */
export class BenchHoursInput {
  @ReadsWhole(0, 1_000_000_000) version!: Typed<number>;

  /** Hours of each weekday, Monday first. */
  @IsArray()
  @ArrayMinSize(7)
  @ArrayMaxSize(7)
  @ReadsNumbers(0, 24)
  weekly!: Typed<number>[];

  /** Days off, one a line. */
  @ReadsBy('daysOff', (text) => readDaysOff(text)) daysOff!: Typed<DaysOffTyped>;
}
