import { judgeReach } from '../../judgement/holds';
import type { TakenWire } from '../../technique/act';
import { counted } from '../../units/counted';
import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { parallelOf, perimeterOf } from '../../outline/outline';
import { outlineOf } from '../../stone/outlineOf';
import { domeAt } from '../../piece/body';
import type { Along, Course, Pull, Side } from '../../piece/piece';
import { placeRound } from '../../piece/shape';
import { expectOk, ok, refuse } from '../../result';
import {
  askedWhen,
  choice,
  count,
  length,
  roundWire,
  squareWire,
  stone,
  wire,
} from '../../parameter/parameter';
import { actTechnique } from '../../technique/planActs';
import { LEADS, leadTwisted, OWN_LEADS, stackedBehind } from '../../techniqueKit/leadWire';
import { bareBeside, cornerAt, nearestHolds, sharesOf, spreadBy } from '../../techniqueKit/holdsOfBundle';
import { standing, STANDS } from '../../techniqueKit/standing';
import { said } from '../../technique/technique';
import { evenHolds, type Hold } from '../../judgement/holds';
import { bendOf } from '../../wrap/winding';

/** At the top each hand leaves the stone so far before the middle, and stands upright so far over it, in thicknesses. */
const [TOP, OVER] = [1.6, 1.8];
/** Over a gap at the top they come together so many times as far as they stand aside. */
const CLOSING = 1.6;
/** Wires of a bundle differ by so many times at most: beside a thicker one a thinner is not held by what is bound about both. */
const MOST_THICKER = 1.35;
/** About such a bundle turns reach farther than about one of wires alike. */
const MIXED_SPREAD = 1.04;
/** Between what lies close there is a hair of air, in thicknesses. */
const HAIR = 0.06;
/** A hold takes at least so much of the frame, in thicknesses, and comes in over so many times what it reaches. */
const [LEAST_HOLD, RAMP] = [5.5, 5];
/** A wire is not pulled in where its line turns by more than this, radians. */
const POINTED = 0.5;
/** Over a gap at the top so much stays between both sides that a tie passes between them, in thicknesses of the binding wire. */
const TIED = 3.5;
/** What is between two bound places is not all of the hold’s. */
const OF_ROOM = 0.94;

/**
 * Where both hands cross, each leaves the stone so far before the middle, and comes back to the heights of its row over so much, in times of what
 * it passes ahead of the other; it passes so high over the stone and stands apart so much higher, in thicknesses. Between those that pass one
 * another there is so much room, in thicknesses.
 */
const CROSSED = { top: 3.0, back: 3.7, over: 0.9, apart: 1.9, room: 1.15 };

const SIDES = ['first', 'second'] as const;
const OTHER: Readonly<Record<Side, Side>> = { first: 'second', second: 'first' };
/** From the foot on clockwise is to the left. */
const SIDE_WORDS: Readonly<Record<Side, string>> = { first: 'left', second: 'right' };

/**
 * Frame wires side by side round the edge of a stone, bound together between the places where the foremost is pulled over its face and the
 * rearmost under its back; their ends stand upright at the top.
 */
