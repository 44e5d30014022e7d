import { randomUUID } from 'node:crypto';
import type { StudioSession } from '../../src/data/inStudio';
import { makePiece } from '../../src/studio/making/makePiece';
import { proposeMaking } from '../../src/studio/making/proposeMaking';
import { takeOut } from '../../src/studio/stock/takeOut';
import { partWire } from '../../src/studio/wire/partWire';

/**
 * Writes to a studio until it is killed, several things at once, and prints the key of each posting that was confirmed. A
 * process of its own, so that a test can end it as a power cut would.
 */
const [studioId = '', userId = '', pattern = '1', revision = '1'] = process.argv.slice(2);
const AT_ONCE = 4;

async function writeOne(turn: number): Promise<void> {
  const session: StudioSession = { studioId, userId, role: 'owner', now: new Date() };
  const key = randomUUID();
  const made = { number: Number(pattern), revision: Number(revision) };
  const act = async () => {
    if (turn % 3 === 0)
      return takeOut(session, key, 'wire', 1, { kind: 'spoiled', quantity: '1 mm', reason: 'crash test' });
    if (turn % 3 === 1) return partWire(session, key, 1, { form: 'bobbin', length: '60 mm', place: '' });
    const proposal = await proposeMaking(session, made.number);
    const cuts = (proposal?.cuts ?? []).map(({ cutIndex, copy, from }) => ({
      cutIndex,
      copy,
      from: from ?? '',
      cut: '100 mm',
      back: '60 mm',
    }));
    return makePiece(session, key, made, {
      cuts,
      spoiled: [],
      minutes: '1',
      setUpMinutes: '0',
      sharedBy: '1',
    });
  };
  const outcome = await act();
  if (outcome.ok) process.stdout.write(`${key}\n`);
}

async function writeOn(lane: number): Promise<never> {
  for (let turn = lane; ; turn += 1) await writeOne(turn).catch(() => undefined);
}

void Promise.all(Array.from({ length: AT_ONCE }, (_, lane) => writeOn(lane)));
