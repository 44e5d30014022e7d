import fc from 'fast-check';
import {
  aFlag,
  aForm,
  aKey,
  aList,
  aMap,
  aNumber,
  anyOf,
  aRecord,
  aText,
  orNull,
  readArguments,
  type Argument,
} from './arguments';

const KEY = '6f9619ff-8b86-4d01-b42d-00cf4fc964ff';

it.each<[string, Argument<unknown>, unknown, unknown]>([
  ['a key', aKey, KEY, KEY],
  ['no key', aKey, 'abc', undefined],
  ['a number', aNumber, 12, 12],
  ['a number as text', aNumber, '12', undefined],
  ['a part of a number', aNumber, 1.5, undefined],
  ['less than nothing', aNumber, -1, undefined],
  ['no number at all', aNumber, NaN, undefined],
  ['yes', aFlag, true, true],
  ['something like yes', aFlag, 1, undefined],
  ['a text', aText(3), 'abc', 'abc'],
  ['a long text', aText(3), 'abcd', undefined],
  ['one of some', anyOf(['bead', 'stone']), 'bead', 'bead'],
  ['what every object has', anyOf(['bead']), 'constructor', undefined],
  ['a form', aForm(), { a: 1 }, { a: 1 }],
  ['a list in place of a form', aForm(), [], undefined],
  ['nothing where nothing may be', orNull(aNumber), null, null],
  ['a list', aList(aNumber, 2), [1, 2], [1, 2]],
  ['a long list', aList(aNumber, 2), [1, 2, 3], undefined],
  ['a list with something else in it', aList(aNumber, 2), [1, 'b'], undefined],
  ['a record, without what else it has', aRecord({ n: aNumber }), { n: 1, x: 2 }, { n: 1 }],
  ['a record with something else in it', aRecord({ n: aNumber }), { n: 'x' }, undefined],
  ['names that are not known before', aMap(aNumber, 2), { a: 1, b: 2 }, { a: 1, b: 2 }],
])('%s', (_, read, given, expected) => {
  expect(read(given)).toEqual(expected);
});

it('all arguments are read in their order, and one that cannot be read spoils them all', () => {
  expect(readArguments<[string, number]>([aKey, aNumber], [KEY, 3, 'more'])).toEqual([KEY, 3]);
  expect(readArguments<[string, number]>([aKey, aNumber], [3, KEY])).toBeUndefined();
  expect(readArguments<[string, number]>([aKey, aNumber], [KEY])).toBeUndefined();
});

it('no reader is thrown by anything', () => {
  const readers = [
    aKey,
    aNumber,
    aFlag,
    aText(9),
    aForm(),
    aList(aNumber, 3),
    aMap(aNumber, 3),
    aRecord({ n: aNumber }),
  ];
  fc.assert(
    fc.property(fc.anything(), fc.constantFrom<Argument<unknown>>(...readers), (given, read) => {
      expect(() => read(given)).not.toThrow();
    }),
  );
});
