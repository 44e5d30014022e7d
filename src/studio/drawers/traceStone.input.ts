import type { Vec } from '@/core/geometry/vector';
import { parsePoints } from '@/core/outline/points';
import { ReadsBy } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** What a stone was traced as over its photograph, mm: “-9.5,2 0,11 9.5,2”. */
export class TraceStoneInput {
  @ReadsBy('readsPoints', (text) => parsePoints(text)) points!: Typed<Vec[]>;
}
