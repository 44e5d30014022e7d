import { ArrayMaxSize, ArrayMinSize, IsArray } from 'class-validator';
import { ReadsNames } from '../kernel/rules';

/** Which of the house's own patterns a copy is taken of. */
export class TakeStartersInput {
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose one pattern at least.' })
  @ArrayMaxSize(40, { message: 'At most 40 patterns are taken at once.' })
  @ReadsNames('the pattern by its name')
  names!: string[];
}
