import { recordBookCheck } from '../../src/data/recordBookCheck';
import { say } from './say';

const HOUR_MS = 3_600_000;
/** A little less than a day, so that a studio that is opened every morning is checked every morning. */
const APART_HOURS = 20;

/** Checks the books once a day for as long as the studio is served, the first time soon after it started. */
export function keepChecking(ownerUrl: string): NodeJS.Timeout {
  const check = () =>
    recordBookCheck(ownerUrl, APART_HOURS).then(
      (found) => {
        if (found && found.differences.length > 0)
          say(
            `\nThe books do not agree with their movements in ${found.differences.length} places: ./run check-books lists them.`,
          );
      },
      (fault: unknown) =>
        say(
          `\nThe daily check of the books failed: ${fault instanceof Error ? fault.message : String(fault)}`,
        ),
    );
  setTimeout(() => void check(), 10_000).unref();
  return setInterval(() => void check(), HOUR_MS);
}
