import type { PieceState, PieceTurn } from '@/core/selling/life';

/** What can happen to a piece, as it is chosen. */
export const TURN_ACTS: Readonly<Record<PieceTurn, string>> = {
  put: 'Put somewhere',
  reserved: 'Reserve for somebody',
  released: 'Reserve no longer',
  'taken to a shop': 'Take to a shop',
  'brought back': 'Bring back from the shop',
  sold: 'Sell',
  returned: 'Take back from a buyer',
  given: 'Give away',
  kept: 'Keep for the studio',
  'put back': 'Put back on the shelf',
  lost: 'Say that it is lost',
  found: 'Say that it is found',
  'broken up': 'Break up',
};

interface Told {
  readonly turn: PieceTurn;
  readonly place: string;
  readonly who: string;
}

/** What happened to a piece, as its line of events tells it. */
export function turnSaid({ turn, place, who: to }: Told): string {
  switch (turn) {
    case 'put':
      return `put: ${place}`;
    case 'reserved':
      return `reserved for ${to}`;
    case 'taken to a shop':
      return `taken to ${to}`;
    case 'given':
      return to === '' ? 'given away' : `given to ${to}`;
    default:
      return to === '' ? turn : `${turn}: ${to}`;
  }
}

/** Where a piece is, on its card: nothing of what simply stands on the shelf. */
export const stateSaid = (state: PieceState, place: string): string =>
  [state === 'on the shelf' ? '' : state, place].filter((each) => each !== '').join(' · ');
