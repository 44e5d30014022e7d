import { saidFromTop } from '../judgement/holds';
import { collisionsOf } from '../piece/collisions';
import { insideBodies } from '../piece/insideBodies';
import type { RunPiece } from '../piece/run';
import type { Vec3 } from '../geometry/path';
import type { Body } from '../piece/piece';
import { saidIn, type Remark } from './remark';
import { listed } from '../units/listed';

/** Places that are told at most, the deepest first. */
const MOST = 6;

const BODY_WORDS: Readonly<Record<Body['kind'], string>> = {
  cab: 'the stone',
  bead: 'a bead',
  point: 'the stone',
};

const deep = (mm: number): string => `${Math.max(0.01, mm).toFixed(2)} mm`;

/** Where the middle of all wires is, mm. */
function middleOf({ wires }: RunPiece): { readonly x: number; readonly y: number } {
  const places = wires.flatMap(({ path }) => path);
  const between = (of: readonly number[]) =>
    (of.reduce((least, each) => Math.min(least, each), Infinity) +
      of.reduce((most, each) => Math.max(most, each), -Infinity)) /
    2;
  return { x: between(places.map(({ x }) => x)), y: between(places.map(({ y }) => y)) };
}

/**
 * Where wires of a piece are drawn in one another or in its stones and beads, a sentence each, the deepest first: there is less room than they
 * take. It advises, and blocks nothing. Heavy for a woven piece: up to a second, so it is worked out aside.
 */
export function touchesIn(run: RunPiece): readonly Remark[] {
  const nameOf = (id: string) => run.wires.find(({ wire }) => wire.id === id)?.wire.name ?? id;
  const middle = middleOf(run);
  const whereIs = ({ x, y }: Vec3) => saidFromTop({ x: x - middle.x, y: y - middle.y });
  const touching = collisionsOf(run);
  const wires = touching.flatMap(({ wires: [one, other], depth, at }) =>
    one === other
      ? []
      : [
          {
            depth,
            at: [at],
            said: `${nameOf(one)} and ${nameOf(other)} lie ${deep(depth)} in one another at the ${whereIs(at)}: they have less room there than they take.`,
          },
        ],
  );
  // What is wound tight round a bend is squeezed in many a place: wires of one name are told together.
  const squeezed = touching.filter(({ wires: [one, other] }) => one === other);
  const selves = [...new Set(squeezed.map(({ wires: [one] }) => nameOf(one)))].map((name) => {
    const places = squeezed.filter(({ wires: [one] }) => nameOf(one) === name);
    const depth = Math.max(...places.map((each) => each.depth));
    const where = listed([...new Set(places.map(({ at }) => `at the ${whereIs(at)}`))]);
    const upTo = places.length > 1 ? 'up to ' : '';
    return {
      depth,
      at: places.map(({ at }) => at),
      said: `${name} lies ${upTo}${deep(depth)} in itself ${where}: it has less room there than it takes.`,
    };
  });
  const stones = insideBodies(run).map(({ wire, body, depth, at }) => ({
    depth,
    at: [at],
    said: `${nameOf(wire)} lies ${deep(depth)} in ${BODY_WORDS[run.bodies.find(({ id }) => id === body)?.kind ?? 'cab']} at the ${whereIs(at)}: lead it farther off.`,
  }));
  const all = [...wires, ...selves, ...stones]
    .sort((a, b) => b.depth - a.depth)
    .map(({ said, at }): Remark => ({ said: capitalised(said), at }));
  const less = all.slice(MOST);
  return less.length === 0
    ? all
    : [
        ...all.slice(0, MOST),
        { said: `${less.length} more such places are less deep.`, at: less.flatMap(({ at }) => at) },
      ];
}

/** {@link touchesIn}, as it is read. */
export const saidTouches = (run: RunPiece): readonly string[] => saidIn(touchesIn(run));
const capitalised = (sentence: string): string => sentence.charAt(0).toUpperCase() + sentence.slice(1);