export const bundleFrame = actTechnique({
  id: 'bundle-frame',
  title: 'Bundle frame round a stone',
  group: 'holding a stone',
  source:
    'each wire along the outline’s parallel curve, the foremost and the rearmost measured where they are pulled in; bound by wraps round k wires',
  parameters: {
    stone: stone('Stone', { outline: 'teardrop', length: 18, width: 13, depth: 5, edge: 2 }),
    stands: STANDS,
    wire: wire('Frame wire', roundWire(0.812), 'frame'),
    wires: count('Frame wires', 3, 1, 12),
    lead: choice('The foremost wire is', LEADS, 'like the others'),
    leadWire: askedWhen(wire('Foremost wire', squareWire(0.812), 'frame'), 'lead', ...OWN_LEADS),
    binding: wire('Binding wire', roundWire(0.321), 'bundle binding'),
    bound: length('Bound along the frame and the upright ends, together', 12, 0, 500),
    bail: length('Ends upright at the top, each', 4, 0, 80),
    opening: length('Gap between both sides at the top, as for a bead', 0, 0, 20),
    meet: choice('At the top both hands', ['stand up side by side', 'cross'], 'stand up side by side'),
    holds: count('Places held in front', 4, 1, 16),
    reach: length('Each reaches over the edge', 1, 0, 20),
    tail: length('Handling tail at each end of a frame wire', 60, 0, 200),
    bindingTail: length('Tail at each end of the binding wire', 60, 0, 200),
  },
  ports: {
    frame: {
      label: 'Frame wires, from the front to the back',
      does: 'go round a stone, bound together',
      takes: ['wire'],
      from: 1,
      to: 12,
      wire: 'wire',
      freshOnly: ['wire', 'wires', 'lead', 'leadWire'],
      fresh: ({ wires, lead, tail }) =>
        lead === 'like the others'
          ? { count: wires, name: 'frame wire', tail }
          : [
              { count: 1, name: 'lead wire', wire: 'leadWire', tail },
              { count: wires - 1, name: 'frame wire', tail },
            ],
    },
  },
  act: (
    { stone: held, stands, lead, binding, bound, bail, opening, meet, holds, reach, tail, bindingTail },
    { wires: taken, own },
  ) => {
    const outline = outlineOf(held);
    if (!outline.ok) return outline;
    const frames = taken('frame');
    // One of them may be of another size; what is left for all of them is left for the thickest.
    const D = Math.max(...frames.map(({ size }) => size.width));
    const thinnest = Math.min(...frames.map(({ size }) => size.width));
    if (D > MOST_THICKER * thinnest)
      return refuse(
        `A wire of ${said(D)} does not lie evenly beside one of ${said(thinnest)}; with that the thickest of a bundle is ${said(MOST_THICKER * thinnest)} at most.`,
      );
    const isMixed = thinnest < D;
    const { height: thin, pitch: close } = bendOf(binding);
    const pitch = close * spreadBy(outline.value, D, thin) * (isMixed ? MIXED_SPREAD : 1);
    // What is bound stands off the stone by the binding.
    const woven = frames.map(({ wound }) => wound);
    const play = Math.max(bound > 0 ? thin : 0, ...woven.map(({ thick }) => thick));
    const stood = standing(held, stands, play + D / 2);
    if (!stood.ok) return stood;
    const { line, whole, footAt, placeOn, lying } = stood.value;
    const shares = sharesOf(whole, holds, bound, { pitch, least: LEAST_HOLD * D });
    const { wraps, up } = shares;
    if (up * pitch > bail)
      return refuse(
        `Between ${counted(holds, 'hold')} and along the upright ends there are ${said(bound - 2 * (up * pitch - bail))}; ${said(bound)} of binding do not lie along them.`,
      );
    const between = opening > 0 ? (TIED / 2) * thin : up > 0 ? thin : 0;
    const asideOf = (thick: number) => (thick / 2) * (1 + HAIR) + between;
    const apart = Math.max(...woven.map(({ apart: woundApart }) => woundApart));
    // Beside a gap they stand up apart, and come together over it.
    const out = Math.max(asideOf(D), opening > 0 ? (opening + D) / 2 : 0);
    const isCrossed = meet === 'cross';
    const twisted =
      lead === 'of its own, twisted on its axis'
        ? leadTwisted(frames, wraps > 0 ? 'bind' : 'form')
        : undefined;
    if (isCrossed && opening > 0)
      return refuse(
        `Where both hands cross at the top no gap of ${said(opening)} stays open between them; let it be 0, or let them stand up side by side.`,
      );
    if (isCrossed && up > 0)
      return refuse(
        `Between ${counted(holds, 'hold')} there are ${said(bound - 2 * up * pitch)}; where both hands cross at the top nothing is bound up their ends, so that is the most.`,
      );
    // One hand passes in front of the other with all its wires.
    // Where a thinner wire crosses beside a thicker one there is a hair between them.
    const behind = stackedBehind(frames, apart + (isCrossed && isMixed ? 1.5 * HAIR * D : 0));
    const stack = behind.at(-1) as number;
    const aheadBy = stack / 2 + (CROSSED.room * D) / 2;
    const roundTo =
      whole / 2 -
      (isCrossed
        ? CROSSED.top * (((D + apart) * (frames.length - 1) + CROSSED.room * D) / 2)
        : TOP * D + out - D / 2);
    const levels = behind.map((far) => held.edge / 2 + stack / 2 - far);
    // What is woven on the wires stays as it is; places are told from the foot, clockwise as the first hand goes.
    const stretches = woven.flatMap((each) => each.stretches);
    const fromFoot = (along: number) => ((along - footAt + 1.5 * whole) % whole) - whole / 2;
    const roomAt = (at: number): number =>
      2 * (Math.min(...stretches.map(({ from, to }) => Math.max(from - at, at - to))) - D);
    const needs = D * (1 + HAIR) + (LEAST_HOLD * D) / 2;
    // Nor does it reach to where both hands go over to cross.
    const belowTop = (at: number): number => (isCrossed ? 2 * (roundTo - Math.abs(at)) : Infinity);
    const openAt = ({ along }: Hold): number =>
      Math.min(shares.open, roomAt(fromFoot(along)), belowTop(fromFoot(along)));
    const holdsAt = evenHolds(whole, holds, reach).map((hold) => {
      const along = (hold.along + footAt + whole / 2) % whole;
      const at = fromFoot(along);
      // Where something is woven it lies on what is bare beside it.
      const isBare = roomAt(at) >= LEAST_HOLD * D;
      const bare = bareBeside(stretches, at, whole / 2, needs);
      return { ...hold, along: isBare ? along : (footAt + bare + whole) % whole };
    });
    const pointed = holdsAt.find(({ along }) => cornerAt(line, along, D) > POINTED);
    if (reach > 0 && pointed)
      return refuse(
        `With ${counted(holds, 'hold')} one lies on a corner of the stone, ${said(pointed.along)} from its top, where a wire cannot be pulled in; take ${holds > 1 ? holds - 1 : holds + 1} or ${holds + (holds > 1 ? 1 : 2)}.`,
      );
    const nearest = nearestHolds(line, holdsAt, reach + play + D / 2);
    if (reach > 0 && nearest < 2 * D)
      return refuse(
        `With ${counted(holds, 'hold')} that reach ${said(reach)} two of them lie ${said(nearest)} from one another; ${said(2 * D)} are the least. Take fewer, or let them reach less.`,
      );
    const least = Math.min(...holdsAt.map(openAt));
    if (reach > 0 && least < LEAST_HOLD * D)
      return refuse(
        `With ${counted(holds, 'hold')} there are ${said(Math.max(0, least))} for one beside what is woven or bound on the frame or crosses at its top; ${said(LEAST_HOLD * D)} are the least.`,
      );
    const rampOf = (long: number) => Math.min(long / 2, RAMP * (reach + play + D / 2));
    const widthOf = (index: number) => (frames[index] as TakenWire).size.width;
    // A thinner wire runs closer to the stone: its own way round is shorter, and so is all that is told along it.
    const sharesOfWay = frames.map(({ size: { width } }) =>
      width === D ? 1 : perimeterOf(parallelOf(outline.value, play + width / 2)) / whole,
    );
    const shareOf = (index: number) => sharesOfWay[index] as number;
    const pullsOf = (index: number): readonly Pull[] => {
      const isFront = index === 0;
      if (reach <= 0 || !(isFront || index === frames.length - 1)) return [];
      const inward = reach / (Math.min(held.length, held.width) / 2);
      // Where the wires are stacked higher than the edge, the outermost is over it already.
      const level = levels[index] as number;
      const half = widthOf(index) / 2;
      const height = isFront ? Math.max(level, domeAt(held, inward) + half) : Math.min(level, -half);
      return holdsAt.map((hold) => {
        const long = OF_ROOM * openAt(hold);
        return { at: shareOf(index) * hold.along, long, inward: reach, height, ramp: rampOf(long) };
      });
    };
    const stoneAt = lying(own('stone'));
    const [foot, top] = [placeOn(footAt), placeOn(footAt + whole / 2).point];
    const handOf = (index: number, side: Side): readonly Course[] => {
      const way = side === 'first' ? 1 : -1;
      const height = levels[index] as number;
      const [aside, share] = [asideOf(widthOf(index)), shareOf(index)];
      const upright = (off: number, over: number) =>
        pose(vec3(top.x - way * off, top.y - OVER * D - over, height), vec3(0, -1));
      const crossed = (): readonly Course[] => {
        const [over, beyondOver] = [CROSSED.over * D, (CROSSED.over + CROSSED.apart) * D];
        const ahead = height + way * aheadBy;
        // All wires of a hand go over together, the thinner with the thicker.
        const passing = pose(vec3(top.x, top.y - over, ahead), vec3(way * 0.75, -0.66));
        const beyond = pose(vec3(top.x + way * asideOf(D), top.y - beyondOver, ahead), vec3(0, -1));
        const last = pose(vec3(beyond.at.x, beyond.at.y - CROSSED.back * aheadBy, height), vec3(0, -1));
        const name = 'crossed at the top';
        return [
          { kind: 'led', name, id: 'crossing', to: passing },
          { kind: 'led', name, id: 'beyond', to: beyond },
          { kind: 'led', name, id: 'top', to: last },
        ];
      };
      const stops = [0, ...shares.aSide.flatMap(({ from }) => (from > 0 ? [from] : [])), roundTo];
      return [
        ...stops.slice(1).map((to, place): Course => ({
          kind: 'round',
          name: 'round the stone',
          // Where something is bound: a wire that is pulled in before has come farther by then.
          id: placeId(to),
          body: own('stone'),
          from: { mm: share * (footAt + way * (stops[place] as number)) },
          to: { mm: share * (footAt + way * to) },
          play,
          height,
          pulls: pullsOf(index),
        })),
        ...(isCrossed
          ? crossed()
          : ([
              {
                kind: 'led',
                name: 'bent upright at the top',
                id: opening > 0 ? 'bent' : 'top',
                to: upright(opening > 0 ? out : aside, 0),
              },
            ] as const)),
        ...(opening > 0
          ? ([
              { kind: 'laid', name: 'beside the gap', id: 'beside', length: opening },
              {
                kind: 'led',
                name: 'together over the gap',
                id: 'top',
                to: upright(aside, opening + CLOSING * (out - aside)),
              },
            ] as const)
          : []),
        ...(bail > 0 ? [{ kind: 'laid', name: 'upright', id: 'upright', length: bail } as const] : []),
      ];
    };
    const inWraps = `${counted(wraps, 'wrap')} round ${counted(frames.length, 'wire')}`;
    const rowFrom = (from: Along['from'], towards: Side): readonly Along[] =>
      frames.map((each) => ({ wire: each.wire, from, towards }));
    const bindingHand = (side: Side): readonly Course[] => {
      const way = side === 'first' ? 1 : -1;
      const outside = perimeterOf(parallelOf(outline.value, play + D + thin / 2)) / whole;
      const past = (from: number, to: number): Course => ({
        kind: 'round',
        name: 'past the holds',
        body: own('stone'),
        from: { mm: outside * (footAt + way * from) },
        to: { mm: outside * (footAt + way * to) },
        play: play + D * (1 + HAIR),
        height: held.edge / 2,
      });
      const clear = 3 * thin;
      const courses: Course[] = [];
      let at = 0;
      for (const { from, turns } of shares.aSide) {
        if (from - at > 2 * clear) courses.push(past(at + (at > 0 ? clear : 0), from - clear));
        courses.push({
          kind: 'bound',
          name: inWraps,
          on: rowFrom(from > 0 ? { side, endOf: placeId(from) } : 0, side),
          turns,
          long: turns * close,
        });
        at = from + turns * pitch;
      }
      if (up > 0)
        courses.push(past(at + clear, whole / 2 - 4 * D), {
          kind: 'bound',
          name: inWraps,
          on: rowFrom({ side, endOf: 'top' }, side),
          turns: up,
          long: up * close,
        });
      return courses;
    };
    const outwards = play + D + (thin / 2) * (1 + HAIR);
    const startOf = (index: number) => {
      const lie = { play, height: levels[index] as number, pulls: pullsOf(index) };
      const begins = expectOk(
        placeRound(lie, stoneAt, (frames[index] as TakenWire).size, shareOf(index) * footAt),
      );
      return pose(begins, vec3(foot.direction.x, foot.direction.y));
    };
    return ok({
      bodies: [stoneAt],
      starts: frames.map((each, index) => ({
        wire: each.wire,
        pose: startOf(index),
        middle: 'middle: the foot of the stone',
        ...(index === 0 && twisted ? { twisted: twisted.turns } : {}),
      })),
      goesOn: frames.flatMap(({ wire: id }, index) =>
        SIDES.map((side) => ({ end: { wire: id, side }, courses: handOf(index, side), tail })),
      ),
      wires:
        wraps > 0
          ? [
              {
                id: own('binding'),
                name: 'binding wire',
                cutFrom: 'binding',
                size: binding,
                middle: 'middle: begin to bind at the foot',
                start: pose(
                  vec3(foot.point.x, foot.point.y + outwards - play - D / 2, held.edge / 2),
                  vec3(0, 0, 1),
                  vec3(foot.direction.x, foot.direction.y),
                ),
                first: bindingHand('first'),
                second: bindingHand('second'),
                tails: { first: bindingTail, second: bindingTail },
              },
            ]
          : [],
      leaves: frames.flatMap(({ wire: id, name }, index) =>
        SIDES.flatMap((side) => [
          {
            // Called by where it stands.
            id: `${SIDE_WORDS[isCrossed ? OTHER[side] : side]} ${index + 1}`,
            label: `${name}, ${SIDE_WORDS[isCrossed ? OTHER[side] : side]} end`,
            takes: 'end' as const,
            wire: id,
            side,
            after: 'close',
          },
          {
            id: `round ${SIDE_WORDS[side]} ${index + 1}`,
            label: `${name}, round the stone to its ${SIDE_WORDS[side]}`,
            takes: 'stretch' as const,
            over: placeId(roundTo),
            wire: id,
            side,
            after: 'close',
          },
          ...(opening > 0
            ? (['beside', 'over'] as const).map((where) => ({
                id: `${where} ${SIDE_WORDS[side]} ${index + 1}`,
                label: `${name}, ${where} the gap on the ${SIDE_WORDS[side]}`,
                takes: 'stretch' as const,
                over: where === 'over' && bail > 0 ? 'upright' : where === 'over' ? 'top' : where,
                wire: id,
                side,
                after: 'close',
              }))
            : []),
        ]),
      ),
      marked: frames.flatMap(({ wire: id }) =>
        SIDES.map((side) => ({
          wire: id,
          side,
          at: isCrossed ? 'crossing' : opening > 0 ? 'bent' : 'top',
          what: 'bend upright: the top of the stone',
        })),
      ),
      steps: [
        { id: 'straighten', name: 'straighten the frame wires', minutes: 2 },
        ...(twisted?.steps ?? []),
        ...(wraps > 0
          ? [
              {
                id: 'bind',
                name: 'bind them side by side',
                minutes: 2 + wraps * 0.08,
                cautions: ['cut ends' as const],
              },
            ]
          : []),
        {
          id: 'form',
          makes: ['round the stone', 'binding wire'],
          name: 'form the frame to the stone',
          minutes: 5,
        },
        { id: 'try', makes: ['stone'], name: 'try the stone', minutes: 1 },
        {
          id: 'close',
          makes: [
            isCrossed ? 'crossed at the top' : 'top',
            'upright',
            ...(opening > 0 ? ['beside the gap', 'together over the gap'] : []),
          ],
          name: 'close the top and bend all ends upright',
          minutes: 4,
        },
        { id: 'back', name: 'turn the back holds', minutes: 4, cautions: ['piercing'] },
        { id: 'front', name: 'turn the front holds', minutes: 5, cautions: ['piercing'] },
      ],
      order: [
        ...(twisted?.order ?? []),
        { first: 'try', then: 'close', why: 'a frame that is closed cannot be formed to the stone any more' },
        { first: 'back', then: 'front', why: 'the front holds pull against the back ones' },
      ],
      stacked: { wires: frames.length, thick: D, edge: held.edge, about: 'wires' },
      // It lies over the edge but for where it comes in and goes out.
      holds: holdsAt.map((hold) => {
        const [long, part] = [OF_ROOM * openAt(hold), perimeterOf(outline.value) / whole];
        return { along: part * hold.along, reach, long: part * Math.max(0, long - rampOf(long)) };
      }),
      advice: [...(reach > 0 ? judgeReach(reach, D, held.edge, 'reach') : []), ...(twisted?.advice ?? [])],
      notes: [
        `The stone is ${said(perimeterOf(outline.value))} round; the wires run ${said(play + D / 2)} outside of it.`,
      ],
    });
  },
});

/** What the end of a course is called that runs to a place so far from the foot. */
const placeId = (mm: number): string => `to ${mm.toFixed(3)}`;
