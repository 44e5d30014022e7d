import type { ClockDoubt } from '@/core/calendar/clock';
import { Moment } from '@/ui/When';

/** Says that the computer's clock is far from the last posting, since everything that is posted carries its time. */
export function ClockBanner({ clock, lastPosting, is }: ClockDoubt) {
  return (
    <p role="alert" className="no-print mb-4 border-l-4 border-warning bg-base-100 p-3">
      This computer’s clock says <Moment at={clock} />; the last posting was on <Moment at={lastPosting} />.{' '}
      {is === 'behind'
        ? 'One of the two is wrong: set the clock right before anything is posted.'
        : 'If the clock is wrong, set it right before anything is posted.'}
    </p>
  );
}
