import { ok, refuse, type Result } from '../result';
import { MM_PER_INCH } from '../geometry/inches';

/** The ways a ring is sized: US numbers, UK letters, ISO circumferences, and the plain inside diameter. */
export const RING_SYSTEMS = ['US', 'UK', 'ISO', 'mm'] as const;
export type RingSystem = (typeof RING_SYSTEMS)[number];

/** A ring by the inside of its band, in every system. */
export interface RingSize {
  /** Inside diameter, mm. */
  readonly diameter: number;
  /** Inside circumference, mm, which is the ISO size (ISO 8653). */
  readonly circumference: number;
  readonly us: number;
  /** The nearest letter or half letter; undefined where the letters end. */
  readonly uk: string | undefined;
}

/** Inside diameter of a US size: 0.458 + 0.032 n inches. Source: handbook of the trade. */
const US_ZERO = 0.458 * MM_PER_INCH;
const US_STEP = 0.032 * MM_PER_INCH;

/** Circumference of UK letter A, and what a letter adds: 1.25 mm, with C at 40.0 mm. Source: BS 6820, by the handbook of the trade. */
const UK_A = 37.5;
const UK_STEP = 1.25;
const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** Rings that a hand wears, and a little beyond: inside diameters, mm. */
export const RING_RANGE = { from: 10, to: 30 } as const;

const SIZE = /^\s*(?:(\d+)(?:\s*([¼½¾])|\s+(\d)\/(\d))?|(\d*[.,]\d+))\s*$/;
const FRACTIONS: Readonly<Record<string, number>> = { '¼': 0.25, '½': 0.5, '¾': 0.75 };

/** "5 1/2", "5½", "5.5", "5": a plain number as sizes are written. */
function numberIn(text: string): number | undefined {
  const match = SIZE.exec(text);
  if (!match) return undefined;
  const [, whole, sign, over, under, decimal] = match;
  if (decimal !== undefined) return Number(decimal.replace(',', '.'));
  return Number(whole) + (sign ? (FRACTIONS[sign] ?? 0) : over ? Number(over) / Number(under) : 0);
}

/** "N", "N½", "n 1/2": a letter, with a half. @returns letters and halves above A */
function lettersIn(text: string): number | undefined {
  const match = /^([A-Za-z])(?:\+([1-6]))?(½|1\/2|\.5)?$/.exec(text.replace(/\s/g, ''));
  const letter = match?.[1]?.toUpperCase();
  const beyond = Number(match?.[2] ?? 0);
  if (letter === undefined || (beyond > 0 && letter !== 'Z')) return undefined;
  return LETTERS.indexOf(letter) + beyond + (match?.[3] ? 0.5 : 0);
}

/** Sizes beyond Z are counted from it, to Z+6. */
const BEYOND_Z = 6;

/** How a UK size is written, by its letters above A. */
function ukLetter(above: number): string | undefined {
  const last = LETTERS.length - 1;
  if (above < 0 || above > last + BEYOND_Z) return undefined;
  return above <= last ? LETTERS[above] : `Z+${above - last}`;
}

const EXAMPLES: Readonly<Record<RingSystem, string>> = {
  US: '7, 6 1/2 or 6.25',
  UK: 'N, N½ or Z+1',
  ISO: '54 (the inside circumference in mm)',
  mm: '17.3 (the inside diameter)',
};

/**
 * A ring of an inside diameter, mm, in every system.
 * @example describeRing(ringOf(17.3)) // 'US 7 · UK N½ · ISO 54.3'
 */
export function ringOf(diameter: number): RingSize {
  const circumference = Math.PI * diameter;
  const halves = Math.round((2 * (circumference - UK_A)) / UK_STEP);
  const letter = ukLetter(Math.floor(halves / 2));
  return {
    diameter,
    circumference,
    us: (diameter - US_ZERO) / US_STEP,
    uk: halves >= 0 && letter ? letter + (halves % 2 ? '½' : '') : undefined,
  };
}

/** Inside diameter of a US size, mm. @example diameterOfUs(7) // 17.3228 */
export const diameterOfUs = (size: number): number => US_ZERO + US_STEP * size;

/**
 * Reads a ring size in one of the systems. @returns a sentence when it is no size, or none that a hand wears
 * @example describeRing(expectOk(readRingSize('US', '7'))) // 'US 7 · UK N½ · ISO 54.4'
 */
export function readRingSize(system: RingSystem, text: string): Result<RingSize> {
  const diameter = diameterOf(system, text);
  if (diameter === undefined || !Number.isFinite(diameter))
    return refuse(`“${text.slice(0, 40)}” is no ${system} ring size; write it like ${EXAMPLES[system]}.`);
  const { from, to } = RING_RANGE;
  return diameter >= from && diameter <= to
    ? ok(ringOf(diameter))
    : refuse(
        `“${text.slice(0, 40)}” is ${diameter.toFixed(1)} mm across inside; rings from ${from} to ${to} mm are worn.`,
      );
}

/**
 * A ring size with its system, as it was typed in a studio that sizes rings in one: a bare number is a size of that one, a letter is of
 * the UK's. What has its system or its unit already, and what is no size, stays.
 * @example completedRing('7 1/2', 'US') // 'US 7 1/2'
 */
export function completedRing(text: string, system: RingSystem): string {
  const plain = text.trim();
  if (lettersIn(plain) !== undefined) return `UK ${plain}`;
  if (numberIn(plain) === undefined) return text;
  return system === 'mm' ? `${plain} mm` : `${system} ${plain}`;
}

function diameterOf(system: RingSystem, text: string): number | undefined {
  if (system === 'UK') {
    const letters = lettersIn(text);
    return letters === undefined ? undefined : (UK_A + UK_STEP * letters) / Math.PI;
  }
  const value = numberIn(text);
  if (value === undefined) return undefined;
  switch (system) {
    case 'US':
      return diameterOfUs(value);
    case 'ISO':
      return value / Math.PI;
    case 'mm':
      return value;
  }
}

/**
 * "US 6¾ · UK N½ · ISO 54.4": how a ring size is said everywhere; US to the nearest quarter.
 * @example describeRing(ringOf(diameterOfUs(7))) // 'US 7 · UK N½ · ISO 54.4'
 */
export function describeRing({ us, uk, circumference }: RingSize): string {
  const quarters = Math.round(us * 4);
  const whole = Math.floor(quarters / 4);
  const sign = ['', '¼', '½', '¾'][quarters - whole * 4] ?? '';
  const letters = uk === undefined ? '' : ` · UK ${uk}`;
  return `US ${whole}${sign}${letters} · ISO ${Number(circumference.toFixed(1))}`;
}
