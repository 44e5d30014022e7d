import type { Day } from '@/core/calendar/day';
import { ok, refuse, type Result } from '@/core/result';
import { METAL_IDS, type MetalId } from '@/core/wire/metal';
import {
  Entries,
  onlyIf,
  ReadsBy,
  ReadsDayOrNone,
  ReadsName,
  ReadsTagOrNone,
  ReadsText,
  ReadsWhole,
} from '../kernel/rules';
import type { Typed } from '../kernel/typed';

function readMetal(text: string): Result<MetalId> {
  const metal = METAL_IDS.find((id) => id === text);
  return metal ? ok(metal) : refuse(`“${text.slice(0, 40)}” is not a metal; choose one of the list.`);
}

/** Pieces of one kind, as they are typed. */
export class BatchLineInput {
  /** Number of the pattern. */
  @ReadsWhole(1, 99_999_999) pattern!: Typed<number>;
  @ReadsWhole(1, 500) count!: Typed<number>;
  /** Tag of a stone of the drawer; empty for the stone that the pattern was composed for. */
  @ReadsTagOrNone('stone') stone!: Typed<number | null>;
  /** Ring size or inside diameter; empty for the pattern’s own. */
  @ReadsText(60) ring!: string;
  /** Length of the bead along its hole; empty for the pattern’s own. */
  @ReadsText(60) bead!: string;
  /** Metal of all its wires; empty for the pattern’s own. */
  @ReadsBy('readsMetalOfLine', (text) => onlyIf(text !== '', () => readMetal(text)))
  metal!: Typed<MetalId | null>;
}

/** One piece of a pattern that is not chosen yet, as the pattern says. */
export const EMPTY_LINE: BatchLineInput = {
  pattern: '',
  count: '1',
  stone: '',
  ring: '',
  bead: '',
  metal: '',
};

/** A batch as it is planned. */
export class PlanBatchInput {
  @ReadsName('what the batch is called, like Spring fair') name!: string;
  @ReadsDayOrNone() dueOn!: Typed<Day | null>;
  @ReadsText(2000) notes!: string;

  @Entries(() => BatchLineInput, 60, {
    most: 'A batch holds at most 60 patterns.',
    least: 'A batch holds one pattern at least.',
  })
  lines!: BatchLineInput[];
}
