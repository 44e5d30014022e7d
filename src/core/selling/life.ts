import { ok, refuse, type Result } from '../result';

/** Where a finished piece is in its life. */
export const PIECE_STATES = [
  'on the shelf',
  'reserved',
  'at a shop',
  'sold',
  'given',
  'kept',
  'lost',
  'broken up',
] as const;
export type PieceState = (typeof PIECE_STATES)[number];

/** Those in which it is the studio’s, and stands in its books at what it cost. */
export const IN_STOCK = ['on the shelf', 'reserved', 'at a shop'] as const satisfies readonly PieceState[];

export const isInStock = (state: PieceState): boolean => IN_STOCK.some((each) => each === state);

interface Turn {
  readonly from: readonly PieceState[];
  readonly to: PieceState;
  /** What it is as a sentence says it of a piece: “F-0012 cannot be …”. */
  readonly said: string;
}

/** What can happen to a finished piece. */
export const TURNS = {
  put: { from: ['on the shelf'], to: 'on the shelf', said: 'put somewhere else' },
  reserved: { from: ['on the shelf'], to: 'reserved', said: 'reserved' },
  released: { from: ['reserved'], to: 'on the shelf', said: 'released' },
  'taken to a shop': { from: ['on the shelf'], to: 'at a shop', said: 'taken to a shop' },
  'brought back': { from: ['at a shop'], to: 'on the shelf', said: 'brought back' },
  sold: { from: IN_STOCK, to: 'sold', said: 'sold' },
  returned: { from: ['sold'], to: 'on the shelf', said: 'returned' },
  given: { from: ['on the shelf'], to: 'given', said: 'given away' },
  kept: { from: ['on the shelf'], to: 'kept', said: 'kept' },
  'put back': { from: ['given', 'kept'], to: 'on the shelf', said: 'put back' },
  lost: { from: IN_STOCK, to: 'lost', said: 'lost' },
  found: { from: ['lost'], to: 'on the shelf', said: 'found' },
  'broken up': { from: ['on the shelf'], to: 'broken up', said: 'broken up' },
} as const satisfies Readonly<Record<string, Turn>>;

export type PieceTurn = keyof typeof TURNS;

export const PIECE_TURNS = Object.keys(TURNS) as readonly PieceTurn[];

/** Something that happened to a piece. */
export interface LifeEvent {
  readonly id: number;
  readonly turn: PieceTurn;
  /** The event that this takes back, of the same turn; null for what happened. */
  readonly undoes: number | null;
}

/** What happens where a piece is, or why it cannot. @param called the piece, as it is told */
export function turned(state: PieceState, turn: PieceTurn, called: string): Result<PieceState> {
  const { from, to, said } = TURNS[turn] satisfies Turn;
  return (from as readonly PieceState[]).includes(state)
    ? ok(to)
    : refuse(`${called} is ${state}; it cannot be ${said}.`);
}

/** What still holds of what happened: all but what was taken back. */
export function holding<Event extends LifeEvent>(events: readonly Event[]): readonly Event[] {
  const undone = new Set(events.flatMap(({ undoes }) => undoes ?? []));
  return events.filter(({ id, undoes }) => undoes === null && !undone.has(id));
}

/**
 * Where a piece is by all that happened to it, in its order; made, it is on the shelf.
 * @example stateOf([{ id: 1, turn: 'sold', undoes: null }]) // 'sold'
 */
export const stateOf = (events: readonly LifeEvent[]): PieceState =>
  holding(events).reduce<PieceState>((_, { turn }) => TURNS[turn].to, 'on the shelf');

/**
 * The event that brought a piece where it is; what is only laid elsewhere has been there all the time.
 * @returns undefined for what is where its making put it
 */
export function broughtBy<Event extends LifeEvent>(events: readonly Event[]): Event | undefined {
  let state: PieceState = 'on the shelf';
  let by: Event | undefined;
  for (const event of holding(events)) {
    const next: PieceState = TURNS[event.turn].to;
    if (next !== state) by = event;
    state = next;
  }
  return by;
}

/**
 * The event that may be taken back: only the last that holds, since what came after it would have no ground to stand on.
 * @returns undefined when nothing happened that holds
 */
export const lastOf = <Event extends LifeEvent>(events: readonly Event[]): Event | undefined =>
  holding(events).at(-1);

/**
 * How a turn changes what stands in the books: a piece that leaves the studio takes its cost with it, one that comes back brings it.
 * @returns -1, 0 or 1 times what it cost
 * @example booked('on the shelf', 'sold') // -1
 */
export function booked(before: PieceState, after: PieceState): -1 | 0 | 1 {
  if (isInStock(before) === isInStock(after)) return 0;
  return isInStock(after) ? 1 : -1;
}
