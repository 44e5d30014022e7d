import { leaverOf, refOfUse, refsOf, takesInstead } from './refs';

const TAKES = { ends: ['a.left 1', 'b.right 2'], winder: ['a.end 1.5'] };

it('a reference is told by the use that leaves it, and what it is called there', () => {
  expect(refsOf(TAKES).map(leaverOf)).toEqual(['a', 'b', 'a']);
  expect(refsOf(TAKES).map((ref) => refOfUse(ref, 'c'))).toEqual(['c.left 1', 'c.right 2', 'c.end 1.5']);
});

it('ports keep their order when other things are taken up, and nothing is taken when something is not there', () => {
  expect(takesInstead(TAKES, (ref) => refOfUse(ref, 'd'))).toEqual({
    ends: ['d.left 1', 'd.right 2'],
    winder: ['d.end 1.5'],
  });
  expect(takesInstead(TAKES, (ref) => (ref.startsWith('b') ? undefined : ref))).toBeUndefined();
  expect(takesInstead({}, (ref) => ref)).toBeUndefined();
});
