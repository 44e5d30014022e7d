import { BEADS } from '../../../tests/support/purchases';
import {
  addTestHelper,
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
  receive,
} from '../../../tests/support/studio';
import { showDrawer } from '../drawers/drawers';
import { receiveBeads } from '../drawers/receive';
import { listPlaces } from '../stock/places';
import { takeOut } from '../stock/takeOut';
import { showStockPiece } from '../wire/rack';
import { keepCounted, listCounts, postCount, showCount, startCount } from './counting';

afterAll(closeBooks);

const take = (length: string, kind = 'used') => ({ kind, quantity: length, reason: 'marred by pliers' });

describe('counting', () => {
  it('keeps lines sent twice and in any order, posts the differences together, and can be read again', async () => {
    const session = await openStudio();
    const helper = await addTestHelper(session);
    const spool = await receive(session, { place: 'Bead box' });
    done(await receiveBeads(session, newKey(), BEADS));
    const place = (await listPlaces(session)).find(({ name }) => name === 'Bead box')?.id ?? null;
    const { number } = done(await startCount(helper, newKey(), place));
    const lines = (await showCount(helper, number))?.lines ?? [];
    expect(lines.map(({ ware }) => ware)).toEqual(['bead', 'wire']);
    const [bead, wire] = lines.map(({ id }) => id);
    const keep = (typed: [string | undefined, string][]) =>
      keepCounted(
        helper,
        newKey(),
        number,
        typed.map(([id, text]) => ({ id: id ?? '', typed: text })),
      );
    expect(
      done(
        await keep([
          [bead, '3 dozen'],
          [wire, 'lots'],
        ]),
      ).wrong,
    ).toMatchObject({ [wire ?? '']: expect.stringMatching(/is not a length/) });
    done(await keep([[wire, '9.5 m']]));
    done(await keep([[wire, '9.5 m']]));
    done(await keep([[wire, '9.5 m']]));
    expect((await showCount(session, number))?.lines.map(({ counted }) => counted)).toEqual([36, 9_500_000]);

    const seen = { [bead ?? '']: 40, [wire ?? '']: 10_000_000 };
    done(await takeOut(session, newKey(), 'wire', spool, take('1 mm')));
    expect(problemOf(await postCount(session, newKey(), number, seen)).message).toMatch(
      /Somebody took from W-0001 meanwhile/,
    );
    const key = newKey();
    const now = { ...seen, [wire ?? '']: 9_999_000 };
    expect(done(await postCount(session, key, number, now))).toEqual({ differences: 2 });
    expect(done(await postCount(session, key, number, now))).toEqual({ differences: 2 });
    expect((await showStockPiece(session, spool))?.length).toBe(9_500_000);
    expect((await showDrawer(session, 'bead', {})).quantity).toBe(36);
    expect(problemOf(await keep([[bead, '1']])).message).toMatch(/posted already/);
    const past = await showCount(session, number);
    expect(past?.lines.map(({ expected }) => expected)).toEqual([40, 9_999_000]);
    expect((await listCounts(session))[0]).toMatchObject({ lines: 2, counted: 2, differences: 2 });
  });
});
