import { batch, line, studioWithPattern } from '../../../tests/support/batches';
import { addCopies } from '../../../tests/support/copies';
import { BEADS, STONE } from '../../../tests/support/purchases';
import {
  addTestHelper,
  closeBooks,
  done,
  makeOne,
  newKey,
  openStudio,
  simplePattern,
} from '../../../tests/support/studio';
import { asOwner } from '../../../tests/support/studio';
import { BATCH_SORTINGS, listBatches } from '../batches/batches';
import { cancelBatch } from '../batches/cancelBatch';
import { planBatch } from '../batches/planBatch';
import { DRAWER_SORTINGS, showDrawer } from '../drawers/drawers';
import { receiveBeads, receiveStone } from '../drawers/receive';
import { listPatterns, PATTERN_SORTINGS } from '../patterns/patterns';
import { SHELF_SORTINGS, showShelf } from '../shelf/shelf';

afterAll(closeBooks);

/** Turns all pages of a list. @param page what stands on one, and where the next begins after */
async function turned(
  page: (after: string | undefined) => Promise<{ shown: readonly number[]; next: string | null }>,
): Promise<number[]> {
  const all: number[] = [];
  let after: string | undefined;
  for (let pages = 0; pages < 20; pages += 1) {
    const { shown, next } = await page(after);
    all.push(...shown);
    if (next === null) return all;
    after = next;
  }
  throw new Error('the list has no end');
}

const numbers = (rows: readonly { readonly number: number }[]) => rows.map(({ number }) => number);

