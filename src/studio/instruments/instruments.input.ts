import { ArrayMaxSize, IsArray, IsIn, IsOptional, IsString, MaxLength } from 'class-validator';
import { ROLL_KINDS } from '@/core/paper/cards';
import { MOST_LABELS } from '../labels/labels';

/** What a label printer prints of something with a tag. */
export const PRINTED_AS = ['label', ...ROLL_KINDS] as const;
export type PrintedAs = (typeof PRINTED_AS)[number];

/** Labels that a printer is sent, by the tags they are for. */
export class PrintLabelsInput {
  @IsArray()
  @ArrayMaxSize(MOST_LABELS, { message: `Print at most ${MOST_LABELS} labels at once.` })
  @IsString({ each: true })
  @MaxLength(12, { each: true, message: 'That is no tag.' })
  tags!: string[];

  /** Labels, when it does not say. */
  @IsOptional()
  @IsIn(PRINTED_AS, { message: `Choose what is printed: ${PRINTED_AS.join(', ')}.` })
  as?: PrintedAs;
}
