import { randomUUID } from 'node:crypto';
import type { Said, Word } from '../../src/core/bench/sitting';
import type { StudioSession } from '../../src/studio/kernel/useCase';
import { beginSitting } from '../../src/studio/sittings/beginSitting';
import { hearWords } from '../../src/studio/sittings/hearWords';
import { showStockPiece } from '../../src/studio/wire/rack';
import { done, newKey, openStudio, receive, simplePattern } from './studio';

/** Words as a device sends them. */
export const words = (...said: readonly Said[]): Word[] =>
  said.map((each) => ({ id: randomUUID(), said: each }));
/** Says something of a sitting, and hears how it stands. */
export const say = async (session: StudioSession, id: string, ...said: readonly Said[]) =>
  done(await hearWords(session, id, words(...said)));

/** A sitting of so many pieces of a pattern of one cut of 100 mm, off a spool of 10 m. */
export async function sittingOff(count: number, kind = 'pendant') {
  const session = await openStudio();
  const wire = await receive(session);
  const pattern = await simplePattern(session, { kind });
  const id = done(await beginSitting(session, newKey(), pattern, { count: String(count) }));
  return { session, wire, pattern, id };
}

/** What is left of a length of wire. */
export const left = async (session: StudioSession, wire: number) =>
  (await showStockPiece(session, wire))?.length;
