import { ReadsText } from '../kernel/rules';

/** What a stone is set aside for; empty sets it free. */
export class SetAsideInput {
  @ReadsText(120) purpose!: string;
}
