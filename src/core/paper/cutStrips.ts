import { cutLength, type PatternBody } from '../pattern/pattern';
import { formatToMark, mm, um, UM_PER_INCH, UM_PER_MM, type LengthSystem } from '../units/length';
import { writeNumbers } from '../units/writing';
import { describeSpec, type WireSpec } from '../wire/spec';
import { PageWriter } from './pageWriter';
import { line, MARGIN, text, type Page, type PaperRules, type Shape } from './sheet';

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
/** Room that the words of a mark take, mm. */
const WORDS = 60;

/** Marks that stand so close that their words would overlap are written on two levels. */
const LEVELS = 2;

/** Ticks along a strip: how far apart they stand, mm, which are longer, and which say how far along they are. */
const TICKS: Readonly<Record<LengthSystem, { step: number; long: number; said: number; unit: number }>> = {
  mm: { step: 5, long: 2, said: 10, unit: 1 },
  in: { step: UM_PER_INCH / UM_PER_MM / 8, long: 4, said: 8, unit: UM_PER_INCH / UM_PER_MM },
};

/** One row of a strip: the wire from one length to another, with ticks, marks and where it goes on. */
function row(
  from: number,
  to: number,
  whole: number,
  marks: readonly { readonly at: number; readonly what: string }[],
  y: number,
  { first, numbers }: PaperRules,
): Shape[] {
  const said = (at: number) => writeNumbers(formatToMark(mm(at), first), numbers);
  const x = (at: number) => MARGIN + at - from;
  const shapes: Shape[] = [{ kind: 'rect', x: x(from), y, width: to - from, height: BAR, thick: 0.25 }];
  const ticks = TICKS[first];
  for (let tick = Math.ceil(from / ticks.step); tick * ticks.step <= to; tick += 1) {
    const at = tick * ticks.step;
    shapes.push(line(x(at), y + BAR, x(at), y + BAR - (tick % ticks.long === 0 ? 2 : 1.2), 0.15));
    if (tick % ticks.said === 0 && at > from)
      shapes.push(text(x(at) + 0.5, y + BAR - 2.2, 2.2, String(Math.round(at / ticks.unit))));
  }
  const here = marks.filter(({ at }) => at >= from && (at < to || to === whole));
  for (const [index, { at, what }] of here.entries()) {
    const up = 1.2 + (index % LEVELS) * (LETTER + 0.6);
    // What stands near the right edge of the paper is written to its left.
    const near = at - from > ROW - WORDS;
    shapes.push(line(x(at), y - up, x(at), y + BAR, 0.35));
    shapes.push(
      text(x(at) + (near ? -0.8 : 0.8), y - up, LETTER, `${said(at)} ${what}`, {
        anchor: near ? 'end' : 'start',
      }),
    );
  }
  if (to < whole) shapes.push(text(x(to), y - 0.7, 2.2, `goes on at ${said(to)} ›`, { anchor: 'end' }));
  if (from > 0) shapes.push(text(x(from), y - 0.7, 2.2, `‹ from ${said(from)}`));
  return shapes;
}

/** The cuts of a pattern at 1:1, to lay wires against: each with its marks, and a bar on every page that shows the scale. */
export function cutStrips(
  head: SheetHead,
  { cuts }: Pick<PatternBody, 'cuts'>,
  specs: Readonly<Record<string, WireSpec>>,
  rules: PaperRules,
): Page[] {
  const paper = new PageWriter(head.name, `${head.tag}, revision ${head.revision}: cut strips at 1:1`, rules);
  for (const cut of cuts) {
    const whole = cutLength(cut) / UM_PER_MM;
    const spec = specs[cut.specId];
    paper.makeRoom(LABELS + BAR + GAP + 12);
    const heading = `${cut.count > 1 ? `${cut.count} × ` : ''}${cut.name}: ${paper.length(um(Math.round(whole * UM_PER_MM)))}`;
    paper.put(text(MARGIN, paper.y, 3.6, heading, { bold: true }));
    if (spec) paper.put(text(MARGIN, paper.y + 4, 2.8, describeSpec(spec)));
    paper.y += 6;
    const marks = (cut.marks ?? []).map(({ at, what }) => ({ at: at / UM_PER_MM, what }));
    for (let from = 0; from < whole; from += ROW) {
      paper.makeRoom(LABELS + BAR + GAP);
      paper.put(...row(from, Math.min(whole, from + ROW), whole, marks, paper.y + LABELS, rules));
      paper.y += LABELS + BAR + GAP;
    }
    paper.y += 3;
  }
  return paper.finish();
}
