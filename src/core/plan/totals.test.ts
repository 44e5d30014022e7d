import { expectOk } from '../result';
import { um } from '../units/length';
import { formatGauge } from '../wire/gauge';
import { roundWire } from '../parameter/parameter';
import { techniqueOf } from '../techniques/registry';
import type { AnyTechnique } from '../technique/technique';
import { labelOf, massOfPlan, plainSpec } from './totals';

it('a size is called by the AWG number that it is, else by its millimetres', () => {
  expect(formatGauge(labelOf(um(812)))).toBe('20 ga');
  expect(formatGauge(labelOf(um(800)))).toBe('0.8 mm');
  expect(plainSpec({ profile: 'half-round', width: 1, height: 0.5 }, 'copper')).toMatchObject({
    height: 500,
    label: { system: 'mm', number: '1' },
  });
});

it('what stays in a piece weighs its net length: 100 mm of 1 mm copper at 8.89 g/cm³ (IEC 60028)', () => {
  const { plan } = techniqueOf('free-cut') as AnyTechnique;
  const values = { wire: roundWire(1), length: 100, tail: 50 };
  const mass = massOfPlan(expectOk(plan(values as never)), values, () => 'copper');
  expect(mass).toBeCloseTo((Math.PI / 4) * 8.89 * 0.1, 4);
});
