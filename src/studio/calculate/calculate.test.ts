import 'reflect-metadata';
import { TECHNIQUES } from '@/core/techniques/registry';
import type { Outcome } from '../kernel/outcome';
import { answerTechnique, ENDPOINTS } from './endpoints';

type Answer = Record<string, unknown>;

const ask = (name: string, plain: unknown): Promise<Outcome<object>> => {
  const found = ENDPOINTS[name];
  if (!found) throw new Error(`no endpoint ${name}`);
  return found.answer(plain, { studioId: '' });
};
const answered = async (asked: Promise<Outcome<object>>) => {
  const outcome = await asked;
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problem));
  return outcome.value as Answer;
};
const wrongFields = async (asked: Promise<Outcome<object>>) => {
  const outcome = await asked;
  return outcome.ok ? {} : { ...(outcome.problem.fields ?? { '': outcome.problem.message }) };
};

it('wire: 20 AWG sterling, by ASTM B258 and 925/75 Ag-Cu', async () => {
  const wire = await answered(
    ask('wire', { profile: 'round', metal: 'sterling', gauge: { system: 'AWG', value: 20 } }),
  );
  expect(wire['diameterMm']).toBeCloseTo(0.8118, 3);
  expect(wire['areaMm2']).toBeCloseTo(0.5176, 2);
  expect(wire['gramsPerMetre']).toBeCloseTo(0.5176 * 10.36, 1);
  // 31.1034768 g in a troy ounce, exactly.
  expect(Number(wire['feetPerTroyOunce']) * 0.3048 * Number(wire['gramsPerMetre'])).toBeCloseTo(
    31.1034768,
    3,
  );
});

it('cutting: the plan, its certificate, and what by eye would have lost', async () => {
  const answer = await answered(
    ask('cutting', {
      cuts: [
        { lengthMm: 90, count: 1 },
        { lengthMm: 200, count: 1 },
        { lengthMm: 900, count: 1 },
      ],
      stock: [
        { id: 'long', lengthMm: 205, kind: 'offcut' },
        { id: 'short', lengthMm: 140, kind: 'offcut' },
        { id: 'reel', lengthMm: 500, kind: 'spool' },
      ],
      usefulMinimumMm: 50,
    }),
  );
  expect(answer).toMatchObject({
    plan: [
      { stockId: 'long', cutsMm: [200], leftoverMm: 5, leftoverIs: 'scrap' },
      { stockId: 'short', cutsMm: [90], leftoverMm: 50, leftoverIs: 'offcut' },
    ],
    unmet: [{ lengthMm: 900, count: 1 }],
    wasteMm: 5,
    gap: 0,
    optimal: true,
    method: 'every pattern',
    byEye: { wasteMm: 5 },
  });
  expect(answer['bound']).toBe(answer['objective']);
});

it('identify: nearest first, in three systems', async () => {
  const { candidates } = await answered(ask('identify', { diameterMm: 1.0 }));
  expect(candidates).toMatchObject([
    { system: 'mm', label: '1 mm', deviationMm: 0 },
    { system: 'SWG' },
    { system: 'AWG', label: '18 ga', deviationMm: -0.024 },
  ]);
});

it('outline: a round is πW, a parallel curve 2π times its distance longer', async () => {
  const round = await answered(ask('outline', { outline: 'round', lengthMm: 20, offsetMm: 1 }));
  expect(round['perimeterMm']).toBeCloseTo(20 * Math.PI, 5);
  expect(round['areaMm2']).toBeCloseTo(100 * Math.PI, 4);
  expect(round['parallelMm']).toBeCloseTo(22 * Math.PI, 5);
  expect(round['centroidMm']).toEqual({ x: expect.closeTo(0, 5), y: expect.closeTo(0, 5) });
});

it('ring size: US 7 is 17.32 mm, ISO 54.4 (ISO 8653), UK N½ (BS 6820)', async () => {
  expect(await answered(ask('ring-size', { system: 'US', size: 7 }))).toMatchObject({
    insideDiameterMm: expect.closeTo(17.3228, 3),
    us: 7,
    uk: 'N½',
    iso: 54.42,
  });
  expect(await answered(ask('ring-size', { system: 'UK', size: 'n 1/2' }))).toMatchObject({ uk: 'N½' });
});

