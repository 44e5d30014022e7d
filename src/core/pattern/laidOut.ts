import { drawLines, SMALL, type LineDrawing, type WireToDraw } from '../drawing/lineDrawing';
import { UNCHOSEN, type Looks } from '../drawing/look';
import type { Path } from '../geometry/path';
import { vec3 } from '../geometry/vec3';
import { UM_PER_MM } from '../units/length';
import type { Specs } from './composition';
import { cutLength, type PatternCut } from './pattern';

/** Longer wires are folded to and fro, mm. */
const FOLDED = 120;
/** How far wires lie apart, as a part of the longest of them over all, and of how thick they are at least. */
const [APART, THICK_APART] = [0.4, 2.2];
/** Wires alike of one cut that are laid out; more look no different. */
const MOST_ALIKE = 10;

/** Points to a hairpin. */
const HAIRPIN = 8;

/** A wire laid out, as long as it is: straight, or to and fro in hairpins where it is longer than is laid out straight. */
function laid(length: number, legs: number, top: number, apart: number): Path {
  const radius = apart / 2;
  const each = (length - (legs - 1) * Math.PI * radius) / legs;
  return Array.from({ length: legs }, (_, leg) => {
    const [from, to] = leg % 2 === 0 ? [0, each] : [each, 0];
    const y = top + apart * leg;
    const ends = [vec3(from, y), vec3(to, y)];
    if (leg === legs - 1) return ends;
    const out = Math.sign(to - from) * radius;
    const turn = Array.from({ length: HAIRPIN - 1 }, (__, at) => {
      const angle = (Math.PI * (at + 1)) / HAIRPIN;
      return vec3(to + out * Math.sin(angle), y + radius * (1 - Math.cos(angle)));
    });
    return [...ends, ...turn];
  }).flat();
}

/** The wires of a pattern, laid out one below the other, each named by the number of its cut. */
export function laidWires(cuts: readonly PatternCut[], specs: Specs): readonly WireToDraw[] {
  const wires = cuts.flatMap((cut, index) => {
    const width = specs[cut.specId]?.width;
    const length = cutLength(cut) / UM_PER_MM;
    const legs = Math.max(1, Math.ceil(length / FOLDED));
    const wire = { wire: String(index), thick: width === undefined ? 1 : width / UM_PER_MM, length, legs };
    return Array.from({ length: Math.min(cut.count, MOST_ALIKE) }, () => wire);
  });
  const rows = wires.reduce((sum, { legs }) => sum + legs, 0);
  const longest = Math.max(0, ...wires.map(({ length }) => Math.min(length, FOLDED)));
  const thickest = Math.max(0, ...wires.map(({ thick }) => thick));
  const apart = Math.max((APART * longest) / Math.max(rows, 1), THICK_APART * thickest);
  let row = 0;
  return wires.map(({ wire, thick, length, legs }) => {
    const path = laid(length, legs, apart * row, apart);
    row += legs;
    return { wire, thick, path };
  });
}

/** The wires of a pattern that was written by hand, laid out: as long and as thick as they are. */
export const laidOut = (cuts: readonly PatternCut[], specs: Specs): LineDrawing =>
  drawLines(laidWires(cuts, specs), [], 'front', SMALL);

/** Which wire of those that are laid out is of which metal. */
export const laidOutLooks = (cuts: readonly PatternCut[], specs: Specs): Looks => ({
  wireOf: (wire) => specs[cuts[Number(wire)]?.specId ?? ''] ?? UNCHOSEN,
  materialOf: () => undefined,
});
