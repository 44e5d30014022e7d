import { ArrayMaxSize, ArrayMinSize, IsArray } from 'class-validator';
import { ReadsName } from '../kernel/rules';

/** Which of the house's own patterns a copy is taken of. */
export class TakeStartersInput {
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose one pattern at least.' })
  @ArrayMaxSize(40, { message: 'At most 40 patterns are taken at once.' })
  @ReadsName('the pattern by its name', 120, { each: true })
  names!: string[];
}
