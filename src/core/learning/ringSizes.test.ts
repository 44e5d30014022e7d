import { Chance } from '../chance';
import { mm } from '../units/length';
import { learnDrift, type RingMade } from './ringSizes';

// A US size n is 11.63 + 0.8128 n mm across inside (0.458 + 0.032 n inches; handbook of the trade, common practice).
const inside = (us: number) => mm(25.4 * (0.458 + 0.032 * us));
const ring = (wanted: number, finished: number, age = 0): RingMade => ({
  wanted: inside(wanted),
  finished: inside(finished),
  age,
});

describe('how rings come out', () => {
  it('is told in US sizes, whatever size they are made for', () => {
    const rings = [5, 6, 7, 8, 9, 10].map((us) => ring(us, us - 0.5));
    const drift = learnDrift(rings);
    expect(drift?.value).toBeLessThan(-0.35);
    expect(drift?.value).toBeGreaterThan(-0.5);
    expect(learnDrift([])).toBeUndefined();
  });

  it('finds a drift of − 0.3 that nobody told it of, within what it says of itself', () => {
    let within = 0;
    const studios = 200;
    for (let seed = 0; seed < studios; seed += 1) {
      const chance = new Chance(seed);
      const rings = Array.from({ length: 14 }, (_, index) => {
        const wanted = chance.whole(10, 18) / 2;
        return ring(wanted, wanted - 0.3 + chance.normal(0, 0.15), index * 10);
      });
      const drift = learnDrift(rings);
      const error = Math.sqrt((drift?.scale ?? 0) ** 2 - (drift?.deviation ?? 0) ** 2);
      if (Math.abs((drift?.value ?? 0) + 0.3) < 2 * error) within += 1;
    }
    expect(within / studios).toBeGreaterThan(0.9);
  });
});
