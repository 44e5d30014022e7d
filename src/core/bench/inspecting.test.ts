import { PATTERN_KINDS, type PatternCut } from '../pattern/pattern';
import { um } from '../units/length';
import { grams } from '../units/mass';
import fc from 'fast-check';
import { checkSaid, checksOf, LONGEST_CHECK, measuredBy, MOST_CHECKS, readReading } from './checks';
import { stillDoesFor } from './stillDoesFor';
import { judgeWeight } from './weight';

describe('what a piece is looked at for', () => {
  it('is by its kind, as short as a check is, and what the studio has written goes before it', () => {
    for (const kind of PATTERN_KINDS) {
      const checks = checksOf({}, kind);
      expect(checks.length).toBeGreaterThan(2);
      expect(checks.length).toBeLessThanOrEqual(MOST_CHECKS);
      for (const check of checks) expect(check.length).toBeLessThanOrEqual(LONGEST_CHECK);
    }
    // Handbook of the trade, 9 (common practice): rings are read both ways round; ends of ear wires are rounded.
    expect(checksOf({}, 'ring').join()).toMatch(/both ways round/);
    expect(checksOf({}, 'earrings').join()).toMatch(/ear wires rounded/);
    expect(checksOf({}, 'bracelet').join()).toMatch(/no gap/);
    expect(checksOf({ ring: ['Sits upright'] }, 'ring')).toEqual(['Sits upright']);
    expect(checksOf({ ring: [] }, 'ring')).toEqual([]);
    expect(checksOf({ ring: ['Sits upright'] }, 'pendant')).toEqual(checksOf({}, 'pendant'));
  });

  it('is measured where its words leave one gap', () => {
    expect(measuredBy('Gap: … mm')).toEqual({ before: 'Gap:', behind: 'mm' });
    expect(measuredBy('Turns on the left ...')).toEqual({ before: 'Turns on the left', behind: '' });
    expect([measuredBy('Sits upright'), measuredBy('From … to … mm')]).toEqual([undefined, undefined]);
    expect(checkSaid('Gap: … mm', '0.4')).toBe('Gap: 0.4 mm');
    expect(checkSaid('Gap: … mm', '')).toBe('Gap: … mm');
    expect(checkSaid('Sits upright', '3')).toBe('Sits upright');
    expect(checksOf({}, 'earrings').filter((check) => measuredBy(check))).toHaveLength(1);
  });

  it('takes a figure as it is typed, and says what is none', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99_999_000 }), (thousandths) => {
        const read = readReading(` ${(thousandths / 1000).toFixed(3).replace('.', ',')} `);
        expect(read.ok && Number(read.value)).toBeCloseTo(thousandths / 1000, 9);
      }),
    );
    expect(readReading('  ')).toEqual({ ok: true, value: '' });
    for (const wrong of ['-1', 'two', '100000', '1e3', '0x10', '1.2345', '.'])
      expect(readReading(wrong)).toEqual({
        ok: false,
        error: `“${wrong}” was given; a figure from 0 to 99999 is wanted.`,
      });
  });
});

describe('the scale against the wire', () => {
  it('has no doubt within what wire and scale vary by', () => {
    expect(judgeWeight(grams(5.1), grams(5), false).doubt).toBe('');
    expect(judgeWeight(grams(4.9), grams(5), false).doubt).toBe('');
  });

  it('says by how much it is lighter or heavier', () => {
    expect(judgeWeight(grams(4.8), grams(5), false).doubt).toMatch(/^4 % lighter .*was less left/);
    expect(judgeWeight(grams(5.5), grams(5), false).doubt).toMatch(/^10 % heavier .*a length not logged/);
    expect(judgeWeight(grams(5.5), grams(5), false).off).toBeCloseTo(0.1, 12);
  });

  it('cannot be too heavy with stones and beads in it, but too light', () => {
    expect(judgeWeight(grams(9), grams(5), true).doubt).toBe('');
    expect(judgeWeight(grams(4), grams(5), true).doubt).toMatch(/^20 % lighter/);
  });
});

describe('what a spoiled wire still does for', () => {
  const cut = (name: string, specId: string, net: number): PatternCut => ({
    name,
    specId,
    count: 1,
    net: um(net),
    allowances: [],
  });
  const cuts = [
    cut('frame', 'a', 200),
    cut('bail', 'a', 60),
    cut('seat', 'a', 90),
    cut('weave', 'b', 50),
    cut('rim', 'a', 201),
  ];

  it('is shorter wires of the same stock, the longest first', () => {
    expect(stillDoesFor({ cutIndex: 0, length: um(200) }, cuts)).toEqual(['seat', 'bail']);
    expect(stillDoesFor({ cutIndex: 0, length: um(70) }, cuts)).toEqual(['bail']);
    expect(stillDoesFor({ cutIndex: 3, length: um(500) }, cuts)).toEqual([]);
  });
});
