import fc from 'fast-check';
import { areaOf, centroidOf, perimeterOf, placeAt } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
import { expectOk } from '../result';
import { roundWire } from '../parameter/parameter';
import type { WireSize } from '../wire/wireSize';
import { TECHNIQUES, techniqueOf } from '../techniques/registry';
import { initialPlan, type AnyTechnique } from '../technique/technique';
import { evenHolds } from './holds';
import { initialValues } from '../parameter/parameter';
import { planOf } from '../../../tests/support/techniques';
import { keptOf } from '../piece/kept';
import { awgDiameterMm } from '../wire/gauge';
import type { Temper } from '../wire/metal';
import { judgeFinish } from './finishes';
import { frameWiresFor, judgeFrameWires } from './frameWires';
import { hangingPoint, tiltWhenHungFrom } from './hanging';
import { checkHolds, judgeHolds, openingOf, judgeReach } from './holds';
import { judgeHole } from './holes';
import { judgePlan } from '../plan/judgePlan';
import { judgeWire } from './judgeWire';
import type { WireUseId } from '../wire/wireUse';
import { judgeOrder, stopsAt } from './order';

const ga = (number: number): WireSize => roundWire(awgDiameterMm(number));
const about = (use: WireUseId, size: WireSize, temper?: Temper, metal?: 'steel') =>
  judgeWire(use, { size, temper, metal }, 'wire').map(({ said }) => said);

describe('wire for its use (common practice, handbook of the trade)', () => {
  it.each<[WireUseId, number]>([
    ['heavy frame', 14],
    ['heavy frame', 16],
    ['loop bezel', 16],
    ['cage', 18],
    ['frame', 20],
    ['ear wire', 20],
    ['ear wire', 22],
    ['binding', 21],
    ['weaving', 26],
    ['weaving', 28],
    ['weaving', 24],
    ['weaving', 30],
    ['hanging', 26],
    ['hanging', 22],
  ])('%s of %i ga is good', (use, number) => expect(about(use, ga(number))).toEqual([]));

  it('metric labels pass for the gauges they are spoken of as', () => {
    expect(about('cage', roundWire(1))).toEqual([]);
    expect(about('frame', roundWire(0.8))).toEqual([]);
    expect(about('weaving', roundWire(0.4), 'dead soft')).toEqual([]);
  });

  it.each<[WireUseId, number, RegExp]>([
    ['ear wire', 18, /18 ga is thick for an ear wire/],
    ['heavy frame', 20, /20 ga is thin for a heavy open frame/],
    ['cage', 22, /22 ga is thin for a cage/],
    ['weaving', 20, /20 ga is thick for weaving/],
    ['hanging', 18, /18 ga is thick for hanging a drop/],
  ])('%s of %i ga is spoken of', (use, number, said) => expect(about(use, ga(number)).join()).toMatch(said));

  it('20 ga holds a cage only half hard or harder, or in steel; thinner never', () => {
    expect(about('cage', ga(20), 'quarter hard')).toHaveLength(1);
    expect(about('cage', ga(20), 'half hard')).toEqual([]);
    expect(about('cage', ga(20), 'dead soft', 'steel')).toEqual([]);
    expect(about('cage', ga(22), 'spring')).toHaveLength(1);
    expect(about('cage', ga(18), 'dead soft').join()).toMatch(/dead soft wire gives/);
  });

  it('weaving wants dead soft; 22 ga ear wires are hardened; square wire in an ear is refused gently', () => {
    expect(about('weaving', ga(28), 'half hard').join()).toMatch(/half hard wire does not suit/);
    expect(about('ear wire', ga(22), 'dead soft').join()).toMatch(/22 ga is soft/);
    expect(about('ear wire', { profile: 'square', width: 0.8, height: 0.8 }).join()).toMatch(
      /square wire is unusual/,
    );
  });
});