it('weave: groups and notation agree, and the total has its tails', async () => {
  const wires = { baseDiameterMm: 0.812, weavingDiameterMm: 0.321, lengthMm: 40 };
  const written = await answered(ask('weave', { notation: 'A3 AB2', ...wires }));
  const grouped = await answered(
    ask('weave', {
      groups: [
        { wires: ['A'], wraps: 3 },
        { wires: ['A', 'B'], wraps: 2 },
      ],
      ...wires,
      tailMm: 50,
    }),
  );
  expect(grouped).toMatchObject({
    repeats: written['repeats'],
    wireMm: written['wireMm'],
  });
  expect(written['advancePerRepeatMm']).toBeCloseTo(5 * 0.321, 6);
  expect(written['repeats']).toBe(Math.ceil(40 / (5 * 0.321)));
  expect(Number(grouped['totalWithTailsMm']) - Number(grouped['wireMm'])).toBeCloseTo(100, 6);
  expect(Number(written['totalWithTailsMm']) - Number(written['wireMm'])).toBeCloseTo(120, 6);
});

it('every technique answers, as it is proposed and in whole lengths', async () => {
  for (const { id } of TECHNIQUES) {
    const { cuts, minutes } = (await answered(answerTechnique(id, {}))) as unknown as {
      cuts: { lengthMm: number; terms: { lengthMm: number }[]; spec: { label: string } }[];
      minutes: number;
    };
    expect(minutes).toBeGreaterThan(0);
    for (const { lengthMm, terms, spec } of cuts) {
      expect(terms.reduce((sum, each) => sum + each.lengthMm, 0)).toBeCloseTo(lengthMm, 4);
      expect(spec.label).toMatch(/\d/);
    }
  }
});

it.each<[string, unknown, string, RegExp]>([
  [
    'wire',
    { profile: 'oval', metal: 'sterling', gauge: { system: 'AWG', value: 20 } },
    'profile',
    /“oval” was given; one of round, square, half-round, flat is allowed/,
  ],
  [
    'wire',
    { profile: 'round', metal: 'tin', gauge: { system: 'AWG', value: 20 } },
    'metal',
    /“tin” was given; one of copper/,
  ],
  ['wire', { profile: 'round', metal: 'copper' }, 'gauge', /Nothing was given/],
  [
    'wire',
    { profile: 'round', metal: 'copper', gauge: { system: 'AWG', value: 77 } },
    'gauge.value',
    /“77”; it runs from 0000 to 44/,
  ],
  [
    'wire',
    { profile: 'round', metal: 'copper', gauge: { system: 'AWG', value: 20, colour: 1 } },
    'gauge.colour',
    /There is no field “colour” here/,
  ],
  [
    'identify',
    { diameterMm: '0.8' },
    'diameterMm',
    /“0.8” was given; a number from 0.05 to 12 mm is allowed/,
  ],
  ['identify', { diameterMm: 0.8, unit: 'mm' }, 'unit', /There is no field/],
  ['outline', { outline: 'teardrop', lengthMm: 10, widthMm: 12 }, 'lengthMm', /longer than wide/],
  ['outline', { outline: 'freeform', lengthMm: 10, pointsMm: [{ x: 1 }] }, 'pointsMm', /3 to 500 points/],
  ['ring-size', { system: 'EU', size: 54 }, 'system', /one of US, UK, ISO, mm/],
  ['ring-size', { system: 'US', size: 99 }, 'size', /rings from 10 to 30 mm are worn/],
  ['weave', { baseDiameterMm: 1, weavingDiameterMm: 0.3, lengthMm: 10 }, 'groups', /1 to 60 groups/],
  [
    'weave',
    { notation: 'A3 AD', baseDiameterMm: 1, weavingDiameterMm: 0.3, lengthMm: 10 },
    'notation',
    /not neighbours in order.*character 4/,
  ],
  [
    'weave',
    { notation: '/', baseDiameterMm: 1, weavingDiameterMm: 0.3, lengthMm: 10 },
    'notation',
    /does not move on/,
  ],
  [
    'weave',
    { groups: [{ wires: ['A', 'C'], wraps: 1 }], baseDiameterMm: 1, weavingDiameterMm: 0.3, lengthMm: 10 },
    'groups',
    /Group 1/,
  ],
  [
    'weave',
    { groups: [{ wires: ['Z'], wraps: 1 }], baseDiameterMm: 1, weavingDiameterMm: 0.3, lengthMm: 10 },
    'groups.0.wires',
    /letters from A to H/,
  ],
  [
    'cutting',
    { cuts: [{ lengthMm: 10, count: 0 }], stock: [], usefulMinimumMm: 50 },
    'cuts.0.count',
    /0 was given; a whole number from 1 to 10000/,
  ],
  [
    'cutting',
    { cuts: [], stock: [{ id: 'a', lengthMm: 10, kind: 'coil' }], usefulMinimumMm: 50 },
    'stock.0.kind',
    /“coil” was given; one of spool, offcut/,
  ],
  [
    'cutting',
    {
      cuts: [],
      stock: [
        { id: 'a', lengthMm: 10, kind: 'spool' },
        { id: 'a', lengthMm: 20, kind: 'offcut' },
      ],
      usefulMinimumMm: 50,
    },
    'stock.1.id',
    /the id of two stock pieces/,
  ],
  ['cutting', { cuts: 'all', stock: [], usefulMinimumMm: 50 }, 'cuts', /a list of at most 1000 cuts/],
])('%s %j is refused beside its field', async (name, plain, field, said) => {
  expect((await wrongFields(ask(name, plain)))[field]).toMatch(said);
});

