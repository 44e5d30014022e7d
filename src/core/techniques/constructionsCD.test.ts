import { termsOf } from '../../../tests/support/acts';
import { expectPractice, expectSound, termOf } from '../../../tests/support/constructions';
import { cutNamed, ga, planOf } from '../../../tests/support/techniques';
import { aloneOf, LACED_FRAME } from '../../../tests/support/wholePieces';
import { spaceLine, type SpaceLine } from '../geometry/spaceLine';
import { distance3 } from '../geometry/vec3';
import type { RunCourse, RunWire } from '../piece/run';
import { roundWire } from '../parameter/parameter';
import { ropeThick } from '../techniqueKit/rope';
import { cutOf, netOf, type Plan } from '../technique/technique';

const runOf = ({ run }: Plan) => {
  if (!run) throw new Error('it is told by the ways of its wires');
  return run;
};
const courseOf = ({ first, second }: RunWire, name: RegExp): RunCourse => {
  const found = [...first, ...second].find((each) => name.test(each.name));
  if (!found) throw new Error(`no ${name}`);
  return found;
};
const order = ({ order: rules }: Plan) => rules.map(({ first, then }) => `${first} before ${then}`);
describe('a rope', () => {
  it('of one, seven and nineteen strands is one, three and five of them thick: circles packed in a circle (Graham and Lubachevsky, 1995; from memory)', () => {
    expect(ropeThick(1, 0.3)).toBeCloseTo(0.3, 9);
    expect(ropeThick(2, 0.3)).toBeCloseTo(0.6, 9);
    // Three touch one another: 1 + 2/√3.
    expect(ropeThick(3, 0.3)).toBeCloseTo(0.3 * (1 + 2 / Math.sqrt(3)), 9);
    expect(ropeThick(7, 0.3)).toBeCloseTo(0.9, 9);
    expect(ropeThick(19, 0.3)).toBeLessThan(0.3 * 5.01);
    expect(ropeThick(19, 0.3)).toBeGreaterThan(0.3 * 4.86);
  });
});

/** Common practice, constructions C3. */
describe('C3, a tree without a frame', () => {
  const plan = planOf('tree-without-frame', {
    stone: { outline: 'oval', length: 30, width: 22, depth: 6, edge: 3 },
    wire: roundWire(0.3),
    branches: 5,
    trunk: 9,
    roots: 7,
    lay: 7,
    loop: 4,
    wraps: 2,
    tail: 40,
  });
  const run = runOf(plan);

  it('is ten wires of 400, all alike, and nothing else', () => {
    expect(run.wires).toHaveLength(10);
    expect(plan.cuts.reduce((sum, { count }) => sum + count, 0)).toBe(10);
    const cuts = plan.cuts.map(cutOf);
    expect(Math.max(...cuts) - Math.min(...cuts)).toBeLessThan(0.01);
    for (const cut of plan.cuts) {
      expect(cutOf(cut)).toBeLessThanOrEqual(400);
      expect(netOf(cut)).toBeGreaterThan(0.5 * 400);
      expect(termsOf(cut)).toEqual([
        'loose, as roots',
        'trunk, twisted with all others',
        'branch over the face',
        'along the edge, twisted with those below it',
        'rope of all strands: neck, loop and wraps',
        'branch behind',
        'handling tails',
      ]);
    }
    expectSound({ run });
  });

  it('leaves 10 to 20 of each wire loose under the foot', () => {
    for (const cut of plan.cuts) {
      const loose = cut.terms[0]?.length ?? 0;
      expect(loose).toBeGreaterThan(10);
      expect(loose).toBeLessThan(20);
    }
    const foot = 30 / 2;
    for (const wire of run.wires) {
      const tip = courseOf(wire, /roots/).path[0];
      expect(tip?.y).toBeGreaterThan(foot + 2);
    }
  });

  it('has five branches to a side on each face, on the stone, the lowest first, and both ends of one meet at the edge', () => {
    for (const side of ['first', 'second'] as const) {
      const branches = run.wires.map(
        (wire) => wire[side].find(({ name }) => name.startsWith('branch'))?.path ?? [],
      );
      const across = branches.map((path) => Math.sign(path.at(-1)?.x ?? 0));
      expect(across.filter((way) => way < 0)).toHaveLength(5);
      expect(across.filter((way) => way > 0)).toHaveLength(5);
      // In front they lie over the dome, behind under the flat back.
      const middles = branches.map((path) => path[Math.floor(path.length / 3)]?.z ?? 0);
      for (const z of middles) expect(side === 'first' ? z > 3.1 : z < -0.14).toBe(true);
      // Of one side, each leaves the trunk above the one before it and reaches the edge above it.
      const left = branches.slice(0, 5);
      for (const [index, path] of left.slice(1).entries()) {
        expect(path[0]?.y).toBeLessThan(left[index]?.[0]?.y ?? 0);
        expect(path.at(-1)?.y).toBeLessThan(left[index]?.at(-1)?.y ?? 0);
      }
    }
    for (const { first, second } of run.wires) {
      const [front, back] = [first, second].map((hand) =>
        hand.find(({ name }) => name.startsWith('branch'))?.path.at(-1),
      );
      expect(front && back && Math.hypot(front.x - back.x, front.y - back.y)).toBeLessThan(0.2);
    }
  });

  it('is sketched where strands are pressed together and where roots are bent, and nowhere else', () => {
    const sketched = run.wires.flatMap(({ first, second }) =>
      [...first, ...second].filter(({ course }) => course?.sketched !== undefined).map(({ name }) => name),
    );
    expect([...new Set(sketched)].sort()).toEqual([
      'along the edge, twisted with those below it',
      'loose, as roots',
      'rope of all strands: neck, loop and wraps',
      'trunk, twisted with all others',
    ]);
  });

  it('is twisted before its roots, holds its stone before its edges close, and is hung before it is wound shut', () => {
    expect(order(plan)).toEqual([
      'trunk before roots',
      'stone before edges',
      'branches before edges',
      'hang before shut',
    ]);
    expect(() => planOf('tree-without-frame', { trunk: 30 })).toThrow(/trunk of 30 mm/);
    expect(() => planOf('tree-without-frame', { branches: 9, wire: roundWire(0.6) })).toThrow(
      /9 branches to each side leave the trunk/,
    );
  });
});

