import { perimeterOf } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
import { ok, refuse, type Result } from '../result';
import { isActed } from '../technique/act';
import type { Offer } from '../technique/joinActs';
import type { StoneSize } from '../stone/stoneSize';
import { refOfUse, refsOf, takesInstead, leaverOf, type ChosenPorts } from '../technique/refs';
import { said } from '../technique/technique';
import { counted } from '../units/counted';
import { parseLength, UM_PER_MM, type LengthSystem } from '../units/length';
import { freeId } from './addTechnique';
import type { Composition, TechniqueUse } from './composition';
import type { AtHand } from './goneOn';
import { resolve, type Resolved, type ResolvedUse } from './resolve';

/** So many times at most something is done again at once. */
export const MOST_TIMES = 24;

type Worked = Pick<Resolved, 'uses' | 'pieces' | 'left'>;

/** What can be done again: techniques one after the other on the same ends. */
export interface Repeatable {
  /** In the order of the work. */
  readonly uses: readonly TechniqueUse[];
  /** What of the first of its ends it takes each time, mm. */
  readonly long: number;
}

/** A use and those that go on from it alone, in the order of the work. */
function goingOn(id: string, uses: readonly ResolvedUse[]): readonly TechniqueUse[] {
  const chain: TechniqueUse[] = [];
  for (const { use } of uses) {
    const refs = refsOf(use.takes);
    const isOfIt = refs.length > 0 && refs.every((ref) => chain.some((each) => each.id === leaverOf(ref)));
    if (use.id === id || isOfIt) chain.push(use);
  }
  return chain;
}

/** The ends that a use took up, as they are left now; undefined when it took up other things, or one of them is not free any more. */
function takesLeft(
  { use: { takes }, offered }: ResolvedUse,
  left: readonly Offer[],
): ChosenPorts | undefined {
  return takesInstead(takes, (ref) => {
    const end = offered.find((each) => each.ref === ref && each.takes === 'end');
    return (
      end &&
      left.find((each) => each.takes === 'end' && each.wire === end.wire && each.side === end.side)?.ref
    );
  });
}

/** What a technique and those that go on from it could do again; undefined when its ends are not left free, or it follows another. */
export function repeatableFrom(id: string, { uses, pieces, left }: Worked): Repeatable | undefined {
  const first = uses.find(({ use }) => use.id === id);
  const [ref] = first ? refsOf(first.use.takes) : [];
  if (!first || ref === undefined || !isActed(first.technique) || !takesLeft(first, left)) return undefined;
  const chain = goingOn(id, uses);
  const end = first.offered.find((each) => each.ref === ref);
  const piece = pieces.find((each) => each.uses.includes(id));
  const hand = piece?.run.wires.find(({ wire }) => wire.id === end?.wire);
  if (!end || !piece || !hand || chain.some(({ mirrors }) => mirrors !== undefined)) return undefined;
  const isOfIt = (by: string | undefined) => chain.some((each) => each.id === by);
  const long = hand[end.side]
    .filter(({ course }) => course !== undefined && isOfIt(piece.by.get(course)))
    .reduce((sum, { length }) => sum + length, 0);
  return { uses: chain, long };
}

/**
 * Does a technique and those that go on from it once more, and once more, each time from where the ends are left.
 * @param times 1 to {@link MOST_TIMES}
 * @returns a sentence when it cannot be done so often
 */
export function withRepeated(
  composition: Composition,
  id: string,
  times: number,
  { specs, techniques }: AtHand,
): Result<Composition> {
  let worked = resolve(composition, specs, techniques);
  const chain = repeatableFrom(id, worked)?.uses;
  if (!chain)
    return refuse('What its ends do next is settled already: there is nothing left to do it again with.');
  let now = composition;
  for (let time = 0; time < times; time += 1) {
    const first = worked.uses.find(({ use }) => use.id === id) as ResolvedUse;
    const again = takesLeft(first, worked.left);
    const copies = new Map<string, string>();
    const ofCopy = (ref: string) => refOfUse(ref, copies.get(leaverOf(ref)) ?? '');
    const next = chain.reduce((before, use): Composition => {
      const copy = freeId(before);
      copies.set(use.id, copy);
      const takes = (use.id === id ? again : takesInstead(use.takes, ofCopy)) ?? {};
      return { ...before, uses: [...before.uses, { ...use, id: copy, takes }] };
    }, now);
    worked = resolve(next, specs, techniques);
    const stuck = worked.uses.slice(-chain.length).find(({ plan }) => plan === undefined);
    if (!again || stuck)
      return refuse(
        `It can be done ${counted(time, 'time', 'times')} more, not ${times}: ${stuck?.refusal || 'something in it cannot be read, or its ends are used up.'}`,
      );
    now = next;
  }
  return ok(now);
}

/**
 * How much of the outline of a stone is left to go round it with the same again, mm.
 * @param long what it takes each time, mm: it was done once already
 * @returns undefined when it does not fit once more, or takes no length
 */
export function againRound(stone: StoneSize, long: number): number | undefined {
  const outline = outlineOf(stone);
  const left = outline.ok ? perimeterOf(outline.value) - long : 0;
  return long > 0 && left >= long ? left : undefined;
}

/**
 * How often something is done again: “3”, or along so much of its end: “60 mm”.
 * @param long what it takes of the end each time, mm
 */
export function readTimes(text: string, long: number, system: LengthSystem): Result<number> {
  const typed = text.trim();
  const isCount = /^\d{1,4}$/.test(typed);
  const read = parseLength(typed, system);
  if (!isCount && !read.ok)
    return refuse(`“${typed}” is neither so many times, like 3, nor a length, like 60 mm.`);
  if (!isCount && long <= 0) return refuse('It takes no length of its end; write how many times, like 3.');
  const along = read.ok ? read.value / UM_PER_MM : 0;
  const times = isCount ? Number(typed) : Math.floor(along / long + 1e-6);
  if (!isCount && times < 1)
    return refuse(`Once more takes ${said(long)} of the end; ${said(along)} were given.`);
  return times >= 1 && times <= MOST_TIMES
    ? ok(times)
    : refuse(`That is ${counted(times, 'time', 'times')}; 1 to ${MOST_TIMES} are allowed at once.`);
}
