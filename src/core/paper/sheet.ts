import { formatMarkBothWays, type LengthSystem, type Micrometres } from '../units/length';
import { writeNumbers, type NumberWriting } from '../units/writing';

/** Something printed, in mm from the upper left corner of its page. */
export type Shape =
  | {
      readonly kind: 'text';
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly text: string;
      readonly bold?: boolean;
      readonly anchor?: 'start' | 'middle' | 'end';
    }
  | {
      readonly kind: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
      readonly thick: number;
    }
  | {
      readonly kind: 'rect';
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
      readonly thick: number;
    }
  /** An SVG path of its own millimetres, scaled and set down at a place. */
  | {
      readonly kind: 'path';
      readonly d: string;
      readonly x: number;
      readonly y: number;
      readonly scale: number;
      readonly thick: number;
      /** sRGB: “#1a2b3c”. */
      readonly colour: string;
      readonly filled?: boolean;
    };

/** A page to be printed on white at 1:1, mm. */
export interface Page {
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly Shape[];
}

/** Papers that are printed on, mm: ISO 216 A4, and US Letter of 8 1/2 × 11 in (ANSI Y14.1, size A). */
export const SHEETS = {
  A4: { width: 210, height: 297 },
  Letter: { width: 215.9, height: 279.4 },
} as const;
export type SheetName = keyof typeof SHEETS;
export const SHEET_NAMES: readonly SheetName[] = ['A4', 'Letter'];

/** How a studio has its papers: what they are printed on, the unit that stands first, and how numbers are written. */
export interface PaperRules {
  readonly sheet: SheetName;
  readonly first: LengthSystem;
  readonly numbers: NumberWriting;
}

export const MARGIN = 14;

export const text = (
  x: number,
  y: number,
  size: number,
  said: string,
  more: { readonly bold?: boolean; readonly anchor?: 'start' | 'middle' | 'end' } = {},
): Shape => ({ kind: 'text', x, y, size, text: said, ...more });

export const line = (x1: number, y1: number, x2: number, y2: number, thick = 0.2): Shape => ({
  kind: 'line',
  x1,
  y1,
  x2,
  y2,
  thick,
});

/** Length of the bar that shows whether a printer kept the scale, mm. */
export const CHECK_BAR = 100;

/** A bar of 100 mm: laid against a ruler it says whether the printer kept the scale. */
export function checkBar(x: number, y: number): Shape[] {
  return [
    line(x, y, x + CHECK_BAR, y, 0.4),
    ...Array.from({ length: 11 }, (_, index) =>
      line(x + index * 10, y - (index % 5 === 0 ? 3 : 1.8), x + index * 10, y, 0.3),
    ),
    text(x + CHECK_BAR + 3, y, 3, 'This bar is 100 mm long. If yours is not, print at 100 %.'),
  ];
}

/** A computed length as papers say it, the studio's unit first: "98.1 mm, 3 7/8 in". */
export const lengthOn = (rules: PaperRules, length: Micrometres): string =>
  writeNumbers(formatMarkBothWays(length, rules.first), rules.numbers);

/** A text in lines that hold so many characters at most, broken at spaces; a longer word goes on in the next line. */
export function wrapped(said: string, most: number): string[] {
  const lines: string[] = [];
  const words = said.split(/\s+/).flatMap((word) => word.match(new RegExp(`.{1,${most}}`, 'gu')) ?? []);
  for (const word of words) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= most)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
