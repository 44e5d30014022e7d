import { cutLength, type PatternBody } from '../pattern/pattern';
import { formatMarkBothWays, um, UM_PER_MM } from '../units/length';
import { describeSpec, type WireSpec } from '../wire/spec';
import { PageWriter } from './pageWriter';
import { line, MARGIN, text, type Page, type Shape } from './sheet';

/** What a sheet is headed with. */
export interface SheetHead {
  readonly tag: string;
  readonly name: string;
  readonly revision: number;
}

/** Length of wire that one row of a page holds, mm: a whole number of centimetres. */
export const ROW = 180;
/** Height of a strip, of its labels above it, and of what stands below it, mm. */
const [BAR, LABELS, GAP] = [6, 9, 4];
const LETTER = 2.6;

/** Marks that stand so close that their words would overlap are written on two levels. */
const LEVELS = 2;

/** One row of a strip: the wire from one length to another, with ticks, marks and where it goes on. */
function row(
  from: number,
  to: number,
  whole: number,
  marks: readonly { readonly at: number; readonly what: string }[],
  y: number,
): Shape[] {
  const x = (at: number) => MARGIN + at - from;
  const shapes: Shape[] = [{ kind: 'rect', x: x(from), y, width: to - from, height: BAR, thick: 0.25 }];
  for (let at = Math.ceil(from / 5) * 5; at <= to; at += 5) {
    const long = at % 10 === 0;
    shapes.push(line(x(at), y + BAR, x(at), y + BAR - (long ? 2 : 1.2), 0.15));
    if (at % 50 === 0 && at > from) shapes.push(text(x(at) + 0.5, y + BAR - 2.2, 2.2, `${at}`));
  }
  const here = marks.filter(({ at }) => at >= from && (at < to || to === whole));
  for (const [index, { at, what }] of here.entries()) {
    const up = 1.2 + (index % LEVELS) * (LETTER + 0.6);
    const near = at > to - 60 && to - from > 100;
    shapes.push(line(x(at), y - up, x(at), y + BAR, 0.35));
    shapes.push(
      text(x(at) + (near ? -0.8 : 0.8), y - up, LETTER, `${Number(at.toFixed(1))} mm ${what}`, {
        anchor: near ? 'end' : 'start',
      }),
    );
  }
  if (to < whole) shapes.push(text(x(to), y - 0.7, 2.2, `goes on at ${to} mm ›`, { anchor: 'end' }));
  if (from > 0) shapes.push(text(x(from), y - 0.7, 2.2, `‹ from ${from} mm`));
  return shapes;
}

/** The cuts of a pattern at 1:1, to lay wires against: each with its marks, and a bar on every page that shows the scale. */
export function cutStrips(
  head: SheetHead,
  { cuts }: Pick<PatternBody, 'cuts'>,
  specs: Readonly<Record<string, WireSpec>>,
): Page[] {
  const paper = new PageWriter(head.name, `${head.tag}, revision ${head.revision}: cut strips at 1:1`);
  for (const cut of cuts) {
    const whole = cutLength(cut) / UM_PER_MM;
    const spec = specs[cut.specId];
    paper.makeRoom(LABELS + BAR + GAP + 12);
    const heading = `${cut.count > 1 ? `${cut.count} × ` : ''}${cut.name}: ${formatMarkBothWays(um(Math.round(whole * UM_PER_MM)))}`;
    paper.put(text(MARGIN, paper.y, 3.6, heading, { bold: true }));
    if (spec) paper.put(text(MARGIN, paper.y + 4, 2.8, describeSpec(spec)));
    paper.y += 6;
    const marks = (cut.marks ?? []).map(({ at, what }) => ({ at: at / UM_PER_MM, what }));
    for (let from = 0; from < whole; from += ROW) {
      paper.makeRoom(LABELS + BAR + GAP);
      paper.put(...row(from, Math.min(whole, from + ROW), whole, marks, paper.y + LABELS));
      paper.y += LABELS + BAR + GAP;
    }
    paper.y += 3;
  }
  return paper.finish();
}