it('an unknown technique and an impossible one are told in a sentence', async () => {
  expect((await wrongFields(answerTechnique('soldering', {})))['']).toMatch(
    /no technique “soldering”; there are bundle-frame/,
  );
  expect((await wrongFields(answerTechnique('flat-spiral', { across: 2 })))['']).toMatch(
    /is more than 3.05 mm across/,
  );
  expect((await wrongFields(answerTechnique('coil', { turns: 2 })))['turns']).toMatch(
    /there is no such field/,
  );
});

describe('piece', () => {
  const acts = [
    { id: 'frame', technique: 'bundle-frame', values: { holds: 2, bound: 6 } },
    {
      id: 'bail',
      technique: 'folded-bail',
      values: { wraps: 0, gather: 4 },
      takes: { ends: ['frame.left 3', 'frame.right 3'] },
    },
  ];
  type Piece = {
    readonly acts: readonly string[];
    readonly cuts: readonly { readonly act: string; readonly name: string; readonly lengthMm: number }[];
    readonly wires: readonly { readonly cutMm: number; readonly lineMm: readonly (readonly number[])[] }[];
    readonly order: readonly { readonly first: string; readonly then: string }[];
    readonly balance: { readonly frontDegrees: number } | null;
  };

  it('is its wires, each as it goes, and how it hangs', async () => {
    const { pieces } = (await answered(ask('piece', { acts, metal: 'sterling' }))) as {
      pieces: readonly Piece[];
    };
    expect(pieces).toHaveLength(1);
    const [piece] = pieces;
    expect(piece?.cuts.map(({ act, name }) => `${act}: ${name}`)).toEqual([
      'frame: frame wire 1',
      'frame: frame wire 2',
      'frame: frame wire 3',
      'frame: binding wire',
    ]);
    expect(piece?.wires.map(({ cutMm }) => cutMm)).toEqual(
      piece?.cuts.map(({ lengthMm }) => expect.closeTo(lengthMm, 5)),
    );
    for (const { lineMm } of piece?.wires ?? []) {
      expect(lineMm.length).toBeGreaterThan(50);
      expect(lineMm.every((point) => point.length === 3 && point.every(Number.isFinite))).toBe(true);
    }
    expect(piece?.order).toContainEqual(expect.objectContaining({ first: 'frame.close', then: 'bail.fold' }));
    expect(Math.abs(piece?.balance?.frontDegrees ?? 90)).toBeLessThan(1);
  });

  it('says beside which act something is wrong', async () => {
    const [frame, bail] = acts;
    expect(await wrongFields(ask('piece', { acts: [frame, { ...bail, id: 'frame' }] }))).toEqual({
      'acts.1.id': '“frame” was given; another act has it already.',
    });
    expect(await wrongFields(ask('piece', { acts: [{ ...frame, values: { holds: 99 } }] }))).toEqual({
      'acts.0.values.holds': '99 was given; a whole number from 1 to 16 is allowed.',
    });
    expect(await wrongFields(ask('piece', { acts: [frame, { ...bail, takes: { arms: [] } }] }))).toEqual({
      'acts.1.takes': '“arms” was given; ends are allowed.',
    });
    expect(await wrongFields(ask('piece', { acts: [bail] }))).toEqual({
      'acts.0.values': expect.stringMatching(/what was chosen is not there before this/),
    });
    const knots = await wrongFields(ask('piece', { acts: [{ id: 'a', technique: 'knots' }] }));
    expect(Object.values(knots).join()).toMatch(/“knots” was given; one of bundle-frame/);
  });
});