describe('a list', () => {
  // Names that sort otherwise than their numbers, some equal, some with the sign that parts a cursor.
  const NAMES = ['Weir drop', 'alder ring', 'Weir drop', 'mill~stone', 'Alder ring', 'Zinc ~ 7', 'brook'];

  it('of finished pieces is sorted in every way, and its pages together are all of it', async () => {
    const session = await openStudio();
    // One page holds forty of them.
    const first = await makeOne(session);
    await addCopies(session, first, 43);
    for (let index = 0; index < 44; index += 1) {
      const number = first + index;
      await asOwner('UPDATE pieces SET name = $3, price = $4 WHERE studio_id = $1 AND number = $2', [
        session.studioId,
        number,
        NAMES[index % NAMES.length],
        number % 3 === 0 ? null : (1 + (number % 7)) * 100,
      ]);
    }
    const key = (sort: string) => async (after: string | undefined) => {
      const { pieces, next } = await showShelf(session, { sort, after });
      return { shown: numbers(pieces), next };
    };
    const { total } = await showShelf(session);
    expect(total).toBe(44);
    for (const sort of Object.keys(SHELF_SORTINGS)) {
      const all = await turned(key(sort));
      expect([sort, all.length, new Set(all).size]).toEqual([sort, total, total]);
    }
    const byName = await turned(key('name'));
    const names = new Map<number, string>();
    for (let after: string | undefined; ;) {
      const page = await showShelf(session, { after });
      for (const { number, name } of page.pieces) names.set(number, name);
      if (page.next === null) break;
      after = page.next;
    }
    const lower = byName.map((number) => names.get(number)?.toLowerCase() ?? '');
    expect(
      lower.filter((name, index) => index > 0 && name.localeCompare(lower[index - 1] ?? '') < 0),
    ).toEqual([]);
    expect((await turned(key('newest'))).toSorted((a, b) => b - a)).toEqual(await turned(key('newest')));
  });

  it('of finished pieces is narrowed by words, a tag, a kind, and to what has no price', async () => {
    const session = await openStudio();
    const [first, second] = [await makeOne(session), await makeOne(session)];
    await asOwner(
      `UPDATE pieces SET name = 'Heron clasp', price = 1200 WHERE studio_id = $1 AND number = $2`,
      [session.studioId, first],
    );
    const found = async (query: object) => numbers((await showShelf(session, query)).pieces);
    expect(await found({ words: 'clasp HERON' })).toEqual([first]);
    expect(await found({ words: 'f-2' })).toEqual([second]);
    expect(await found({ words: '100%' })).toEqual([]);
    expect(await found({ priced: 'no' })).toEqual([second]);
    expect(await found({ kind: 'pendant' })).toEqual([second, first]);
    expect(await found({ kind: 'ring' })).toEqual([]);
    // What is no kind, no way of sorting and no cursor asks nothing.
    expect(await found({ kind: 'spaceship', sort: 'sideways', after: 'no cursor' })).toEqual([second, first]);
    // Prices are the owner's: a helper learns nothing of them by sorting or asking.
    const helper = await addTestHelper(session);
    const seen = async (query: object) => numbers((await showShelf(helper, query)).pieces);
    expect(await seen({ priced: 'no' })).toEqual([second, first]);
    expect(await seen({ sort: 'cheapest' })).toEqual([second, first]);
  });

  it('of patterns and batches is narrowed and sorted too', async () => {
    const { session, pattern } = await studioWithPattern();
    const other = await simplePattern(session);
    const patterns = async (query: object) => numbers((await listPatterns(session, query)).patterns);
    expect(await patterns({})).toEqual([pattern, other.number]);
    for (const sort of Object.keys(PATTERN_SORTINGS))
      expect((await patterns({ sort })).toSorted()).toEqual([1, 2]);
    expect(await patterns({ sort: 'newest' })).toEqual([other.number, pattern]);
    expect(await patterns({ words: 'P-0002' })).toEqual([2]);
    expect(await patterns({ kind: 'brooch' })).toEqual([]);

    const plan = async (name: string, dueOn: string) =>
      done(await planBatch(session, newKey(), null, batch([line(pattern)], { name, dueOn }))).number;
    const [late, soon, none, gone] = [
      await plan('Autumn', '2027-09-01'),
      await plan('Spring', '2027-04-01'),
      await plan('Some day', ''),
      await plan('Never', '2027-01-01'),
    ];
    done(await cancelBatch(session, newKey(), gone));
    const batches = async (query: object) => numbers((await listBatches(session, query)).batches);
    expect(await batches({})).toEqual([soon, late, none, gone]);
    expect(await batches({ sort: 'name' })).toEqual([late, gone, none, soon]);
    expect(await batches({ state: 'cancelled' })).toEqual([gone]);
    expect(await batches({ words: 'some' })).toEqual([none]);
    expect(await listBatches(session)).toMatchObject({
      total: 4,
      open: 3,
      nextDue: '2027-04-01',
      next: null,
    });
    for (const sort of Object.keys(BATCH_SORTINGS)) expect(await batches({ sort })).toHaveLength(4);
  });

  it('of a drawer turns its pages in every way of sorting', async () => {
    const session = await openStudio();
    for (let index = 0; index < 53; index += 1)
      done(
        await receiveBeads(session, newKey(), {
          ...BEADS,
          size: `${3 + (index % 4)} mm`,
          largest: '',
          shades: '',
          count: String(10 + (index % 9)),
        }),
      );
    for (const sort of Object.keys(DRAWER_SORTINGS)) {
      const all = await turned(async (after) => {
        const { pieces, next } = await showDrawer(session, 'bead', { sort, after });
        return { shown: numbers(pieces), next };
      });
      expect([sort, new Set(all).size, all.length]).toEqual([sort, 53, 53]);
    }
    const [most] = (await showDrawer(session, 'bead', { sort: 'most left' })).pieces;
    expect(most?.quantity).toBe(18);
    done(await receiveStone(session, newKey(), { ...STONE, length: '40 mm', width: '30 mm' }));
    done(await receiveStone(session, newKey(), { ...STONE, length: '12 mm', width: '9 mm' }));
    expect(numbers((await showDrawer(session, 'stone', { sort: 'largest' })).pieces)).toEqual([1, 2]);
  });
});
