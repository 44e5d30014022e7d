import { lengthOfPath } from '../geometry/path';
import { distance3 } from '../geometry/vec3';
import { collisionsOf } from '../piece/collisions';
import { insideBodies } from '../piece/insideBodies';
import { pieceOf, refusalIn, termsOf, usesOf, type Told } from '../../../tests/support/acts';
import { cutNamed } from '../../../tests/support/techniques';
import { roundWire } from '../parameter/parameter';
import { planActs } from './planActs';
import { cutOf, netOf } from './technique';

const FRAME: Told = ['a', 'bundle-frame', { bound: 6, holds: 2, tail: 30 }];
const LEFT = ['a.left 1', 'a.left 2', 'a.left 3'];
const RIGHT = ['a.right 1', 'a.right 2', 'a.right 3'];
const NECK: Told = [
  'b',
  'neck-wraps',
  { turns: 3 },
  { bundle: [...LEFT, ...RIGHT.slice(0, 2)], winder: ['a.right 3'] },
];

describe('techniques that go on from one another', () => {
  it('are one piece: what was a frame wire goes on as neck and bail, and is one cut', () => {
    const bail: Told = ['c', 'folded-bail', { wraps: 0, leg: 8, tail: 12 }, { ends: ['b.end 3'] }];
    const { run, plans, rules } = pieceOf([FRAME, NECK, bail]);
    expect(run.wires).toHaveLength(4);
    expect(plans['b']?.cuts).toEqual([]);
    expect(plans['c']?.cuts).toEqual([]);
    const rear = cutNamed(plans['a'] as never, 'frame wire 3');
    expect(termsOf(rear)).toEqual([
      'round the stone',
      'bent upright at the top',
      'upright',
      'through the neck',
      'two legs',
      'over the mandrel',
      '3 turns about 5 wires',
      'handling tails',
    ]);
    // What is trimmed is the tail of whatever an end did last: 12 of the bail, 30 of the neck.
    expect(cutOf(rear) - netOf(rear)).toBeCloseTo(12 + 30, 9);
    expect(rules.map(({ first, then }) => `${first} < ${then}`)).toEqual([
      'a.close < b.bind',
      'b.bind < c.fold',
    ]);
  });

  it('take an end once, and say by whom it was taken before', () => {
    const twice: Told = ['c', 'bent-ends', {}, { ends: ['a.left 1'] }];
    expect(refusalIn([FRAME, NECK, twice], 'c')).toMatch(
      /“frame wire 1, left end” was taken on by “Neck wound about upright ends” before/,
    );
  });

  it('refuse what is not there, what is of another kind, and too many or too few', () => {
    const bend = (...ends: string[]): Told => ['b', 'bent-ends', {}, { ends }];
    expect(refusalIn([FRAME, bend('a.left 9')], 'b')).toMatch(/is not there before this/);
    expect(refusalIn([['b', 'bent-ends', {}, { ends: ['z.end 1'] }], FRAME], 'b')).toMatch(/is not there/);
    const weave: Told = ['a', 'straight-weave', { length: 10 }];
    expect(refusalIn([weave, bend('a.wire 1')], 'b')).toMatch(/is a whole wire; ends are taken/);
    const bead: Told = ['b', 'threaded-bead', {}, { end: ['a.left 1', 'a.left 2'] }];
    expect(refusalIn([FRAME, bead], 'b')).toMatch(/1 are taken; 2 are chosen/);
  });

  it('refuse an end that is chosen twice, in one port or in two', () => {
    const bend: Told = ['b', 'bent-ends', {}, { ends: ['a.left 1', 'a.left 1'] }];
    expect(refusalIn([FRAME, bend], 'b')).toMatch(/“frame wire 1, left end” is chosen twice/);
    const neck: Told = ['b', 'neck-wraps', {}, { bundle: ['a.left 1', 'a.right 1'], winder: ['a.right 1'] }];
    expect(refusalIn([FRAME, neck], 'b')).toMatch(/“frame wire 1, right end” is chosen twice/);
  });

  it('wait for one another, and say for which', () => {
    const wrong: Told = ['a', 'bundle-frame', { bound: 400, holds: 2 }];
    expect(refusalIn([wrong, NECK], 'a')).toMatch(/do not lie along them/);
    expect(refusalIn([wrong, NECK], 'b')).toBe(
      'It goes on from “Bundle frame round a stone”, which cannot be made as it is told.',
    );
  });

  it('that cannot be made leave the others as they were', () => {
    const small: Told = ['c', 'flat-spiral', { across: 1, start: 3 }, { ends: ['a.left 1'] }];
    const { uses, pieces } = planActs(usesOf([FRAME, small]));
    expect(uses.map(({ plan }) => plan.ok)).toEqual([true, false]);
    expect(pieces.map((piece) => piece.uses)).toEqual([['a']]);
  });

  it('are several pieces when nothing joins them', () => {
    const { pieces } = planActs(
      usesOf([FRAME, ['b', 'coil'], ['c', 'bent-ends', {}, { ends: ['a.left 1'] }]]),
    );
    expect(pieces.map((piece) => piece.uses)).toEqual([['a', 'c'], ['b']]);
  });

  it('thread a bead before what it hangs on closes: a stop that nobody typed', () => {
    const bead: Told = ['b', 'threaded-bead', { bead: 4 }, { end: ['a.left 1'] }];
    const curl: Told = ['c', 'flat-spiral', { across: 7 }, { ends: ['b.end'] }];
    const { rules } = pieceOf([FRAME, bead, curl]);
    expect(rules.filter(({ isStop }) => isStop)).toEqual([
      expect.objectContaining({ first: 'b.thread', then: 'c.roll' }),
    ]);
    // Without the bead there is nothing to stop for.
    const plain = pieceOf([FRAME, ['c', 'flat-spiral', { across: 7 }, { ends: ['a.left 1'] }]]);
    expect(plain.rules.filter(({ isStop }) => isStop)).toEqual([]);
  });
});