/** Common practice, constructions D1. */
describe('D1, one folded wire that crosses itself, beads, a laced weave', () => {
  const plan = aloneOf(LACED_FRAME);
  const run = runOf(plan);
  const [frame, coiling] = run.wires as readonly RunWire[] as [RunWire, RunWire];

  it('is one frame wire of 200, folded off its middle, and one thin wire of about 1,000', () => {
    expect(plan.cuts.map(({ name, count }) => [name, count])).toEqual([
      ['frame wire', 1],
      ['coiling wire', 1],
    ]);
    expectPractice(plan, 'frame wire', 200, 0.9);
    expectPractice(plan, 'coiling wire', 1000, 0.7);
    expectSound({ run });
    expect(termsOf(cutNamed(plan, 'frame wire'))).toEqual([
      'longer leg',
      'small loops',
      'shorter leg',
      'tails',
    ]);
    expect(termOf(plan, 'frame wire', /longer/)).toBeGreaterThan(1.6 * termOf(plan, 'frame wire', /shorter/));
    const { marks } = cutNamed(plan, 'frame wire');
    const fold = (marks[0]?.at ?? 0) / cutOf(cutNamed(plan, 'frame wire'));
    expect(fold).toBeGreaterThan(0.3);
    expect(fold).toBeLessThan(0.45);
  });

  it('crosses the shorter leg and itself, in front of both, so far off that the thin wire has room', () => {
    const [longer, shorter] = [/longer/, /shorter/].map((name) => spaceLine(courseOf(frame, name).path)) as [
      SpaceLine,
      SpaceLine,
    ];
    const over = Array.from({ length: 400 }, (_, step) => longer.at(longer.length - step / 10).at);
    for (const under of [shorter, longer]) {
      const { apart, off } = Array.from({ length: 120 }, (_, step) => under.at(step / 10).at)
        .flatMap((b) => over.map((a) => ({ apart: Math.hypot(a.x - b.x, a.y - b.y), off: a.z - b.z })))
        .reduce((near, each) => (each.apart < near.apart ? each : near));
      expect(apart).toBeLessThan(0.1);
      expect(off).toBeGreaterThan(1 + 0.4);
      expect(off).toBeLessThan(1 + 2 * 0.4);
    }
  });

  it('its loops face down: each end comes to lie below where its loop begins', () => {
    for (const side of ['first', 'second'] as const) {
      const path = frame[side].filter(({ name }) => name === 'small loops').slice(-1)[0]?.path ?? [];
      // The loop hangs as deep as it is wide below where it is begun.
      expect(Math.max(...path.map(({ y }) => y)) - (path[0]?.y ?? 0)).toBeGreaterThan(0.85 * 2.5);
    }
  });

  it('lays its thin wire in the order of the work: coil, five beads, coil, two and two, both crossings, three beads', () => {
    expect(termsOf(cutNamed(plan, 'coiling wire'))).toEqual([
      expect.stringMatching(/^\d+ wraps$/),
      'up to the holes and down again',
      'through 5 beads',
      expect.stringMatching(/^\d+ repeats of A2 B2$/),
      'to the crossings',
      'fastened at both crossings',
      expect.stringMatching(/14 wraps$/),
      '14 wraps',
      'through 3 beads',
      'tails',
    ]);
    // Two and two advance by four thicknesses: thirteen millimetres are eight repeats of 0.4.
    expect(cutNamed(plan, 'coiling wire').terms.map(({ name }) => name)).toContain('8 repeats of A2 B2');
    expect(termOf(plan, 'coiling wire', /through 5 beads/)).toBeCloseTo(10, 6);
    expect(run.bodies.filter(({ kind }) => kind === 'bead')).toHaveLength(8);
    // Every bead touches the frame: half of both off its middle.
    for (const { pose } of run.bodies) {
      const near = Math.min(...frame.path.map((at) => distance3(at, pose.at)));
      expect(near).toBeGreaterThan(0.5 + 1 - 0.05);
      expect(near).toBeLessThan(0.5 + 1 + 0.15);
    }
    // A coil turn is √[(π·1.4)² + 0.4²] = 4.416.
    const wraps = Number(/^(\d+)/.exec(coiling.first[0]?.name ?? '')?.[1]);
    const turn = Math.hypot(Math.PI * 1.4, 0.4);
    expect(termOf(plan, 'coiling wire', /^\d+ wraps$/) / (wraps * turn)).toBeGreaterThan(0.95);
    expect(termOf(plan, 'coiling wire', /^\d+ wraps$/) / (wraps * turn)).toBeLessThan(1);
  });

  it('is hammered before it is coiled, and its loops are turned last', () => {
    expect(order(plan)).toEqual(['hammer before coil', 'count-out before coil', 'fasten before loops']);
    expect(() => planOf('laced-frame', { wire: ga(20), base: ga(18) })).toThrow(/0.81 mm does not lie/);
    expect(() => planOf('laced-frame', { beads: 25 })).toThrow(/25 beads and what is laced do not lie/);
  });
});

