import written from '../../../tests/fixtures/compositions-before-pieces.json';
import { expectOk } from '../result';
import { TECHNIQUES, techniqueOf } from '../techniques/registry';
import { withUse } from './changes';
import { readComposition } from './readComposition';
import { resolve } from './resolve';

/**
 * Compositions as the release before pieces wrote them: the patterns of the house, and every technique of then as it was proposed.
 */
describe('a composition of the release before pieces', () => {
  it.each(written.map(({ name, composition }) => [name, composition] as const))(
    '%s comes in, can be made, and can be changed',
    (_, composition) => {
      const read = expectOk(readComposition(composition, TECHNIQUES));
      expect(read.uses.map(({ technique }) => technique)).toEqual(
        composition.uses.map(({ technique }) => technique),
      );
      const resolved = resolve(read, {}, techniqueOf);
      // What was typed then is read, and what of it is gone stands in nobody's way.
      expect(resolved.uses.map(({ use, plan }) => [use.technique, plan !== undefined])).toEqual(
        read.uses.map(({ technique }) => [technique, true]),
      );
      const [first] = read.uses;
      if (!first) throw new Error('it has a technique');
      const changed = withUse(read, first.id, { name: 'changed' });
      expect(resolve(changed, {}, techniqueOf).uses[0]?.use.name).toBe('changed');
      // Going on from nothing, each of them is cut from wires of its own, as it was.
      expect(resolved.cuts.length).toBeGreaterThanOrEqual(
        read.uses.filter(({ technique }) => technique !== 'antique').length > 0 ? 1 : 0,
      );
    },
  );
});
