import { PIECE_TURNS, type PieceTurn } from '@/core/selling/life';
import { ok, refuse } from '@/core/result';
import { ReadsBy, ReadsOneOf, ReadsText } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** What is said to happen by hand; what is sold, comes back from a buyer or is broken up changes more than the piece. */
export const BY_HAND: readonly PieceTurn[] = PIECE_TURNS.filter(
  (turn) => !['sold', 'returned', 'broken up'].includes(turn),
);

/** Those that helpers may say: they lay pieces from one place into another, and keep them for somebody. */
export const BY_HELPERS: readonly PieceTurn[] = ['put', 'reserved', 'released'];

/** What has to be said of some of them: where to, for whom, or which shop. */
const NEEDED: Readonly<Partial<Record<PieceTurn, string>>> = {
  put: 'where they are put',
  reserved: 'whom they are reserved for',
  'taken to a shop': 'which shop they are taken to',
};
const LONGEST = 120;

/** Those that tell of somebody, or of a shop. */
export const OF_SOMEBODY: readonly PieceTurn[] = ['reserved', 'taken to a shop', 'given'];

/** What is asked besides of a turn; nothing where nothing is. */
export const askedOf = (turn: string): string | undefined =>
  Object.entries(NEEDED).find(([each]) => each === turn)?.[1];

/** Something that happens to finished pieces. */
export class TurnPiecesInput {
  @ReadsOneOf(BY_HAND, 'what happens') turn!: Typed<PieceTurn>;

  /** A place, a person or a shop, as the turn asks. */
  @ReadsBy('readsTo', (text, { turn }: TurnPiecesInput) => {
    const [plain, asked] = [text.trim(), askedOf(turn)];
    if (plain === '' && asked !== undefined) return refuse(`Say ${asked}.`);
    return plain.length <= LONGEST
      ? ok(plain)
      : refuse(`This is ${plain.length} characters long; ${LONGEST} are allowed.`);
  })
  to!: string;

  @ReadsText(500) note!: string;
}
