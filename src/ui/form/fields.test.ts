import { withUnit, withUnits } from './fields';

it.each([
  ['10 1/4', 'in', '10 1/4 in'],
  ['10½', 'in', '10½ in'],
  ['.8', 'mm', '.8 mm'],
  ['26cm', 'in', '26cm'],
  [`3' 2"`, 'in', `3' 2"`],
  ['', 'in', ''],
  ['  ', 'in', '  '],
  ['ten', 'mm', 'ten'],
  ['-3', 'mm', '-3 mm'],
] as const)('%p typed in a studio of %s is sent as %p', (typed, system, sent) => {
  expect(withUnit(typed, system)).toBe(sent);
});

it.each([
  ['40', '40 mm'],
  ['2 × 15', '2 × 15 mm'],
  ['2x15+40', '2x 15 mm+40 mm'],
  ['1/2 in+12', '1/2 in+12 mm'],
] as const)('several lengths typed as %p are sent as %p', (typed, sent) => {
  expect(withUnits(typed, 'mm')).toBe(sent);
});
