import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';

/** A page of a PDF as a reader of it sees it: points from the lower left corner. */
export interface ReadPage {
  readonly width: number;
  readonly height: number;
  readonly texts: readonly {
    readonly text: string;
    readonly x: number;
    readonly y: number;
    readonly width: number;
  }[];
}

/** Reads a PDF with a reader that is not the writer of it. */
export function readPdf(pdf: Uint8Array): ReadPage[] {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'pdf-'));
  try {
    const file = path.join(folder, 'read.pdf');
    fs.writeFileSync(file, pdf);
    const said = execFileSync(process.execPath, [path.join(__dirname, 'pdfText.mjs'), file], {
      encoding: 'utf8',
    });
    return JSON.parse(said) as ReadPage[];
  } finally {
    fs.rmSync(folder, { recursive: true, force: true });
  }
}

/** The texts of all pages, in the order they were written. */
export const textsIn = (pages: readonly ReadPage[]): string[] =>
  pages.flatMap(({ texts }) => texts.map(({ text }) => text));
