import fc from 'fast-check';
import { um } from '../units/length';
import { gaugeSize, type GaugeLabel } from './gauge';
import { METAL_IDS } from './metal';
import { DRAWN_PROFILES, usualHeight } from './profile';
import type { WireSpec } from './spec';
import { suggestSpecs } from './suggestSpec';

function wire(
  label: GaugeLabel,
  metal: WireSpec['metal'] = 'copper',
  profile: WireSpec['profile'] = 'round',
) {
  const size = gaugeSize(label);
  if (!size.ok) throw new Error(size.error);
  const spec: WireSpec = {
    metal,
    profile,
    width: size.value,
    height: usualHeight(profile, size.value),
    temper: 'dead soft',
    finish: 'bare',
    finishName: '',
    label,
  };
  return spec;
}

const awg = (number: string) => ({ system: 'AWG', number }) as const;
const inHand = { metal: 'copper', profile: 'round' } as const;

// ASTM B258: 20 AWG is 0.812 mm, 21 AWG 0.723 mm; the European 0.8 mm is sold as "20" (common practice).
const TWENTY = wire(awg('20'));
const TWENTY_ONE = wire(awg('21'));
const METRIC = wire({ system: 'mm', number: '0.8' });

it('tells the neighbours of a gauge apart, and suggests the metric wire beside it', () => {
  const specs = [TWENTY, TWENTY_ONE, METRIC];
  expect(suggestSpecs(um(815), specs, inHand)).toEqual([TWENTY, METRIC]);
  expect(suggestSpecs(um(722), specs, inHand)).toEqual([TWENTY_ONE]);
  // In the middle of two gauges both may be meant.
  expect(suggestSpecs(um(766), specs, inHand)).toEqual([METRIC, TWENTY_ONE, TWENTY]);
  expect(suggestSpecs(um(2000), specs, inHand)).toEqual([]);
});

it('puts the metal and profile in hand before a nearer wire of another', () => {
  const sterling = wire(awg('20'), 'sterling');
  const square = wire(awg('20'), 'copper', 'square');
  expect(
    suggestSpecs(um(800), [sterling, square, METRIC, TWENTY], { metal: 'sterling', profile: 'round' }),
  ).toEqual([sterling, METRIC, TWENTY, square]);
});

it('suggests exactly the wires within half a gauge, whatever is in hand', () => {
  const someWire = fc
    .tuple(
      fc.integer({ min: 10, max: 30 }),
      fc.constantFrom(...METAL_IDS),
      fc.constantFrom(...DRAWN_PROFILES),
    )
    .map(([number, metal, profile]) => wire(awg(String(number)), metal, profile));
  fc.assert(
    fc.property(fc.array(someWire), fc.integer({ min: 10, max: 30 }), (specs, number) => {
      const size = gaugeSize(awg(String(number)));
      if (!size.ok) throw new Error(size.error);
      // At the very size of a gauge only wires of that gauge are within half a step of it.
      const found = suggestSpecs(size.value, specs, inHand);
      expect(found.map(({ width }) => width)).toEqual(
        specs.filter(({ width }) => width === size.value).map(({ width }) => width),
      );
    }),
  );
});