describe('finishes (common practice)', () => {
  it('coated wire is not antiqued, hammered, filed or marked with ink', () => {
    const said = judgeFinish(
      { metal: 'copper', finish: 'coated' },
      ['antiquing', 'hammering', 'filing', 'marking'],
      'wire',
    );
    expect(said).toHaveLength(4);
    expect(said.every(({ mend, why }) => mend !== '' && why !== '')).toBe(true);
    expect(judgeFinish({ metal: 'copper', finish: 'plated' }, ['marking'], 'wire')).toEqual([]);
  });

  it('bare copper, bronze and silver antique well, steel does not', () => {
    for (const metal of ['copper', 'bronze', 'fine-silver', 'sterling'] as const)
      expect(judgeFinish({ metal, finish: 'bare' }, ['antiquing', 'hammering'], 'wire')).toEqual([]);
    expect(judgeFinish({ metal: 'steel', finish: 'bare' }, ['antiquing'], 'wire')[0]?.said).toBe(
      'Stainless steel does not antique well.',
    );
  });
});

describe('how far a hold reaches', () => {
  it('over the edge at least, and not far over a low one', () => {
    const said = (reach: number, thick: number, edge: number) =>
      judgeReach(reach, thick, edge, 'reach').map(({ weight }) => weight);
    // Wire of 0.812 mm beside an edge: its middle is 0.406 mm outside of it.
    expect(said(0.3, 0.812, 2)).toEqual(['fault']);
    expect(said(0.5, 0.812, 2)).toEqual([]);
    expect(said(4, 0.812, 2)).toEqual([]);
    expect(said(5, 0.812, 2)).toEqual(['advice']);
    expect(said(0, 0.812, 2)).toEqual(['fault']);
  });
});

describe('holds', () => {
  const oval = expectOk(outlineOf({ outline: 'oval', length: 30, width: 22 }));
  const round = expectOk(outlineOf({ outline: 'round', length: 20, width: 20 }));
  const at = (...degrees: number[]) =>
    degrees.map((each) => ({ along: (Math.PI * 20 * each) / 360, reach: 1 }));

  it('an open half slides out, more than a third is poor practice', () => {
    expect(checkHolds(round, at(0, 90)).openArc).toBeCloseTo(270, 3);
    expect(judgeHolds(round, at(0, 90), 'stone')[0]?.said).toMatch(
      /slides out: 270° stand open at the lower left/,
    );
    expect(judgeHolds(round, at(0, 90), 'stone')[0]?.weight).toBe('fault');
    expect(judgeHolds(round, at(0, 90, 200), 'stone')[0]?.said).toMatch(/160° stand open/);
    expect(judgeHolds(round, at(0, 90, 200), 'stone')[0]?.weight).toBe('advice');
    expect(judgeHolds(round, at(0, 120, 240), 'stone')).toEqual([]);
    expect(judgeHolds(round, [], 'stone')[0]?.said).toMatch(/360°/);
  });

  it('a hold keeps as much as it lies over: what is open is between where one ends and the next begins', () => {
    const long = (Math.PI * 20 * 60) / 360;
    const wide = at(0, 120).map((hold) => ({ ...hold, long }));
    // From 150° to 330°, its middle at 240°: the lower left.
    const { openArc, openAt } = checkHolds(round, wide);
    expect(openArc).toBeCloseTo(180, 3);
    expect(openAt).toBeCloseTo(240, 3);
    expect(
      checkHolds(
        round,
        at(0, 180).map((hold) => ({ ...hold, long })),
      ).openArc,
    ).toBeCloseTo(120, 3);
    expect(judgeHolds(round, wide, 'stone')[0]?.said).toMatch(/at the lower left/);
    expect(judgeHolds(round, wide, 'stone', 180)[0]?.said).toMatch(/at the upper right/);
  });

  it('of a bundle frame are what is measured of its wires as they lie, within a few degrees', () => {
    for (const holds of [1, 2, 3, 4, 6])
      for (const stone of [
        { outline: 'oval', length: 24, width: 18, depth: 6, edge: 2.4 },
        { outline: 'round', length: 22, width: 22, depth: 6, edge: 2.4 },
      ] as const) {
        const { run, holds: told } = planOf('bundle-frame', { stone, holds, bound: 4, reach: 1 });
        const [kept] = run ? keptOf(run) : [];
        const { openArc } = checkHolds(expectOk(outlineOf(stone)), told);
        expect(Math.abs((kept?.front.openArc ?? NaN) - openArc)).toBeLessThan(14);
      }
  });

  it('the gaps between all holds go once round', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 359 }), { minLength: 1, maxLength: 8 }),
        (degrees) => {
          const { openArc } = checkHolds(round, at(...degrees));
          expect(openArc).toBeGreaterThanOrEqual(360 / degrees.length - 1e-6);
          expect(openArc).toBeLessThanOrEqual(360 + 1e-6);
        },
      ),
    );
  });

  it('the opening must be smaller than the stone', () => {
    expect(judgeHolds(oval, evenHolds(perimeterOf(oval), 6, 0.2), 'stone')[0]?.said).toMatch(
      /reach 0.2 mm over the edge/,
    );
    expect(judgeHolds(oval, evenHolds(perimeterOf(oval), 6, 0.2), 'stone')[0]?.weight).toBe('advice');
    expect(judgeHolds(oval, evenHolds(perimeterOf(oval), 6, 0), 'stone')[0]?.weight).toBe('fault');
    expect(judgeHolds(oval, evenHolds(perimeterOf(oval), 6, 1), 'stone')).toEqual([]);
    const tips = openingOf(oval, evenHolds(perimeterOf(oval), 4, 1));
    expect(Math.max(...tips.map(({ x }) => Math.abs(x)))).toBeLessThan(11);
  });
});

