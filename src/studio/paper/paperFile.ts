import type { Page } from '@/core/paper/sheet';
import { sheetSvg } from '@/core/paper/sheetSvg';
import { sheetPdf } from './sheetPdf';

/** A file that is sent. */
export interface PaperFile {
  readonly type: string;
  readonly content: Uint8Array | string;
}

/** Pages as a file. @param format "svg", or anything else for a PDF */
export async function paperFile(
  pages: readonly Page[],
  format: string | undefined,
  title: string,
): Promise<PaperFile> {
  if (format === 'svg') return { type: 'image/svg+xml; charset=utf-8', content: sheetSvg(pages) };
  return { type: 'application/pdf', content: new Uint8Array(await sheetPdf(pages, title)) };
}
