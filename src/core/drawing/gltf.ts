import type { Vec3 } from '../geometry/path';
import type { RunPiece } from '../piece/run';
import type { Look, Looks } from './look';
import { IN_A_FILE } from './mesh';
import { solidsOf } from './solids';

/** Bytes of a number as the format has it, and its codes for them (glTF 2.0, 3.6.2.2). */
const BYTES = 4;
const [FLOAT, UNSIGNED_INT] = [5126, 5125];
const [ARRAY_BUFFER, ELEMENT_ARRAY_BUFFER] = [34962, 34963];
const MM_PER_METRE = 1000;

/** Metres, and up is up: on the paper y runs down. */
const placed = ({ x, y, z }: Vec3): readonly number[] => [
  x / MM_PER_METRE,
  -y / MM_PER_METRE,
  z / MM_PER_METRE,
];
const turned = ({ x, y, z }: Vec3): readonly number[] => [x, -y, z];

/** A part of a colour as light adds up (IEC 61966-2-1). */
const linear = (part: number): number => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4);

function colourFactor(hex: string): number[] {
  const parts = [1, 3, 5].map((at) => linear(Number.parseInt(hex.slice(at, at + 2), 16) / 255));
  return [...parts.map((part) => Number(part.toFixed(4))), 1];
}

/** A piece in the round as glTF 2.0, everything in one file. */
export function pieceGltf(run: RunPiece, of: Looks): object {
  const shapes = solidsOf(run, of, IN_A_FILE);
  const buffer = new GltfBuffer();
  const key = ({ colour, isMetal }: Look) => `${colour} ${isMetal}`;
  const looks = [...new Map(shapes.map(({ look }) => [key(look), look])).values()];
  const meshes = shapes.map(({ name, mesh, look }) => ({
    name,
    primitives: [
      {
        attributes: {
          POSITION: buffer.vectors(mesh.positions.map(placed), true),
          NORMAL: buffer.vectors(mesh.normals.map(turned), false),
        },
        // What is mirrored faces the other way: its corners are told the other way round.
        indices: buffer.indices(mesh.triangles.flatMap(([a, b, c]) => [a, c, b])),
        material: looks.findIndex((each) => key(each) === key(look)),
      },
    ],
  }));
  return {
    asset: { version: '2.0' },
    scene: 0,
    scenes: [{ nodes: meshes.map((_, index) => index) }],
    nodes: meshes.map(({ name }, mesh) => ({ name, mesh })),
    meshes,
    materials: looks.map(({ colour, isMetal }) => ({
      pbrMetallicRoughness: {
        baseColorFactor: colourFactor(colour),
        metallicFactor: isMetal ? 1 : 0,
        roughnessFactor: isMetal ? 0.35 : 0.25,
      },
    })),
    ...buffer.told(),
  };
}

/** Numbers as the format keeps them: in one buffer, each list by where it lies in it. */
class GltfBuffer {
  readonly #parts: Uint8Array[] = [];
  readonly #views: object[] = [];
  readonly #accessors: object[] = [];
  #bytes = 0;

  /** Adds places or directions. @returns the number of their accessor */
  vectors(values: readonly (readonly number[])[], isBounded: boolean): number {
    const numbers = Float32Array.from(values.flat());
    const bounds = isBounded ? boundsOf(numbers) : {};
    return this.#add(numbers, ARRAY_BUFFER, {
      componentType: FLOAT,
      type: 'VEC3',
      count: values.length,
      ...bounds,
    });
  }

  /** Adds corners of triangles. @returns the number of their accessor */
  indices(values: readonly number[]): number {
    const numbers = Uint32Array.from(values);
    const told = { componentType: UNSIGNED_INT, type: 'SCALAR', count: values.length };
    return this.#add(numbers, ELEMENT_ARRAY_BUFFER, told);
  }

  #add(numbers: Float32Array | Uint32Array, target: number, told: object): number {
    const bytes = new Uint8Array(numbers.buffer);
    const byteLength = numbers.length * BYTES;
    this.#views.push({ buffer: 0, byteOffset: this.#bytes, byteLength, target });
    this.#accessors.push({ bufferView: this.#views.length - 1, ...told });
    this.#parts.push(bytes);
    this.#bytes += byteLength;
    return this.#accessors.length - 1;
  }

  told(): object {
    const text = this.#parts
      .map((part) => part.reduce((all, byte) => all + String.fromCharCode(byte), ''))
      .join('');
    return {
      accessors: this.#accessors,
      bufferViews: this.#views,
      buffers: [{ byteLength: this.#bytes, uri: `data:application/octet-stream;base64,${btoa(text)}` }],
    };
  }
}

/** The least and the most of each direction, as the numbers are kept. */
function boundsOf(numbers: Float32Array): { readonly min: number[]; readonly max: number[] } {
  const [min, max] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ] as [number[], number[]];
  for (const [index, value] of numbers.entries()) {
    min[index % 3] = Math.min(min[index % 3] as number, value);
    max[index % 3] = Math.max(max[index % 3] as number, value);
  }
  return { min, max };
}
