import { ok, refuse, type Result } from '../result';
import type { OutlineKind } from './stone';
import type { Vec } from '../geometry/vector';
import type { Outline } from '../outline/outline';
import { crescent } from '../outline/shapes/crescent';
import { oval } from '../outline/shapes/ellipse';
import { refuseCrossing } from '../outline/refuseCrossing';
import { byStrip, pebble, stripRange, traced } from '../outline/shapes/freeform';
import { heart, lobeRadius } from '../outline/shapes/heart';
import { marquise } from '../outline/shapes/marquise';
import { roundedRectangle } from '../outline/shapes/rectangle';
import { teardrop } from '../outline/shapes/teardrop';

/** The measures of an outline, mm. */
export interface OutlineMeasures {
  readonly outline: OutlineKind;
  readonly length: number;
  readonly width: number;
  /** Radius of the corners of a square or rectangle; a tenth of the shorter side when it is not told. */
  readonly corner?: number;
  /** Points of a freeform outline, traced over a photograph of known scale; three at least. */
  readonly points?: readonly Vec[];
  /** Length of a strip of paper laid round a freeform stone. */
  readonly strip?: number;
}

const said = (value: number): string => `${Number(value.toFixed(2))} mm`;

/**
 * The outline of a stone, centred on its measures, its length upright (of a crescent lengthwise).
 * @returns a sentence when no such outline can have these measures
 */
export function outlineOf(measures: OutlineMeasures): Result<Outline> {
  const { outline, length, width } = measures;
  if (!(length > 0 && width > 0))
    return refuse(`A stone of ${said(length)} by ${said(width)} is none: both must be more than 0.`);
  switch (outline) {
    case 'round':
    case 'oval':
      return ok(oval(length, width));
    case 'teardrop':
      return length > width
        ? ok(teardrop(length, width))
        : refuse(`A teardrop is longer than wide; this is ${said(length)} by ${said(width)}.`);
    case 'marquise':
      return length > width
        ? ok(marquise(length, width))
        : refuse(`A marquise is longer than wide; this is ${said(length)} by ${said(width)}.`);
    case 'crescent':
      return length > width
        ? ok(crescent(length, width))
        : refuse(
            `A crescent is longer from tip to tip than it is deep; this is ${said(length)} by ${said(width)}.`,
          );
    case 'heart':
      return length > 2 * lobeRadius(width)
        ? ok(heart(length, width))
        : refuse(
            `A heart ${said(width)} wide is more than ${said(2 * lobeRadius(width))} long; this is ${said(length)}.`,
          );
    case 'square':
    case 'rectangle': {
      const most = Math.min(length, width) / 2;
      const corner = measures.corner ?? most / 5;
      return corner >= 0 && corner <= most
        ? ok(roundedRectangle(length, width, corner))
        : refuse(`Corners of ${said(corner)} do not fit; at most ${said(most)} do.`);
    }
    case 'freeform':
      return freeform(measures);
  }
}

function freeform({ length, width, points, strip }: OutlineMeasures): Result<Outline> {
  if (points) {
    return points.length >= 3
      ? (refuseCrossing(points) ?? ok(traced(points)))
      : refuse(
          `An outline is traced with three points or more; there ${points.length === 1 ? 'is' : 'are'} ${points.length}.`,
        );
  }
  if (strip === undefined) return ok(pebble(length, width));
  const { least, most } = stripRange(length, width);
  return strip >= least && strip <= most
    ? ok(byStrip(length, width, strip))
    : refuse(
        `A strip of ${said(strip)} does not go round ${said(length)} by ${said(width)}; that takes ${said(least)} to ${said(most)}.`,
      );
}
