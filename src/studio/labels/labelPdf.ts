import bwipjs from 'bwip-js/node';
import { drawnShapes, type Room } from '@/core/paper/drawnShapes';
import { SHEETS, type SheetName } from '@/core/paper/sheet';
import { FACE, MM, openPdf, printable } from '../paper/pdf';
import { drawShapes } from '../paper/sheetPdf';
import type { Label } from './labels';

/** How labels are laid out, mm. */
interface Layout {
  readonly page: { readonly width: number; readonly height: number };
  /** Upper left corner of the first label. */
  readonly margin: readonly [x: number, y: number];
  readonly label: readonly [width: number, height: number];
  /** From one label to the next. */
  readonly pitch: readonly [x: number, y: number];
  readonly across: number;
  readonly down: number;
}

/** What is printed keeps so far from the edge of a sheet, since printers reach no further, mm. */
export const EDGE = 5;
/** And from the edge of its label. */
const PAD = 2;

/** Sheets of labels: 3 × 8 that fill A4, and 3 × 10 of 2 5/8 × 1 in on Letter, as both are commonly sold. */
const ON_SHEET: Readonly<Record<SheetName, Layout>> = {
  A4: {
    page: SHEETS.A4,
    margin: [0, 4.5],
    label: [70, 36],
    pitch: [70, 36],
    across: 3,
    down: 8,
  },
  Letter: {
    page: SHEETS.Letter,
    margin: [4.76, 12.7],
    label: [66.68, 25.4],
    pitch: [69.85, 25.4],
    across: 3,
    down: 10,
  },
};
/** One small label a page, as a label printer feeds them. */
const SMALL: Layout = {
  page: { width: 50, height: 25 },
  margin: [0, 0],
  label: [50, 25],
  pitch: [50, 25],
  across: 1,
  down: 1,
};

export const LAYOUTS = ['sheet', 'small'] as const;
export type LayoutName = (typeof LAYOUTS)[number];

export const CODES = ['qr', 'code128'] as const;
export type CodeKind = (typeof CODES)[number];

/** The part of a label that is printed on: within its pad, and on a sheet of several away from the paper's edge. */
export function printedRoom(layoutName: LayoutName, sheet: SheetName, slot: number): Room {
  const { page, margin, label, pitch, across } = layoutOf(layoutName, sheet);
  const edge = layoutName === 'sheet' ? EDGE : 0;
  const x = margin[0] + (slot % across) * pitch[0];
  const y = margin[1] + Math.floor(slot / across) * pitch[1];
  const [left, top] = [Math.max(x + PAD, edge), Math.max(y + PAD, edge)];
  return {
    x: left,
    y: top,
    width: Math.min(x + label[0] - PAD, page.width - edge) - left,
    height: Math.min(y + label[1] - PAD, page.height - edge) - top,
  };
}

const layoutOf = (name: LayoutName, sheet: SheetName): Layout => (name === 'small' ? SMALL : ON_SHEET[sheet]);

/** How many labels go on a page. */
export function labelsOnPage(name: LayoutName, sheet: SheetName): number {
  const { across, down } = layoutOf(name, sheet);
  return across * down;
}

const codeOf = (text: string, kind: CodeKind): Promise<Buffer> =>
  kind === 'qr'
    ? bwipjs.toBuffer({ bcid: 'qrcode', text, scale: 4 })
    : bwipjs.toBuffer({ bcid: 'code128', text, scale: 3, height: 9 });

/** A PDF of labels: the tag large, what it is, where it is kept, the tag as a code that a scanner types, and a finished piece drawn where there is room. */
export async function labelPdf(
  labels: readonly Label[],
  layoutName: LayoutName,
  kind: CodeKind,
  sheet: SheetName,
): Promise<Buffer> {
  const { page } = layoutOf(layoutName, sheet);
  const { document, ended } = openPdf('Labels');
  const turn = () => document.addPage({ size: [page.width * MM, page.height * MM], margin: 0 });
  const perPage = labelsOnPage(layoutName, sheet);
  for (const [index, label] of labels.entries()) {
    if (index % perPage === 0) turn();
    draw(
      document,
      label,
      await codeOf(label.tag, kind),
      kind,
      printedRoom(layoutName, sheet, index % perPage),
    );
  }
  if (labels.length === 0) turn();
  document.end();
  return ended;
}

/** Room for a code of bars, and for the largest square one, mm. */
const [BARS, SQUARE] = [7.5, 22];
/** Labels that are printed on over more than this have room for a picture, which takes so much of it on the right, mm. */
const [WIDE, PICTURE] = [60, 14];
/** Labels higher than this have larger letters, mm. */
const TALL = 25;

function draw(
  document: PDFKit.PDFDocument,
  { tag, name, form, place, drawing }: Label,
  code: Buffer,
  kind: CodeKind,
  { x, y, width, height }: Room,
): void {
  const side = kind === 'qr' ? Math.min(height, SQUARE) : 0;
  const beside = side > 0 ? side + 1.5 : 0;
  const pictured = drawing && width > WIDE ? PICTURE : 0;
  const [textX, textWidth] = [(x + beside) * MM, (width - beside - pictured) * MM];
  if (drawing && pictured > 0) {
    const room = { x: x + width - pictured + 1, y, width: pictured - 1, height };
    drawShapes(document, drawnShapes(drawing, room).shapes);
  }
  if (kind === 'qr') document.image(code, x * MM, y * MM, { width: side * MM });
  document.font(FACE.bold).fontSize(height > TALL ? 15 : 12);
  document.text(tag, textX, y * MM, { width: textWidth, lineBreak: false });
  const bodyY = (y + (height > TALL ? 6.5 : 5)) * MM;
  const bottom = (y + height - (kind === 'qr' ? 0 : BARS + 0.5)) * MM;
  document.font(FACE.plain).fontSize(height > TALL ? 8.5 : 7);
  document.text(printable([name, [form, place].filter(Boolean).join(' · ')].join('\n')), textX, bodyY, {
    width: textWidth,
    height: Math.max(8, bottom - bodyY),
    ellipsis: true,
  });
  if (kind === 'code128')
    document.image(code, x * MM, (y + height - BARS) * MM, { width: width * MM, height: BARS * MM });
}
