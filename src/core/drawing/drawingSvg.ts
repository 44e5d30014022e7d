import { wireColour } from '../wire/metalColour';
import type { LineDrawing } from './lineDrawing';
import { edgeOf, STONE_LOOK, type Looks } from './look';

const figure = (value: number): string => String(Number(value.toFixed(3)));

/** What is drawn, as SVG paths in millimetres. */
export const drawnPaths = ({ box: { width }, layers }: LineDrawing, { wireOf, materialOf }: Looks): string =>
  layers
    .map((each) => {
      if (each.kind === 'body') {
        const { colour } = materialOf(each.body) ?? STONE_LOOK;
        return `<path d="${each.d}" fill="${colour}" stroke="${edgeOf(colour)}" stroke-width="${figure(width / 400)}"/>`;
      }
      const colour = wireColour(wireOf(each.wire));
      const stroke = each.kind === 'edge' ? colour.edge : colour.fill;
      return `<path d="${each.d}" stroke="${stroke}" stroke-width="${figure(each.thick)}"/>`;
    })
    .join('');

/** The box of a drawing, as SVG tells it. */
export const viewBoxOf = ({ box: { x, y, width, height } }: Pick<LineDrawing, 'box'>): string =>
  [x, y, width, height].map(figure).join(' ');

/** A drawing as a file of its own, in true millimetres. */
export const drawingSvg = (drawing: LineDrawing, looks: Looks): string =>
  `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${figure(drawing.box.width)}mm" height="${figure(drawing.box.height)}mm" viewBox="${viewBoxOf(drawing)}" fill="none" stroke-linejoin="round" stroke-linecap="round">${drawnPaths(drawing, looks)}</svg>
`;
