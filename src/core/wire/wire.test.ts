import fc from 'fast-check';
import { expectOk } from '../result';
import { mm, um, UM_PER_FOOT, type Micrometres } from '../units/length';
import { grams, parseMass } from '../units/mass';
import { awgDiameterMm, formatGauge, gaugeSize, identifyGauge, labelTyped, parseGauge } from './gauge';
import {
  checkWeight,
  feetPerTroyOunce,
  gramsPerMetre,
  lengthOfMass,
  massOfLength,
  pricePerLength,
} from './mass';
import { METALS, metalOf, type MetalId } from './metal';
import { areaMm2, usualHeight, type Profile } from './profile';
import { describeSize, describeSpec, specKey, type WireSpec } from './spec';

function wire(
  metal: MetalId,
  awg: number,
  profile: Profile = 'round',
  more: Partial<WireSpec> = {},
): WireSpec {
  const label = { system: 'AWG', number: String(awg) } as const;
  const width = expectOk(gaugeSize(label));
  return {
    metal,
    profile,
    width,
    height: usualHeight(profile, width),
    temper: 'dead soft',
    finish: 'bare',
    finishName: '',
    label,
    ...more,
  };
}

describe('gauges', () => {
  // ASTM B258, nominal diameters in inches (published table, values from memory).
  it.each([
    [10, 0.1019],
    [14, 0.0641],
    [16, 0.0508],
    [18, 0.0403],
    [20, 0.032],
    [22, 0.0253],
    [24, 0.0201],
    [26, 0.0159],
    [28, 0.0126],
    [30, 0.01],
  ])('AWG %d is %d in', (number, inches) => {
    expect(Math.abs(awgDiameterMm(number) / 25.4 - inches)).toBeLessThan(0.00006);
  });

  // BS 3737, in mm (published table, values from memory).
  it.each([
    ['14', 2.032],
    ['16', 1.626],
    ['18', 1.219],
    ['20', 0.914],
    ['22', 0.711],
    ['26', 0.457],
    ['30', 0.315],
  ])('SWG %s is %d mm', (number, millimetres) => {
    expect(expectOk(gaugeSize({ system: 'SWG', number })) / 1000).toBeCloseTo(millimetres, 3);
  });

  it('keeps a metric label as it is', () => {
    expect(expectOk(gaugeSize({ system: 'mm', number: '0.315' }))).toBe(315);
    expect(expectOk(gaugeSize({ system: 'mm', number: '1,25' }))).toBe(1250);
  });

  it.each([
    [{ system: 'AWG', number: '99' } as const, /no AWG number “99”.*0 to 44/],
    [{ system: 'AWG', number: '-2' } as const, /no AWG number/],
    [{ system: 'SWG', number: '41' } as const, /no SWG number “41”.*0 to 40/],
    [{ system: 'mm', number: '0' } as const, /not a wire size.*0.05 to 12 mm/],
    [{ system: 'mm', number: 'thin' } as const, /not a wire size/],
  ])('refuses %o', (label, message) => {
    const result = gaugeSize(label);
    expect(result.ok ? '' : result.error).toMatch(message);
  });

  it('names a measured wire in every system, nearest first, with the deviation', () => {
    const { candidates, ambiguous } = identifyGauge(um(815));
    expect(candidates.map((each) => [formatGauge(each), each.deviation])).toEqual([
      ['21 SWG', 2],
      ['20 ga', 3],
      ['0.8 mm', 15],
    ]);
    expect(ambiguous).toBe(true); // no calliper tells 21 SWG (0.813 mm) from 20 AWG (0.812 mm)
  });

  it('is sure where only one label is near', () => {
    expect(identifyGauge(um(644))).toMatchObject({
      ambiguous: false,
      candidates: [{ system: 'AWG', number: '22' }, {}, {}],
    });
  });

  it('finds every AWG number from its own diameter', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40 }), (n) => {
        const awg = identifyGauge(mm(awgDiameterMm(n))).candidates.find(({ system }) => system === 'AWG');
        expect(awg).toMatchObject({ number: String(n), deviation: 0 });
      }),
    );
  });
});

