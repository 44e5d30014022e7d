import {
  cutNamed,
  named,
  planFor,
  planOf,
  refusalOf,
  valuesOf,
  type Values,
} from '../../../tests/support/techniques';
import { judgePlan } from '../plan/judgePlan';
import { withTechnique } from '../pattern/addTechnique';
import { withUse } from '../pattern/changes';
import { EMPTY_COMPOSITION, type Specs } from '../pattern/composition';
import { resolve } from '../pattern/resolve';
import { techniqueOf } from './registry';
import { mm } from '../units/length';
import type { Profile } from '../wire/profile';
import { roundWire } from '../parameter/parameter';
import { cutOf, type Plan } from '../technique/technique';
import { plainSpec } from '../plan/totals';

/** Where marks stand, what suits what, and what is nonsense: worked by hand, apart from the code. */

const onlyCut = (plan: Plan) => {
  const [cut] = plan.cuts;
  if (!cut) throw new Error('it has one cut');
  return cut;
};
const markAt = (plan: Plan, what: RegExp): number => {
  const mark = onlyCut(plan).marks.find((each) => what.test(each.what));
  if (!mark) throw new Error(`no mark ${String(what)}`);
  return mark.at;
};
const judged = (id: string, values: Values) =>
  judgePlan(named(id), valuesOf(named(id), values), planOf(id, values), {}).map(
    ({ said, mend }) => `${said} ${mend}`,
  );

describe('marks stand where the work begins', () => {
  it.each([
    ['bead-ring', /the bead sits here/],
    ['coil-bezel-ring', /begin the bezel here/],
  ])('%s: at the exact middle of its wire (common practice)', (id, what) => {
    const [cut] = planOf(id).cuts;
    if (!cut) throw new Error('it has a wire');
    // One end of a bezel goes down outside of the other: what that takes more is all that they differ by.
    const middle = cut.marks.find((mark) => what.test(mark.what))?.at ?? 0;
    expect(Math.abs(middle / cutOf(cut) - 0.5)).toBeLessThan(0.01);
  });

  it('a bead ring is kinked on both sides of its bead', () => {
    const plan = planOf('bead-ring', { bead: 7 });
    expect(markAt(plan, /bead ends/) - markAt(plan, /bead begins/)).toBeCloseTo(7, 6);
  });

  it.each([
    ['briolette-loop', 'longer', 1],
    ['briolette-cap', 'short', -1],
    ['briolette-swirl', 'short', -1],
  ])('%s: its marks and its steps agree that the %s leg makes the loop', (id, leg, side) => {
    const plan = planOf(id);
    // The left end is the short one: the loop is made beyond the drop, or before it.
    expect(plan.steps.map(({ name }) => name)).toContain(`form the loop with the ${leg} leg`);
    expect(Math.sign(markAt(plan, /for the loop/) - markAt(plan, /drop sits/))).toBe(side);
  });
});

describe('a wire that ladders several places travels between them', () => {
  it('along the edge of a round stone, past every loop: what the rungs leave of the way round', () => {
    const stone = { outline: 'round', length: 30, width: 30, depth: 7, edge: 3 };
    const [D, d] = [1, 0.4];
    const plan = planOf('looped-bezel', {
      stone,
      wire: roundWire(D),
      lashing: roundWire(d),
      apart: 16,
      rungs: 2,
    });
    const ladder = cutNamed(plan, 'ladder wire');
    const past = ladder.terms.find(({ name }) => name === 'past the loops')?.length ?? 0;
    // Round at 15.9 mm to the middle of the bezel wire there are 99.9 mm and six loops: three a side, 16.65 mm apart. From the rungs before a
    // loop to those behind it there is what two rungs of eight wraps of 0.48 leave of that, at least.
    expect(plan.notes.join()).toMatch(/6 loops on each wire, 16\.7 mm apart/);
    expect(past).toBeGreaterThan(6 * (16.65 - 8 * 0.48) * 0.7);
    expect(past).toBeLessThan(6 * 16.65);
  });
});

describe('a link with two sizes of loop', () => {
  const values = { wire: roundWire(0.8), small: 2, large: 5, between: 4, trim: 1 };

  it('takes π(a + D) for each and what lies between', () => {
    // π · 2.8 + 4 + π · 5.8 = 8.796 + 4 + 18.221, and a millimetre of trim at each end.
    expect(cutOf(onlyCut(planOf('uneven-link', values)))).toBeCloseTo(33.018, 2);
    expect(cutOf(onlyCut(planOf('uneven-link', { ...values, stand: 'in one plane' })))).toBeCloseTo(
      33.018,
      2,
    );
  });

  it('its loops stand across each other or in one plane', () => {
    const depth = (stand: string) =>
      Math.max(
        ...onlyCut(planOf('uneven-link', { ...values, stand }))
          .drawn.flat()
          .map(({ z }) => Math.abs(z)),
      );
    // Half across, to the middle of the wire; and an end that lies beside its beginning.
    expect(depth('across each other')).toBeCloseTo(1.4, 1);
    expect(depth('in one plane')).toBeLessThan(0.81);
  });
});

