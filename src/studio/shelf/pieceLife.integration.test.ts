import { PIECE_TURNS } from '@/core/selling/life';
import { tag } from '@/core/tag';
import { differencesIn } from '../../../tests/support/cuttingTable';
import {
  addTestHelper,
  asOwner,
  closeBooks,
  done,
  expectBooksAgree,
  makeOne,
  newKey,
  openStudio,
  problemOf,
  receive,
} from '../../../tests/support/studio';
import { reverseMovement } from '../corrections/reverseMovement';
import type { StudioSession } from '../kernel/useCase';
import { showLedger } from '../ledger/ledgerPage';
import { MOST_TURNED, turnPieces, undoTurn } from './pieceLife';
import { showPiece, showShelf } from './shelf';
import { EVER } from './shelf.input';

afterAll(closeBooks);

/** A studio with some finished pieces, by their numbers. */
async function withPieces(count: number) {
  const session = await openStudio();
  await receive(session);
  for (let piece = 0; piece < count; piece += 1) await makeOne(session);
  const { pieces } = await showShelf(session, { sort: 'oldest' });
  return { session, numbers: pieces.map(({ number }) => number) };
}

const turn = (session: StudioSession, numbers: readonly number[], what: string, to = '', note = '') =>
  turnPieces(session, newKey(), numbers, { turn: what, to, note });

const undo = async (session: StudioSession, number: number) => {
  const life = (await showPiece(session, number))?.life ?? [];
  return undoTurn(session, newKey(), number, life.at(-1)?.id ?? 0);
};