describe('hanging', () => {
  it('a symmetrical stone hangs straight from its tip, the place over its centre of area', () => {
    const teardrop = expectOk(outlineOf({ outline: 'teardrop', length: 30, width: 20 }));
    expect(hangingPoint(teardrop).aside).toBeCloseTo(0, 6);
    expect(tiltWhenHungFrom(teardrop, placeAt(teardrop, 0).point)).toBeCloseTo(0, 6);
  });

  it('hung where it says, a stone hangs at the tilt that was wanted', () => {
    const points = [
      { x: -10, y: -4 },
      { x: 2, y: -9 },
      { x: 12, y: 1 },
      { x: 5, y: 9 },
      { x: -8, y: 6 },
    ];
    const freeform = expectOk(outlineOf({ outline: 'freeform', length: 20, width: 24, points }));
    fc.assert(
      fc.property(fc.integer({ min: -170, max: 170 }), (tilt) => {
        expect(tiltWhenHungFrom(freeform, hangingPoint(freeform, tilt).point)).toBeCloseTo(tilt, 1);
      }),
      { numRuns: 30 },
    );
    expect(areaOf(freeform)).toBeGreaterThan(0);
    const { point } = hangingPoint(freeform);
    expect(point.x).toBeCloseTo(centroidOf(freeform).x, 2);
    expect(point.y).toBeLessThan(centroidOf(freeform).y);
    expect(placeAt(freeform, hangingPoint(freeform).along).point.x).toBeCloseTo(point.x, 9);
  });
});

it('frame wires: three of 20 ga do for a small flat stone, a deep one wants four or more (common practice)', () => {
  expect(frameWiresFor(2, awgDiameterMm(20))).toBe(3);
  expect(frameWiresFor(3.2, awgDiameterMm(20))).toBe(4);
  expect(judgeFrameWires(3, 0.812, 2, 'wires')).toEqual([]);
  expect(judgeFrameWires(3, 0.812, 4, 'wires')[0]).toMatchObject({
    said: '3 wires stack to 2.44 mm; the edge is 4 mm high.',
    mend: 'Take 5 wires.',
  });
});

it('a wire passes a hole that is a working clearance wider (common practice: 0.05 mm)', () => {
  expect(judgeHole(0.405, 0.46, 1, 'drilled')).toEqual([]);
  expect(judgeHole(0.405, 0.44, 1, 'drilled')[0]).toMatchObject({
    said: 'Wire of 0.41 mm does not pass a hole of 0.44 mm.',
    mend: 'Up to 0.39 mm passes.',
  });
  expect(judgeHole(0.405, 0.8, 2, 'drilled')[0]?.said).toMatch(/doubled/);
  expect(judgeHole(0.405, 0.05, 1, 'drilled')[0]?.mend).toBe('Nothing passes that hole.');
});

