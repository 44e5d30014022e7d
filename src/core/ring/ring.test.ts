import fc from 'fast-check';
import { expectOk } from '../result';
import { largestReached, methodOf, startSize, widthAllowance } from './drift';
import { describeRing, diameterOfUs, readRingSize, ringOf, RING_SYSTEMS, type RingSystem } from './ringSize';

const size = (system: RingSystem, text: string) => expectOk(readRingSize(system, text));

describe('ring sizes', () => {
  // US sizes: 0.458 + 0.032 n inches inside; the usual chart of the trade (from memory) has US 7 at 17.3 mm and 54.4 mm.
  it.each([
    ['3', 14.07],
    ['6', 16.51],
    ['7', 17.32],
    ['7 1/2', 17.73],
    ['10', 19.76],
  ])('US %s is %d mm across inside', (us, diameter) => {
    expect(size('US', us).diameter).toBeCloseTo(diameter, 2);
  });

  // BS 6820: letters step 1.25 mm of circumference with C at 40.0 mm.
  it.each([
    ['C', 40],
    ['D', 41.25],
    ['N', 53.75],
    ['N½', 54.375],
    ['Z', 68.75],
    ['Z+1', 70],
    ['Z+6', 76.25],
  ])('UK %s is %d mm round inside', (uk, circumference) => {
    expect(size('UK', uk).circumference).toBeCloseTo(circumference, 9);
    expect(size('UK', uk).uk).toBe(uk);
  });

  it('ISO 8653 sizes are the inside circumference in mm', () => {
    const ring = size('ISO', '54');
    expect(ring.circumference).toBeCloseTo(54, 9);
    expect(ring.diameter).toBeCloseTo(17.19, 2);
    expect(describeRing(ring)).toBe('US 6¾ · UK N · ISO 54');
  });

  it('a size goes through every system and comes back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), (quarters) => {
        const ring = ringOf(diameterOfUs(quarters / 4));
        expect(size('ISO', String(ring.circumference)).us).toBeCloseTo(quarters / 4, 9);
        expect(size('mm', String(ring.diameter)).us).toBeCloseTo(quarters / 4, 9);
        // The nearest half letter is at most a quarter of a letter away.
        if (ring.uk)
          expect(Math.abs(size('UK', ring.uk).circumference - ring.circumference)).toBeLessThanOrEqual(
            0.3126,
          );
      }),
    );
  });

  it('reads the ways a size is written, and says what is none', () => {
    for (const text of ['6 1/2', '6½', '6.5', '6,5']) expect(size('US', text).us).toBeCloseTo(6.5, 9);
    expect(size('UK', 'n 1/2').uk).toBe('N½');
    const problem = (system: RingSystem, text: string) => {
      const read = readRingSize(system, text);
      return read.ok ? '' : read.error;
    };
    expect(problem('UK', '7')).toMatch(/“7” is no UK ring size; write it like N, N½ or Z\+1/);
    expect(problem('US', 'N')).toMatch(/write it like 7, 6 1\/2/);
    expect(problem('mm', '54')).toMatch(/54.0 mm across inside; rings from 10 to 30 mm/);
    for (const system of RING_SYSTEMS) expect(problem(system, '')).not.toBe('');
  });
});

describe('size drift', () => {
  // Common practice, each of the five in the handbook of the trade.
  it.each([
    ['bead-ring', 8],
    ['coil-bezel-ring', 8],
    ['herringbone-ring', 7.25],
    ['woven-band-ring', 6.75],
    ['spiral-head-ring', 4.5],
  ] as const)('a %s for US 7 is begun at %d', (id, start) => {
    expect(startSize(size('US', '7'), methodOf(id).drift).us).toBeCloseTo(start, 9);
  });

  it('a wide band is made a quarter to a half larger', () => {
    expect([3, 6, 9.9, 10, 14].map(widthAllowance)).toEqual([0, 0.25, 0.25, 0.5, 0.5]);
    expect(startSize(size('US', '7'), 0, 10).us).toBeCloseTo(7.5, 9);
  });

  it('the largest ring of a wire takes all of it, and no more', () => {
    const need = (us: number) => 3 * Math.PI * diameterOfUs(us) + 20;
    fc.assert(
      fc.property(fc.double({ min: 130, max: 280, noNaN: true }), (length) => {
        const us = largestReached(length, need);
        if (us === undefined) expect(need(0)).toBeGreaterThan(length);
        else if (us < 20) expect(need(us)).toBeCloseTo(length, 6);
        else expect(need(20)).toBeLessThanOrEqual(length);
      }),
    );
  });
});
