import { FINDING_GROUPS } from './findingGroups';
import { findingsMade } from './findingsMade';
import { TECHNIQUES } from '../techniques/registry';

it('what makes findings belongs to one of their groups, and says how many', () => {
  const making = TECHNIQUES.filter(({ id }) => findingsMade(id, {}));
  expect(making.length).toBeGreaterThan(5);
  for (const { id, group } of making) expect([id, FINDING_GROUPS.includes(group)]).toEqual([id, true]);
  expect(findingsMade('jump-rings', { rings: '36' })).toEqual({ finding: 'jump ring', count: 36 });
  expect(findingsMade('ear-wire', { rings: 'many' })).toEqual({ finding: 'ear wire', count: 1 });
  expect(findingsMade('bundle-frame', {})).toBeUndefined();
});
