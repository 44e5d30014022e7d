/** Reference libraries of the tests that ship no types of their own. */
declare module 'integrate-adaptive-simpson' {
  export default function integrate(
    f: (x: number) => number,
    from: number,
    to: number,
    tolerance?: number,
    maxDepth?: number,
  ): number;
}
declare module 'clipper-lib' {
  interface IntPoint {
    X: number;
    Y: number;
  }
  export class ClipperOffset {
    constructor(miterLimit: number, arcTolerance: number);
    AddPath(path: IntPoint[], join: number, end: number): void;
    Execute(solution: IntPoint[][], delta: number): void;
  }
  export const JoinType: { jtRound: number };
  export const EndType: { etClosedPolygon: number };
  export const Clipper: { Area(path: IntPoint[]): number; Orientation(path: IntPoint[]): boolean };
}
declare module 'gltf-validator' {
  export function validateString(json: string): Promise<unknown>;
}
