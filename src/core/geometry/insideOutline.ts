/** How far a point is inside a closed line of points, mm; negative outside. */
export function insideOutline(
  edge: readonly { readonly x: number; readonly y: number }[],
  x: number,
  y: number,
): number {
  // Told plainly, since stones are felt by it at thousands of places while one types.
  let nearest = Infinity;
  let isInside = false;
  let a = edge.at(-1);
  if (!a) return -Infinity;
  for (const b of edge) {
    const dx = b.x - a.x;
    const dy = b.y - a.y;
    const along = ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy);
    const part = along > 1 ? 1 : along > 0 ? along : 0;
    const offX = a.x + part * dx - x;
    const offY = a.y + part * dy - y;
    const off = offX * offX + offY * offY;
    if (off < nearest) nearest = off;
    if (a.y > y !== b.y > y && x < a.x + ((y - a.y) / dy) * dx) isInside = !isInside;
    a = b;
  }
  return isInside ? Math.sqrt(nearest) : -Math.sqrt(nearest);
}
