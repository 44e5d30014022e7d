import { makeOne, openStudio, receive } from '../../tests/support/studio';
import { closeDatabase } from './database';
import { otherThanNone } from './conditions';
import { inStudio, type StudioSession } from './inStudio';
import { Article, Place } from './models/articles';
import { Movement } from './models/books';
import { Piece } from './models/making';
import { StockPiece } from './models/stock';

let ours: StudioSession;
beforeAll(async () => {
  ours = await openStudio();
  await receive(ours, { length: '25 m' });
  await makeOne(ours);
});
afterAll(closeDatabase);

describe('rows with what they belong to', () => {
  it('brings what a row belongs to, and what that belongs to itself', async () => {
    const [piece] = await inStudio(ours, (tx) =>
      tx.allWith(Piece, ['name'], {
        pattern: ['name'],
        made: { columns: ['revision'], with: { user: ['role'] } },
      }),
    );
    expect(piece).toEqual({
      name: piece?.pattern.name,
      pattern: { name: expect.any(String) },
      made: { revision: 1, user: { role: 'owner' } },
    });
  });

  it('says nothing where a row belongs to none', async () => {
    const found = await inStudio(ours, (tx) =>
      tx.allWith(StockPiece, ['number'], { place: ['name'], spoolType: ['name'] }),
    );
    expect(found.length).toBeGreaterThan(1);
    expect(found.map(({ spoolType }) => spoolType)).toEqual(found.map(() => null));
    const placed = await inStudio(ours, async (tx) => {
      const [placeId, stockPieceId] = ['0f7b7f0e-8d51-4a57-9f0c-3b1f6f1f0b01', await firstStock()];
      await tx.add(Place, [{ placeId, name: 'A tin', position: 1 }]);
      await tx.change(StockPiece, { stockPieceId }, { placeId });
      return tx.oneWith(StockPiece, ['number'], { place: ['name'] }, { where: { stockPieceId } });
    });
    expect(placed?.place).toEqual({ name: 'A tin' });
    // What is wanted of a row may be empty, or nothing at all: the row is there all the same.
    const lots = await inStudio(ours, (tx) =>
      tx.allWith(
        StockPiece,
        ['lotId'],
        { lot: ['massUg'], spoolType: [] },
        { where: { lotId: otherThanNone } },
      ),
    );
    expect(lots.length).toBeGreaterThan(0);
    expect(lots.map(({ lot, spoolType }) => [lot, spoolType])).toEqual(
      lots.map(() => [{ massUg: null }, null]),
    );
  });

  it('asks and orders by what rows belong to', async () => {
    const used = await inStudio(ours, (tx) =>
      tx.allWith(
        Movement,
        ['kind', 'quantity'],
        { stockPiece: { columns: ['number'], with: { article: ['name'] } } },
        { where: { '$stockPiece.ware$': 'wire' }, order: [['stockPiece', 'number', 'DESC'], 'movementId'] },
      ),
    );
    const numbers = used.map(({ stockPiece }) => stockPiece.number);
    expect(numbers).toEqual(numbers.toSorted((one, other) => other - one));
    expect(new Set(numbers).size).toBeGreaterThan(1);
    expect(used[0]?.stockPiece.article.name).toMatch(/ga/);
  });

  it('joins within the studio, whatever the keys say', async () => {
    const theirs = await openStudio();
    await receive(theirs, { length: '25 m' });
    // The same key in both studios: a join by it alone would bring the other's.
    const articleId = await inStudio(
      ours,
      async (tx) => (await tx.one(StockPiece, ['articleId'], { where: {} }))?.articleId ?? '',
    );
    await inStudio(theirs, async (tx) => {
      const own = await tx.one(Article, ['ware', 'said', 'identity', 'sortKey'], { where: {} });
      if (!own) throw new Error('nothing was received');
      await tx.add(Article, [{ ...own, articleId, name: 'Theirs', identity: 'theirs' }]);
    });
    const rows = await inStudio(ours, (tx) =>
      tx.allWith(StockPiece, ['number'], { article: ['name'] }, { where: { articleId } }),
    );
    expect(rows.map(({ article }) => article.name)).not.toContain('Theirs');
    expect(new Set(rows.map(({ number }) => number)).size).toBe(rows.length);
  });
});

async function firstStock(): Promise<string> {
  const first = await inStudio(ours, (tx) =>
    tx.one(StockPiece, ['stockPieceId'], { where: {}, order: ['number'] }),
  );
  return first?.stockPieceId ?? '';
}
