import type { Course } from '../../piece/piece';
import { counted } from '../../units/counted';
import {
  drop,
  dropOf,
  hungPiece,
  legOf,
  loopedHand,
  order,
  stepsOf,
  underLoop,
  wrapsOf,
} from '../../techniqueKit/hangingDrop';
import { count } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';

/** A briolette on a plain wrapped loop: the short end is wound on the longer one, the longer one makes the loop and is wound down to it. */
export const brioletteLoop = technique({
  id: 'briolette-loop',
  title: 'Briolette on a wrapped loop',
  group: 'beads',
  source: 'a wire through the hole, measured as it lies; a loop of a turn, wraps n √[(2πD)² + D²]',
  parameters: { ...drop, cross: count('Wraps of the short end', 2, 1, 10) },
  plan: (told) => {
    const shape = dropOf(told);
    if (!shape.ok) return shape;
    const { wraps, cross, wire: size } = told;
    const D = size.width;
    const stem = (cross + wraps + 2) * D;
    const below = wrapsOf(cross, 'of the short end');
    const first = loopedHand(told, shape.value, stem, [underLoop(told)]);
    const second: readonly Course[] = [
      ...legOf(told, shape.value, 'second'),
      {
        kind: 'wound',
        name: below,
        on: [{ wire: 'wire', from: { side: 'first', endOf: 'leg', on: D / 2 }, towards: 'first' }],
        groups: [{ kind: 'wrap', first: 0, last: 0, wraps: cross }],
      },
    ];
    const cut = hungPiece(
      told,
      shape.value,
      { first, second },
      {
        sits: 'the drop sits here, not in the middle',
        from: 'second',
      },
    );
    if (!cut.ok) return cut;
    return {
      ...cut.value,
      steps: [
        ...stepsOf('longer').slice(0, 2),
        {
          id: 'short',
          makes: ['of the short end'],
          name: `wind the short end on the longer one ${counted(cross, 'time')}, trim`,
          minutes: 1,
          cautions: ['cut ends'],
        },
        ...stepsOf('longer').slice(2),
        {
          id: 'wrap',
          makes: ['under the loop'],
          name: 'wind the longer end down to the short one’s wraps, trim and tuck',
          minutes: 2,
          cautions: ['cut ends'],
        },
      ],
      order,
      parts: [{ name: `briolette, hole at least ${said(told.drilled)}`, count: 1 }],
    };
  },
});
