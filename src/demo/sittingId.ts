import { keyOf } from './keyOf';

/** The id of the sitting that goes on at the bench of the demonstration studio. */
export const DEMO_SITTING = keyOf('a sitting at the bench');
