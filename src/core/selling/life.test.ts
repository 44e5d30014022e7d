import fc from 'fast-check';
import {
  booked,
  broughtBy,
  isInStock,
  lastOf,
  PIECE_STATES,
  PIECE_TURNS,
  stateOf,
  turned,
  TURNS,
  type LifeEvent,
  type PieceState,
  type PieceTurn,
} from './life';

const happened = (...turns: readonly PieceTurn[]): LifeEvent[] =>
  turns.map((turn, index) => ({ id: index + 1, turn, undoes: null }));

describe('the life of a finished piece', () => {
  it('begins on the shelf, and goes where it is taken', () => {
    expect(stateOf([])).toBe('on the shelf');
    expect(stateOf(happened('taken to a shop'))).toBe('at a shop');
    expect(stateOf(happened('taken to a shop', 'sold', 'returned', 'given'))).toBe('given');
  });

  it('says where it is when something cannot happen to it there', () => {
    const sold = turned('sold', 'reserved', 'F-0012');
    expect(sold.ok ? '' : sold.error).toBe('F-0012 is sold; it cannot be reserved.');
    expect(turned('reserved', 'sold', 'F-0012')).toEqual({ ok: true, value: 'sold' });
    // What is broken up is no piece any more: only taking that back makes it one.
    for (const turn of PIECE_TURNS) expect(turned('broken up', turn, 'it').ok).toBe(false);
  });

  it('has a way to every state, and from every other than broken up a way back to the shelf', () => {
    for (const state of PIECE_STATES.filter((each) => each !== 'on the shelf'))
      expect(PIECE_TURNS.some((turn) => TURNS[turn].to === state)).toBe(true);
    const reach = (from: PieceState, seen = new Set<PieceState>()): Set<PieceState> => {
      if (seen.has(from)) return seen;
      seen.add(from);
      for (const turn of PIECE_TURNS) {
        const next = turned(from, turn, 'it');
        if (next.ok) reach(next.value, seen);
      }
      return seen;
    };
    for (const state of PIECE_STATES) expect(reach(state).has('on the shelf')).toBe(state !== 'broken up');
  });

  it('is taken back an event at a time, from the last', () => {
    const events = happened('reserved', 'sold');
    expect(lastOf(events)).toMatchObject({ id: 2 });
    const back = [...events, { id: 3, turn: 'sold', undoes: 2 } as const];
    // It is reserved again, not merely on the shelf.
    expect(stateOf(back)).toBe('reserved');
    expect(lastOf(back)).toMatchObject({ id: 1 });
    expect(stateOf([...back, { id: 4, turn: 'reserved', undoes: 1 }])).toBe('on the shelf');
    expect(lastOf([...back, { id: 4, turn: 'reserved', undoes: 1 }])).toBeUndefined();
  });

  it('is where it is since it came there, however often it is laid elsewhere', () => {
    expect(broughtBy(happened('put'))).toBeUndefined();
    expect(broughtBy(happened('given', 'put back', 'put'))).toMatchObject({ id: 2 });
    const back = [...happened('put', 'reserved'), { id: 3, turn: 'reserved', undoes: 2 } as const];
    expect(broughtBy(back)).toBeUndefined();
  });

  it('takes its cost out of the books when it leaves, and brings it back when it comes', () => {
    expect(booked('on the shelf', 'sold')).toBe(-1);
    expect(booked('at a shop', 'sold')).toBe(-1);
    expect(booked('sold', 'on the shelf')).toBe(1);
    expect(booked('on the shelf', 'at a shop')).toBe(0);
    expect(booked('given', 'sold')).toBe(0);
  });

  it('stands in the books exactly while it is the studio’s, whatever happens and is taken back', () => {
    fc.assert(
      fc.property(fc.array(fc.nat({ max: PIECE_TURNS.length }), { maxLength: 40 }), (choices) => {
        const events: LifeEvent[] = [];
        let inBooks = 1;
        for (const choice of choices) {
          const before = stateOf(events);
          const turn = PIECE_TURNS[choice];
          const last = lastOf(events);
          if (turn === undefined) {
            if (!last) continue;
            events.push({ id: events.length + 1, turn: last.turn, undoes: last.id });
          } else {
            const next = turned(before, turn, 'it');
            if (!next.ok) continue;
            events.push({ id: events.length + 1, turn, undoes: null });
            expect(stateOf(events)).toBe(next.value);
          }
          inBooks += booked(before, stateOf(events));
          expect(inBooks).toBe(isInStock(stateOf(events)) ? 1 : 0);
        }
      }),
    );
  });
});
