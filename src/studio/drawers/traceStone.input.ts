import { parsePoints } from '@/core/outline/points';
import { ReadsBy } from '../kernel/rules';

/** What a stone was traced as over its photograph, mm: “-9.5,2 0,11 9.5,2”. */
export class TraceStoneInput {
  @ReadsBy('readsPoints', (text) => parsePoints(text)) points!: string;
}
