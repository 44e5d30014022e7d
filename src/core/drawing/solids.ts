import type { RunPiece } from '../piece/run';
import { bodyMesh, tubeMesh, type Mesh } from './mesh';

/** A wire or a body of a piece in the round. */
export interface PieceSolid {
  readonly name: string;
  readonly mesh: Mesh;
  /** What its wire is cut from; undefined for a stone or a bead. */
  readonly cutFrom: string | undefined;
}

/** What a piece is in the round: its wires, as thick as they are, and its stones and beads. */
export const solidsOf = ({ wires, bodies }: RunPiece): readonly PieceSolid[] => [
  ...wires
    .filter(({ path }) => path.length > 1)
    .map(({ wire: { name, cutFrom, size }, path }) => ({ name, mesh: tubeMesh(path, size.width), cutFrom })),
  ...bodies.map((body) => ({
    name: body.kind === 'bead' ? 'bead' : 'stone',
    mesh: bodyMesh(body),
    cutFrom: undefined,
  })),
];
