import { mm } from '../units/length';
import { cost } from '../units/money';
import { cutLength, minutesOf, wantedCuts, wireBySpec, type PatternBody } from './pattern';

const body: PatternBody = {
  name: 'Teardrop pendant',
  kind: 'pendant',
  notes: '',
  cuts: [
    {
      name: 'frame wire',
      specId: 'frame',
      count: 3,
      net: mm(120),
      allowances: [
        { name: 'tail', length: mm(60) },
        { name: 'bail', length: mm(20) },
      ],
    },
    { name: 'weaving wire', specId: 'thin', count: 1, net: mm(900), allowances: [] },
  ],
  parts: [{ name: 'bead', count: 4, unitCost: cost(25_000) }],
  steps: [
    { name: 'lay out tools', minutes: 10, perSitting: true },
    { name: 'bind the frame', minutes: 25, perSitting: false },
    { name: 'set the stone', minutes: 15, perSitting: false },
  ],
};

it('adds net and allowances to the length to cut', () => {
  expect(body.cuts.map(cutLength)).toEqual([mm(200), mm(900)]);
});

it('wants every wire on its own, named by its place in the count', () => {
  expect(wantedCuts(body).map(({ name, length }) => [name, length])).toEqual([
    ['frame wire 1 of 3', mm(200)],
    ['frame wire 2 of 3', mm(200)],
    ['frame wire 3 of 3', mm(200)],
    ['weaving wire', mm(900)],
  ]);
});

it('sums wire by spec, parts, and minutes with setting-up apart', () => {
  expect([...wireBySpec(body)]).toEqual([
    ['frame', mm(600)],
    ['thin', mm(900)],
  ]);
  expect(minutesOf(body)).toEqual({ each: 40, setUp: 10 });
});