/** Common practice, constructions D3. */
describe('D3, beads all round a closed link', () => {
  const plan = planOf('beaded-link', {
    link: roundWire(1.2),
    wire: ga(28),
    inside: 12,
    bead: 3,
    wraps: 2,
    tail: 60,
  });
  const run = runOf(plan);

  it('is one wire on a link that is there, begun inside, its beads as many as go round where their holes lie', () => {
    expect(plan.cuts.map(({ name, count }) => [name, count])).toEqual([['binding wire', 1]]);
    expectSound({ run });
    // Holes lie on a circle of 12 + 2 · 1.2 + 3 across; a bead and two wraps of 0.321 take 3.64, the joint nine thicknesses of the link's round.
    const out = (12 + 2 * 1.2 + 3) / (12 + 1.2);
    const most = (Math.PI * (12 + 2 * 1.2 + 3) - out * 9 * 0.321) / (3 + 2 * 0.321);
    expect(run.bodies).toHaveLength(Math.floor(most));
    expect(termsOf(cutNamed(plan, 'binding wire'))).toEqual([
      '26 wraps',
      'up to the holes and down again',
      'through 13 beads',
      'way to 4 turns of both tails round the wires of their neighbours',
      '4 turns of both tails round the wires of their neighbours',
      'from one half to the other',
      'tails',
    ]);
    expect(termOf(plan, 'binding wire', /through/)).toBeCloseTo(13 * 3, 6);
    expect(order(plan)).toEqual(['count-out before bind']);
  });

  it('closes its round: each tail lies two turns round the wire of the bead beside it, in the one gap between first and last', () => {
    const binding = run.wires.find(({ wire }) => wire.id === 'binding') as RunWire;
    const tails = [binding.first, binding.second].map((hand) => hand.at(-1)?.path ?? []);
    const [first, last] = ['bead 1', 'bead 13'].map(
      (id) => run.bodies.find((body) => body.id === id)?.pose.at,
    );
    if (!first || !last) throw new Error('both beads are there');
    // Two helices of 0.321 round wire as thick: √[(2π · 0.321)² + 0.321²] a turn.
    expect(
      termOf(plan, 'binding wire', /^4 turns/) / (4 * Math.hypot(2 * Math.PI * 0.321, 0.321)),
    ).toBeCloseTo(1, 2);
    for (const [index, beside] of [first, last].entries())
      for (const at of tails[index] ?? []) {
        expect(distance3(at, beside)).toBeLessThan(1.5 + 1.6);
        // It lies beside the bead: its middle stays outside but for a hair.
        expect(distance3(at, beside)).toBeGreaterThan(1.5 - 0.1 * 0.321);
        expect(at.y).toBeLessThan(0);
      }
    const nearest = run.bodies.filter(({ id }) => !['bead 1', 'bead 13'].includes(id));
    for (const { pose } of nearest)
      for (const at of tails.flat()) expect(distance3(at, pose.at)).toBeGreaterThan(1.6);
  });

  it('refuses beads so small that a tail has no wire to go round', () => {
    expect(() => planOf('beaded-link', { bead: 0.8, link: roundWire(1.2), wire: roundWire(0.4) })).toThrow(
      /Each tail takes 2 turns of 0.4 mm/,
    );
  });
});
