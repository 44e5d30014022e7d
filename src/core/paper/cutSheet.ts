import type { Leftover } from '../cuttingStock/problem';
import { UM_PER_MM, type Micrometres } from '../units/length';
import { describeSpec, type WireSpec } from '../wire/spec';
import { PageWriter } from './pageWriter';
import { line, MARGIN, SHEETS, text, wrapped, type Page, type PaperRules, type Shape } from './sheet';

/** A stock piece on a cut sheet, its cuts longest first. */
export interface SheetPiece {
  /** "W-0042, off-cut, Bobbin tin" */
  readonly label: string;
  readonly cuts: readonly { readonly length: Micrometres; readonly name: string }[];
  readonly left: Micrometres;
  readonly leftIs: Leftover;
}

export interface SheetSpec {
  readonly spec: WireSpec;
  readonly pieces: readonly SheetPiece[];
}

/** Something to be picked from the drawers. */
export interface SheetPick {
  readonly count: number;
  readonly name: string;
  /** "B-0012, Bead box" */
  readonly from: string;
}

/** Room for a bar on the narrowest paper, mm: a sheet has one scale wherever it is printed. */
const WIDTH = Math.min(...Object.values(SHEETS).map(({ width }) => width)) - 2 * MARGIN;
const BAR = 5;
const BOX = 3.2;
/** Scales that a hand can reckon with: 1 to so much. */
const SCALES = [1, 2, 5, 10, 20, 50, 100, 200, 500];

/** The largest scale at which the cuts of every piece go on the paper; what is left on a spool need not. */
export function scaleFor(pieces: readonly SheetPiece[]): number {
  const longest = Math.max(
    0,
    ...pieces.map(({ cuts, left, leftIs }) => {
      const cut = cuts.reduce((sum, { length }) => sum + length, 0);
      return (leftIs === 'spool' ? cut : cut + left) / UM_PER_MM;
    }),
  );
  return SCALES.find((scale) => longest / scale <= WIDTH) ?? Math.ceil(longest / WIDTH);
}

const box = (x: number, y: number): Shape => ({
  kind: 'rect',
  x,
  y: y - BOX,
  width: BOX,
  height: BOX,
  thick: 0.25,
});

/** The bar of a piece: its cuts as boxes, and an open end for what stays. */
function bar({ cuts, left, leftIs }: SheetPiece, scale: number, y: number): Shape[] {
  let x = MARGIN;
  const shapes: Shape[] = cuts.map(({ length }): Shape => {
    const width = length / UM_PER_MM / scale;
    const at = x;
    x += width;
    return { kind: 'rect', x: at, y, width, height: BAR, thick: 0.3 };
  });
  const end = Math.min(MARGIN + WIDTH, x + left / UM_PER_MM / scale);
  if (left > 0)
    shapes.push(
      line(x, y + (leftIs === 'scrap' ? BAR / 2 : 0), end, y + (leftIs === 'scrap' ? BAR / 2 : 0), 0.15),
      line(x, y + (leftIs === 'scrap' ? BAR / 2 : BAR), end, y + (leftIs === 'scrap' ? BAR / 2 : BAR), 0.15),
    );
  return shapes;
}

const STAYS: Readonly<Record<Leftover, string>> = {
  spool: 'stay on it',
  'off-cut': 'stay as an off-cut',
  scrap: 'are scrap',
};

/** What is cut from what, to scale, with a box to tick for every cut; then what is picked from the drawers. */
export function cutSheet(
  head: { readonly tag: string; readonly name: string },
  specs: readonly SheetSpec[],
  picks: readonly SheetPick[],
  rules: PaperRules,
): Page[] {
  const paper = new PageWriter(head.name, `${head.tag}: cut sheet`, rules);
  for (const { spec, pieces } of specs.filter((each) => each.pieces.length > 0)) {
    const scale = scaleFor(pieces);
    // A heading does not stand alone at the foot of a page.
    paper.makeRoom(BAR + 32);
    paper.heading(`${describeSpec(spec)}, drawn 1 : ${scale}`);
    for (const piece of pieces) {
      paper.makeRoom(BAR + 16);
      paper.write(piece.label, 0, true);
      paper.put(...bar(piece, scale, paper.y - 2));
      paper.y += BAR + 3;
      for (const [, same] of grouped(piece.cuts)) {
        const [first] = same;
        if (!first) continue;
        // So many boxes go in a row; what they are for stands beside them, in as many lines as it needs.
        for (let at = 0; at < same.length; at += BOXES) {
          const here = same.slice(at, at + BOXES);
          const [beside = '', ...below] = wrapped(namesOf(here), NAMED);
          paper.makeRoom(6 + below.length * NAME_LINE);
          if (at === 0)
            paper.put(text(MARGIN + 4, paper.y, 3.2, `${same.length} × ${paper.length(first.length)}`));
          paper.put(
            ...here.map((_, index) => box(MARGIN + 52 + index * (BOX + 1.6), paper.y)),
            text(NAMES_AT, paper.y, 2.8, beside),
            ...below.map((more, index) => text(NAMES_AT, paper.y + (index + 1) * NAME_LINE, 2.8, more)),
          );
          paper.y += 5.2 + below.length * NAME_LINE;
        }
      }
      if (piece.left > 0) paper.write(`${paper.length(piece.left)} ${STAYS[piece.leftIs]}`, 1);
      paper.y += 2;
    }
  }
  if (picks.length > 0) {
    paper.heading('To pick');
    for (const { count, name, from } of picks) {
      paper.makeRoom(6);
      paper.put(box(MARGIN, paper.y), text(MARGIN + 6, paper.y, 3.3, `${count} × ${name}`));
      paper.put(text(paper.size.width - MARGIN, paper.y, 3, from, { anchor: 'end' }));
      paper.y += 5.6;
    }
  }
  return paper.finish();
}

const BOXES = 10;
/** Where what cuts are for begins, mm; how far its lines stand apart, and how many characters they hold. */
const NAMES_AT = MARGIN + 52 + BOXES * (BOX + 1.6) + 2;
const NAME_LINE = 3.6;
const NAMED = 46;

const namesOf = (cuts: readonly { readonly name: string }[]): string =>
  [...new Set(cuts.map(({ name }) => name))].join(', ');

const grouped = <T extends { readonly length: Micrometres }>(cuts: readonly T[]): Map<Micrometres, T[]> => {
  const groups = new Map<Micrometres, T[]>();
  for (const cut of cuts) groups.set(cut.length, [...(groups.get(cut.length) ?? []), cut]);
  return groups;
};
