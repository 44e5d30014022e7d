import type { RunPiece } from '../piece/run';
import { bodySeen } from './bodySeen';
import { drawLines, LARGE, type Fineness, type LineDrawing } from './lineDrawing';
import type { View } from './view';

/** A piece as it is drawn from one side: nearer wires over farther ones, stones and beads between them. */
export const drawPiece = ({ wires, bodies }: RunPiece, view: View, fineness: Fineness = LARGE): LineDrawing =>
  drawLines(
    wires.map(({ wire, path }) => ({ wire: wire.id, path, thick: wire.size.width })),
    bodies.map((body) => ({ body: body.id, ...bodySeen(body, view) })),
    view,
    fineness,
  );
