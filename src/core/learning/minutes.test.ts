import { learnMinutes } from './minutes';

const took = (minutes: number, planned: number) => ({ minutes, planned, age: 0 });

describe('how long a piece takes', () => {
  it('is not known while nothing was timed', () => {
    expect(learnMinutes([], 40)).toBeUndefined();
    expect(learnMinutes([took(30, 0)], 40)).toBeUndefined();
    expect(learnMinutes([took(30, 30)], 0)).toBeUndefined();
  });

  it('follows what a pattern says now, though it was timed when it said something else', () => {
    const twice = Array.from({ length: 40 }, () => took(60, 30));
    const learned = learnMinutes(twice, 50);
    expect(learned?.minutes).toBeGreaterThan(96);
    expect(learned?.minutes).toBeLessThanOrEqual(100);
    expect(learned?.count).toBe(40);
  });

  it('is hardly moved by the afternoon on which the telephone rang', () => {
    const usual = [29, 31, 30, 28, 32, 30].map((minutes) => took(minutes, 30));
    const before = learnMinutes(usual, 30);
    const after = learnMinutes([...usual, took(240, 30)], 30);
    expect((after?.minutes ?? 0) - (before?.minutes ?? 0)).toBeLessThan(2);
    expect(after?.wild).toEqual([6]);
  });
});