describe('what is woven flat and formed after', () => {
  const weave: Told = [
    'w',
    'straight-weave',
    { length: 12, base: roundWire(0.8), weaving: roundWire(0.315), tail: 40 },
  ];
  const frame: Told = [
    'a',
    'bundle-frame',
    { bound: 0, holds: 2, bail: 3, stone: { outline: 'oval', length: 23, width: 16, depth: 5, edge: 2.2 } },
    { frame: ['w.wire 1', 'w.wire 2'] },
  ];

  it('takes the same weaving wire, lies round the stone, and in nothing', () => {
    const [flat, formed] = [pieceOf([weave]), pieceOf([weave, frame])];
    const [before, after] = [flat, formed].map(({ plans }) => cutNamed(plans['w'] as never, 'weaving wire'));
    expect(netOf(after as never)).toBe(netOf(before as never));
    const line = formed.run.wires.find(({ wire }) => wire.id === 'w.weaving');
    const middle = line?.path[Math.floor((line.path.length - 1) / 2)];
    // At the foot of the stone, half its length down and half of each wire off it.
    expect(middle && Math.hypot(middle.x, middle.y)).toBeGreaterThan(23 / 2);
    expect(middle && Math.hypot(middle.x, middle.y)).toBeLessThan(23 / 2 + 0.8 + 2 * 0.315);
    expect(collisionsOf(formed.run)).toEqual([]);
    expect(insideBodies(formed.run)).toEqual([]);
  });

  it('takes wires whole: their ends are free again when the frame has shaped them', () => {
    const { uses, left } = planActs(usesOf([weave, frame]));
    expect(uses[1]?.offered.filter(({ takes }) => takes === 'wire').map(({ ref }) => ref)).toEqual([
      'w.wire 1',
      'w.wire 2',
    ]);
    expect(left.filter(({ takes }) => takes === 'end').map(({ label }) => label)).toEqual([
      'frame wire 1, left end',
      'frame wire 1, right end',
      'frame wire 2, left end',
      'frame wire 2, right end',
    ]);
  });
});

