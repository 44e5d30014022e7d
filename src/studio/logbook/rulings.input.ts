import { ReadsOneOf, ReadsText } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** What an owner says against the log: another figure, to forget what was logged so far, or to go by all of it again. */
export const RULED = ['say', 'forget', 'follow'] as const;

/** An owner says something against the log. */
export class RuleFigureInput {
  @ReadsOneOf(RULED, 'what to do') act!: Typed<(typeof RULED)[number]>;
  /** The figure that is said, as it is typed: what it is of tells in what. */
  @ReadsText(40) value!: string;
}
