import 'reflect-metadata';
import fc from 'fast-check';
import { OUTLINES } from '@/core/stone/stone';
import { TECHNIQUES } from '@/core/techniques/registry';
import type * as Solve from '@/core/cuttingStock/solve';
import type * as Programme from '@/core/programme/programme';
import type { Parameter } from '@/core/parameter/parameter';
import { answerTechnique, ENDPOINTS } from './endpoints';

/** No question, however odd, breaks the program: it is answered, or refused in a sentence. The questions come from the registry. */

jest.mock('../jobs/runJob', () => ({
  runJob: async (job: { readonly name: string }, { problem }: { problem: never }) => {
    const { solveCutting } = jest.requireActual<typeof Solve>('@/core/cuttingStock/solve');
    const { loadSolver } = jest.requireActual<typeof Programme>('@/core/programme/programme');
    expect(job.name).toBe('planCuts');
    return solveCutting(problem, await loadSolver(), { limitMs: 20, clock: () => performance.now() });
  },
}));

/** What a careless program may put into any field. */
const junk = fc.constantFrom<unknown>(
  null,
  undefined,
  true,
  '',
  'x',
  '🪡',
  '0x10',
  [],
  [null],
  {},
  { x: null },
  -1,
  0,
  1e-9,
  0.1,
  1e9,
  NaN,
  Infinity,
  ' '.repeat(5000),
);

/** An example with some of its values replaced, at any depth. */
function spoiled(example: unknown): fc.Arbitrary<unknown> {
  const whole = fc.oneof({ weight: 6, arbitrary: fc.constant(example) }, { weight: 1, arbitrary: junk });
  if (Array.isArray(example))
    return fc.oneof(
      { weight: 6, arbitrary: fc.tuple(...example.map(spoiled)) },
      { weight: 1, arbitrary: junk },
      { weight: 1, arbitrary: fc.array(fc.oneof(...example.map(spoiled), junk), { maxLength: 6 }) },
    );
  if (typeof example !== 'object' || example === null) return whole;
  const fields = Object.entries(example).map(([key, value]) => [key, spoiled(value)] as const);
  return fc.oneof(
    { weight: 8, arbitrary: fc.record(Object.fromEntries(fields), { requiredKeys: [] }) },
    { weight: 1, arbitrary: junk },
  );
}

/** Every number of an answer is one, and a refusal says something. */
function expectAnswer(outcome: { ok: boolean; value?: unknown; problem?: { message: string } }): void {
  if (!outcome.ok) return expect(outcome.problem?.message).toMatch(/\w{2}/);
  // An answer may hold a hundred thousand numbers: they are looked at here, and told together.
  const wrong: unknown[] = [];
  const text = JSON.stringify(outcome.value, (name, value: unknown) => {
    if (typeof value === 'number' && !Number.isFinite(value)) wrong.push([name, value]);
    return value;
  });
  expect(wrong).toEqual([]);
  expect(text.length).toBeGreaterThan(2);
}

const asked = { studioId: 'test' };
/** Which questions are asked: always the same, so that a run of the tests says what the last one said. */
const SEED = 1127;

it.each(Object.entries(ENDPOINTS))('%s', async (_, { example, answer }) => {
  await fc.assert(
    fc.asyncProperty(spoiled(example), async (plain) => expectAnswer(await answer(plain, asked))),
    { numRuns: 150, seed: SEED },
  );
  expect((await answer(example, asked)).ok).toBe(true);
});

it('a cutting plan of half a million cuts is refused in a sentence', async () => {
  const cuts = Array.from({ length: 50 }, (_, index) => ({ lengthMm: 50 + index, count: 10_000 }));
  const stock = [{ id: 'W-1', lengthMm: 9000, kind: 'spool' }];
  const outcome = await ENDPOINTS['cutting']?.answer({ cuts, stock, usefulMinimumMm: 50 }, asked);
  expect(outcome).toMatchObject({ ok: false, problem: { message: expect.stringContaining('500000 cuts') } });
});

const measure = fc.oneof(fc.double({ min: 1, max: 200, noNaN: true }), fc.constantFrom(1, 3, 10, 40, 200));
const point = fc.record({ x: fc.integer({ min: -60, max: 60 }), y: fc.integer({ min: -60, max: 60 }) });
const stone = fc.record(
  {
    outline: fc.constantFrom(...OUTLINES),
    lengthMm: measure,
    widthMm: measure,
    depthMm: fc.double({ min: 0.1, max: 40, noNaN: true }),
    edgeMm: fc.double({ min: 0.1, max: 20, noNaN: true }),
    pointsMm: fc.array(point, { minLength: 3, maxLength: 12 }),
  },
  { requiredKeys: ['outline', 'lengthMm'] },
);
const wire = fc.record(
  {
    profile: fc.constantFrom('round', 'square', 'half-round', 'flat'),
    widthMm: fc.constantFrom(0.1, 0.3, 0.8, 1.6, 6),
    heightMm: fc.constantFrom(0.1, 0.4, 3),
  },
  { requiredKeys: ['widthMm'] },
);

function valueOf(parameter: Parameter): fc.Arbitrary<unknown> {
  switch (parameter.kind) {
    case 'length':
    case 'count': {
      const { from, to } = parameter;
      return parameter.kind === 'count'
        ? fc.integer({ min: from, max: Math.min(to, 40) })
        : fc.oneof(fc.constantFrom(from, to), fc.double({ min: from, max: to, noNaN: true }));
    }
    case 'choice':
      return fc.constantFrom(...parameter.choices);
    case 'stone':
      return stone;
    case 'wire':
      return wire;
    case 'line':
      return fc.array(point, { minLength: 1, maxLength: 12 });
    case 'weave':
      return fc.constantFrom('A', 'A3 AB2', 'A~B', '/', 'A3 / AB2 | AB A3', 'H', '');
  }
}

it.each(TECHNIQUES.map((each) => [each.id, each] as const))('%s', async (id, { parameters }) => {
  const keys = Object.entries(parameters).map(([key, parameter]): [string, fc.Arbitrary<unknown>] => [
    key,
    fc.oneof({ weight: 40, arbitrary: valueOf(parameter) }, { weight: 1, arbitrary: junk }),
  ]);
  let answered = 0;
  await fc.assert(
    fc.asyncProperty(fc.record(Object.fromEntries(keys), { requiredKeys: [] }), async (plain) => {
      const outcome = await answerTechnique(id, plain);
      expectAnswer(outcome);
      if (outcome.ok) answered += 1;
    }),
    // Of some, few measures fit together by chance; what is asked by nothing at all is answered.
    { numRuns: 40, examples: [[{}]], seed: SEED },
  );
  expect(answered).toBeGreaterThan(0);
});
