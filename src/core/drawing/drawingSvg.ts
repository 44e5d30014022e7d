import type { MetalColour } from '../wire/metalColour';
import type { LineDrawing } from './lineDrawing';

const figure = (value: number): string => String(Number(value.toFixed(3)));
/** Stones and beads on paper, and their edge. */
const BODY = { fill: '#d9dcda', edge: '#5a6160' } as const;

/** A drawing as a file of its own, in true millimetres. @param colourOf a wire, by what it is drawn as */
export function drawingSvg(
  { box: { x, y, width, height }, layers }: LineDrawing,
  colourOf: (wire: string) => MetalColour,
): string {
  const paths = layers.map((each) => {
    if (each.kind === 'body')
      return `<path d="${each.d}" fill="${BODY.fill}" stroke="${BODY.edge}" stroke-width="${figure(width / 400)}"/>`;
    const colour = colourOf(each.wire);
    const stroke = each.kind === 'edge' ? colour.edge : colour.fill;
    return `<path d="${each.d}" stroke="${stroke}" stroke-width="${figure(each.thick)}"/>`;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${figure(width)}mm" height="${figure(height)}mm" viewBox="${[x, y, width, height].map(figure).join(' ')}" fill="none" stroke-linejoin="round" stroke-linecap="round">${paths.join('')}</svg>
`;
}
