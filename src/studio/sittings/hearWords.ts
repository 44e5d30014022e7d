import type { Id } from '@/core/id';
import { mayCome } from '@/core/bench/rounds';
import type { BentTurn, Said, Word } from '@/core/bench/sitting';
import { reworkSlot, stationsOf } from '@/core/bench/stations';
import { insidesWanted } from '@/core/pattern/insidesWanted';
import { inStudio, type Tx } from '@/data/inStudio';
import { SittingRow, SittingWord, type SittingState } from '@/data/models/sittings';
import { refused, type Outcome } from '../kernel/outcome';
import { attempt, type StudioSession } from '../kernel/useCase';
import { sittingIn, wordsOf, type KeptSitting } from './sittings';

/** The most words that are sent at once. */
export const MOST_AT_ONCE = 1000;

/** What the studio has heard of a sitting, from whatever device. */
export interface Heard {
  readonly words: readonly Word[];
  readonly state: SittingState;
}

/**
 * Hears what was said of a sitting on a device, in its order, and answers with all that was said on any. A word that was heard before is
 * not heard again. Of a sitting that is over nothing more is heard; who only listens sends nothing.
 */
export function hearWords(
  session: StudioSession,
  sittingId: Id<'sitting'>,
  words: readonly Word[],
): Promise<Outcome<Heard>> {
  return attempt(() =>
    inStudio(
      session,
      async (tx) => {
        const sitting = await sittingIn(tx, sittingId);
        if (!sitting) throw refused('There is no such sitting any more.');
        const before = await wordsOf(tx, sittingId);
        if (words.length === 0 || sitting.state !== 'open') return { words: before, state: sitting.state };
        const known = new Set(before.map(({ id }) => id));
        const fresh = words.filter(({ id }) => !known.has(id) && known.add(id));
        const strange = fresh.find(({ said }) => !isOf(sitting, said));
        if (strange)
          throw refused('Something was said of a piece or a step that this sitting does not have.');
        await addWords(tx, sitting, before.length, fresh);
        return { words: [...before, ...fresh], state: sitting.state };
      },
      { readOnly: words.length === 0 },
    ),
  );
}

/** Writes words down behind those that were heard before. */
export async function addWords(
  tx: Tx,
  { id: sittingId }: Pick<KeptSitting, 'id'>,
  from: number,
  words: readonly Word[],
): Promise<void> {
  const { userId, now: heardAt } = tx.session;
  await tx.add(
    SittingWord,
    words.map(({ id: wordId, said }, index) => ({
      sittingId,
      place: from + index,
      wordId,
      said,
      userId,
      heardAt,
    })),
  );
  await tx.change(SittingRow, { sittingId }, { words: from + words.length });
}

/** Whether a turn can have come to that; what takes it back always can. */
function canCome({ on, came }: BentTurn): boolean {
  const { from, to } = mayCome(on);
  return came === 0 || (on > 0 && came >= from && came <= to);
}

/** Whether what is said is said of something that a sitting has. */
function isOf({ batch, body, count, checks }: KeptSitting, said: Said): boolean {
  const stations = stationsOf(body.steps, count);
  switch (said.kind) {
    case 'at':
    case 'passed':
      return said.at < stations.length;
    case 'worked':
    case 'corrected':
      return said.slot < reworkSlot(stations, count);
    case 'checked':
      return said.piece < count && said.check < checks.length;
    case 'cut':
    case 'spoiled':
    case 'shorter':
      return said.piece < count && said.copy < (body.cuts[said.cutIndex]?.count ?? 0);
    case 'broke':
      return said.piece < count && said.part < body.parts.length;
    case 'spool':
      // What lies cut in a tray is worked off no spool.
      return batch === null && said.cutIndex < body.cuts.length;
    case 'bent':
      return said.turn < insidesWanted(body).length && canCome(said);
    default:
      return said.piece < count;
  }
}
