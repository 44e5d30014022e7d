import bwipjs from 'bwip-js/node';
import PDFDocument from 'pdfkit';
import type { Label } from './labels';

/** Points in a millimetre: 72 points are an inch. */
const MM = 72 / 25.4;

/** How labels are laid out, mm. */
interface Layout {
  readonly page: readonly [width: number, height: number];
  readonly margin: readonly [x: number, y: number];
  readonly label: readonly [width: number, height: number];
  readonly across: number;
  readonly down: number;
}

export const LAYOUTS = {
  /** A4 sheet of 3 × 8 labels. */
  sheet: { page: [210, 297], margin: [0, 4.5], label: [70, 36], across: 3, down: 8 },
  /** One small label a page, as a label printer feeds them. */
  small: { page: [50, 25], margin: [0, 0], label: [50, 25], across: 1, down: 1 },
} as const satisfies Readonly<Record<string, Layout>>;
export type LayoutName = keyof typeof LAYOUTS;

export const CODES = ['qr', 'code128'] as const;
export type CodeKind = (typeof CODES)[number];

const codeOf = (text: string, kind: CodeKind): Promise<Buffer> =>
  kind === 'qr'
    ? bwipjs.toBuffer({ bcid: 'qrcode', text, scale: 4 })
    : bwipjs.toBuffer({ bcid: 'code128', text, scale: 3, height: 9 });

/** A PDF of labels: the tag large, what it is, where it is kept, and the tag as a code that a scanner types. */
export async function labelPdf(
  labels: readonly Label[],
  layoutName: LayoutName,
  kind: CodeKind,
): Promise<Buffer> {
  const layout: Layout = LAYOUTS[layoutName];
  const [pageWidth, pageHeight] = layout.page;
  const document = new PDFDocument({
    size: [pageWidth * MM, pageHeight * MM],
    margin: 0,
    autoFirstPage: false,
    info: { Title: 'Labels', Creator: 'Pewterer' },
  });
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<Buffer>((resolve) => document.on('end', () => resolve(Buffer.concat(chunks))));
  const perPage = layout.across * layout.down;
  for (const [index, label] of labels.entries()) {
    if (index % perPage === 0) document.addPage();
    const slot = index % perPage;
    const x = layout.margin[0] + (slot % layout.across) * layout.label[0];
    const y = layout.margin[1] + Math.floor(slot / layout.across) * layout.label[1];
    draw(document, label, await codeOf(label.tag, kind), kind, [x, y], layout.label);
  }
  if (labels.length === 0) document.addPage();
  document.end();
  return ended;
}

function draw(
  document: PDFKit.PDFDocument,
  { tag, name, form, place }: Label,
  code: Buffer,
  kind: CodeKind,
  [x, y]: readonly [number, number],
  [width, height]: readonly [number, number],
): void {
  const pad = 2;
  const side = kind === 'qr' ? Math.min(height - 2 * pad, 22) : 0;
  const textX = (x + pad + (side > 0 ? side + 1.5 : 0)) * MM;
  const textWidth = (width - 2 * pad - (side > 0 ? side + 1.5 : 0)) * MM;
  if (kind === 'qr') document.image(code, (x + pad) * MM, (y + pad) * MM, { width: side * MM });
  document.font('Helvetica-Bold').fontSize(height > 30 ? 15 : 12);
  document.text(tag, textX, (y + pad) * MM, { width: textWidth, lineBreak: false });
  const bodyY = (y + pad + (height > 30 ? 6.5 : 5)) * MM;
  const bottom = (y + height - pad - (kind === 'qr' ? 0 : 8)) * MM;
  document.font('Helvetica').fontSize(height > 30 ? 8.5 : 7);
  document.text([name, [form, place].filter(Boolean).join(' · ')].join('\n'), textX, bodyY, {
    width: textWidth,
    height: Math.max(8, bottom - bodyY),
    ellipsis: true,
  });
  if (kind === 'code128')
    document.image(code, (x + pad) * MM, (y + height - pad - 7.5) * MM, {
      width: (width - 2 * pad) * MM,
      height: 7.5 * MM,
    });
}