describe('what happens to finished pieces', () => {
  it('happens to many at once, and the shelf tells where they are', async () => {
    const { session, numbers } = await withPieces(3);
    const [one = 0, two = 0, three = 0] = numbers;
    done(await turn(session, [one, two], 'put', 'fair case'));
    done(await turn(session, [two], 'reserved', 'the neighbour', 'until Friday'));
    const { pieces, total } = await showShelf(session, { sort: 'oldest' });
    expect(total).toBe(3);
    expect(pieces.map(({ number, state, place }) => [number, state, place])).toEqual([
      [one, 'on the shelf', 'fair case'],
      [two, 'reserved', 'fair case'],
      [three, 'on the shelf', ''],
    ]);
    expect((await showShelf(session, { state: 'reserved' })).pieces.map(({ number }) => number)).toEqual([
      two,
    ]);
    // What lies in a case is found by it.
    const [fair, ...others] = (await showShelf(session)).places;
    expect([fair?.name, others]).toEqual(['fair case', []]);
    expect(
      (await showShelf(session, { place: fair?.id, sort: 'oldest' })).pieces.map(({ number }) => number),
    ).toEqual([one, two]);
    expect((await showShelf(session, { place: newKey() })).total).toBe(0);
    expect(await showPiece(session, two)).toMatchObject({
      state: 'reserved',
      place: 'fair case',
      life: [
        { turn: 'put', place: 'fair case', who: '', undoes: null },
        { turn: 'reserved', who: 'the neighbour', note: 'until Friday', undoes: null },
      ],
    });
    await expectBooksAgree();
  });

  it('has stood there as long as before when it is only laid elsewhere', async () => {
    const { session, numbers } = await withPieces(1);
    const sinceOf = async () => (await showShelf(session)).pieces[0]?.since;
    const made = await sinceOf();
    const later = { ...session, now: new Date(session.now.getTime() + 86_400_000) };
    done(await turn(later, numbers, 'put', 'fair case'));
    expect(await sinceOf()).toEqual(made);
    done(await turn(later, numbers, 'reserved', 'the neighbour'));
    expect(await sinceOf()).toEqual(later.now);
    done(await undo(later, numbers[0] ?? 0));
    expect(await sinceOf()).toEqual(made);
  });

  it('takes what is gone off the shelf and out of the books, and what comes back is there again', async () => {
    const { session, numbers } = await withPieces(2);
    const [one = 0, two = 0] = numbers;
    done(await turn(session, [one], 'given', 'a friend'));
    done(await turn(session, [two], 'taken to a shop', 'Ferry Lane shop'));
    // What is at a shop is the studio's; what is given is not.
    expect((await showShelf(session)).pieces.map(({ number }) => number)).toEqual([two]);
    expect((await showShelf(session, { state: EVER })).total).toBe(2);
    await expectBooksAgree();
    done(await turn(session, [one], 'put back'));
    expect((await showShelf(session)).total).toBe(2);
    await expectBooksAgree();
  });

  it('is taken back from the last on, and the piece is where it was before', async () => {
    const { session, numbers } = await withPieces(1);
    const [one = 0] = numbers;
    done(await turn(session, [one], 'put', 'velvet tray'));
    done(await turn(session, [one], 'put', 'fair case'));
    done(await turn(session, [one], 'lost'));
    const first = (await showPiece(session, one))?.life[0]?.id ?? 0;
    expect(problemOf(await undoTurn(session, newKey(), one, first)).message).toMatch(
      /Something else happened to F-\d{4} meanwhile/,
    );
    done(await undo(session, one));
    expect(await showPiece(session, one)).toMatchObject({ state: 'on the shelf', place: 'fair case' });
    await expectBooksAgree();
    const life = (await showPiece(session, one))?.life ?? [];
    expect(life.map(({ turn: what, undoes }) => [what, undoes])).toEqual([
      ['put', null],
      ['put', null],
      ['lost', null],
      ['lost', life[2]?.id],
    ]);
    done(await undoTurn(session, newKey(), one, life[1]?.id ?? 0));
    expect(await showPiece(session, one)).toMatchObject({ state: 'on the shelf', place: 'velvet tray' });
  });

  it('happens to all of them or to none, and says to which it cannot', async () => {
    const { session, numbers } = await withPieces(2);
    const [one = 0, two = 0] = numbers;
    // What was typed for somebody before another turn was chosen is not of that turn.
    done(await turn(session, [two], 'kept', 'the neighbour'));
    expect((await showPiece(session, two))?.life).toMatchObject([{ turn: 'kept', who: '' }]);
    const refused = problemOf(await turn(session, [one, two], 'reserved', 'the neighbour'));
    expect(refused.message).toBe(`${tag('piece', two)} is kept; it cannot be reserved.`);
    expect((await showPiece(session, one))?.life).toEqual([]);
    expect(problemOf(await turn(session, [one, 4711], 'kept')).message).toBe(
      'F-4711 does not stand on the shelf.',
    );
    expect(problemOf(await turn(session, [], 'kept')).message).toBe('Choose a piece first.');
    const many = Array.from({ length: MOST_TURNED + 1 }, (_, index) => index + 1);
    expect(problemOf(await turn(session, many, 'kept')).message).toMatch(/501 pieces were chosen; 500/);
  });

  it('is asked for what it needs, beside the field', async () => {
    const { session, numbers } = await withPieces(1);
    const fields = async (what: string, to = '', note = '') =>
      problemOf(await turn(session, numbers, what, to, note)).fields;
    expect(await fields('put')).toEqual({ to: 'Say where they are put.' });
    expect(await fields('reserved', ' ')).toEqual({ to: 'Say whom they are reserved for.' });
    expect(await fields('taken to a shop')).toEqual({ to: 'Say which shop they are taken to.' });
    expect((await fields('kept', 'x'.repeat(121)))?.['to']).toMatch(/121 characters long; 120/);
    expect((await fields('kept', '', 'x'.repeat(501)))?.['note']).toMatch(/501 characters long; 500/);
    // What is sold, comes back from a buyer or is broken up is not said here.
    for (const what of ['sold', 'returned', 'broken up', 'eaten'])
      expect((await fields(what))?.['turn']).toMatch(/^Choose what happens/);
  });

  it('is the owner’s to say, but for what helpers lay elsewhere or keep for somebody', async () => {
    const { session, numbers } = await withPieces(1);
    const helper = await addTestHelper(session);
    done(await turn(helper, numbers, 'put', 'fair case'));
    done(await turn(helper, numbers, 'reserved', 'the neighbour'));
    done(await turn(helper, numbers, 'released'));
    for (const what of PIECE_TURNS.filter((each) => ['given', 'kept', 'lost'].includes(each)))
      expect(problemOf(await turn(helper, numbers, what)).kind).toBe('forbidden');
    done(await turn(session, numbers, 'lost'));
    expect(problemOf(await undo(helper, numbers[0] ?? 0)).kind).toBe('forbidden');
  });

  it('happens once, however often it is sent; and another studio has no part in it', async () => {
    const { session, numbers } = await withPieces(1);
    const key = newKey();
    const send = () => turnPieces(session, key, numbers, { turn: 'reserved', to: 'the neighbour', note: '' });
    await Promise.all([send(), send(), send()]);
    expect((await showPiece(session, numbers[0] ?? 0))?.life).toHaveLength(1);
    const other = await withPieces(1);
    expect((await showPiece(other.session, other.numbers[0] ?? 0))?.life).toEqual([]);
  });

  it('has to be taken back before the making is', async () => {
    const { session, numbers } = await withPieces(1);
    const [one = 0] = numbers;
    done(await turn(session, [one], 'given'));
    const [movement] = (await showLedger(session, { kind: 'cut' })).lines;
    const strike = () => reverseMovement(session, newKey(), movement?.id ?? 0, { reason: 'miscounted' });
    expect(problemOf(await strike()).message).toBe(
      `${tag('piece', one)} is given; take that back on its page first.`,
    );
    done(await undo(session, one));
    done(await strike());
    expect(problemOf(await turn(session, [one], 'kept')).message).toMatch(/does not stand on the shelf/);
    expect(problemOf(await undo(session, one)).message).toMatch(/does not stand on the shelf/);
    await expectBooksAgree();
  });

  it('is seen by whoever checks the books when what is kept says otherwise', async () => {
    const { session, numbers } = await withPieces(1);
    const called = tag('piece', numbers[0] ?? 0);
    done(await turn(session, numbers, 'given'));
    await asOwner(`UPDATE pieces SET state = 'kept' WHERE studio_id = $1`, [session.studioId]);
    expect((await differencesIn(session)).map(({ what }) => what)).toEqual([`where ${called} is`]);
    await asOwner(`UPDATE pieces SET state = 'given', wire_cost = wire_cost + 1 WHERE studio_id = $1`, [
      session.studioId,
    ]);
    expect((await differencesIn(session)).map(({ what }) => what)).toContain(`${called} in the books`);
    await asOwner(`UPDATE pieces SET wire_cost = wire_cost - 1 WHERE studio_id = $1`, [session.studioId]);
  });
});
