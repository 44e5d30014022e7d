import PDFDocument from 'pdfkit';
import type { Page, Shape } from '@/core/paper/sheet';

/** Points in a millimetre: 72 points are an inch. */
const MM = 72 / 25.4;

/** Pages as a PDF, at 1:1. @param title shown by the reader of the file */
export function sheetPdf(pages: readonly Page[], title: string): Promise<Buffer> {
  const document = new PDFDocument({
    autoFirstPage: false,
    margin: 0,
    info: { Title: title, Creator: 'Pewterer' },
  });
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<Buffer>((resolve) => document.on('end', () => resolve(Buffer.concat(chunks))));
  for (const { width, height, shapes } of pages) {
    document.addPage({ size: [width * MM, height * MM], margin: 0 });
    for (const shape of shapes) {
      document.save();
      document.scale(MM);
      draw(document, shape);
      document.restore();
    }
  }
  document.end();
  return ended;
}

/** The fonts of the file know no more signs than these; others are written as what comes nearest. */
const plain = (text: string): string => text.replace(/≈/g, '~').replace(/[‹›]/g, '|').replace(/−/g, '-');

const greyOf = (level: number): [number, number, number] => {
  const part = Math.round(level * 255);
  return [part, part, part];
};

function draw(document: PDFKit.PDFDocument, shape: Shape): void {
  switch (shape.kind) {
    case 'text': {
      const { x, y, size, text, bold, anchor = 'start' } = shape;
      document
        .font(bold ? 'Helvetica-Bold' : 'Helvetica')
        .fontSize(size)
        .fillColor('black');
      const said = plain(text);
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
      if (shape.filled) path.fill(greyOf(shape.grey));
      else path.lineWidth(shape.thick).stroke(greyOf(shape.grey));
    }
  }
}
