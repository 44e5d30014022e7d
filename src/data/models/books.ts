import type { CostUnits, MinorUnits } from '@/core/units/money';
import { big, byDefault, date, float, instant, int, key, text, uuid } from '../columns';
import { table } from '../table';

/** The last number that was given out in a series. */
export const Counter = table('counters', {
  name: key(text()),
  last: int(),
});

/** What was there of an article at the end of a month: a cache of the movements. */
export const Closing = table('closings', {
  /** The first day of the month, ISO. */
  month: key(date()),
  articleId: key(uuid()),
  quantity: big(),
  costUnits: big<CostUnits>(),
});

/** What findings that were made cost beside their material. */
export const MadeLabour = table('made_labour', {
  postKey: key(uuid()),
  minutes: float(),
  hourlyRate: big<MinorUnits>(),
  overheadPerHour: big<MinorUnits>(),
  costUnits: big<CostUnits>(),
  /** What they bear of the waste of their batch. */
  wasteUnits: byDefault(big<CostUnits>(), 0),
});

/** What a check of the books found. */
export const BookCheckRow = table('book_checks', {
  checkedAt: key(instant()),
  movements: big(),
  differences: int(),
  firstDifference: byDefault(text(), ''),
});
