import { pose, type Pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Course } from '../../piece/piece';
import {
  drop,
  dropOf,
  hungPiece,
  legOf,
  loopedHand,
  onStem,
  order,
  overWraps,
  stepsOf,
  underLoop,
  wrapsOf,
} from '../../techniqueKit/hangingDrop';
import { length, roundWire, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';

/** Turns over the wraps by the end that made the swirl. */
const OVER = 2;
/** Half the angle at the point of the teardrop loop, degrees. */
const POINTED = 30;

/**
 * A briolette on a loop of its short end; the long end goes once round the stem, down over the front with a small loop and a larger one below it,
 * and up again over the wraps.
 */
export const brioletteSwirl = technique({
  id: 'briolette-swirl',
  title: 'Briolette with a front swirl',
  group: 'beads',
  source:
    'a wire through the hole, measured as it lies; loops of a turn, a teardrop of two tangents and an arc',
  parameters: {
    ...drop,
    wire: wire('Wire', roundWire(0.644), 'hanging'),
    small: length('Small loop in front, inside', 1, 0.3, 15),
    large: length('Teardrop loop below it, inside', 2, 0.5, 30),
  },
  plan: (told) => {
    const shape = dropOf(told);
    if (!shape.ok) return shape;
    const {
      above,
      wraps,
      small,
      large,
      wire: { width: D },
    } = told;
    const { toTip, lean } = shape.value;
    const stem = (wraps + 4) * D;
    const top = -above - D - stem;
    const once = 'once round the stem';
    const over = wrapsOf(OVER, 'over them');
    /** On the front of the drop: so far down its slope from the tip and above it, heading down or up it. */
    const onFront = (down: number, high: number, heading: 1 | -1): Pose => {
      const [c, s] = [Math.cos(lean), Math.sin(lean)];
      return pose(
        vec3(0, -toTip + c * down - s * high, s * down + c * high),
        vec3(0, heading * c, heading * s),
        vec3(0, -s, c),
      );
    };
    const begin = 3 * D;
    const below = begin + small + 3 * D;
    const radius = (large + D) / 2;
    const pointed = (POINTED * Math.PI) / 180;
    const first = loopedHand(told, shape.value, stem, [underLoop(told)]);
    const second: readonly Course[] = [
      ...legOf(told, shape.value, 'second'),
      ...onStem(once, told, 1.25, -above - 2 * D, 'left'),
      { kind: 'led', name: 'down over the front', to: pose(vec3(D, -above - 1.5 * D, 2.5 * D), vec3(0, 1)) },
      { kind: 'led', name: 'down over the front', to: pose(vec3(0, -toTip, 1.7 * D), vec3(0, 1, 0.2)) },
      { kind: 'led', name: 'down over the front', to: onFront(1.5 * D, D, 1) },
      { kind: 'laid', name: 'down over the front', length: begin - 1.5 * D },
      { kind: 'coiled', name: 'small loop', about: small, turns: 1, pitch: D },
      { kind: 'laid', name: 'down over the front', length: below - begin },
      { kind: 'bent', name: 'teardrop loop', about: 0, angle: -POINTED },
      { kind: 'laid', name: 'teardrop loop', length: radius / Math.tan(pointed) },
      { kind: 'bent', name: 'teardrop loop', about: large, angle: 180 + 2 * POINTED },
      { kind: 'led', name: 'teardrop loop', to: onFront(below, 3.5 * D, -1) },
      { kind: 'led', name: 'up across the drop', to: pose(vec3(2 * D, -above - 2 * D, 3 * D), vec3(0, -1)) },
      ...overWraps(over, told, OVER, top + (OVER + 2) * D, 'up'),
    ];
    const cut = hungPiece(
      told,
      shape.value,
      { first, second },
      {
        sits: 'the drop sits here, at the short end',
        from: 'first',
      },
    );
    if (!cut.ok) return cut;
    return {
      ...cut.value,
      steps: [
        ...stepsOf('short'),
        {
          id: 'wrap',
          makes: ['under the loop'],
          name: 'wind the short end down below its loop, trim',
          minutes: 1.5,
          cautions: ['cut ends'],
        },
        {
          id: 'swirl',
          makes: ['once round the stem'],
          name: 'bring the long end once round the stem and down the front: a small loop, a larger one below it',
          minutes: 4,
        },
        {
          id: 'over',
          makes: ['up across the drop'],
          name: 'bring it up across and twice over the wraps, trim and tuck',
          minutes: 1.5,
          cautions: ['cut ends'],
        },
      ],
      order,
      parts: [{ name: `briolette, hole at least ${said(told.drilled)}`, count: 1 }],
    };
  },
});
