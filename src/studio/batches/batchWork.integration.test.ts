import fc from 'fast-check';
import { checkBooks } from '@/data/checkBooks';
import { Bench, openAsker, operationOf, type Operation } from '../../../tests/support/randomWork';
import { addTestHelper, openStudio, receive, simplePattern } from '../../../tests/support/studio';

/** Random work on batches by two people at once, while others take from the rack: the books are exact after all of it. */

const asker = openAsker();

const OPERATIONS = 120;
const AT_ONCE = 3;
const RUNS = 4;

const work = operationOf([
  ...Array.from({ length: 12 }, () => 'batch' as const),
  'part',
  'spoil',
  'reverse',
  'reverse',
  'relabel',
]);

async function workAndCheck(operations: readonly Operation[]): Promise<{ cut: number; made: number }> {
  const owner = await openStudio();
  const helper = await addTestHelper(owner);
  for (const length of ['6 m', '4 m', '0.9 m', '350 mm'])
    await receive(owner, { form: 'coil', length, price: '12.34 USD' });
  const bench = new Bench(asker(), owner, helper, await simplePattern(owner, { count: '2' }));
  for (let index = 0; index < operations.length; index += AT_ONCE)
    await Promise.all(operations.slice(index, index + AT_ONCE).map((each) => bench.run(each)));
  const { differences } = await checkBooks(process.env['PEWTERER_OWNER_URL'] ?? '');
  expect(differences.filter(({ studio }) => studio === owner.studioId)).toEqual([]);
  // By the ledger: what was undone or taken back was done all the same.
  const [count] = await asker().ask<{ cut: number; made: number }>(
    `SELECT (SELECT count(*)::int FROM movements WHERE studio_id = $1 AND kind = 'split' AND batch_id IS NOT NULL AND quantity > 0
                AND reverses IS NULL) AS cut, (SELECT count(*)::int FROM pieces WHERE studio_id = $1) AS made`,
    [owner.studioId],
  );
  return count ?? { cut: 0, made: 0 };
}

it('no wire of a batch is cut twice, lost or made up, whatever happens beside it', async () => {
  const done = { cut: 0, made: 0 };
  const operations = fc.array(work, { minLength: OPERATIONS, maxLength: OPERATIONS, size: 'max' });
  await fc.assert(
    fc.asyncProperty(operations, async (each) => {
      const { cut, made } = await workAndCheck(each);
      done.cut += cut;
      done.made += made;
    }),
    { numRuns: RUNS, endOnFailure: true },
  );
  // Something has really happened.
  expect(done.cut).toBeGreaterThan(2 * RUNS);
  expect(done.made).toBeGreaterThan(0);
}, 600_000);
