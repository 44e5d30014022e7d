import type { PatternBody } from '../pattern/pattern';
import { cost } from '../units/money';
import { isStonePart, withStoneChosen } from './lineBody';

const body = (...parts: readonly (readonly [name: string, count: number])[]): PatternBody => ({
  name: 'Weir',
  kind: 'pendant',
  notes: '',
  cuts: [],
  parts: parts.map(([name, count]) => ({ name, count, unitCost: cost(1000) })),
  steps: [],
});
const partsOf = ({ parts }: PatternBody) => parts.map(({ name, count }) => [name, count]);

describe('a pattern for which a stone of the drawer is chosen', () => {
  it.each([
    // By its material, whatever else is called like a stone.
    [
      'Carnelian',
      [
        ['onyx cab', 1],
        ['carnelian oval', 1],
      ],
      [['onyx cab', 1]],
    ],
    // Else the part that is called like a stone.
    [
      'unakite',
      [
        ['bead', 2],
        ['oval cabochon', 1],
      ],
      [['bead', 2]],
    ],
    // Of two stones, the other is picked as before.
    ['garnet', [['garnet cab', 2]], [['garnet cab', 1]]],
    // No part stands for a stone: nothing changes.
    [
      'iolite',
      [
        ['bead', 2],
        ['ear wire', 1],
      ],
      [
        ['bead', 2],
        ['ear wire', 1],
      ],
    ],
    ['', [['bead', 2]], [['bead', 2]]],
  ] as const)('of %s has %j less that stone', (material, before, after) => {
    expect(partsOf(withStoneChosen(body(...before), material))).toEqual(after);
  });

  it('knows what is called like a stone', () => {
    expect(['Prehnite cabs', 'top-drilled briolette', 'unakite crescent'].map(isStonePart)).toEqual([
      true,
      true,
      true,
    ]);
    expect(['ear wire', 'pointed cap', 'teardrop bead'].map(isStonePart)).toEqual([false, false, false]);
  });
});
