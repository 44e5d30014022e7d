import { wireColour } from '../wire/metalColour';
import type { LineDrawing } from './lineDrawing';
import { edgeOf, STONE_LOOK, type Looks } from './look';

const figure = (value: number): string => String(Number(value.toFixed(3)));

/** A drawing as a file of its own, in true millimetres. */
export function drawingSvg(
  { box: { x, y, width, height }, layers }: LineDrawing,
  { wireOf, materialOf }: Looks,
): string {
  const paths = layers.map((each) => {
    if (each.kind === 'body') {
      const { colour } = materialOf(each.body) ?? STONE_LOOK;
      return `<path d="${each.d}" fill="${colour}" stroke="${edgeOf(colour)}" stroke-width="${figure(width / 400)}"/>`;
    }
    const colour = wireColour(wireOf(each.wire));
    const stroke = each.kind === 'edge' ? colour.edge : colour.fill;
    return `<path d="${each.d}" stroke="${stroke}" stroke-width="${figure(each.thick)}"/>`;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${figure(width)}mm" height="${figure(height)}mm" viewBox="${[x, y, width, height].map(figure).join(' ')}" fill="none" stroke-linejoin="round" stroke-linecap="round">${paths.join('')}</svg>
`;
}
