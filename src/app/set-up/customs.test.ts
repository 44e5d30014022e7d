import { customsOf } from './customs';

// Published conventions (Unicode CLDR), from memory: what a browser of these countries says of itself.
it.each([
  ['en-US', { numbers: 'point', days: 'month', sheet: 'Letter', rings: 'US' }],
  ['en-CA', { numbers: 'point', days: 'year', sheet: 'Letter', rings: 'US' }],
  ['en-GB', { numbers: 'point', days: 'day', sheet: 'A4', rings: 'UK' }],
  ['de-AT', { numbers: 'comma', days: 'day', sheet: 'A4', rings: 'ISO' }],
  ['sv-SE', { numbers: 'comma', days: 'year', sheet: 'A4', rings: 'ISO' }],
])('%s', (locale, customs) => {
  expect(customsOf(locale)).toEqual(customs);
});
