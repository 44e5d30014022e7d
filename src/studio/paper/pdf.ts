import path from 'node:path';
import * as fontkit from 'fontkit';
import PDFDocument from 'pdfkit';

/** Points in a millimetre: 72 points are an inch. */
export const MM = 72 / 25.4;

/** The faces of every paper: they have the letters of Latin, Greek and Cyrillic alphabets, signs of currencies, and arrows. */
const FACES = path.join(/* turbopackIgnore: true */ process.cwd(), 'node_modules/dejavu-fonts-ttf/ttf');
export const FACE = {
  plain: path.join(FACES, 'DejaVuSansCondensed.ttf'),
  bold: path.join(FACES, 'DejaVuSansCondensed-Bold.ttf'),
} as const;

/** Stands for a sign that the faces do not have. */
const UNKNOWN = '□';

let known: fontkit.Font | undefined;

/** A text with a box for each sign that would come out as nothing. */
export function printable(text: string): string {
  known ??= fontkit.openSync(FACE.plain) as fontkit.Font;
  const face = known;
  return [...text.normalize('NFC')]
    .map((sign) => (sign === '\n' || face.hasGlyphForCodePoint(sign.codePointAt(0) ?? 0) ? sign : UNKNOWN))
    .join('');
}

/** An empty PDF with the house's faces, and what it comes to when it is ended. */
export function openPdf(title: string): {
  readonly document: PDFKit.PDFDocument;
  readonly ended: Promise<Buffer>;
} {
  const document = new PDFDocument({
    autoFirstPage: false,
    margin: 0,
    font: FACE.plain,
    info: { Title: title, Creator: 'Pewterer' },
  });
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<Buffer>((resolve) => document.on('end', () => resolve(Buffer.concat(chunks))));
  return { document, ended };
}