describe('what suits what', () => {
  const halfRound = { profile: 'half-round', width: 0.812, height: 0.406 };

  it('half-round is right for binding a bundle, and not for weaving (common practice)', () => {
    expect(judged('bundle-frame', { binding: halfRound }).join()).not.toMatch(/half-round wire is unusual/);
    expect(judged('straight-weave', { weaving: halfRound }).join()).toMatch(/half-round wire is unusual/);
  });

  it('a net is twisted of thinner wire than a frame is made of (common practice)', () => {
    expect(judged('twisted-net', { wire: roundWire(0.405) }).join()).not.toMatch(/thin for/);
    expect(judged('twisted-net', { wire: roundWire(1.02) }).join()).toMatch(/thick for a twisted net/);
  });

  it('square wire passes a hole by its diagonal', () => {
    const square = { profile: 'square', width: 0.8, height: 0.8 };
    // 1.25 × 0.8 is 1 mm, and it wants 0.05 mm of room.
    const through = (drilled: number, wire: unknown) => judged('plain-loop-link', { wire, drilled }).join();
    expect(through(1, roundWire(0.8))).not.toMatch(/does not pass/);
    expect(through(1, square)).toMatch(/Wire of 1 mm does not pass a hole of 1 mm/);
    expect(through(1.06, square)).not.toMatch(/does not pass/);
  });

  it('jump rings are judged by their aspect ratio (common practice)', () => {
    const aspect = (inside: number) => judged('jump-rings', { wire: roundWire(1), inside }).join();
    expect(aspect(2)).toMatch(/aspect ratio is 2.0.*2.5 at least/);
    expect(aspect(4)).not.toMatch(/aspect/);
    expect(aspect(12)).toMatch(/aspect ratio is 12.0.*8 at most/);
  });

  it('a scroll that its wire cannot be rolled to is refused, with the least that can be', () => {
    const refused = planFor(named('woven-band-ring'), { base: roundWire(1), scroll: 3 });
    expect(refused.ok ? '' : refused.error).toMatch(
      /A scroll of 1 mm wire is 3.9 mm across at least; 3 mm is less/,
    );
  });
});

describe('in a pattern', () => {
  it.each<[Profile, number]>([
    ['twisted pair', 1.6],
    ['twisted square', 0.8 * Math.SQRT2],
  ])('%s is worked as thick as it is twisted', (profile, thick) => {
    const specs: Specs = {
      twisted: {
        ...plainSpec(roundWire(0.8), 'copper'),
        profile,
        width: mm(0.8),
        height: mm(0.8),
        twist: 200,
      },
    };
    const composition = withUse(withTechnique(EMPTY_COMPOSITION, named('free-cut'), techniqueOf), 'a', {
      wires: { wire: 'twisted' },
    });
    expect(resolve(composition, specs, techniqueOf).cuts[0]?.size.width).toBeCloseTo(thick, 3);
  });

  it('what a technique has learned to ask since a pattern was kept is as it is proposed', () => {
    const composition = withTechnique(EMPTY_COMPOSITION, named('uneven-link'), techniqueOf);
    const before = withUse(composition, 'a', {
      texts: Object.fromEntries(
        Object.entries(composition.uses[0]?.texts ?? {}).filter(([field]) => field !== 'between'),
      ),
    });
    expect(resolve(before, {}, techniqueOf).uses[0]?.wrong).toEqual({});
    expect(resolve(before, {}, techniqueOf).cuts[0]?.terms).toEqual(
      resolve(composition, {}, techniqueOf).cuts[0]?.terms,
    );
  });
});

describe('what cannot be, or should not', () => {
  it('loops that lie over one another are refused', () => {
    // A loop of 3 mm inside is 3 + 2 × 1.291 = 5.6 mm across.
    expect(refusalOf('looped-bezel', { loop: 3, apart: 4 })).toMatch(
      /Loops of 5\.58 mm across lie over one another/,
    );
    expect(refusalOf('looped-bezel', { loop: 3, apart: 9 })).toMatch(/Behind its last loop/);
    expect(planOf('looped-bezel', { loop: 3, apart: 14 }).cuts).toHaveLength(3);
  });

  it('binding is never longer than what is bound', () => {
    const refused = refusalOf('bundle-frame', { bound: 90, bail: 12 });
    expect(refused).toMatch(/Between 4 holds .* 90 mm of binding do not lie along them/);
    const room = Number(/there are ([\d.]+) mm/.exec(refused)?.[1]);
    // The stone is some 50 mm round; three of its four sides between holds, and both ends of 12 mm, are bound.
    expect(room).toBeGreaterThan(24 + 10);
    expect(room).toBeLessThan(24 + 50);
    expect(planOf('bundle-frame', { bound: room - 0.5, bail: 12 }).cuts.at(-1)?.name).toBe('binding wire');
    expect(refusalOf('bundle-frame', { bound: room + 1, bail: 12 })).toMatch(/do not lie along them/);
    // A band of three turns of 1.024 mm and one that closes it: along the bent rail twenty of them are 85 mm, and the crescent is some 100 mm round.
    expect(refusalOf('band-frame', { bandsEach: 20 })).toMatch(/20 bands of 3 turns are 85 mm wide/);
  });

  it('holds that meet in the middle of the stone are a fault', () => {
    const stone = { outline: 'teardrop', length: 18, width: 13, depth: 5, edge: 2 };
    expect(judged('bundle-frame', { stone, reach: 9 }).join(' ')).toMatch(/meet in the middle of the stone/);
    expect(judged('bundle-frame', { stone, reach: 1 }).join(' ')).not.toMatch(/meet in the middle/);
  });
});
