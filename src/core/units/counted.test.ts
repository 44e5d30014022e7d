import { TECHNIQUES } from '../techniques/registry';
import { initialValues } from '../parameter/parameter';
import { counted } from './counted';

it('says things in their number', () => {
  expect([counted(1, 'band'), counted(2, 'band'), counted(0, 'band')]).toEqual([
    '1 band',
    '2 bands',
    '0 bands',
  ]);
  expect([counted('1.0', 'turn'), counted('1.5', 'turn'), counted(2, 'lash', 'lashes')]).toEqual([
    '1.0 turn',
    '1.5 turns',
    '2 lashes',
  ]);
});

it('no technique says one of something in the plural, however few it takes', () => {
  for (const { id, parameters, plan } of TECHNIQUES) {
    const fewest = { ...initialValues(parameters) };
    for (const [key, parameter] of Object.entries(parameters))
      if (parameter.kind === 'count') Object.assign(fewest, { [key]: Math.max(1, parameter.from) });
    const made = plan(fewest as never);
    if (!made.ok) continue;
    const said = [
      ...made.value.notes,
      ...made.value.cuts.flatMap(({ terms, name }) => [name, ...terms.map((term) => term.name)]),
      ...made.value.steps.map(({ name }) => name),
    ];
    for (const each of said)
      expect([id, each]).toEqual([id, expect.not.stringMatching(/(^|\s)1 [a-z]+[^s]s\b/)]);
  }
});