describe('order', () => {
  const steps = [
    { id: 'ring', name: 'thread the jump ring' },
    { id: 'bail', name: 'fold the bail' },
  ];
  const rules = [{ first: 'ring', then: 'bail', why: 'a closed ring does not pass a folded bail' }];

  it('what must be threaded before something closes is a fault when it comes after', () => {
    expect(judgeOrder(steps, rules)).toEqual([]);
    expect(judgeOrder([...steps].reverse(), rules)).toEqual([
      {
        weight: 'fault',
        about: 'ring',
        key: 'ring < bail',
        late: 'fold the bail',
        said: '“thread the jump ring” comes after “fold the bail”.',
        why: 'A closed ring does not pass a folded bail.',
        mend: 'Move it before “fold the bail”.',
      },
    ]);
    expect(judgeOrder(steps.slice(1), rules)).toEqual([]);
  });

  it('says what may not be done before what, at the step that must wait', () => {
    expect(stopsAt('bail', steps, rules)).toEqual([
      'Not before “thread the jump ring”. A closed ring does not pass a folded bail.',
    ]);
    expect(stopsAt('ring', steps, rules)).toEqual([]);
    expect(stopsAt('bail', steps.slice(1), rules)).toEqual([]);
  });
});

describe('a plan as a whole', () => {
  const judged = (id: string, more: Record<string, unknown> = {}, known = {}) => {
    const technique = techniqueOf(id) as AnyTechnique;
    const values = { ...initialValues(technique.parameters), ...more };
    return judgePlan(technique, values, expectOk(technique.plan(values as never)), known).map(
      ({ said }) => said,
    );
  };

  it('nothing is said of any technique as it is proposed', () => {
    for (const technique of TECHNIQUES) {
      const plan = expectOk(initialPlan(technique));
      const said = judgePlan(technique, initialValues(technique.parameters), plan).map((each) => each.said);
      expect([technique.id, said]).toEqual([technique.id, []]);
    }
  });

  it('wire that goes through a hole twice lies in it doubled', () => {
    // 0.321 mm twice is 0.642 mm: a hole of 0.8 mm has room for it, one of 0.65 mm only for one.
    const said = (drilled: number, through: string) => judged('bound-beads', { drilled, through }).join();
    expect(said(0.8, 'twice')).not.toMatch(/does not pass/);
    expect(said(0.65, 'once')).not.toMatch(/does not pass/);
    expect(said(0.65, 'twice')).toMatch(/does not pass a hole of 0.65 mm doubled/);
    expect(judged('bead-halo', { drilled: 0.65, through: 'twice' }).join()).toMatch(/doubled/);
  });

  it('judges how far holds reach', () => {
    expect(judged('bundle-frame', { reach: 0.2 }).join()).toMatch(
      /reaches in 0.2 mm does not lie on the stone/,
    );
    expect(judged('bundle-frame', { reach: 1 }).join()).not.toMatch(/reaches in/);
  });

  it('judges wires, finish, frame wires and holds where they are told', () => {
    expect(judged('bundle-frame', { holds: 1 }).join()).toMatch(/slides out: 2\d\d° stand open at the top/);
    // Two holds, each nearly half of the way round, leave little open; wherever the tip is.
    for (const stands of ['tip up', 'tip down'])
      expect(judged('bundle-frame', { holds: 2, stands, bound: 4 }).join()).not.toMatch(/stand open/);
    expect(judged('bundle-frame', { wires: 1 }).join()).toMatch(/1 wire stacks to 0.81 mm/);
    expect(judged('briolette-loop', { drilled: 0.3 }).join()).toMatch(/does not pass a hole of 0.3 mm/);
    expect(judged('hook-clasp', {}, { wire: { metal: 'copper', finish: 'coated' } }).join()).toMatch(
      /Coated wire should not be hammered.*Mark coated wire with tape/,
    );
  });
});
