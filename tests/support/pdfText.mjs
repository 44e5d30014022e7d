/** Reads PDFs as a reader of theirs does: "node pdfText.mjs FILE" prints, as JSON, the texts, fonts and size of each page. */
import fs from 'node:fs';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const [file = ''] = process.argv.slice(2);
const document = await getDocument({ data: new Uint8Array(fs.readFileSync(file)), verbosity: 0 }).promise;
const pages = [];
for (let number = 1; number <= document.numPages; number += 1) {
  const page = await document.getPage(number);
  const { items, styles } = await page.getTextContent();
  const [, , width, height] = page.view;
  pages.push({
    width,
    height,
    texts: items
      .filter(({ str }) => str.trim() !== '')
      .map(({ str, transform, width: length }) => ({
        text: str,
        x: transform[4],
        y: transform[5],
        width: length,
      })),
    fonts: Object.keys(styles).length,
  });
}
process.stdout.write(JSON.stringify(pages));
