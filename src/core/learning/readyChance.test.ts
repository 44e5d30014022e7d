import { Chance } from '../chance';
import { readyChances, type WorkAhead } from './readyChance';

const work = (
  available: number | null,
  count: number,
  planned: number,
  ratios: readonly number[] = [],
): WorkAhead => ({
  setUp: 0,
  pieces: [{ count, planned, ratios }],
  available,
});
const chanceOf = (...works: readonly WorkAhead[]): number => readyChances(works).at(-1) ?? NaN;

describe('whether work will be ready', () => {
  it('is certain when there is far more or far less time than it can take', () => {
    const always = Array.from({ length: 30 }, () => 1);
    expect(chanceOf(work(10_000, 10, 30, always))).toBe(1);
    expect(chanceOf(work(100, 10, 30, always))).toBe(0);
    expect(readyChances([work(null, 3, 10)])).toEqual([null]);
    expect(readyChances([{ setUp: 21, pieces: [], available: 20 }])).toEqual([0]);
  });

  it('counts all that is worked before', () => {
    const exact = Array.from({ length: 100 }, () => 1);
    const first = work(300, 10, 20, exact);
    const alone = chanceOf(work(300, 10, 20, exact));
    expect(alone).toBeGreaterThan(0.95);
    expect(chanceOf(first, work(300, 10, 20, exact))).toBeLessThan(0.05);
    expect(chanceOf(first, work(600, 10, 20, exact))).toBeGreaterThan(0.95);
  });

  it('goes by what the studio’s own makings took: a slow hand is late with what is planned', () => {
    const slow = Array.from({ length: 20 }, (_, index) => 1.3 + 0.02 * (index % 5));
    // Ten of 30 minutes are 300; the hand takes about 400.
    expect(chanceOf(work(330, 10, 30, slow))).toBeLessThan(0.05);
    expect(chanceOf(work(480, 10, 30, slow))).toBeGreaterThan(0.95);
  });

  it('says the same of many pieces, which are drawn together, as of few', () => {
    const ratios = Array.from({ length: 30 }, (_, index) => 0.8 + 0.02 * index);
    // As many minutes in pieces half as long, twice as many of them: the sum varies less, the level as much.
    const few = chanceOf(work(50 * 10 * 1.09, 50, 10, ratios));
    const many = chanceOf(work(51 * 10 * 1.09, 51, 10, ratios));
    expect(Math.abs(few - many)).toBeLessThan(0.08);
    expect(few).toBeGreaterThan(0.3);
    expect(few).toBeLessThan(0.8);
  });

  it('is less sure of what it knows less of', () => {
    const few = [1, 1];
    const many = Array.from({ length: 40 }, () => 1);
    const ahead = (ratios: readonly number[]) => chanceOf(work(345, 10, 30, ratios));
    expect(ahead(many)).toBeGreaterThan(ahead(few));
    expect(ahead(few)).toBeGreaterThan(0.5);
    expect(ahead([])).toBeLessThan(ahead(many));
  });

  it('comes true as often as it says, for studios whose times are drawn from what they logged', () => {
    const chance = new Chance(7);
    const bins = new Map<number, { said: number; true: number; of: number }>();
    for (let studio = 0; studio < 400; studio += 1) {
      const level = Math.exp(chance.normal(0, 0.15));
      const one = () => level * Math.exp(chance.normal(0, 0.2));
      const ratios = Array.from({ length: 15 }, one);
      const available = 8 * 25 * chance.between(0.8, 1.35);
      const said = chanceOf(work(available, 8, 25, ratios));
      const took = Array.from({ length: 8 }, () => 25 * one()).reduce((sum, each) => sum + each, 0);
      const bin = Math.min(2, Math.floor(said * 3));
      const before = bins.get(bin) ?? { said: 0, true: 0, of: 0 };
      bins.set(bin, {
        said: before.said + said,
        true: before.true + (took <= available ? 1 : 0),
        of: before.of + 1,
      });
    }
    for (const { said, true: came, of } of bins.values()) {
      expect(of).toBeGreaterThan(30);
      // Of so many, the share that came true lies within three standard errors, and 0.06 for a bootstrap of fifteen.
      const p = said / of;
      expect(Math.abs(came / of - p)).toBeLessThan(3 * Math.sqrt((p * (1 - p)) / of) + 0.06);
    }
  });
});
