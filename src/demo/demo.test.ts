import { expectOk } from '@/core/result';
import { gaugeSize } from '@/core/wire/gauge';
import { resolve } from '@/core/pattern/resolve';
import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { techniqueOf } from '@/core/techniques/registry';
import { TECHNIQUE_GROUPS } from '@/core/technique/technique';
import { specSoFar } from '@/studio/wire/specOf';
import { composedOf } from '@/core/house/composedOf';
import { HOUSE_PATTERNS } from '@/core/house/housePatterns';
import { DEMO_PATTERNS } from './patterns';
import { REVISED_PATTERNS } from './revised';
import { Chance } from '@/core/chance';
import { DEMO_STONES } from './drawers';
import { DEMO_WIRES } from './wires';

it('the same seed gives the same chances', () => {
  const draw = () => {
    const chance = new Chance(7);
    return [chance.next(), chance.whole(1, 6), chance.key(), chance.pick(['a', 'b', 'c'])];
  };
  expect(draw()).toEqual(draw());
  expect(new Chance(8).next()).not.toBe(new Chance(7).next());
});

it('draws evenly enough, and within its bounds', () => {
  const chance = new Chance(1);
  const rolls = Array.from({ length: 6000 }, () => chance.whole(1, 6));
  for (const face of [1, 2, 3, 4, 5, 6])
    expect(rolls.filter((roll) => roll === face).length).toBeGreaterThan(850);
  expect(Math.min(...rolls)).toBe(1);
  expect(Math.max(...rolls)).toBe(6);
});

it('makes keys that forms take', () => {
  const chance = new Chance(1);
  const keys = Array.from({ length: 500 }, () => chance.key());
  for (const key of keys)
    expect(key).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-a[0-9a-f]{3}-[0-9a-f]{12}$/);
  expect(new Set(keys).size).toBe(500);
});

it('has wires that exist, each once, and patterns cut from them', () => {
  const names = DEMO_WIRES.map(({ metal, number, profile, temper, finishName }) =>
    [metal, number, profile, temper, finishName].filter(Boolean).join(' '),
  );
  expect(new Set(names).size).toBe(names.length);
  expect(names.length).toBeGreaterThanOrEqual(60);
  for (const { system, number } of DEMO_WIRES)
    expect(expectOk(gaugeSize({ system, number }))).toBeGreaterThan(0);
  for (const { cuts } of DEMO_PATTERNS) for (const { wire } of cuts) expect(names).toContain(wire);
});

/** The wires on the demo studio’s pegs, as if it had bought each once. */
const SPECS = Object.fromEntries(
  DEMO_WIRES.map(({ metal, profile, system, number, temper, finish, finishName, height }, index) => {
    const spec = specSoFar({
      metal,
      profile,
      gaugeSystem: system,
      gaugeNumber: number,
      height,
      temper,
      finish,
      finishName,
    });
    if (!spec) throw new Error(`${metal} ${number} is no wire`);
    return [String(index), spec];
  }),
);

it('has forty patterns at least, of all kinds, with techniques of every group', () => {
  expect(DEMO_PATTERNS.length + HOUSE_PATTERNS.length).toBeGreaterThanOrEqual(40);
  const names = [...DEMO_PATTERNS, ...HOUSE_PATTERNS].map(({ name }) => name.toLowerCase());
  expect(new Set(names).size).toBe(names.length);
  const used = HOUSE_PATTERNS.flatMap(({ uses }) => uses.map(([technique]) => techniqueOf(technique)?.group));
  expect(TECHNIQUE_GROUPS.filter((group) => !used.includes(group))).toEqual([]);
  const kinds = new Set([...DEMO_PATTERNS, ...HOUSE_PATTERNS].map(({ kind }) => kind));
  expect(PATTERN_KINDS.filter((kind) => kind !== 'other' && !kinds.has(kind))).toEqual([]);
});

it('all but a handful of the patterns that were written by hand are composed anew, each under its own number', () => {
  for (const { number, name } of REVISED_PATTERNS) expect(DEMO_PATTERNS[number - 1]?.name).toBe(name);
  expect(DEMO_PATTERNS.length - REVISED_PATTERNS.length).toBeLessThanOrEqual(5);
});

it.each([...HOUSE_PATTERNS, ...REVISED_PATTERNS].map((pattern) => [pattern.name, pattern] as const))(
  '%s is cut from wires that the studio has, in its metal, and in an order that works',
  (_, pattern) => {
    const resolved = resolve(composedOf(pattern, SPECS), SPECS, techniqueOf);
    expect(resolved.uses.map(({ refusal, wrong }) => [refusal, wrong])).toEqual(
      resolved.uses.map(() => ['', {}]),
    );
    expect(resolved.faults).toEqual([]);
    for (const { specId, name } of resolved.cuts) expect([name, typeof specId]).toEqual([name, 'string']);
    expect(resolved.cuts.some(({ specId }) => SPECS[specId ?? '']?.metal === pattern.metal)).toBe(true);
  },
);

// Common practice (the trade's check values): makers cut generously, so the need fits inside what they cut and is half of it or more.
it.each([
  ['Millrace pendant', 'frame wire', 200, 254], // three 20 ga wires of a small teardrop cab: 200 mm; 254 mm of a larger
  ['Heron ear wires', 'ear wire', 100, 100], // about 100 mm drawn, half of it used
  ['Gatekeeper ring', 'band wire', 254, 254], // 254 mm of 20 ga for a one-bead ring
  ['Sea glass cage', 'cage wire', 300, 300], // 300 mm of 18 ga for two flat spirals
])('%s: its %s is cut as makers cut it', (pattern, name, cut, most) => {
  const found = DEMO_PATTERNS.find((each) => each.name === pattern)?.cuts.find((each) => each.name === name);
  const need = (found?.net ?? 0) + (found?.allowances ?? []).reduce((sum, [, length]) => sum + length, 0);
  expect(need).toBeLessThanOrEqual(most + 10);
  expect(need).toBeGreaterThanOrEqual(cut / 2);
});

it('no stone or pattern of the demonstration has the measures of the trade’s check values', () => {
  // Handbook of the trade: cabs of 18 × 13 and 32 × 19 mm are what figures are checked against.
  const said = [
    ...DEMO_PATTERNS.flatMap(({ notes, parts }) => [notes, ...parts.map(([name]) => name)]),
    ...HOUSE_PATTERNS.flatMap(({ notes, parts = [], measures = {} }) => [
      notes,
      ...parts.map(([name]) => name),
      `${measures['stone.length']} × ${measures['stone.width']}`,
    ]),
    ...DEMO_STONES.map(([, , length, width]) => `${length} × ${width}`),
  ];
  for (const each of said) expect(each).not.toMatch(/\b(18 (mm )?× 13|32 (mm )?× 19)\b/);
});
