import { AsksText } from '../kernel/query';

/** What is asked of the rack. */
export class RackQuery {
  @AsksText() readonly words?: string | undefined;
  @AsksText(40) readonly metal?: string | undefined;
  @AsksText(40) readonly profile?: string | undefined;
  /** "20 AWG", "0.8 mm": a label of the studio's own. */
  @AsksText(40) readonly gauge?: string | undefined;
  @AsksText(40) readonly temper?: string | undefined;
  /** Cursor from the page before. */
  @AsksText(1000) readonly after?: string | undefined;
}
