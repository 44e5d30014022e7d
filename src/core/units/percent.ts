import { ok, refuse, type Result } from '../result';

/** Hundredths of a percent (basis points), whole: 12.5 % is 1250. */
export type BasisPoints = number;

export const BASIS = 10_000;

/**
 * Reads "12.5" or "12.5 %" as basis points, at most two figures after the point.
 * @example parsePercent('12.5 %') // { ok: true, value: 1250 }
 */
export function parsePercent(text: string, max = 100): Result<BasisPoints> {
  const plain = text.replace(/[%\s]/g, '').replace(',', '.');
  if (!/^\d{1,5}(\.\d{1,2})?$/.test(plain) || Number(plain) > max) {
    return refuse(`“${text.slice(0, 40)}” is not a percentage from 0 to ${max}; write it like 12.5.`);
  }
  return ok(Math.round(Number(plain) * 100));
}

/** "12.5 %". @example formatPercent(1250) // '12.5 %' */
export const formatPercent = (points: BasisPoints): string => `${Number((points / 100).toFixed(2))} %`;
