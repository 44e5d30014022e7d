/** @jest-environment node */
import { readFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { validateString } from 'gltf-validator';
import { pieceOf } from '../../../tests/support/acts';
import { planOf } from '../../../tests/support/techniques';
import { drawPlan } from '../plan/drawPlan';
import { METAL_IDS } from '../wire/metal';
import { COATED_COLOUR, METAL_COLOURS } from '../wire/metalColour';
import { drawingSvg } from './drawingSvg';
import { pieceGltf } from './gltf';
import { allOf } from './look';
import { LARGE } from './lineDrawing';
import { bodyMesh, IN_A_FILE, ON_A_SCREEN, tubeMesh, type Mesh } from './mesh';
import { cross3, dot3, minus3, norm3, vec3 } from '../geometry/vec3';
import { pose } from '../geometry/pose';
import { VIEWS } from './view';

/** Volume inside of a closed surface whose triangles face outward: Σ p · (q × r) / 6 (the divergence theorem). */
const volumeOf = ({ positions, triangles }: Mesh): number =>
  triangles.reduce((sum, [a, b, c]) => {
    const [p, q, r] = [positions[a], positions[b], positions[c]] as [
      (typeof positions)[0],
      (typeof positions)[0],
      (typeof positions)[0],
    ];
    return sum + dot3(p as never, cross3(q as never, r as never)) / 6;
  }, 0);

describe('surfaces', () => {
  it.each([
    ['in a file', IN_A_FILE, 10],
    ['on a screen', ON_A_SCREEN, 8],
  ])('a straight wire is a prism %s, closed, facing outward', (_, fineness, sides) => {
    const mesh = tubeMesh([vec3(0, 0), vec3(4, 0), vec3(10, 0)], 2, fineness);
    // A regular polygon of n sides in a circle of r has n/2 · r² · sin(2π/n).
    expect(volumeOf(mesh)).toBeCloseTo(10 * (sides / 2) * Math.sin((2 * Math.PI) / sides), 6);
    for (const [index, at] of mesh.positions.entries())
      if (norm3(minus3(at, vec3(at.x, 0, 0))) > 0.5)
        expect(dot3(mesh.normals[index] as never, minus3(at, vec3(at.x, 0, 0)))).toBeGreaterThan(0.9);
  });

  it.each([
    ['in a file', IN_A_FILE],
    ['on a screen', ON_A_SCREEN],
  ])('a bead, a point and a cabochon hold what they should %s', (_, fineness) => {
    const flat = pose(vec3(0, 0), vec3(1, 0));
    const bead = bodyMesh({ kind: 'bead', id: 'b', width: 6, length: 6, hole: 1, pose: flat }, fineness);
    // A bead is drawn of fewer corners, which lie on it: it holds a little less.
    expect(volumeOf(bead) / ((4 / 3) * Math.PI * 27)).toBeGreaterThan(0.98);
    expect(volumeOf(bead) / ((4 / 3) * Math.PI * 27)).toBeLessThan(1);
    const pebble = bodyMesh({ kind: 'point', id: 'p', length: 12, width: 6, pose: flat }, fineness);
    expect(volumeOf(pebble) / ((4 / 3) * Math.PI * 9 * 6)).toBeCloseTo(1, 2);
    const size = { outline: 'oval', length: 20, width: 14, depth: 6, edge: 2 } as const;
    const cab = bodyMesh({ kind: 'cab', id: 's', size, pose: flat }, fineness);
    expect(volumeOf(cab) / (Math.PI * 10 * 7 * (2 + (2 / 3) * 4))).toBeCloseTo(1, 2);
  });
});

describe('a piece as a file', () => {
  const pendant = pieceOf([
    ['a', 'bundle-frame', { bound: 6, holds: 2 }],
    ['b', 'folded-bail', { wraps: 4, gather: 4 }, { ends: ['a.left 3', 'a.right 3'] }],
    ['c', 'threaded-bead', { bead: 4, across: 4 }, { end: ['a.right 1'] }],
  ]);

  it.each([
    ['a pendant', pendant.run],
    ['a point in a spiral', planOf('point-spiral').run],
    ['a ring', planOf('bead-ring').run],
  ])('%s in the round passes the validator of the format', async (_, run) => {
    if (!run) throw new Error('it is told by the ways of its wires');
    const gltf = pieceGltf(run, allOf('copper'));
    const report = (await validateString(JSON.stringify(gltf))) as {
      issues: { numErrors: number; numWarnings: number; messages: readonly { message: string }[] };
      info: { drawCallCount: number; totalTriangleCount: number };
    };
    expect(report.issues.messages.map(({ message }) => message)).toEqual([]);
    expect(report.info.drawCallCount).toBe(run.wires.length + run.bodies.length);
    expect(report.info.totalTriangleCount).toBeGreaterThan(1000);
  });

  it.each(
    VIEWS.flatMap((view) => [
      ['a pendant', view, pendant.plans['a']] as const,
      ['a ring', view, planOf('herringbone-ring')] as const,
    ]),
  )('%s, seen from the %s, is a drawing in true millimetres that xmllint reads', (_, view, plan) => {
    if (!plan) throw new Error('it is planned');
    const drawing = drawPlan(plan, LARGE, view);
    const svg = drawingSvg(drawing, allOf('copper'));
    const read = spawnSync('xmllint', ['--noout', '-'], { input: svg, encoding: 'utf8' });
    expect([read.status, read.stderr]).toEqual([0, '']);
    expect(svg).toMatch(
      new RegExp(`^<\\?xml.*\\n<svg [^>]*width="${Number(drawing.box.width.toFixed(3))}mm"`),
    );
    expect(svg.match(/<path /g)).toHaveLength(drawing.layers.length);
    expect(svg).toContain(METAL_COLOURS.copper.edge);
  });

  it('has the colours of the screen', () => {
    const css = readFileSync('src/app/globals.css', 'utf8');
    for (const id of METAL_IDS)
      expect([
        id,
        css.includes(`--metal-${id}: ${METAL_COLOURS[id].fill};`),
        css.includes(`--metal-${id}-edge: ${METAL_COLOURS[id].edge};`),
      ]).toEqual([id, true, true]);
    expect(css).toContain(`--metal-coated: ${COATED_COLOUR.fill};`);
    expect(css).toContain(`--metal-coated-edge: ${COATED_COLOUR.edge};`);
  });
});
