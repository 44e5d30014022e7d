import {
  BufferAttribute,
  BufferGeometry,
  DataTexture,
  Group,
  LinearFilter,
  MathUtils,
  Mesh,
  MeshMatcapMaterial,
  OrthographicCamera,
  Scene,
  SRGBColorSpace,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three';
import type { Look } from '@/core/drawing/look';
import type { Mesh as Surface } from '@/core/drawing/mesh';
import { BALL, shadedBall } from '@/core/drawing/shading';

/** Whether this browser can draw in the round. */
export const hasWebGl = (): boolean => document.createElement('canvas').getContext('webgl2') !== null;

/** A surface of a piece, and how it looks. */
export interface RoundSolid {
  readonly mesh: Surface;
  readonly look: Look;
}

/** How a piece is turned before the eye: degrees about the upright axis and then about the level one; 0 and 0 is its front. */
export interface Turn {
  readonly about: number;
  readonly tipped: number;
}

/** Room about the piece, as a part of its reach. */
const ROOM = 1.08;

/** A piece in the round on a canvas; drawn whenever it is asked to be, at rest otherwise. */
export class RoundScene {
  readonly #renderer: WebGLRenderer;
  readonly #scene = new Scene();
  readonly #piece = new Group();
  readonly #camera = new OrthographicCamera();
  readonly #disposables: { dispose: () => void }[] = [];
  /** How far the piece reaches from its middle, mm. */
  readonly #reach: number;

  /** @throws where the browser has no WebGL; {@link hasWebGl} says so first */
  constructor(canvas: HTMLCanvasElement, solids: readonly RoundSolid[]) {
    this.#renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
    const looks = new Map<string, MeshMatcapMaterial>();
    const corners: Vector3[] = [];
    for (const { mesh, look } of solids) {
      const key = `${look.colour} ${look.isMetal}`;
      const material = looks.get(key) ?? this.#materialOf(look);
      looks.set(key, material);
      const geometry = geometryOf(mesh);
      geometry.computeBoundingBox();
      const box = geometry.boundingBox;
      if (box) corners.push(box.min, box.max);
      this.#disposables.push(geometry);
      this.#piece.add(new Mesh(geometry, material));
    }
    const least = corners.reduce((all, each) => all.min(each), new Vector3(Infinity, Infinity, Infinity));
    const most = corners.reduce((all, each) => all.max(each), new Vector3(-Infinity, -Infinity, -Infinity));
    const middle = least.clone().add(most).multiplyScalar(0.5);
    this.#reach = Math.max(1, most.distanceTo(least) / 2);
    for (const each of this.#piece.children) each.position.copy(middle).negate();
    this.#scene.add(this.#piece);
    this.#camera.position.z = 2 * this.#reach;
    this.#camera.near = 0;
    this.#camera.far = 4 * this.#reach;
  }

  /** Draws it as it is turned, in a room of so many points on the screen. @param nearer 1 shows all of it */
  draw({ about, tipped }: Turn, nearer: number, width: number, height: number, density: number): void {
    if (width === 0 || height === 0) return;
    this.#fit(width, height, density);
    const half = (ROOM * this.#reach) / nearer;
    const [wide, high] = width > height ? [half * (width / height), half] : [half, half * (height / width)];
    Object.assign(this.#camera, { left: -wide, right: wide, top: high, bottom: -high });
    this.#camera.updateProjectionMatrix();
    this.#piece.rotation.set(MathUtils.degToRad(tipped), MathUtils.degToRad(about), 0, 'XYZ');
    this.#renderer.render(this.#scene, this.#camera);
  }

  /** Room to draw in is only asked for where it changed: it is cleared, and told out anew, whenever it is asked for. */
  #fit(width: number, height: number, density: number): void {
    const now = this.#renderer.getSize(new Vector2());
    if (this.#renderer.getPixelRatio() !== density) this.#renderer.setPixelRatio(density);
    if (now.x !== width || now.y !== height) this.#renderer.setSize(width, height, false);
  }

  dispose(): void {
    for (const each of this.#disposables) each.dispose();
    this.#renderer.dispose();
  }

  #materialOf(look: Look): MeshMatcapMaterial {
    const ball = new DataTexture(shadedBall(look), BALL, BALL);
    ball.colorSpace = SRGBColorSpace;
    ball.magFilter = LinearFilter;
    ball.minFilter = LinearFilter;
    ball.needsUpdate = true;
    const material = new MeshMatcapMaterial({ matcap: ball });
    this.#disposables.push(ball, material);
    return material;
  }
}

/** Up is up: on the paper y runs down. What is mirrored so faces the other way: its corners are told the other way round. */
function geometryOf({ positions, normals, triangles }: Surface): BufferGeometry {
  const geometry = new BufferGeometry();
  const numbers = (of: Surface['positions']) => new Float32Array(of.flatMap(({ x, y, z }) => [x, -y, z]));
  geometry.setAttribute('position', new BufferAttribute(numbers(positions), 3));
  geometry.setAttribute('normal', new BufferAttribute(numbers(normals), 3));
  geometry.setIndex(new BufferAttribute(new Uint32Array(triangles.flatMap(([a, b, c]) => [a, c, b])), 1));
  return geometry;
}
