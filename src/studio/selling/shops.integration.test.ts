import { day } from '@/core/calendar/day';
import { tag } from '@/core/tag';
import { HARBOUR_FAIR, selling, sellingStudio } from '../../../tests/support/selling';
import { addTestHelper, closeBooks, done, expectBooksAgree, newKey } from '../../../tests/support/studio';
import { shopNoteOf } from '../paper/shopPaper';
import { turnPieces } from '../shelf/pieceLife';
import { pricePiece } from '../shelf/shelf';
import { writeChannel } from './channels';
import { sellPieces } from './sell';
import { listShops } from './shops';

afterAll(closeBooks);

/** Two shops: one that is written down and keeps two fifths, and one that is not. */
async function atShops() {
  const studio = await sellingStudio(4);
  const { session, numbers } = studio;
  const [one = 0, two = 0, three = 0] = numbers;
  done(
    await writeChannel(session, newKey(), null, {
      ...HARBOUR_FAIR,
      ...{ kind: 'commission', name: 'The mill', feePercent: '40', feeFixed: '0 USD', packing: '0 USD' },
      ...{ taxKind: 'none', pricePercent: '110', endings: ['0 USD'] },
    }),
  );
  for (const [index, piece] of [one, two].entries())
    done(
      await pricePiece(session, newKey(), piece, {
        version: '1',
        school: 'market',
        goingPrice: `${40 + index * 10} USD`,
      }),
    );
  const take = async (pieces: readonly number[], to: string, on: string) =>
    done(
      await turnPieces({ ...session, now: new Date(`${on}T10:00:00Z`) }, newKey(), pieces, {
        ...{ turn: 'taken to a shop', to, note: '' },
      }),
    );
  await take([two], 'the mill', '2026-04-03');
  await take([one], 'The mill', '2026-05-01');
  await take([three], 'A friend’s window', '2026-05-02');
  return studio;
}

describe('what lies at shops', () => {
  it('is told by shop, with what it asks and what of that is the studio’s', async () => {
    const { session, numbers } = await atShops();
    const [one = 0, two = 0, three = 0] = numbers;
    const { shops } = await listShops(session);
    expect(shops).toMatchObject([
      { name: 'A friend’s window', channel: null, pieces: [{ number: three, asked: null, yours: null }] },
      {
        name: 'The mill',
        // A tenth more than on the tags; two fifths are the shop’s.
        pieces: [
          { number: two, since: '2026-04-03', asked: 5500, yours: 3300 },
          { number: one, since: '2026-05-01', asked: 4400, yours: 2640 },
        ],
        ...{ asked: 9900, yours: 5940 },
      },
    ]);
    const helper = await addTestHelper(session);
    await expect(async () => listShops(helper)).rejects.toThrow();
  });

  it('leaves the list when it is sold or comes back, and lies at the shop that it was taken to last', async () => {
    const { session, numbers } = await atShops();
    const [one = 0, two = 0, three = 0] = numbers;
    const mill = async () => (await listShops(session)).shops.find(({ name }) => name === 'The mill');
    const channel = (await mill())?.channel?.id ?? '';
    done(await sellPieces(session, newKey(), selling(channel, [[two, '55 USD']], { paidBy: 'the channel' })));
    done(await turnPieces(session, newKey(), [three], { turn: 'brought back', to: '', note: '' }));
    expect((await listShops(session)).shops.map(({ name }) => name)).toEqual(['The mill']);
    done(await turnPieces(session, newKey(), [three], { turn: 'taken to a shop', to: 'The mill', note: '' }));
    expect((await mill())?.pieces.map(({ number }) => number)).toEqual([one, three]);
    await expectBooksAgree();
  });

  it('goes there with a note', async () => {
    const { session, numbers } = await atShops();
    const { shops, studio } = await listShops(session);
    const mill = shops.find(({ name }) => name === 'The mill');
    if (!mill) throw new Error('it has pieces');
    const note = shopNoteOf(mill, studio, day('2026-05-04'));
    expect(note).toMatchObject({
      title: 'Delivery note',
      heads: ['Asked', 'Ours'],
      sums: [
        { label: '2 pieces, asked together', amount: '$99.00' },
        { label: 'of which ours', amount: '$59.40' },
      ],
    });
    expect(note.under[0]).toContain('on commission to The mill');
    expect(note.lines.map(({ asked, price }) => [asked, price])).toEqual([
      ['$55.00', '$33.00'],
      ['$44.00', '$26.40'],
    ]);
    expect(note.lines[0]?.about).toContain(tag('piece', numbers[1] ?? 0));
  });
});
