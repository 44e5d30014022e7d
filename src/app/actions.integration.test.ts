import fs from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import type { Outcome } from '@/studio/kernel/outcome';
import type { StudioSession } from '@/studio/kernel/useCase';
import { closeBooks, openStudio, receive, simplePattern } from '../../tests/support/studio';

/** Everything that a browser can ask for by a server action is asked for with rubbish, by the owner of a studio with something in it. */

let session: StudioSession;
jest.mock('./lib/member', () => ({
  asMember: (work: (session: StudioSession) => unknown) => work(session),
}));
jest.mock('./lib/session', () => ({ keepSession: () => Promise.resolve() }));
jest.mock('./lib/seal', () => ({ installationSecret: () => 'a secret of the test' }));

const STUDIO = path.join(__dirname, '(studio)');
const files = fs
  .readdirSync(STUDIO, { recursive: true, encoding: 'utf8' })
  .filter((file) => /(^|\/)(actions|\w+Actions?)\.ts$/.test(file));

beforeAll(async () => {
  session = await openStudio();
  await receive(session);
  await simplePattern(session);
});
afterAll(closeBooks);

it('finds the actions', () => {
  expect(files.length).toBeGreaterThan(15);
});

it.each(files)('%s reads all that it is given', (file) => {
  const lines = fs.readFileSync(path.join(STUDIO, file), 'utf8').split('\n');
  expect(lines[0]).toBe("'use server';");
  for (const line of lines.filter((each) => each.startsWith('export')))
    expect(line).toMatch(/^export const \w+Action = (action|question)(<|\()/);
});

const KEY = '6f9619ff-8b86-4d01-b42d-00cf4fc964ff';
const rubbish = fc.oneof(
  fc.constantFrom<unknown>(
    undefined,
    null,
    0,
    1,
    -1,
    1e300,
    NaN,
    '',
    'W-0001',
    KEY,
    true,
    {},
    [],
    [null],
    { version: '1' },
    { lines: [null] },
    { number: 1, revision: 1 },
    { constructor: null },
  ),
  fc.uuid(),
  fc.anything({ maxDepth: 2 }),
);

it.each(files)('%s answers rubbish with a sentence', async (file) => {
  const actions = (await import(path.join(STUDIO, file))) as Record<
    string,
    (...given: unknown[]) => Promise<Outcome<unknown>>
  >;
  for (const [name, act] of Object.entries(actions))
    await fc.assert(
      fc.asyncProperty(fc.array(rubbish, { maxLength: 5 }), async (given) => {
        const outcome = await act(...given);
        if (!outcome.ok) expect([name, outcome.problem.kind]).not.toEqual([name, 'fault']);
        if (!outcome.ok) expect(outcome.problem.message).toMatch(/[.)]$/);
      }),
      { numRuns: 40, examples: [[[KEY, { lines: [null] }]], [[1, KEY, { lines: [null] }]]] },
    );
});