describe('a stretch of a wire', () => {
  const rolled: readonly Told[] = [
    FRAME,
    ['b', 'flat-spiral', { across: 8, start: 2, gap: 1 }, { ends: ['a.left 1'] }],
  ];
  const lash = (id: string, held: readonly string[]): Told => [id, 'lashing', { turns: 2 }, { held }];

  it('stays there for others when something holds it, and when its end goes on', () => {
    const left = (told: readonly Told[]) =>
      planActs(usesOf(told))
        .left.filter(({ takes }) => takes === 'stretch')
        .map(({ ref }) => ref);
    expect(left(rolled)).toEqual(expect.arrayContaining(['a.round left 1', 'a.round right 1', 'b.spiral 1']));
    expect(left([...rolled, lash('c', ['a.round left 1', 'b.spiral 1'])])).toEqual(left(rolled));
    expect(
      pieceOf([
        ...rolled,
        lash('c', ['a.round left 1', 'b.spiral 1']),
        lash('d', ['a.round left 1', 'b.spiral 1']),
      ])
        .run.wires.map(({ wire }) => wire.name)
        .filter((name) => name === 'lashing wire'),
    ).toHaveLength(2);
  });

  it('is lashed after what makes it, where both pass nearest to one another', () => {
    const { run, rules } = pieceOf([...rolled, lash('c', ['a.round left 1', 'b.spiral 1'])]);
    expect(rules.map(({ first, then, isStop }) => [first, then, isStop])).toEqual(
      expect.arrayContaining([
        ['a.close', 'c.lash', false],
        ['b.roll', 'c.lash', false],
      ]),
    );
    const pathOf = (wire: string, of: RegExp) =>
      run.wires
        .flatMap((each) => (each.wire.id === wire ? [...each.first, ...each.second] : []))
        .filter(({ name }) => of.test(name))
        .flatMap(({ path }) => path);
    const [round, spiral] = [pathOf('a.frame 1', /^round the stone$/), pathOf('a.frame 1', /turns$/)];
    const nearest = Math.min(...spiral.flatMap((at) => round.map((other) => distance3(at, other))));
    // A turn about both: as far apart as they are, and once round them.
    const turns = pathOf('c.lashing', /^2 turns about 2 wires$/);
    const off = Math.max(
      ...turns.map((at) => Math.min(...[...round, ...spiral].map((other) => distance3(at, other)))),
    );
    expect(off).toBeLessThan(nearest / 2 + 0.812);
  });

  it('is not taken where ends are, and says so', () => {
    expect(refusalIn([FRAME, ['b', 'bent-ends', {}, { ends: ['a.round left 1'] }]], 'b')).toMatch(
      /“frame wire 1, round the stone to its left” is a stretch of a wire; ends are taken/,
    );
    expect(refusalIn([FRAME, lash('b', ['a.left 1', 'a.round left 1'])], 'b')).toMatch(
      /“frame wire 1, left end” is an end; stretches of wires are taken/,
    );
  });
});

it('a coil on an end that is bent after bends with it, and its wire has no gap', () => {
  const coil: Told = ['b', 'coil', { length: 8, wire: roundWire(0.4) }, { core: ['a.left 1'] }];
  const bend: Told = ['c', 'bent-ends', { about: 6, degrees: 180, after: 2 }, { ends: ['b.core'] }];
  const [straight, bent] = [pieceOf([FRAME, coil]), pieceOf([FRAME, coil, bend])].map(({ run }) =>
    run.wires.find(({ wire }) => wire.id === 'b.wire'),
  );
  if (!straight || !bent) throw new Error('both have a coil');
  expect(bent.net).toBeCloseTo(straight.net, 9);
  expect(Math.abs(lengthOfPath(bent.path) / bent.net - 1)).toBeLessThan(0.005);
  const across = (path: typeof bent.path) => distance3(path[0] as never, path.at(-1) as never);
  expect(across(straight.path)).toBeGreaterThan(7.9);
  // Round a half circle of 6.8 mm its ends are no farther apart than that circle and the coil are thick.
  expect(across(bent.path)).toBeLessThan(6.8 + 0.8 + 0.4);
});
