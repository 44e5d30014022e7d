import type { LineDrawing } from '../drawing/lineDrawing';
import type { Looks } from '../drawing/look';
import { drawnShapes } from './drawnShapes';
import { paperHead, type PaperHead } from './paperHead';
import { MARGIN, SHEETS, text, wrapped, type Page, type SheetName, type Shape } from './sheet';

/** A piece as it is offered; amounts are written out. */
export interface OfferedPiece {
  readonly name: string;
  /** Its number, its metals, its size: a line each; may be none. */
  readonly about: readonly string[];
  /** What is asked for it. */
  readonly price: string;
  /** What it is to cost those who buy it from a shop; empty where nobody said. */
  readonly retail: string;
  readonly picture: { readonly drawing: LineDrawing; readonly looks: Looks };
}

/** Pieces that are offered together. */
export interface LineSheet extends PaperHead {
  readonly pieces: readonly OfferedPiece[];
  /** How they are sold: the least that is ordered, how long it takes, by when it is paid. */
  readonly terms: readonly string[];
}

const ACROSS = 3;
/** Between the pieces, and how high the picture of one is and what stands below it, mm. */
const [GAP, PICTURE, WORDS] = [6, 40, 22];
const CELL = PICTURE + WORDS;
/** So many lines of a name stand below its picture, and so many of what else is said. */
const [NAME_LINES, ABOUT_LINES] = [2, 2];
/** Signs in a line below a picture, and in one of the terms. */
const [BESIDE, TERM] = [30, 96];
const BELOW = 5;

/** A piece in its place: its picture, what it is, what it costs. */
function offered(
  { name, about, price, retail, picture }: OfferedPiece,
  x: number,
  y: number,
  width: number,
): readonly Shape[] {
  const names = wrapped(name, BESIDE).slice(0, NAME_LINES);
  const said = about.flatMap((each) => wrapped(each, BESIDE + 6)).slice(0, ABOUT_LINES);
  const under = y + PICTURE + 4 + names.length * 4.2;
  return [
    ...drawnShapes(picture.drawing, { x, y, width, height: PICTURE }, picture.looks).shapes,
    ...names.map((each, index) => text(x, y + PICTURE + 4 + index * 4.2, 3.6, each, { bold: true })),
    ...said.map((each, index) => text(x, under + index * 3.4, 2.7, each)),
    text(x, y + CELL - 2, 4, price, { bold: true }),
    ...(retail === '' ? [] : [text(x + width, y + CELL - 2, 2.8, retail, { anchor: 'end' })]),
  ];
}

/** Sheets with what is offered, each with its picture; how it is sold stands at the end. */
export function lineSheetPages(
  { pieces, terms, ...top }: LineSheet,
  { sheet }: { readonly sheet: SheetName },
): readonly Page[] {
  const { width, height } = SHEETS[sheet];
  const head = paperHead(top, width);
  const wide = (width - 2 * MARGIN - (ACROSS - 1) * GAP) / ACROSS;
  const first = head.bottom + GAP;
  const end = height - MARGIN - 4;
  const down = Math.floor((end - first + GAP) / (CELL + GAP));
  const perPage = ACROSS * down;
  const pages: Shape[][] = [];
  for (let from = 0; from < Math.max(1, pieces.length); from += perPage)
    pages.push([
      ...head.shapes,
      ...pieces
        .slice(from, from + perPage)
        .flatMap((piece, slot) =>
          offered(
            piece,
            MARGIN + (slot % ACROSS) * (wide + GAP),
            first + Math.floor(slot / ACROSS) * (CELL + GAP),
            wide,
          ),
        ),
    ]);
  const rows = Math.ceil((pieces.length - (pages.length - 1) * perPage) / ACROSS);
  const said = terms.flatMap((each) => wrapped(each, TERM));
  let y = first + rows * (CELL + GAP);
  if (said.length > 0 && y + said.length * BELOW > end) {
    pages.push([...head.shapes]);
    y = first;
  }
  const last = pages.at(-1);
  said.forEach((each, index) => last?.push(text(MARGIN, y + 4 + index * BELOW, 3.4, each)));
  return pages.map((shapes, index) => ({
    width,
    height,
    shapes: [
      ...shapes,
      ...(pages.length > 1
        ? [text(width - MARGIN, height - MARGIN, 3, `${index + 1} of ${pages.length}`, { anchor: 'end' })]
        : []),
    ],
  }));
}
