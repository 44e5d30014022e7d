import type { OutlineKind } from '../stone/stone';

const at = (...numbers: number[]) => numbers.map((each) => Number(each.toFixed(3))).join(' ');

/** Two arcs of radius R = (L² + W²)/(4W) that meet in points; source: circle through both tips and one side. */
function marquise(length: number, width: number): string {
  const radius = (length ** 2 + width ** 2) / (4 * width);
  return `M ${at(0, -length / 2)} A ${at(radius, radius)} 0 0 1 ${at(0, length / 2)} A ${at(radius, radius)} 0 0 1 ${at(0, -length / 2)} Z`;
}

/** A circle of radius W/2 with two tangents to the tip; source: tangents from an outside point. */
function teardrop(length: number, width: number): string {
  const radius = width / 2;
  const reach = length - radius;
  if (reach <= radius) return ellipse(width, length);
  const centre = length / 2 - radius;
  const angle = Math.acos(radius / reach);
  const [x, y] = [radius * Math.sin(angle), centre - radius * Math.cos(angle)];
  return `M ${at(0, -length / 2)} L ${at(x, y)} A ${at(radius, radius)} 0 1 1 ${at(-x, y)} Z`;
}

function ellipse(width: number, length: number): string {
  const radii = at(width / 2, length / 2);
  return `M ${at(0, -length / 2)} A ${radii} 0 1 1 ${at(0, length / 2)} A ${radii} 0 1 1 ${at(0, -length / 2)} Z`;
}

function roundedRectangle(width: number, length: number, radius: number): string {
  const [x, y, r] = [width / 2, length / 2, radius];
  const corner = (toX: number, toY: number) => `A ${at(r, r)} 0 0 1 ${at(toX, toY)}`;
  return `M ${at(-x + r, -y)} H ${at(x - r)} ${corner(x, -y + r)} V ${at(y - r)} ${corner(x - r, y)} H ${at(-x + r)} ${corner(-x, y - r)} V ${at(-y + r)} ${corner(-x + r, -y)} Z`;
}

/** The tips lie at ±L/2; the outer arc bulges by W, the inner one by half of it. */
function crescent(length: number, width: number): string {
  const half = length / 2;
  const radiusOf = (rise: number) => (half ** 2 + rise ** 2) / (2 * rise);
  const [outer, inner] = [radiusOf(width), radiusOf(width / 2)];
  const base = -width / 2;
  return `M ${at(-half, base)} A ${at(outer, outer)} 0 ${width > half ? 1 : 0} 0 ${at(half, base)} A ${at(inner, inner)} 0 0 1 ${at(-half, base)} Z`;
}

function heart(length: number, width: number): string {
  const [x, y] = [width / 2, length / 2];
  const cleft = -y + length * 0.22;
  return `M ${at(0, y)} C ${at(-x * 0.5, y * 0.55, -x, y * 0.2, -x, -y * 0.35)} C ${at(-x, -y, -x * 0.15, -y * 1.1, 0, cleft)} C ${at(x * 0.15, -y * 1.1, x, -y, x, -y * 0.35)} C ${at(x, y * 0.2, x * 0.5, y * 0.55, 0, y)} Z`;
}

function freeform(length: number, width: number): string {
  const [x, y] = [width / 2, length / 2];
  return `M ${at(-x * 0.1, -y)} C ${at(x * 0.7, -y, x, -y * 0.5, x, -y * 0.1)} C ${at(x, y * 0.4, x * 0.6, y, x * 0.1, y)} C ${at(-x * 0.6, y, -x, y * 0.6, -x, y * 0.2)} C ${at(-x, -y * 0.4, -x * 0.7, -y, -x * 0.1, -y)} Z`;
}

/**
 * An SVG path of a stone's outline, centred on the origin, length upright (of a crescent lengthwise), in the unit of its
 * measures. A freeform stone is drawn as a pebble of its length and width.
 */
export function outlinePath(kind: OutlineKind, length: number, width: number): string {
  switch (kind) {
    case 'round':
    case 'oval':
      return ellipse(width, length);
    case 'teardrop':
      return teardrop(length, width);
    case 'marquise':
      return marquise(length, width);
    case 'crescent':
      return crescent(length, width);
    case 'heart':
      return heart(length, width);
    case 'square':
    case 'rectangle':
      return roundedRectangle(width, length, Math.min(width, length) * 0.1);
    case 'freeform':
      return freeform(length, width);
  }
}
