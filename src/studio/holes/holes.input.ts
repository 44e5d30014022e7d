import { AsksOneOf, AsksText } from '../kernel/query';

/** What is asked of holes and wires; what is no hole or no wire is said on the page. */
export class FitQuery {
  @AsksText(60) readonly hole?: string;
  /** A tag, a size or a gauge. */
  @AsksText(60) readonly wire?: string;
  @AsksOneOf(['smooth', 'rough']) readonly finish?: string;
}
