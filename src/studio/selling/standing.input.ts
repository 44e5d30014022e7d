import { IsUUID } from 'class-validator';
import { ReadsMoney, ReadsPastDay, ReadsText } from '../kernel/rules';
import type { Amount, Typed } from '../kernel/typed';

/** What it cost to stand somewhere on a day. */
export class StandingInput {
  /** The id of the channel. */
  @IsUUID('all', { message: 'Choose where you stood.' }) channel!: string;
  @ReadsPastDay() day!: string;
  @ReadsMoney() amount!: Typed<Amount>;
  @ReadsText(500) note!: string;
}
