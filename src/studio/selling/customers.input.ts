import { ReadsName, ReadsText } from '../kernel/rules';
import { ListQuery } from '../kernel/query';

/** What is written down of somebody who buys: as little as is needed. */
export class CustomerInput {
  @ReadsName('a name') name!: string;
  /** How to reach them, as they like it. */
  @ReadsText(300) contact!: string;
  @ReadsText(200) ringSizes!: string;
  @ReadsText(1000) wishes!: string;
}

/** What is asked of who buys. */
export class CustomersQuery extends ListQuery {}
