import { ReadsName } from '../kernel/rules';
import { WireSpecInput } from './receiveWire.input';

/** What a wire turned out to be. */
export class RelabelWireInput extends WireSpecInput {
  @ReadsName('the reason', 200) reason!: string;
}
