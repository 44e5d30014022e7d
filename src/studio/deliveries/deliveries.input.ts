import { AsksText } from '../kernel/query';

/** What is asked of the form of what comes in. */
export class AgainQuery {
  /** The tag of what is bought once more. */
  @AsksText(40) readonly again?: string;
}

/** What is asked of the list of deliveries. */
export class DeliveriesQuery {
  /** The number of the last one on the page before. */
  @AsksText(400) readonly after?: string;
}
