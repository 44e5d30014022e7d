import { isBeside, type WeaveGroup } from './notation';

/**
 * Half a wrap: the wire goes over the frame wires between two gaps, in front of them or behind. Gap 0 lies before wire A, gap 1 between A
 * and B, and so on.
 */
export interface Half {
  readonly from: number;
  readonly to: number;
  readonly face: 'front' | 'back';
  /** What part of half a pitch it moves on, when it is not all of it; back, when that is negative. */
  readonly part?: number;
  /** Whether it crosses what is wound beside it, and lies a thickness farther off. */
  readonly over?: true;
}

const other = (face: Half['face']): Half['face'] => (face === 'front' ? 'back' : 'front');

/** Gaps that a group lies between; undefined for one that only passes between the wires, since the halves beside it do so by themselves. */
export const gapsOfGroup = (group: WeaveGroup): readonly [number, number] | undefined => {
  if (group.kind === 'pass') return undefined;
  return group.kind === 'eight' ? [group.first, group.first + 2] : [group.first, group.last + 1];
};

/**
 * The way of a weaving wire over and under its frame wires, half a wrap after the other, without a break. Where one group follows another,
 * the last half goes on behind or in front to where the next one begins: what it takes more there it takes less where the weave comes back.
 * The wire keeps the sense in which it goes round, unless a group can only be begun from its other side: after wraps on A alone, those on B
 * alone go round the other way.
 * @param groups as they are laid, repeats written out
 * @param then the groups that would follow; the last half ends where they begin
 * @example halvesOf([{ kind: 'wrap', first: 0, last: 1, wraps: 1 }]).length // 2
 */
export function halvesOf(groups: readonly WeaveGroup[], then: readonly WeaveGroup[] = []): Half[] {
  const halves: Half[] = [];
  let goesRight = true;
  /** Leads the half before to one of the gaps that a group may begin at, the first of them that it can go to. */
  const ledTo = (gaps: readonly number[]): number => {
    const last = halves.at(-1);
    const to = gaps.find((gap) => gap !== last?.from) ?? 0;
    if (last) halves[halves.length - 1] = { ...last, to };
    return to;
  };
  const beginOf = (group: WeaveGroup, [a, b]: readonly [number, number]): number => {
    const last = halves.at(-1);
    if (group.kind === 'eight') {
      // It may begin before, between or behind its two wires: as near to where the wire is as can be.
      const at = last?.to ?? a;
      return ledTo([a, a + 1, b].sort((one, two) => Math.abs(one - at) - Math.abs(two - at)));
    }
    const isFront = last?.face !== 'front';
    const begin = ledTo(isFront === goesRight ? [a, b] : [b, a]);
    goesRight = isFront === (begin === a);
    return begin;
  };
  /** Lets the half before go back to where the group of so many wraps before it began. */
  const goBack = (wraps: number) => {
    const last = halves.at(-1);
    if (last) halves[halves.length - 1] = { ...last, part: (last.part ?? 1) - 2 * wraps, over: true };
  };
  const lay = (from: number, to: number, part: number) => {
    const last = halves.at(-1);
    halves.push({ from, to, face: last ? other(last.face) : 'front', ...(part === 1 ? {} : { part }) });
  };
  for (const group of groups) {
    const gaps = gapsOfGroup(group);
    if (!gaps || group.kind === 'pass') continue;
    const begin = beginOf(group, gaps);
    if (isBeside(group)) goBack(group.wraps);
    const ways = group.kind === 'eight' ? eightFrom(begin, gaps) : [begin, gaps[0] + gaps[1] - begin, begin];
    const part = group.kind === 'wrap' && group.fits !== undefined ? group.fits / group.wraps : 1;
    for (let wrap = 0; wrap < group.wraps; wrap += 1)
      for (const [index, gap] of ways.slice(1).entries()) lay(ways[index] as number, gap, part);
  }
  const following = then.find(({ kind }) => kind !== 'pass');
  const gaps = following && gapsOfGroup(following);
  if (gaps && halves.length > 0) beginOf(following, gaps);
  return halves;
}

/** The gaps that a figure-eight goes to, from the one that it begins at and back to it. */
function eightFrom(begin: number, [a, b]: readonly [number, number]): readonly number[] {
  const middle = a + 1;
  return begin === middle ? [middle, a, middle, b, middle] : [begin, middle, a + b - begin, middle, begin];
}

/** The frame wire that a half begins round, and the one that it ends round. */
export const wiresOfHalf = ({ from, to }: Half): readonly [number, number] =>
  from < to ? [from, to - 1] : [from - 1, to];

/** Whether the wire goes on through the gap to the next frame wire between two halves, instead of turning about the one that it is at. */
export const goesThrough = (half: Half, next: Half): boolean =>
  // One that lies farther off is where the other wire's is already.
  !half.over && !next.over && wiresOfHalf(half)[1] !== wiresOfHalf(next)[0];

/** What a weave takes in each repeat besides its groups by themselves. */
export interface Between {
  /** How often it goes through a gap to another wire, what figure-eights do by themselves left out. */
  readonly passes: number;
  /** From how many frame wires to the next it runs straight more than its groups do. */
  readonly steps: number;
}

const straightRun = ({ from, to }: Half): number => Math.abs(to - from) - 1;

/** What lies between the groups of a weave that is repeated; see {@link Between}. */
export function betweenGroups(repeat: readonly WeaveGroup[]): Between {
  const counted = (times: number): Between => {
    const groups = Array.from({ length: times }, () => repeat).flat();
    const halves = halvesOf(groups, repeat);
    const own = groups.reduce(
      (sum, group) => ({
        passes: sum.passes + (group.kind === 'eight' ? 2 * group.wraps : 0),
        steps: sum.steps + (group.kind === 'wrap' ? 2 * (group.last - group.first) * group.wraps : 0),
      }),
      { passes: 0, steps: 0 },
    );
    return {
      passes:
        halves.slice(1).filter((half, index) => goesThrough(halves[index] as Half, half)).length - own.passes,
      steps: halves.reduce((sum, half) => sum + straightRun(half), 0) - own.steps,
    };
  };
  // Whoever turns about at every repeat comes back to where it was after two.
  const [two, four] = [counted(2), counted(4)];
  return { passes: (four.passes - two.passes) / 2, steps: (four.steps - two.steps) / 2 };
}
