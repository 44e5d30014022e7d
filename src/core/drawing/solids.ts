import type { RunPiece } from '../piece/run';
import { wireColour } from '../wire/metalColour';
import { STONE_LOOK, type Look, type Looks } from './look';
import { bodyMesh, together, tubeMesh, type Fineness, type Mesh } from './mesh';
import { strandsOf, type Strands } from './twisted';

/** A wire or a body of a piece in the round. */
export interface PieceSolid {
  readonly name: string;
  readonly mesh: Mesh;
  readonly look: Look;
}

/** A wire that is twisted on its own axis in the round. */
const strandsMesh = ({ paths, thick }: Strands, fineness: Fineness): Mesh =>
  together(paths.map((path) => tubeMesh(path, thick, fineness)));

/** What a piece is in the round: its wires, as thick as they are, and its stones and beads. */
export const solidsOf = (
  { wires, bodies }: RunPiece,
  { wireOf, materialOf }: Looks,
  fineness: Fineness,
): readonly PieceSolid[] => [
  ...wires
    .filter(({ path }) => path.length > 1)
    .map(({ wire: { name, cutFrom, size, twisted }, path }) => ({
      name,
      mesh:
        twisted === undefined
          ? tubeMesh(path, size.width, fineness)
          : strandsMesh(strandsOf(path, size.width, twisted), fineness),
      look: { colour: wireColour(wireOf(cutFrom)).fill, isMetal: true },
    })),
  ...bodies.map((body) => ({
    name: body.kind === 'bead' ? 'bead' : 'stone',
    mesh: bodyMesh(body, fineness),
    look: materialOf(body.id) ?? STONE_LOOK,
  })),
];
