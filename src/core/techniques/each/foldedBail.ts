import { counted } from '../../units/counted';
import type { Along, Course } from '../../piece/piece';
import { ok, refuse, type Result } from '../../result';
import { choice, count, length, roundWire, wire } from '../../parameter/parameter';
import { endsLeft } from '../../techniqueKit/endsLeft';
import { actTechnique } from '../../technique/planActs';
import { sideBySide } from '../../techniqueKit/sideBySide';
import { said } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

/** Ends come side by side over at least so much, in thicknesses. */
const GATHER = 2;

/** Ends side by side folded over a mandrel, down behind where they came up, and bound to the neck. */
export const foldedBail = actTechnique({
  id: 'folded-bail',
  title: 'Folded bail',
  group: 'findings',
  source: 'an arc about the mandrel, one back beside the neck and the line that touches both: plane geometry',
  parameters: {
    wire: wire('Bail wire', roundWire(0.812), 'frame'),
    wires: count('Wires side by side', 3, 1, 10),
    inside: length('Inside, for the chain', 5, 1, 30),
    leg: length('Leg from the neck to the bend', 8, 0, 40),
    over: choice('Folded', ['to the back', 'to the front'], 'to the back'),
    gather: length('Brought side by side over', 0, 0, 60),
    clear: length('Comes down behind what is this thick', 0, 0, 20),
    binding: wire('Binding wire', roundWire(0.321), 'bundle binding'),
    wraps: count('Wraps at the neck', 8, 0, 60),
    tail: length('Tail at each end', 20, 0, 100),
    bindingTail: length('Tail at each end of the binding wire', 40, 0, 200),
  },
  ports: {
    ends: {
      label: 'Ends that become the bail',
      does: 'fold over into a bail',
      takes: ['end'],
      from: 1,
      to: 10,
      proposed: 2,
      wire: 'wire',
      freshOnly: ['wire', 'wires'],
      fresh: ({ wires, tail }) => ({ count: wires, name: 'bail wire', tail }),
    },
  },
  act: (
    { wire: bail, inside, leg, over, gather, clear, binding, wraps, tail, bindingTail },
    { ends, own },
  ) => {
    const { width: D } = bail;
    const { pitch } = bendOf(binding);
    // Above the last wrap both legs go on side by side a little.
    const neck = wraps > 0 ? (wraps + 1) * pitch : 0;
    const fold = foldOf({ inside, leg, neck, back: D + clear, D });
    if (!fold.ok) return fold;
    const folded = ends('ends');
    const gathered =
      gather > 0 ? sideBySide(folded, { id: own('row'), step: D, along: Math.max(gather, GATHER * D) }) : [];
    const roll = over === 'to the back' ? -90 : 90;
    const courses: readonly Course[] = [
      ...(leg > 0 ? [{ kind: 'laid', name: 'two legs', length: leg } as const] : []),
      {
        kind: 'bent',
        name: 'over the mandrel',
        id: own('bend'),
        about: inside,
        angle: fold.value.turn,
        roll,
      },
      ...(fold.value.slant > 0
        ? [{ kind: 'laid', name: 'two legs', length: fold.value.slant } as const]
        : []),
      ...(fold.value.turn > 180
        ? [
            {
              kind: 'bent',
              name: 'two legs',
              about: fold.value.about,
              angle: 180 - fold.value.turn,
              roll,
            } as const,
          ]
        : []),
      { kind: 'laid', name: 'two legs', id: own('down'), length: fold.value.down },
    ];
    const legs: readonly Along[] = folded.flatMap(({ wire: on, side, places }): readonly Along[] => [
      { wire: on, from: gather > 0 ? { side, endOf: own('row') } : places, towards: side },
      {
        wire: on,
        from: { side, endOf: own('down') },
        towards: side === 'first' ? 'second' : 'first',
      },
    ]);
    return ok({
      goesOn: folded.map((end, index) => ({
        end,
        courses: [...gathered.slice(index, index + 1), ...courses],
        tail,
      })),
      wires:
        wraps > 0
          ? [
              {
                id: own('binding'),
                name: 'binding wire',
                cutFrom: 'binding',
                size: binding,
                first: [
                  {
                    kind: 'bound',
                    name: `${counted(wraps, 'wrap')} round ${counted(2 * folded.length, 'wire')}`,
                    on: legs,
                    turns: wraps,
                    long: wraps * pitch,
                  },
                ],
                second: [],
                tails: { first: bindingTail, second: bindingTail },
                middle: 'begin to bind',
              },
            ]
          : [],
      leaves: endsLeft(folded),
      hangs: folded.map(({ wire: id, side }) => ({ wire: id, side, over: own('bend') })),
      marked: folded.map(({ wire: id, side }) => ({
        wire: id,
        side,
        at: own('bend'),
        what: 'over the mandrel: the bend begins',
      })),
      steps: [
        { id: 'fold', makes: ['two legs'], name: 'fold the wires over a mandrel', minutes: 2 },
        { id: 'hang', name: 'thread what the bail shall hold', minutes: 0.5 },
        ...(wraps > 0
          ? [{ id: 'bind', makes: ['binding wire'], name: 'bind the neck', minutes: 1 + wraps * 0.15 }]
          : []),
        { id: 'tuck', name: 'bring the ends down behind', minutes: 3, cautions: ['cut ends', 'piercing'] },
      ],
      order: [
        {
          first: 'hang',
          then: wraps > 0 ? 'bind' : 'tuck',
          why: 'a closed ring does not pass a bail that is bound',
        },
      ],
      notes: [`It is ${said(folded.length * D)} wide and lets ${said(inside)} through.`],
    });
  },
});

/** Both legs lie beside each other over at least so much, in thicknesses. */
const MEETS = 2;

/** How an end comes down behind where it went up. */
interface Fold {
  /** About the mandrel, degrees; more than half a turn when it comes in again. */
  readonly turn: number;
  /** Straight on from there, mm, to a bend about something, and straight down beside the neck. */
  readonly slant: number;
  readonly about: number;
  readonly down: number;
}

/**
 * The way over a mandrel and down to behind the neck: two arcs, and the line that touches both. Legs that are too short for that stand as far
 * apart as the mandrel is thick.
 * @param told `leg` from the neck to the mandrel, of which the lowest `neck` lie side by side, `back` from the middle of the one leg to the other
 */
function foldOf({
  inside,
  leg,
  neck,
  back,
  D,
}: {
  readonly inside: number;
  readonly leg: number;
  readonly neck: number;
  readonly back: number;
  readonly D: number;
}): Result<Fold> {
  if (neck > leg)
    return refuse(`The wraps take ${said(neck)} of the neck; legs of ${said(leg)} are shorter.`);
  const round = (inside + D) / 2;
  const about = 2 * D;
  const beside = (about + D) / 2;
  const down = Math.min(leg, Math.max(neck, MEETS * D));
  const drop = leg - down;
  const [reach, aside] = [round + beside, back - round + beside];
  const far = Math.hypot(drop, aside);
  if (back >= 2 * round || far < reach) return ok({ turn: 180, slant: drop, about, down });
  const lean = Math.asin(reach / far) - Math.atan2(aside, drop);
  const slant = (drop - reach * Math.sin(lean)) / Math.cos(lean);
  return ok({ turn: 180 + (lean * 180) / Math.PI, slant, about, down });
}
