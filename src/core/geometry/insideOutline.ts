/** How far a point is inside a closed line of points, mm; negative outside. */
export function insideOutline(
  edge: readonly { readonly x: number; readonly y: number }[],
  x: number,
  y: number,
): number {
  let [nearest, isInside] = [Infinity, false];
  for (const [index, a] of edge.entries()) {
    const b = edge[(index + 1) % edge.length] as { x: number; y: number };
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const part = Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy)));
    nearest = Math.min(nearest, Math.hypot(a.x + part * dx - x, a.y + part * dy - y));
    if (a.y > y !== b.y > y && x < a.x + ((y - a.y) / dy) * dx) isInside = !isInside;
  }
  return isInside ? nearest : -nearest;
}
