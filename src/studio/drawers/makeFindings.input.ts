import { FINDINGS, type FindingKind } from '@/core/stock/finding';
import { AsksOneOf, AsksText } from '../kernel/query';
import { ReadsCount, ReadsTag, ReadsNumber, ReadsOneOf, ReadsText } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** Findings that were made here. */
export class MakeFindingsInput {
  @ReadsOneOf(FINDINGS, 'a finding') finding!: Typed<FindingKind>;
  @ReadsText(80) size!: string;
  /** Tag of the wire they were made of. */
  @ReadsTag('wire') from!: Typed<number>;
  /** All the wire that was taken for them. */
  @ReadsText(60) length!: string;
  @ReadsCount() count!: Typed<number>;
  /** At the bench, for all of them. */
  @ReadsNumber(0, 10_000) minutes!: Typed<number>;
  @ReadsText(120) place!: string;
}

/** What a calculation or a pattern has filled in already; how it is written is looked at when the form is sent. */
export class FindingsAsked {
  @AsksOneOf(FINDINGS) readonly finding?: string;
  @AsksText(80) readonly size?: string;
  @AsksText(20) readonly from?: string;
  @AsksText(60) readonly length?: string;
  @AsksText(60) readonly count?: string;
  @AsksText(60) readonly minutes?: string;
}
