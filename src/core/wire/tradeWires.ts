import { mm, um } from '../units/length';
import { awgDiameterMm } from './gauge';
import { METAL_IDS, type MetalId, type Temper } from './metal';
import type { DrawnProfile } from './profile';
import { specIdentity, type WireSpec } from './spec';

/** A wire that is sold, whether the studio ever had it or not. */
export interface TradeWire extends WireSpec {
  /** Equal for the same stock only, and never a studio's own id. */
  readonly id: string;
}

const PREFIX = 'trade ';

/** Whether an id is that of a wire of the trade and not of the studio. @example isTradeWire('not one') // false */
export const isTradeWire = (id: string): boolean => id.startsWith(PREFIX);

/** Gauges that wire is sold by, by profile, in AWG (common practice, as in handbook section 3.3). */
const SOLD: readonly (readonly [DrawnProfile, readonly number[], readonly Temper[]])[] = [
  ['round', [12, 14, 16, 18, 20, 21, 22, 24], ['dead soft', 'half hard']],
  ['round', [26, 28, 30], ['dead soft']],
  ['square', [18, 20, 21, 22], ['dead soft', 'half hard']],
  ['half-round', [18, 20, 21], ['dead soft', 'half hard']],
];

function tradeWire(metal: MetalId, profile: DrawnProfile, gauge: number, temper: Temper): TradeWire {
  const width = mm(awgDiameterMm(gauge));
  const spec: WireSpec = {
    metal,
    profile,
    width,
    height: profile === 'half-round' ? um(Math.round(width / 2)) : width,
    temper,
    finish: 'bare',
    finishName: '',
    label: { system: 'AWG', number: String(gauge) },
  };
  return { ...spec, id: PREFIX + specIdentity(spec) };
}

/** The wires that are usually sold, so that a pattern can be cut from one that the studio has yet to buy. */
export const TRADE_WIRES: readonly TradeWire[] = METAL_IDS.flatMap((metal) =>
  SOLD.flatMap(([profile, gauges, tempers]) =>
    gauges.flatMap((gauge) => tempers.map((temper) => tradeWire(metal, profile, gauge, temper))),
  ),
);

/**
 * The wires of the trade that a studio does not have as its own.
 * @example tradeWiresBeside([]).length > 0 // true
 */
export function tradeWiresBeside(own: readonly WireSpec[]): TradeWire[] {
  const known = new Set(own.map(specIdentity));
  return TRADE_WIRES.filter((wire) => !known.has(specIdentity(wire)));
}

/** The wire of the trade of an id; undefined when there is none. @example tradeWireOf('not one') // undefined */
export const tradeWireOf = (id: string): TradeWire | undefined => TRADE_WIRES.find((wire) => wire.id === id);
