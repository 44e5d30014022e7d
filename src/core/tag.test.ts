import fc from 'fast-check';
import { numberOnTag, pathOf, readTag, tag, type Tagged } from './tag';

it('reads back what it writes, and takes a tag as people type it', () => {
  fc.assert(
    fc.property(
      fc.constantFrom<Tagged>('wire', 'scrap', 'pattern', 'piece'),
      fc.integer({ min: 1, max: 9_999_999 }),
      (kind, number) => {
        expect(numberOnTag(kind, tag(kind, number))).toBe(number);
        expect(numberOnTag(kind, tag(kind, number).toLowerCase().replace('-', ''))).toBe(number);
      },
    ),
  );
  expect(tag('wire', 42)).toBe('W-0042');
});

it('takes no other thing for a tag', () => {
  for (const text of ['P-0042', 'W', 'W-', '42', 'W-4x', 'W--4', 'W-123456789', ''])
    expect(numberOnTag('wire', text)).toBeUndefined();
});

it('knows what a scanned tag is of, and where its page is', () => {
  expect(readTag('w-42')).toEqual({ kind: 'wire', number: 42 });
  expect(readTag(' J-0003 ')).toEqual({ kind: 'scrap', number: 3 });
  expect(readTag('20 ga sterling')).toBeUndefined();
  expect(pathOf('count', 7)).toBe('/counts/T-0007');
});
