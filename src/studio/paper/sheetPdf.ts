import type { Page, Shape } from '@/core/paper/sheet';
import { FACE, MM, openPdf, printable } from './pdf';

/** Pages as a PDF, at 1:1. @param title shown by the reader of the file */
export function sheetPdf(pages: readonly Page[], title: string): Promise<Buffer> {
  const { document, ended } = openPdf(title);
  for (const { width, height, shapes } of pages) {
    document.addPage({ size: [width * MM, height * MM], margin: 0 });
    drawShapes(document, shapes);
  }
  document.end();
  return ended;
}

/** Draws shapes on the page that a document is at. */
export function drawShapes(document: PDFKit.PDFDocument, shapes: readonly Shape[]): void {
  for (const shape of shapes) {
    document.save();
    document.scale(MM);
    draw(document, shape);
    document.restore();
  }
}

function draw(document: PDFKit.PDFDocument, shape: Shape): void {
  switch (shape.kind) {
    case 'text': {
      const { x, y, size, text, bold, anchor = 'start' } = shape;
      document
        .font(bold ? FACE.bold : FACE.plain)
        .fontSize(size)
        .fillColor('black');
      const said = printable(text);
      const width = document.widthOfString(said);
      const left = anchor === 'end' ? x - width : anchor === 'middle' ? x - width / 2 : x;
      document.text(said, left, y, { lineBreak: false, baseline: 'alphabetic' });
      return;
    }
    case 'line':
      document.moveTo(shape.x1, shape.y1).lineTo(shape.x2, shape.y2).lineWidth(shape.thick).stroke('black');
      return;
    case 'rect':
      document.rect(shape.x, shape.y, shape.width, shape.height).lineWidth(shape.thick).stroke('black');
      return;
    case 'path': {
      document.translate(shape.x, shape.y).scale(shape.scale).lineJoin('round').lineCap('round');
      const path = document.path(shape.d);
      if (shape.filled) path.fill(shape.colour);
      else path.lineWidth(shape.thick).stroke(shape.colour);
    }
  }
}
