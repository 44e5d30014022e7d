import { parseCount } from '@/core/stock/amount';
import { FINDINGS } from '@/core/stock/finding';
import { ReadsBy, ReadsName, ReadsNumber, ReadsOneOf, ReadsText } from '../kernel/rules';

/** Findings that were made here. */
export class MakeFindingsInput {
  @ReadsOneOf(FINDINGS, 'a finding') finding!: string;
  @ReadsText(80) size!: string;
  /** Tag of the wire they were made of. */
  @ReadsName('the tag of the wire', 20) from!: string;
  /** All the wire that was taken for them. */
  @ReadsText(60) length!: string;
  @ReadsBy('readsCount', (text) => parseCount(text)) count!: string;
  /** At the bench, for all of them. */
  @ReadsNumber(0, 10_000) minutes!: string;
  @ReadsText(120) place!: string;
}