describe('mass and length', () => {
  // Bare copper wire tables, NBS Handbook 100: pounds per 1000 ft (values from memory).
  it.each([
    [14, 12.43],
    [15, 9.858],
    [16, 7.818],
    [17, 6.2],
    [18, 4.917],
    [19, 3.899],
    [20, 3.092],
    [21, 2.452],
    [22, 1.945],
    [23, 1.542],
    [24, 1.223],
    [25, 0.9699],
    [26, 0.7692],
    [27, 0.61],
    [28, 0.4837],
    [29, 0.3836],
    [30, 0.3042],
  ])('copper %d AWG weighs %d lb per 1000 ft', (awg, pounds) => {
    const length = um(1000 * UM_PER_FOOT);
    const computed = massOfLength(wire('copper', awg), length) / expectOk(parseMass('1 lb'));
    expect(Math.abs(computed / pounds - 1)).toBeLessThan(0.003);
  });

  it('gives sterling by the troy ounce as suppliers list it', () => {
    // Common practice: 20 ga round sterling runs about 19 ft to the troy ounce, 26 ga about 77 ft.
    expect(feetPerTroyOunce(wire('sterling', 20))).toBeCloseTo(19.0, 0);
    expect(feetPerTroyOunce(wire('sterling', 26))).toBeCloseTo(76.5, 0);
  });

  // A metre of 1 mm round wire is π/4 cm³. Densities: fine silver 10.49 (CRC Handbook of Chemistry and Physics); brass C26000
  // 0.308 lb/in³ (Copper Development Association); sterling 10.36 (ASM Handbook); all from memory.
  it.each([
    ['fine-silver', (Math.PI / 4) * 10.49],
    ['brass', ((Math.PI / 4) * 0.308 * 453.59237) / 2.54 ** 3],
    ['sterling', (Math.PI / 4) * 10.36],
  ] as const)('a metre of 1 mm %s weighs what its density says', (metal, gramsEach) => {
    const round = { ...wire(metal, 20), width: um(1000), height: um(1000) };
    expect(Math.abs(gramsPerMetre(round) / gramsEach - 1)).toBeLessThan(0.003);
  });

  it('a twisted pair weighs two strands that run obliquely', () => {
    // 0.4 mm strands with 500 turns a metre: each is √(1 + (π·0.4·0.5)²) = 1.1810 of the stock's length.
    const round = { ...wire('copper', 26), width: um(400), height: um(400) };
    const pair = { ...round, profile: 'twisted pair' as const, twist: 500 };
    expect(gramsPerMetre(pair) / gramsPerMetre(round)).toBeCloseTo(2 * 1.181, 3);
  });

  it('turns length to mass and back', () => {
    const metals = fc.constantFrom(...METALS.map(({ id }) => id));
    fc.assert(
      fc.property(
        metals,
        fc.integer({ min: 10, max: 30 }),
        fc.integer({ min: 1, max: 100_000_000 }),
        (metal, awg, length) => {
          const spec = wire(metal, awg);
          const back = lengthOfMass(spec, massOfLength(spec, um(length)));
          // A microgram is the mass of a few micrometres of thin wire.
          expect(Math.abs(back - length)).toBeLessThanOrEqual(Math.ceil(1 / gramsPerMetre(spec)));
        },
      ),
    );
  });

  it('knows areas from geometry', () => {
    const section = (profile: Profile, width: number, height: number) =>
      areaMm2({ profile, width: um(width) as Micrometres, height: um(height) });
    expect(section('round', 2000, 2000)).toBeCloseTo(Math.PI, 10);
    expect(section('half-round', 2000, 1000)).toBeCloseTo(Math.PI / 2, 10);
    expect(section('flat', 3000, 500)).toBeCloseTo(1.5, 10);
    expect(section('square', 1000, 1000)).toBeCloseTo(0.99, 3); // corners take about 1 %: common practice
  });

  it('joins gold-filled by volume, between brass and gold', () => {
    // 1 g holds 0.05 g of 14 kt at 13.07 and 0.95 g of brass at 8.53: 0.003826 + 0.111372 cm³.
    expect(metalOf('gold-filled').density).toBeCloseTo(8.681, 3);
  });

  it('says when a spool weighs what it should not', () => {
    const spec = wire('sterling', 20, 'round', { temper: 'half hard' });
    const tenMetres = mm(10_000);
    const right = massOfLength(spec, tenMetres) / 1e6;
    expect(checkWeight(spec, tenMetres, grams(right * 1.01)).verdict).toBe('fine');
    expect(checkWeight(spec, tenMetres, grams(right * 0.95))).toMatchObject({
      verdict: 'odd',
      sentence: expect.stringMatching(/5.0 % lighter/),
    });
    expect(checkWeight(spec, tenMetres, grams(right * 1.14))).toMatchObject({
      verdict: 'wrong',
      sentence: 'This wire works out 14 % heavier than 20 ga round sterling, half hard should.',
    });
  });

  it('prices a metre and a foot', () => {
    expect(pricePerLength(3048, um(3_048_000))).toEqual({
      perMetre: 1000,
      perFoot: expect.closeTo(304.8, 9),
    });
  });
});

