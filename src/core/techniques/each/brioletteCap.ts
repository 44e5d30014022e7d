import { counted } from '../../units/counted';
import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { radiusAt } from '../../piece/body';
import type { Course } from '../../piece/piece';
import { refuse } from '../../result';
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
  wrapsOf,
} from '../../techniqueKit/hangingDrop';
import { length } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';

/** The part of a turn by which the cap ends beside the front of the drop. */
const ENDS = 7 / 12;
/** Where on its way to the front it lies over the turns of the cap: 35° to the right. */
const [SINE, COSINE] = [Math.sin((35 * Math.PI) / 180), Math.cos((35 * Math.PI) / 180)];
/** From turns of the cap to what goes up over them, in thicknesses. */
const AIRY = 1.6;
/** Turns on the stem by the end that comes back up over the cap. */
const AT_THE_TOP = 2;

/**
 * A briolette under a cap: the short end stands as its stem, the long one goes once round it and down over the drop, turn below turn, up again across
 * the front, and twice round the stem; the loop of the short end is wound shut over that.
 */
export const brioletteCap = technique({
  id: 'briolette-cap',
  title: 'Briolette under a cone cap',
  group: 'beads',
  source:
    'a wire through the hole, measured as it lies; a helix on the cone of the drop, its turns touching along the slant',
  parameters: {
    ...drop,
    tail: length('Handling tail at each end', 25, 0, 100),
    down: length('Height of the cap', 6, 0.5, 60),
  },
  plan: (told) => {
    const shape = dropOf(told);
    if (!shape.ok) return shape;
    const {
      down,
      above,
      wraps,
      wire: { width: D },
    } = told;
    const { body, toTip, lean } = shape.value;
    // Over the legs, which lie on the flank; from where they meet above the tip.
    const play = (D * (3 + Math.sin(lean))) / (2 * Math.cos(lean)) - D / 2;
    const from = toTip - above;
    const to = from + down;
    if (to <= 0)
      return refuse(`A cap ${said(down)} high ends above the tip; it goes down ${said(-from)} to there.`);
    if (to > body.length - body.width / 2)
      return refuse(
        `${said(body.length - body.width / 2)} below its tip this drop grows no wider; a cap ${said(down)} high goes down to ${said(to)} and slides off.`,
      );
    const stem = (wraps + 4) * D;
    const top = -above - D - stem;
    // Turn lies on turn: along the stem down to the tip, along the slant below it. It ends where it can go on up across the front.
    const straight = -from / D;
    const turns = Math.floor(straight + to / Math.cos(lean) / D + 1 - ENDS) - 1 + ENDS;
    if (turns <= straight)
      return refuse(`A cap of ${said(D)} wire is at least ${said(2 * D)} high; ${said(down)} is less.`);
    const lifted = radiusAt(body, to) + play + 1.6 * D;
    const middle = to / 2;
    /** How far out it lies over the turns of the cap where those lean so far: a thickness off them and a little air. */
    const overAt = (down: number, leans: number) =>
      radiusAt(body, down) + play + D / 2 + (AIRY * D) / Math.cos(leans);
    const cap = `${counted(turns.toFixed(1), 'turn')} of the cap`;
    const wound = { kind: 'climbing', name: cap, body: 'drop', play } as const;
    const back = 'up across the front';
    const under = wrapsOf(wraps, 'under the loop');
    const first = loopedHand(told, shape.value, stem, overWraps(under, told, wraps, top + D, 'down'));
    const second: readonly Course[] = [
      ...legOf(told, shape.value, 'second'),
      ...(straight > 0 ? [{ ...wound, from, to: 0, turns: straight, begin: 90 }] : []),
      { ...wound, from: 0, to, turns: turns - straight, begin: 90 + 360 * straight },
      {
        kind: 'led',
        name: back,
        to: pose(vec3(lifted * SINE, to - toTip, lifted * COSINE), vec3(-COSINE, -0.5, SINE)),
      },
      {
        kind: 'led',
        name: back,
        to: pose(vec3(0, middle - toTip, overAt(middle, lean)), vec3(0, -Math.cos(lean), -Math.sin(lean))),
      },
      // At the tip it turns from the slope to the stem.
      {
        kind: 'led',
        name: back,
        to: pose(
          vec3(D / 2, -toTip, overAt(0, lean / 2)),
          vec3(0.1, -Math.cos(lean / 2), -Math.sin(lean / 2)),
        ),
      },
      { kind: 'led', name: back, to: pose(vec3(2 * D, -above, overAt(0, 0)), vec3(0, -1)) },
      ...onStem(back, told, AT_THE_TOP, -above - 2.5 * D, 'right'),
    ];
    const cut = hungPiece(
      told,
      shape.value,
      { first, second },
      {
        sits: 'the drop sits here',
        from: 'first',
      },
    );
    if (!cut.ok) return cut;
    return {
      ...cut.value,
      steps: [
        ...stepsOf('short').slice(0, 2),
        {
          id: 'cap',
          makes: ['of the cap'],
          name: 'wind the long end once round the short one and down over the tip, turn below turn',
          minutes: 4,
        },
        {
          id: 'back',
          makes: ['up across the front'],
          name: 'bring it up across the front over all turns and twice round the stem, trim',
          minutes: 1.5,
          cautions: ['cut ends'],
        },
        ...stepsOf('short').slice(2),
        {
          id: 'wrap',
          makes: ['under the loop'],
          name: 'wind the short end down over that, trim and tuck',
          minutes: 1.5,
          cautions: ['cut ends'],
        },
      ],
      order,
      parts: [{ name: `briolette, hole at least ${said(told.drilled)}`, count: 1 }],
    };
  },
});
