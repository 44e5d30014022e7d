import type { Outcome } from '../kernel/outcome';
import { attempt, type StudioSession } from '../kernel/useCase';
import { makeAsTold, type Made, type MadeFrom } from './makePiece';
import { MakePieceInput, type MakingTold } from './makePiece.input';
import { proposeFromTray } from './proposeMaking';
import { readInput } from '../kernel/readInput';

/** What came of making several pieces: the ones that are made, and why no more are. */
export interface MadeAlike {
  readonly made: readonly Made[];
  /** What kept the next one from being made; empty when all are. */
  readonly stopped: string;
}

/**
 * Makes several pieces of a line of a batch that lie ready in its tray: the first as it was told, the others as the first, each of its own
 * wires, with the parts that are proposed for it. Each piece is a making of its own, and can be taken back by itself; when one cannot
 * be made, those before it are.
 * @param keys one for each piece, under which it is posted at most once
 */
export function makeAlike(
  session: StudioSession,
  keys: readonly string[],
  first: MadeFrom,
  plain: unknown,
): Promise<Outcome<MadeAlike>> {
  return attempt(async () => {
    const told = await readInput(MakePieceInput, plain);
    const made: Made[] = [];
    for (const [index, key] of keys.entries()) {
      const next = index === 0 ? { from: first, told } : await asTheFirst(session, first, told);
      if (!next) return { made, stopped: 'No more of them lie ready in the tray.' };
      const outcome = await makeAsTold(session, key, next.from, () => next.told);
      if (!outcome.ok) return { made, stopped: outcome.problem.message };
      made.push(outcome.value);
    }
    return { made, stopped: '' };
  });
}

/** The next piece of the same line, done as the first one was. */
async function asTheFirst(
  session: StudioSession,
  { batch, ...pattern }: MadeFrom,
  { minutes, setUpMinutes, sharedBy, cuts, goesTo, drawer }: MakingTold,
): Promise<{ readonly from: MadeFrom; readonly told: MakingTold } | undefined> {
  const proposal = batch && (await proposeFromTray(session, batch.number, batch.line));
  if (!proposal?.batch) return undefined;
  const { number, line, piece } = proposal.batch;
  return {
    from: { ...pattern, batch: { number, line, piece }, isLikeAnother: true },
    told: {
      cuts: proposal.cuts.map(({ cutIndex, copy, from, length }) => ({
        cutIndex,
        copy,
        from: from ?? '',
        cut: length,
        back: cuts.find((cut) => cut.cutIndex === cutIndex && cut.copy === copy)?.back ?? [],
      })),
      spoiled: [],
      minutes,
      setUpMinutes,
      sharedBy,
      ...(goesTo && { goesTo }),
      ...(drawer && { drawer }),
    },
  };
}
