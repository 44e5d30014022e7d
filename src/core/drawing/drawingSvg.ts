import { inksOf } from './inks';
import type { LineDrawing } from './lineDrawing';
import type { Looks } from './look';

const figure = (value: number): string => String(Number(value.toFixed(3)));

/** What is drawn, as SVG paths in millimetres. */
export const drawnPaths = ({ box: { width }, layers }: LineDrawing, looks: Looks): string =>
  layers
    .map((each) => {
      const { fill, edge } = inksOf(each, looks);
      return each.kind === 'body'
        ? `<path d="${each.d}" fill="${fill}" stroke="${edge}" stroke-width="${figure(width / 400)}"/>`
        : `<path d="${each.d}" stroke="${each.kind === 'edge' ? edge : fill}" stroke-width="${figure(each.thick)}"/>`;
    })
    .join('');

/** The box of a drawing, as SVG tells it. */
export const viewBoxOf = ({ box: { x, y, width, height } }: Pick<LineDrawing, 'box'>): string =>
  [x, y, width, height].map(figure).join(' ');

/** A drawing as a file of its own, in true millimetres. @param dots its longer side in dots, for what puts it into dots */
export function drawingSvg(drawing: LineDrawing, looks: Looks, dots?: number): string {
  const { width, height } = drawing.box;
  const scale = dots === undefined ? 1 : dots / Math.max(width, height);
  const [wide, high] = [width, height].map(
    (side) => `${figure(side * scale)}${dots === undefined ? 'mm' : ''}`,
  );
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${wide}" height="${high}" viewBox="${viewBoxOf(drawing)}" fill="none" stroke-linejoin="round" stroke-linecap="round">${drawnPaths(drawing, looks)}</svg>
`;
}
