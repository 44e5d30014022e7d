import { customsOf } from './customs';

// Published conventions (Unicode CLDR), from memory: what a browser of these countries says of itself.
it.each([
  ['en-US', { numbers: 'point', days: 'month', sheet: 'Letter' }],
  ['en-CA', { numbers: 'point', days: 'year', sheet: 'Letter' }],
  ['en-GB', { numbers: 'point', days: 'day', sheet: 'A4' }],
  ['de-AT', { numbers: 'comma', days: 'day', sheet: 'A4' }],
  ['sv-SE', { numbers: 'comma', days: 'year', sheet: 'A4' }],
])('%s', (locale, customs) => {
  expect(customsOf(locale)).toEqual(customs);
});
