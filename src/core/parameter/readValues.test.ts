import { expectOk } from '../result';
import { gaugeSize } from '../wire/gauge';
import { initialValues } from './parameter';
import { readValues } from './readValues';
import { TECHNIQUES, techniqueOf } from '../techniques/registry';
import type { AnyTechnique } from '../technique/technique';

const parametersOf = (id: string) => (techniqueOf(id) as AnyTechnique).parameters;
const wrong = (id: string, plain: unknown) => {
  const read = readValues(parametersOf(id), plain);
  return read.ok ? {} : read.error;
};

it('nothing told is what every technique begins with', () => {
  for (const { parameters } of TECHNIQUES)
    expect(expectOk(readValues(parameters, {}) as never)).toEqual(initialValues(parameters));
});

it('wires are told by gauge or by width, stones in mm, weaves as written or in groups', () => {
  const read = readValues(parametersOf('straight-weave'), {
    base: { gauge: { system: 'AWG', value: 18 } },
    weaving: { widthMm: 0.4 },
    weave: 'A3 AB2',
  });
  const grouped = readValues(parametersOf('straight-weave'), {
    weave: {
      groups: [
        { wires: ['A'], wraps: 3 },
        { wires: ['A', 'B'], wraps: 2 },
      ],
    },
  });
  expect(read.ok && read.value['base']).toEqual({
    profile: 'round',
    width: expectOk(gaugeSize({ system: 'AWG', number: '18' })) / 1000,
    height: expectOk(gaugeSize({ system: 'AWG', number: '18' })) / 1000,
  });
  expect(read.ok && grouped.ok && read.value['weave']).toEqual(grouped.ok && grouped.value['weave']);
  const half = readValues(parametersOf('band-frame'), { band: { profile: 'half-round', widthMm: 1 } });
  expect(half.ok && half.value['band']).toEqual({ profile: 'half-round', width: 1, height: 0.5 });
});

it.each<[string, unknown, string, RegExp]>([
  ['coil', { length: -1 }, 'length', /^-1 was given; a number from 0.5 to 500 mm is allowed\.$/],
  ['coil', { length: '20' }, 'length', /^“20” was given/],
  ['coil', { lenght: 20 }, 'lenght', /there is no such field; core, wire, length, open, tail are allowed/],
  ['coil', { wire: 0.4 }, 'wire', /an object of profile, gauge, widthMm, heightMm is allowed/],
  ['coil', { wire: { gauge: { system: 'B&S', value: 20 } } }, 'wire.gauge.system', /one of AWG, SWG, mm/],
  ['coil', { wire: { gauge: { system: 'AWG', value: 99 } } }, 'wire.gauge.value', /it runs from 0000 to 44/],
  ['coil', { wire: { widthMm: 0.4, gauge: { system: 'AWG', value: 20 } } }, 'wire.widthMm', /not both/],
  ['jump-rings', { rings: 2.5 }, 'rings', /^2.5 was given; a whole number from 1 to 500 is allowed/],
  ['bundle-frame', { stone: { outline: 'star', lengthMm: 10 } }, 'stone.outline', /one of round, oval/],
  [
    'bundle-frame',
    { stone: { outline: 'teardrop', lengthMm: 9, widthMm: 12 } },
    'stone.lengthMm',
    /longer than wide/,
  ],
  [
    'bundle-frame',
    { stone: { outline: 'oval', lengthMm: 9, widthMm: 8, colour: 1 } },
    'stone.colour',
    /no such field/,
  ],
  [
    'bundle-frame',
    { stone: { outline: 'freeform', lengthMm: 9, widthMm: 8, pointsMm: [1] } },
    'stone.pointsMm',
    /3 to 500 points/,
  ],
  ['straight-weave', { weave: 'A3 AC2' }, 'weave', /not neighbours in order.*at character 4/],
  [
    'straight-weave',
    { weave: { groups: [{ wires: ['A', 'C'], wraps: 1 }] } },
    'weave.groups',
    /Group 1: AC are not neighbours/,
  ],
  ['straight-weave', [], '', /an object of weave, base/],
])('%s %j is refused beside its field', (id, plain, field, said) => {
  expect((wrong(id, plain) as Record<string, string>)[field]).toMatch(said);
});