describe('specs', () => {
  it('are the same stock only when all five things agree; the label is only a name', () => {
    const twenty = wire('sterling', 20);
    expect(specKey({ ...twenty, label: { system: 'mm', number: '0.812' } })).toBe(specKey(twenty));
    const others: Partial<WireSpec>[] = [
      { metal: 'copper' },
      { profile: 'square' },
      { width: um(813) },
      { temper: 'hard' },
      { finish: 'coated', finishName: 'teal' },
    ];
    for (const other of others) expect(specKey({ ...twenty, ...other })).not.toBe(specKey(twenty));
  });

  it('are said in the trade’s words', () => {
    expect(describeSpec(wire('sterling', 20))).toBe('20 ga round sterling, dead soft');
    expect(describeSpec(wire('copper', 26, 'round', { finish: 'coated', finishName: 'teal' }))).toBe(
      '26 ga round teal coated copper, dead soft',
    );
    expect(describeSize(wire('sterling', 18, 'half-round'))).toBe('1.024 × 0.512 mm');
  });
});

it.each([
  // Every way of writing one size that the trade has (common practice).
  ['20ga', 'AWG', '20'],
  ['20 ga.', 'AWG', '20'],
  ['#20', 'AWG', '20'],
  ['No. 20', 'AWG', '20'],
  ['20 gauge', 'AWG', '20'],
  ['20AWG', 'AWG', '20'],
  ['20 B&S', 'AWG', '20'],
  ['18 SWG', 'SWG', '18'],
  ['0.8mm', 'mm', '0.8'],
  ['0,8', 'mm', '0.8'],
  ['.8 mm', 'mm', '0.8'],
  ['.315', 'mm', '0.315'],
  // 0.032 in × 25.4 = 0.8128 mm, by the definition of the inch.
  ['.032"', 'mm', '0.8128'],
  ['0.032 in', 'mm', '0.8128'],
])('reads “%s” as %s %s', (text, system, number) => {
  expect(expectOk(parseGauge(text))).toEqual({ system, number });
});

it.each([
  'thin',
  '99 ga',
  '20 yards',
  '-20',
  '20 20',
  '0.8.1',
  '1,000,5',
  '20 miles',
  '#',
  '',
  '8 8 mm',
  `${' '.repeat(100_000)}x`,
])('refuses “%s” with what is allowed', (text) => {
  const read = parseGauge(text);
  expect(read.ok ? '' : read.error).toMatch(
    /is not a size; write it like 20 ga, 18 SWG, 0.8 mm or .032"|There is no AWG number “99”; it runs from/,
  );
});

it.each([
  // ASTM B258: the sizes beyond 0, mm.
  ['0', 8.252],
  ['00', 9.266],
  ['000', 10.404],
  ['0000', 11.684],
])('American %s is %d mm', (number, size) => {
  expect(expectOk(gaugeSize({ system: 'AWG', number })) / 1000).toBeCloseTo(size, 2);
});

it('two labels are called equally likely only when both are named', () => {
  fc.assert(
    fc.property(fc.integer({ min: 100, max: 11_000 }), (measured) => {
      const { candidates, ambiguous } = identifyGauge(um(measured));
      const [first, second] = candidates.map(({ deviation }) => Math.abs(deviation));
      expect(ambiguous).toBe((second ?? Infinity) - (first ?? 0) < 10);
    }),
  );
});

it.each([
  ['AWG', '20', 'AWG', '20'],
  ['SWG', '20', 'SWG', '20'],
  ['mm', '0,8', 'mm', '0.8'],
  ['AWG', '0.8', 'mm', '0.8'],
  ['AWG', '18 SWG', 'SWG', '18'],
  ['mm', '#20', 'AWG', '20'],
  ['SWG', '.032"', 'mm', '0.8128'],
] as const)('where numbers are %s, “%s” on the label is %s %s', (chosen, text, system, number) => {
  expect(expectOk(labelTyped(chosen, text))).toEqual({ system, number });
});
