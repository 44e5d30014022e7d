import type { Page, Shape } from './sheet';

const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);
const figure = (value: number): string => String(Number(value.toFixed(3)));

function drawn(shape: Shape): string {
  switch (shape.kind) {
    case 'text': {
      const { x, y, size, text, bold, anchor = 'start' } = shape;
      const weight = bold ? ' font-weight="bold"' : '';
      return `<text x="${figure(x)}" y="${figure(y)}" font-size="${figure(size)}" text-anchor="${anchor}"${weight}>${escaped(text)}</text>`;
    }
    case 'line': {
      const { x1, y1, x2, y2, thick } = shape;
      return `<line x1="${figure(x1)}" y1="${figure(y1)}" x2="${figure(x2)}" y2="${figure(y2)}" stroke="black" stroke-width="${figure(thick)}"/>`;
    }
    case 'rect': {
      const { x, y, width, height, thick } = shape;
      return `<rect x="${figure(x)}" y="${figure(y)}" width="${figure(width)}" height="${figure(height)}" fill="none" stroke="black" stroke-width="${figure(thick)}"/>`;
    }
    case 'path': {
      const { d, x, y, scale, thick, filled, colour } = shape;
      const paint = filled ? `fill="${colour}"` : `fill="none" stroke="${colour}"`;
      return `<path d="${d}" transform="translate(${figure(x)} ${figure(y)}) scale(${figure(scale)})" ${paint} stroke-width="${figure(thick)}" stroke-linejoin="round"/>`;
    }
  }
}

/** Pages as one SVG, one below the other, in true millimetres. */
export function sheetSvg(pages: readonly Page[]): string {
  const width = Math.max(0, ...pages.map((page) => page.width));
  const height = pages.reduce((sum, page) => sum + page.height, 0);
  let top = 0;
  const groups = pages.map((page) => {
    const group = `<g transform="translate(0 ${figure(top)})">${page.shapes.map(drawn).join('')}</g>`;
    top += page.height;
    return group;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${figure(width)}mm" height="${figure(height)}mm" viewBox="0 0 ${figure(width)} ${figure(height)}" font-family="sans-serif"><rect width="100%" height="100%" fill="white"/>${groups.join('')}</svg>
`;
}
