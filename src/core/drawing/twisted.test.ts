import { lengthOfPath } from '../geometry/path';
import { distance3, vec3 } from '../geometry/vec3';
import { strandsOf } from './twisted';

describe('a wire that is twisted on its own axis', () => {
  it('is drawn as two strands, which together are as thick as it is and go round half as often as its edges pass', () => {
    const { paths, thick } = strandsOf([vec3(0, 0), vec3(20, 0)], 1, 0.2);
    for (const path of paths) {
      for (const { y, z } of path) expect(Math.hypot(y, z) + thick / 2).toBeCloseTo(0.5, 9);
      // Four turns of the wire, eight of a strand: a helix is √(long² + (2πr × turns)²) long.
      const helix = Math.hypot(20, 2 * Math.PI * 0.22 * 8);
      expect(lengthOfPath(path) / helix).toBeGreaterThan(0.99);
      expect(lengthOfPath(path) / helix).toBeLessThanOrEqual(1 + 1e-9);
    }
  });

  it('has its strands on opposite sides all along, round a bend too', () => {
    const bend = Array.from({ length: 61 }, (_, at) => vec3(10 * Math.cos(at / 20), 10 * Math.sin(at / 20)));
    const {
      paths: [first, second],
    } = strandsOf(bend, 0.8, 0.25);
    expect(first).toHaveLength(second.length);
    for (const [index, at] of first.entries())
      expect(distance3(at, second[index] ?? at)).toBeCloseTo(2 * 0.22 * 0.8, 6);
  });
});
