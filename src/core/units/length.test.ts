import convert from 'convert-units';
import fc from 'fast-check';
import { expectOk } from '../result';
import {
  formatBothWays,
  formatLength,
  formatLengthKnown,
  formatLengthShort,
  formatToCut,
  formatToMark,
  LENGTH_GRAMMAR,
  mm,
  parseLength,
  parseLengths,
  um,
  writableLength,
  writableLengths,
} from './length';

const read = (text: string, system?: 'in' | 'mm') => expectOk(parseLength(text, system));
const refusal = (text: string, system?: 'in' | 'mm') => {
  const result = parseLength(text, system);
  if (result.ok) throw new Error(`${text} was read as ${result.value}`);
  return result.error;
};

describe('reading a length', () => {
  // 25.4 mm to the inch, exactly: international yard and pound agreement, 1959.
  it.each([
    ['10 1/4', 260_350],
    ['10 1/4 in', 260_350],
    ['10-1/4"', 260_350],
    ['10¼ in', 260_350],
    ['1/64 in', 397],
    ['26cm', 260_000],
    ['0.4mm', 400],
    ['.8 mm', 800],
    ['3\' 2"', 965_200],
    ["3' 2", 965_200],
    ['3 ft 2 1/2 in', 977_900],
    ['3′ 2″', 965_200],
    ['1 m 5 cm 2 mm', 1_052_000],
    ['2.5 m', 2_500_000],
    ['2,5 m', 2_500_000],
    ['1 yd', 914_400],
    ['50 FT', 15_240_000],
    ['10 in.', 254_000],
  ])('reads %s', (text, expected) => {
    expect(read(text, 'in')).toBe(expected);
  });

  it('takes a bare number in the studio’s own unit', () => {
    expect(read('10', 'mm')).toBe(10_000);
    expect(read('10', 'in')).toBe(254_000);
  });

  it.each([
    ['', /Enter a length/],
    ['-3', /negative/],
    ['1e9 km', /“1e9 km”/],
    ['10 1/0 in', /0 below the line/],
    ['ten', /“ten”.*not a length/],
    ['10', /no unit/],
    ['5 oz', /“oz”, which is not a unit of length/],
    ['2 in 3 ft', /out of order/],
    ['1.5 1/2 in', /mixes a decimal/],
    ['1,500 mm', /thousands or a decimal/],
    ['101 km', /more than 100 km/],
    ['<b>4</b>', /not a length/],
    ['9'.repeat(5000), /too long/],
  ])('refuses %p, saying what was given and what is allowed', (text, message) => {
    expect(refusal(text)).toMatch(message);
    expect(refusal(text)).toMatch(/10 1\/4 in, 26 cm/);
  });

  it('agrees with a reference library for every unit', () => {
    const pairs = [
      ['mm', 'mm'],
      ['cm', 'cm'],
      ['m', 'm'],
      ['in', 'in'],
      ['ft', 'ft'],
      ['yd', 'yd'],
      ['km', 'km'],
    ] as const;
    for (const [ours, theirs] of pairs) {
      // The library's foot carries seven figures.
      expect(Math.abs(read(`7 ${ours}`) / 1000 / convert(7).from(theirs).to('mm') - 1)).toBeLessThan(1e-7);
    }
    expect(LENGTH_GRAMMAR.units).toHaveLength(pairs.length + 1); // and the micrometre
  });
});

describe('printing a length', () => {
  it.each([
    [260_350, '10 1/4 in', '260.35 mm'],
    [397, '1/64 in', '0.397 mm'],
    [200_000, '≈ 7 7/8 in', '200 mm'],
    [3_048_000, '10 ft', '3.048 m'],
    [3_060_700, '10 ft 1/2 in', '3.0607 m'],
    [914_400, '36 in', '914.4 mm'],
    [100, '< 1/64 in', '0.1 mm'],
    [0, '0 in', '0 mm'],
    [-254_000, '−10 in', '−254 mm'],
  ])('prints %d µm', (length, inches, metric) => {
    expect(formatLength(um(length), 'in')).toBe(inches);
    expect(formatLength(um(length), 'mm')).toBe(metric);
  });

  it('says a length both ways, and what is only near', () => {
    expect(formatBothWays(mm(254))).toBe('254 mm = 10 in');
    expect(formatBothWays(mm(200))).toBe('200 mm ≈ 7 7/8 in');
  });

  it('puts a length into a form without ever rounding it', () => {
    expect(writableLength(mm(254), 'in')).toBe('10 in');
    expect(writableLength(mm(200), 'in')).toBe('200 mm');
    // Three times 8 5/16 in, each to the nearest micrometre: shown as the fraction it is, written as it is stored.
    expect(formatLength(um(3 * 211_138), 'in')).toBe('24 15/16 in');
    expect(writableLength(um(3 * 211_138), 'in')).toBe('633.414 mm');
  });

  it('prints short labels to three figures', () => {
    expect(formatLengthShort(mm(9144), 'mm')).toBe('9.14 m');
    expect(formatLengthShort(mm(10_000), 'in')).toBe('32.8 ft');
    expect(formatLengthShort(mm(254), 'in')).toBe('10 in');
    expect(formatLengthShort(mm(254.4), 'mm')).toBe('254 mm');
  });

  it('reads back every metric length to the same micrometre', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100_000_000_000 }), (length) => {
        expect(read(formatLength(um(length), 'mm'))).toBe(length);
      }),
    );
  });

  it('reads back every 64th of an inch exactly', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 64 * 12 * 300 }), (sixtyFourths) => {
        const length = um(Math.round((sixtyFourths * 25_400) / 64));
        const printed = formatLength(length, 'in');
        expect(printed).not.toContain('≈');
        expect(read(printed)).toBe(length);
      }),
    );
  });

  it('reads the same length from inches and millimetres', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10_000 }), fc.integer({ min: 0, max: 7 }), (whole, eighths) => {
        const inMillimetres = ((whole * 8 + eighths) * 25.4) / 8;
        expect(read(`${whole} ${eighths}/8 in`)).toBe(mm(inMillimetres));
      }),
    );
  });
});

