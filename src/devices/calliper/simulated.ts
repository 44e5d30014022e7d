import { um, type Micrometres } from '@/core/units/length';
import { CALLIPER_DIVISION, type Calliper } from './port';

/** The calliper that ships: what lies between its jaws is said in its panel. */
export class SimulatedCalliper implements Calliper {
  constructor(readonly between: Micrometres) {}

  close(): Promise<Micrometres> {
    return Promise.resolve(um(Math.round(this.between / CALLIPER_DIVISION) * CALLIPER_DIVISION));
  }
}
