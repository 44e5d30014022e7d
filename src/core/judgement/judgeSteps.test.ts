import { roundWire } from '../parameter/parameter';
import { plainSpec } from '../plan/totals';
import { actsCalled, judgeSteps } from './judgeSteps';

const bare = plainSpec(roundWire(0.812), 'copper');
const coated = { ...bare, finish: 'coated' as const };

it.each([
  [['antique it'], ['antiquing']],
  [
    ['oxidise and polish', 'hammer the loop lightly'],
    ['antiquing', 'hammering'],
  ],
  [['give it a patina'], ['antiquing']],
  [['file the ends round'], ['filing']],
  [['fill the gap', 'profile of the loop'], []],
])('%j', (names, acts) => {
  expect(actsCalled(names.map((name) => ({ name })))).toEqual(acts);
});

// Common practice (handbook of the trade): coated wire is neither antiqued nor hammered; bare copper is both.
it('coated wire that is antiqued or hammered is said, bare copper is not', () => {
  const steps = [{ name: 'hammer the ends' }, { name: 'antique and polish' }];
  expect(judgeSteps(steps, [bare])).toEqual([]);
  expect(judgeSteps(steps, [coated]).map(({ said }) => said)).toEqual([
    'Coated wire cannot be antiqued.',
    'Coated wire should not be hammered.',
  ]);
  expect(judgeSteps([{ name: 'wrap' }], [coated])).toEqual([]);
});
