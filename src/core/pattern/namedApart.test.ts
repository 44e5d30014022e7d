import { named } from '../../../tests/support/techniques';
import { techniqueOf } from '../techniques/registry';
import { EMPTY_COMPOSITION } from './composition';
import { goneOn } from './goneOn';
import { namedApart } from './namedApart';
import { resolve } from './resolve';

const AT_HAND = { specs: {}, techniques: techniqueOf };
const added = (ids: readonly (readonly [string, Parameters<typeof goneOn>[2]])[]) => {
  const composition = ids.reduce(
    (so, [id, takes]) => goneOn(so, named(id), takes, AT_HAND),
    EMPTY_COMPOSITION,
  );
  const { uses } = resolve(composition, {}, techniqueOf);
  return uses.map((use) => namedApart(use, uses));
};

it('a technique is called by its name, and where there are several by what each takes up, or by their order', () => {
  const frame = ['bundle-frame', undefined] as const;
  const spiral = (end: string) => ['flat-spiral', { ends: [`a.${end}`] }] as const;
  expect(added([frame, spiral('left 1')])).toEqual(['Bundle frame round a stone', 'Flat spiral']);
  expect(added([frame, spiral('left 1'), spiral('right 2')])).toEqual([
    'Bundle frame round a stone',
    'Flat spiral: frame wire 1, left end',
    'Flat spiral: frame wire 2, right end',
  ]);
  expect(
    added([
      ['ear-wire', undefined],
      ['ear-wire', undefined],
    ]),
  ).toEqual(['Ear wire, 1', 'Ear wire, 2']);
});
