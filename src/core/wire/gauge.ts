import { ok, refuse, type Result } from '../result';
import { mm, um, UM_PER_INCH, type Micrometres } from '../units/length';
import { trimmedDecimal } from '../units/quantity';

/** The systems wire sizes are named in. */
export const GAUGE_SYSTEMS = ['AWG', 'SWG', 'mm'] as const;
export type GaugeSystem = (typeof GAUGE_SYSTEMS)[number];

/** The label a maker bought wire under: kept beside the true size, never instead of it. */
export interface GaugeLabel {
  readonly system: GaugeSystem;
  /** "20" in AWG and SWG, "0.8" in mm. */
  readonly number: string;
}

/** Thinnest and thickest wire that a studio works by hand; outside it the entry is a slip. */
export const MIN_SIZE = um(50);
export const MAX_SIZE = um(12_000);

/** From 0000, which is −3, to 44. */
const AWG_RANGE = { from: -3, to: 44 };

/** An American number: 00, 000 and 0000 are thicker than 0, counted as −1, −2 and −3. */
function awgNumber(text: string): number {
  if (/^0{1,4}$/.test(text)) return 1 - text.length;
  return /^[1-9]\d?$/.test(text) ? Number(text) : NaN;
}

const awgLabel = (n: number): string => (n < 0 ? '0'.repeat(1 - n) : String(n));

/**
 * Diameter of an American (B&S) gauge number: 0.127 mm × 92^((36 − n) / 39). Source: ASTM B258.
 * @param n gauge number, −3 for 0000 to 44
 * @example awgDiameterMm(36) // 0.127
 */
export const awgDiameterMm = (n: number): number => 0.127 * 92 ** ((36 - n) / 39);

/** Imperial standard wire gauge in thousandths of an inch, number 0 upward. Source: BS 3737 (table from memory). */
const SWG_THOU: readonly number[] = [
  324, 300, 276, 252, 232, 212, 192, 176, 160, 144, 128, 116, 104, 92, 80, 72, 64, 56, 48, 40, 36, 32, 28, 24,
  22, 20, 18, 16.4, 14.8, 13.6, 12.4, 11.6, 10.8, 10, 9.2, 8.4, 7.6, 6.8, 6, 5.2, 4.8,
];

/** Sizes European spools are labelled with, in mm (common practice). */
export const METRIC_NOMINALS: readonly number[] = [
  0.2, 0.25, 0.3, 0.315, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1.0, 1.2, 1.25, 1.5, 1.6, 1.8, 2.0, 2.5, 3.0,
];

/**
 * The true size that a label stands for.
 * @returns µm, or a sentence naming what was given and which numbers the system has
 * @example gaugeSize({ system: 'AWG', number: '20' }) // { ok: true, value: 812 }
 */
export function gaugeSize({ system, number }: GaugeLabel): Result<Micrometres> {
  const text = number.trim().slice(0, 20);
  if (system === 'mm') {
    const value = Number(text.replace(',', '.'));
    const size = DECIMAL.test(text) ? Math.round(value * 1000) : 0;
    if (size < MIN_SIZE || size > MAX_SIZE) {
      return refuse(
        `“${text}” mm is not a wire size; give ${MIN_SIZE / 1000} to ${MAX_SIZE / 1000} mm, like 0.8.`,
      );
    }
    return ok(um(size));
  }
  if (system === 'AWG') {
    const n = awgNumber(text);
    if (!(n >= AWG_RANGE.from && n <= AWG_RANGE.to)) {
      return refuse(
        `There is no ${system} number “${text}”; it runs from ${awgLabel(AWG_RANGE.from)} to ${AWG_RANGE.to}, like 20.`,
      );
    }
    return ok(mm(awgDiameterMm(n)));
  }
  const n = /^\d{1,2}$/.test(text) ? Number(text) : NaN;
  const thou = SWG_THOU[n];
  if (thou === undefined) {
    return refuse(`There is no SWG number “${text}”; it runs from 0 to ${SWG_THOU.length - 1}, like 20.`);
  }
  return ok(um(Math.round((thou * UM_PER_INCH) / 1000)));
}

/**
 * "20 ga", "20 SWG", "0.8 mm": AWG is what "gauge" means unless another system is named.
 * @example formatGauge({ system: 'AWG', number: '20' }) // '20 ga'
 */
export function formatGauge({ system, number }: GaugeLabel): string {
  return system === 'AWG' ? `${number} ga` : `${number} ${system}`;
}

/** One way of naming a measured size. */
export interface GaugeCandidate extends GaugeLabel {
  readonly size: Micrometres;
  /** Measured less nominal, µm. */
  readonly deviation: Micrometres;
}

