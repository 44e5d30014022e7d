import { vec, type Vec } from '../geometry/vector';
import { outlineOf } from './outlineOf';
import { ok, refuse, type Result } from '../result';
import { UM_PER_MM } from '../units/length';
import type { StoneMeasures } from './stone';

/** Photographs are a little out of square, and scales a little off: more than this part is another stone, or another scale. */
const OFF = 0.12;

const reachOf = (of: readonly number[]): readonly [number, number] => [Math.min(...of), Math.max(...of)];
const said = (wide: number, high: number): string => `${high.toFixed(1)} × ${wide.toFixed(1)} mm`;

/**
 * An outline that was traced over a photograph of a stone, drawn to what the calliper says of it: the calliper is truer than a photograph.
 * @param points of its edge, mm
 * @returns points about the middle of its measures, mm; a sentence when they are those of another stone
 */
export function fittedTrace(
  points: readonly Vec[],
  { outline, length, width }: Pick<StoneMeasures, 'outline' | 'length' | 'width'>,
): Result<readonly Vec[]> {
  if (outline !== 'freeform')
    return refuse(`A stone that is ${outline} has its outline; a freeform one is traced.`);
  const [left, right] = reachOf(points.map(({ x }) => x));
  const [top, bottom] = reachOf(points.map(({ y }) => y));
  const [wide, high] = [right - left, bottom - top];
  const [acrossMm, longMm] = [width / UM_PER_MM, length / UM_PER_MM];
  const [byWidth, byLength] = [acrossMm / wide, longMm / high];
  if (!(Math.abs(byWidth - 1) <= OFF && Math.abs(byLength - 1) <= OFF))
    return refuse(
      `By the photograph it is ${said(wide, high)}, by the calliper ${said(acrossMm, longMm)}: set the scale anew, or trace it the way up that it is measured.`,
    );
  const micron = (value: number) => Math.round(value * 1000) / 1000;
  const fitted = points.map(({ x, y }) =>
    vec(micron((x - (left + right) / 2) * byWidth), micron((y - (top + bottom) / 2) * byLength)),
  );
  const made = outlineOf({ outline, length: longMm, width: acrossMm, points: fitted });
  return made.ok ? ok(fitted) : made;
}
