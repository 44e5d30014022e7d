import { ArrayMaxSize, IsArray, IsString, MaxLength } from 'class-validator';
import { MOST_LABELS } from '../labels/labels';

/** Labels that a printer is sent, by the tags they are for. */
export class PrintLabelsInput {
  @IsArray()
  @ArrayMaxSize(MOST_LABELS, { message: `Print at most ${MOST_LABELS} labels at once.` })
  @IsString({ each: true })
  @MaxLength(12, { each: true, message: 'That is no tag.' })
  tags!: string[];
}
