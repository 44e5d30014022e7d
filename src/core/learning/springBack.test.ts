import { Chance } from '../chance';
import { um } from '../units/length';
import { usualSpring } from '../wire/spring';
import { learnSpring } from './springBack';

/** A turn that sprang open by a part of what it was bent round. */
const bend = (on: number, spring: number, age = 0) => ({
  on: um(Math.round(on * 1000)),
  came: um(Math.round(on * 1000 * (1 + spring))),
  age,
});

describe('how much a wire springs open', () => {
  it('is not learned while nothing was measured', () => {
    expect(learnSpring([], [], 0.02)).toBeUndefined();
  });

  it('moves from what is usual to what is measured', () => {
    const usual = usualSpring('half hard');
    const one = learnSpring([bend(10, 0.06)], [], usual);
    const many = learnSpring(
      Array.from({ length: 12 }, (_, index) => bend(5 + index, 0.06)),
      [],
      usual,
    );
    expect(one?.value).toBeGreaterThan(usual);
    expect(one?.value).toBeLessThan(0.045);
    expect(many?.value).toBeGreaterThan(0.054);
    expect(many?.value).toBeLessThan(0.061);
    expect(many).toMatchObject({ own: 12, others: 0 });
  });

  it('goes by other wires of the metal and temper first, and by its own before them', () => {
    const others = Array.from({ length: 10 }, () => bend(12, 0.05));
    const byOthers = learnSpring([], others, 0.02);
    expect(byOthers?.value).toBeGreaterThan(0.042);
    const byOwn = learnSpring(
      Array.from({ length: 10 }, () => bend(12, 0.01)),
      others,
      0.02,
    );
    expect(byOwn?.value).toBeLessThan(0.018);
    expect(byOwn).toMatchObject({ own: 10, others: 10 });
  });

  it('is hardly moved by one bend that slipped, and recovers what is planted within its spread', () => {
    const chance = new Chance(11);
    const bends = Array.from({ length: 40 }, () => bend(chance.between(3, 20), chance.normal(0.034, 0.006)));
    const before = learnSpring(bends, [], 0.02);
    const after = learnSpring([...bends, bend(10, 0.4)], [], 0.02);
    expect(Math.abs((before?.value ?? 0) - 0.034)).toBeLessThan((before?.deviation ?? 0) / 2);
    expect(Math.abs((after?.value ?? 0) - (before?.value ?? 0))).toBeLessThan((before?.deviation ?? 0) / 4);
    expect(after?.wild).toEqual([40]);
  });

  it('forgets what was long ago', () => {
    const old = Array.from({ length: 8 }, () => bend(10, 0.05, 1500));
    const fresh = Array.from({ length: 8 }, () => bend(10, 0.05));
    expect(learnSpring(old, [], 0.02)?.value).toBeLessThan(learnSpring(fresh, [], 0.02)?.value ?? 0);
  });
});