/** What a measured diameter most likely is. */
export interface Identification {
  /** The nearest number of each system, and any other that is as likely as the first; nearest first. */
  readonly candidates: readonly GaugeCandidate[];
  /** True when a second label is as likely as the first, within what a calliper can tell apart. */
  readonly ambiguous: boolean;
}

/** A workshop calliper reads to 0.01 mm; two deviations closer than that cannot be told apart. */
export const CALLIPER_RESOLUTION = 10;

const LADDERS: Readonly<Record<GaugeSystem, readonly string[]>> = {
  AWG: Array.from({ length: AWG_RANGE.to - AWG_RANGE.from + 1 }, (_, index) =>
    awgLabel(AWG_RANGE.from + index),
  ),
  SWG: SWG_THOU.map((_, n) => String(n)),
  mm: METRIC_NOMINALS.map((value) => trimmedDecimal(value, 3)),
};

/**
 * Names a measured size in every system, with how far off each name is.
 * @param measured diameter (or width) in µm
 * @example identifyGauge(um(812)).candidates[0]?.number // '20'
 */
export function identifyGauge(measured: Micrometres): Identification {
  const off = ({ deviation }: GaugeCandidate) => Math.abs(deviation);
  const nearestFirst = (a: GaugeCandidate, b: GaugeCandidate) => off(a) - off(b);
  const ladders = GAUGE_SYSTEMS.map((system) =>
    LADDERS[system]
      .flatMap((number): GaugeCandidate[] => {
        const size = gaugeSize({ system, number });
        return size.ok ? [{ system, number, size: size.value, deviation: um(measured - size.value) }] : [];
      })
      .sort(nearestFirst),
  );
  const [first] = ladders.flatMap((ladder) => ladder.slice(0, 1)).sort(nearestFirst);
  const isAsLikely = (each: GaugeCandidate) =>
    first !== undefined && each !== first && off(each) - off(first) < CALLIPER_RESOLUTION;
  const candidates = ladders
    .flatMap((ladder) => ladder.slice(0, 2).filter((each, rank) => rank === 0 || isAsLikely(each)))
    .sort(nearestFirst);
  const ambiguous = candidates.some(isAsLikely);
  return { candidates, ambiguous };
}

/** A whole number, or a decimal with a point or a comma. */
const DECIMAL = /^(?:\d+(?:[.,]\d+)?|[.,]\d+)$/;

/** How units are written after a size; a bare number has none. */
const UNITS: Readonly<Record<string, GaugeSystem | 'in'>> = {
  ga: 'AWG',
  g: 'AWG',
  gauge: 'AWG',
  awg: 'AWG',
  'b&s': 'AWG',
  swg: 'SWG',
  mm: 'mm',
  in: 'in',
  inch: 'in',
  '"': 'in',
  '″': 'in',
};

/**
 * Reads a size as makers write it: “20ga”, “20 gauge”, “#20”, “20AWG”, “18 SWG”, “0.8mm”, “0,8”, “.032"”. A bare whole number is AWG
 * (that is what “gauge” means unless another system is named), a bare decimal is millimetres, and inches become the millimetres
 * they are.
 * @example parseGauge('#20') // { ok: true, value: { system: 'AWG', number: '20' } }
 */
export function parseGauge(text: string): Result<GaugeLabel> {
  const typed = text.trim().toLowerCase();
  const [, number = '', unit = ''] = /^(?:#|no\.?)?\s*([\d.,]+)\s*([a-z&"″]*)\.?$/.exec(typed) ?? [];
  const system = unit === '' ? (/[.,]/.test(number) ? 'mm' : 'AWG') : UNITS[unit];
  if (system === undefined || !DECIMAL.test(number))
    return refuse(`“${text.slice(0, 40)}” is not a size; write it like 20 ga, 18 SWG, 0.8 mm or .032".`);
  const plain = number.replace(',', '.').replace(/^\./, '0.');
  const label: GaugeLabel =
    system === 'in'
      ? { system: 'mm', number: trimmedDecimal((Number(plain) * UM_PER_INCH) / 1000, 4) }
      : { system, number: plain };
  const size = gaugeSize(label);
  return size.ok ? ok(label) : size;
}

/**
 * The label that was typed beside a choice of system: a bare whole number is one of that system, whatever else is written says
 * itself what it is.
 * @example labelTyped('AWG', '18 SWG') // { ok: true, value: { system: 'SWG', number: '18' } }
 */
export function labelTyped(system: GaugeSystem, text: string): Result<GaugeLabel> {
  const plain = text.trim().replace(',', '.');
  if (!/^\d+$/.test(plain) && !(system === 'mm' && DECIMAL.test(plain))) return parseGauge(text);
  const label: GaugeLabel = { system, number: plain };
  const size = gaugeSize(label);
  return size.ok ? ok(label) : size;
}
