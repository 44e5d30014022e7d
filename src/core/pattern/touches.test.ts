import { pieceOf } from '../../../tests/support/acts';
import { planOf } from '../../../tests/support/techniques';
import { pose } from '../geometry/pose';
import { vec3 } from '../geometry/vec3';
import type { Cab, PieceWire } from '../piece/piece';
import { runPiece } from '../piece/run';
import { expectOk } from '../result';
import { roundWire } from '../parameter/parameter';
import { saidTouches } from './touches';

const laid = (id: string, y: number, z: number, along = vec3(1, 0)): PieceWire => ({
  id,
  name: id,
  cutFrom: 'wire',
  size: roundWire(1),
  start: pose(vec3(-10 * along.x, y - 10 * along.y, z), along),
  first: [{ kind: 'laid', name: 'on', length: 20 }],
  second: [],
  tails: { first: 0, second: 0 },
});
const told = (wires: readonly PieceWire[], bodies: readonly Cab[] = []) =>
  saidTouches(expectOk(runPiece({ bodies, wires })));

it('says nothing of wires that touch, and of a piece that has room', () => {
  expect(told([laid('upper', 0, 0), laid('lower', 1, 0)])).toEqual([]);
  expect(saidTouches(pieceOf([['frame', 'bundle-frame', {}]]).run)).toEqual([]);
  expect(saidTouches(planOf('flat-spiral').run as never)).toEqual([]);
});

it('names both wires, how deep they lie in one another, and where', () => {
  const across = laid('upright', 0, 0.4, vec3(0, 1));
  // Centre lines of 1 mm wires 0.4 apart lie 0.6 in one another; in the middle of what is drawn from −10 to 10 it lies above nothing.
  const [first, ...others] = told([laid('level', -9, 0), across]);
  expect(first).toBe(
    'Level and upright lie 0.60 mm in one another at the top: they have less room there than they take.',
  );
  expect(others).toEqual([]);
});

it('tells wires of one name that are squeezed in themselves together, by the deepest, and where', () => {
  // Turns of 1 mm wire that move on by 0.6 and by 0.5 lie 0.4 and 0.5 in one another.
  const squeezed = [
    [-15, 0.6],
    [15, 0.5],
  ].map(([y = 0, pitch = 0], index): PieceWire => ({
    ...laid(`coil ${index}`, y, 0),
    name: 'weaving wire',
    first: [{ kind: 'coiled', name: 'coil', about: 4, turns: 3, pitch }],
  }));
  expect(told(squeezed)).toEqual([
    expect.stringMatching(
      /^Weaving wire lies up to 0\.5\d mm in itself at the [a-z ]+ and at the [a-z ]+: it has less room there than it takes\.$/,
    ),
  ]);
  expect(told(squeezed.slice(0, 1))).toEqual([
    expect.stringMatching(/^Weaving wire lies 0\.4\d mm in itself at the [a-z ]+: it has/),
  ]);
});

it('names the stone that a wire is led through', () => {
  const stone: Cab = {
    kind: 'cab',
    id: 'stone',
    size: { outline: 'round', length: 16, width: 16, depth: 5, edge: 5 },
    pose: pose(vec3(0, 0), vec3(1, 0)),
  };
  expect(told([laid('band', 0, 4.4)], [stone])).toEqual([
    expect.stringMatching(/^Band lies 1\.10 mm in the stone at the .+: lead it farther off\.$/),
  ]);
  expect(told([laid('band', 0, 5.5)], [stone])).toEqual([]);
});

it('tells six places at most, the deepest first, and how many more there are', () => {
  const crossed = Array.from({ length: 8 }, (_, index) => laid(`wire ${index + 1}`, index * 2, 0.1 * index));
  const said = told([...crossed, laid('upright', 5, 0, vec3(0, 1))]);
  expect(said).toHaveLength(7);
  const depths = said.slice(0, 6).map((each) => Number(/ lies? (\d+\.\d+) mm/.exec(each)?.[1]));
  expect(depths).toEqual([...depths].sort((a, b) => b - a));
  expect(said.at(-1)).toBe('2 more such places are less deep.');
});
