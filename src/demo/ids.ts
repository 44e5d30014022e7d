import { keyOf } from './keyOf';

/** The id of the sitting that goes on at the bench of the demonstration studio. */
export const DEMO_SITTING = keyOf('a sitting at the bench');

/** The id of somebody who buys there. */
export const DEMO_CUSTOMER = keyOf('a customer');
/** The id of the sale of a stall that waits to be settled there. */
export const DEMO_UNSETTLED = keyOf('a sale to be settled');