describe('computed lengths', () => {
  it('are marked to a tenth of a millimetre or 1/32 in', () => {
    expect(formatToMark(um(47_234), 'mm')).toBe('47.2 mm');
    expect(formatToMark(um(47_234), 'in')).toBe('1 7/8 in');
    expect(formatToMark(um(0), 'in')).toBe('0 in');
  });

  it('are cut up to the next millimetre or 1/16 in, never short', () => {
    expect(formatToCut(um(193_001), 'mm')).toBe('194 mm');
    expect(formatToCut(um(193_001), 'in')).toBe('7 5/8 in');
    expect(formatToCut(um(25_400), 'in')).toBe('1 in');
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 2_000_000 }), (length) => {
        for (const system of ['mm', 'in'] as const) {
          const back = expectOk(parseLength(formatToCut(um(length), system)));
          expect(back).toBeGreaterThanOrEqual(length - 5);
          expect(back - length).toBeLessThanOrEqual(1600);
        }
      }),
    );
  });
});

describe('several lengths at once', () => {
  it.each<[string, readonly number[]]>([
    ['0 mm', []],
    ['40 mm', [40]],
    ['2 × 15 mm', [15, 15]],
    ['2x15mm + 1/2 in', [15, 15, 12.7]],
  ])('%s', (text, lengths) => {
    expect(parseLengths(text)).toEqual({ ok: true, value: lengths.map((each) => each * 1000) });
  });

  it.each(['', '2 ×', '15', '2 × 15', '21 × 1 mm', 'two × 3 mm'])('refuses “%s”', (text) => {
    expect(parseLengths(text).ok).toBe(false);
  });

  it('are written so that they read back', () => {
    const lengths = fc.array(fc.integer({ min: 1, max: 5_000_000 }).map(um), { maxLength: 6 });
    fc.assert(
      fc.property(lengths, fc.constantFrom('in' as const, 'mm' as const), (some, system) => {
        expect(parseLengths(writableLengths(some, system))).toEqual({ ok: true, value: some });
      }),
    );
  });
});

describe('a length as well as it is known', () => {
  it.each<[string, 'in' | 'mm', string]>([
    ['5 9/64 in', 'in', '5 5/32 in'],
    ['12.857 in', 'in', '12 7/8 in'],
    ['10 1/4 in', 'in', '10 1/4 in'],
    ['9.144 m', 'in', '30 ft'],
    ['30 m', 'in', '98 ft 5 in'],
    ['98.425 mm', 'mm', '98.4 mm'],
    ['326.571 mm', 'mm', '327 mm'],
    ['9.1443 m', 'mm', '9.144 m'],
    ['31.41592 m', 'mm', '31.42 m'],
    ['0.1 mm', 'in', '< 1/64 in'],
  ])('%s in %s is %s', (text, system, said) => {
    expect(formatLengthKnown(expectOk(parseLength(text)), system)).toBe(said);
  });

  it('is never further off than it says, and never says that it is near', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1000, max: 500_000_000 }).map(um),
        fc.constantFrom('in' as const, 'mm' as const),
        (length, system) => {
          const said = formatLengthKnown(length, system);
          expect(said).not.toContain('≈');
          const off = Math.abs(expectOk(parseLength(said)) - length);
          // Half a 32nd of an inch is 0.4 mm; long ones are within a thousandth.
          expect(off).toBeLessThanOrEqual(
            Math.max(400, length / 950, system === 'in' && length > 152_400 ? 800 : 0),
          );
        },
      ),
    );
  });
});
