import { withUnit } from './fields';

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
