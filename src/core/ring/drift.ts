import { diameterOfUs, ringOf, type RingSize } from './ringSize';

/** A way of making a ring, and how its size changes from the start to the finish. */
export interface RingMethod {
  readonly id: string;
  readonly name: string;
  /** US sizes that the finished ring is larger than it was begun; negative when it tightens. */
  readonly drift: number;
  readonly why: string;
}

/** The methods of the trade (common practice); a studio’s own log replaces the drift. */
export const RING_METHODS = [
  {
    id: 'bead-ring',
    name: 'bead wrapped on the mandrel',
    drift: -1,
    why: 'each wrap round the shank pulls it tighter, by up to a full size',
  },
  {
    id: 'coil-bezel-ring',
    name: 'coil bezel',
    drift: -1,
    why: 'binding the bezel draws the shank in, by up to a full size',
  },
  {
    id: 'herringbone-ring',
    name: 'herringbone bead',
    drift: -0.25,
    why: 'it is wrapped a quarter over and malleted to size',
  },
  {
    id: 'woven-band-ring',
    name: 'woven band',
    drift: 0.25,
    why: 'hammering it round stretches it by about a quarter',
  },
  {
    id: 'spiral-head-ring',
    name: 'spiral head, hammered shank',
    drift: 2.5,
    why: 'the hammered shank grows by two or three sizes',
  },
  {
    id: 'bound-band-ring',
    name: 'multi-wire bound band',
    drift: 0,
    why: 'it is bound flat and bent to size',
  },
  {
    id: 'figure-eight-ring',
    name: 'figure-eight band',
    drift: 0,
    why: 'it is woven flat, bent to size and not hammered once its stone is held',
  },
] as const satisfies readonly RingMethod[];
export type RingMethodId = (typeof RING_METHODS)[number]['id'];

/** @example methodOf('coil-bezel-ring').id // 'coil-bezel-ring' */
export const methodOf = (id: RingMethodId): RingMethod =>
  RING_METHODS.find((each) => each.id === id) ?? RING_METHODS[0];

/**
 * What a wide band adds, in US sizes, since it feels tighter: a quarter from 6 mm, a half from 10 mm (common practice: ¼ to
 * ½; where each begins is the house’s choice).
 * @param width of the band, mm
 * @example widthAllowance(8) // 0.25
 */
export function widthAllowance(width: number): number {
  if (width >= 10) return 0.5;
  return width >= 6 ? 0.25 : 0;
}

/**
 * The size to start at, so that the finished ring fits: the wanted size, plus what the width wants, less the drift.
 * @example describeRing(startSize(ringOf(diameterOfUs(7)), -0.5)) // 'US 7½ · UK O½ · ISO 55.7'
 */
export function startSize(wanted: RingSize, drift: number, bandWidth = 0): RingSize {
  return ringOf(diameterOfUs(wanted.us + widthAllowance(bandWidth) - drift));
}

/**
 * The largest ring that a length of wire reaches, found by halving: `need` must grow with the size.
 * @param need wire that a ring of a US size takes, mm
 * @returns the US size, or undefined when the wire does not even reach size 0
 * @example largestReached(60, (us) => us * 6)?.toFixed(1) // '10.0'
 */
export function largestReached(length: number, need: (us: number) => number): number | undefined {
  let [low, high] = [0, 20];
  if (need(low) > length) return undefined;
  if (need(high) <= length) return high;
  for (let step = 0; step < 40; step += 1) {
    const middle = (low + high) / 2;
    if (need(middle) <= length) low = middle;
    else high = middle;
  }
  return low;
}
