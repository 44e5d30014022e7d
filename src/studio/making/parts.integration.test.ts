import {
  asShown,
  cutsAsProposed,
  differencesIn,
  fromTray,
  lineOf,
  make,
  plannedBatch,
  table,
} from '../../../tests/support/cuttingTable';
import { BEADS, STONE } from '../../../tests/support/purchases';
import { closeBooks, done, newKey, problemOf } from '../../../tests/support/studio';
import { studioWithPattern } from '../../../tests/support/batches';
import { simplePattern } from '../../../tests/support/studio';
import { cutWire } from '../cuttingTable/cutWire';
import { namePart, pickableArticles } from '../batches/namePart';
import { receiveBeads, receiveStone } from '../drawers/receive';
import { showDrawerPiece } from '../drawers/drawers';
import type { StudioSession } from '../kernel/useCase';
import { showLedger } from '../ledger/ledgerPage';
import { reverseMovement } from '../corrections/reverseMovement';
import { showPiece } from '../shelf/shelf';
import { makePiece } from './makePiece';
import type { MakePieceInput } from './makePiece.input';
import { proposeMaking, type MakingProposal } from './proposeMaking';

/** Beads, stones and findings of a piece leave the drawers at what was paid, whether it is made by itself or out of a tray. */

afterAll(closeBooks);

const asProposed = ({ cuts, parts }: MakingProposal): MakePieceInput => ({
  cuts: cutsAsProposed(cuts),
  spoiled: [],
  parts: parts.flatMap(({ part, picks }) =>
    picks.map(({ from, count }) => ({ part, from: from ?? '', count: String(count) })),
  ),
  minutes: '20',
  setUpMinutes: '10',
  sharedBy: '3',
});

/** The bench’s proposal for a pattern. */
async function atBench(session: StudioSession, pattern: number): Promise<MakingProposal> {
  const proposal = await proposeMaking(session, pattern);
  if (!proposal) throw new Error('the pattern is there');
  return proposal;
}

/** Says that the pattern’s “bead” is the garnet of the drawers. */
async function nameBeads(session: StudioSession): Promise<void> {
  const [article] = await pickableArticles(session);
  done(await namePart(session, newKey(), 'bead', article?.id ?? ''));
}

const makeAlone = async (session: StudioSession, pattern: number, changed: Partial<MakePieceInput> = {}) => {
  const proposal = await atBench(session, pattern);
  const { number, revision } = proposal.pattern;
  return makePiece(session, newKey(), { number, revision }, { ...asProposed(proposal), ...changed });
};

it('proposes the oldest lot first, takes it at what was paid, and books it', async () => {
  const { session, pattern } = await studioWithPattern();
  const { number: old } = done(
    await receiveBeads(session, newKey(), { ...BEADS, count: '1', price: '1.00 USD', shades: '' }),
  );
  const { number: fresh } = done(await receiveBeads(session, newKey(), BEADS));
  await nameBeads(session);
  const { parts } = await atBench(session, pattern);
  expect(parts).toMatchObject([{ name: 'bead', count: 2, picks: [{ count: 1 }, { count: 1 }] }]);
  expect(parts[0]?.choices.map(({ number }) => number)).toEqual([old, fresh]);
  const { number } = done(await makeAlone(session, pattern));
  // One that cost a dollar, and one of forty that cost twelve.
  expect(lineOf(await showPiece(session, number), 'parts')).toBe(100_000 + 30_000);
  expect((await showDrawerPiece(session, 'bead', old))?.quantity).toBe(0);
  expect((await showDrawerPiece(session, 'bead', fresh))?.quantity).toBe(39);
  expect(await differencesIn(session)).toEqual([]);

  // Taken back, they lie in the drawers again.
  const [movement] = (await showLedger(session, { kind: 'used' })).lines;
  done(await reverseMovement(session, newKey(), movement?.id ?? 0, { reason: 'came apart' }));
  expect((await showDrawerPiece(session, 'bead', old))?.quantity).toBe(1);
  expect((await showDrawerPiece(session, 'bead', fresh))?.quantity).toBe(40);
  expect(await differencesIn(session)).toEqual([]);
});

it('a piece costs the same whether it is made by itself or out of the tray of a batch', async () => {
  const { session, pattern, number: batch } = await plannedBatch(1);
  done(await receiveBeads(session, newKey(), BEADS));
  await nameBeads(session);
  const shown = await table(session, batch);
  done(await cutWire(session, newKey(), batch, asShown(shown)));
  const ofBatch = done(await make(session, await fromTray(session, batch))).number;
  const alone = done(await makeAlone(session, pattern)).number;
  const sheets = await Promise.all([ofBatch, alone].map((each) => showPiece(session, each)));
  const [first, second] = sheets.map((piece) =>
    piece?.money?.sheet.lines.map(({ id, actual }) => [id, actual]),
  );
  expect(first).toEqual(second);
  expect(lineOf(sheets[0] ?? null, 'parts')).toBe(60_000);
});

it('what did not come from the drawers is counted at the pattern’s cost', async () => {
  const { session, pattern } = await studioWithPattern();
  const { parts } = await atBench(session, pattern);
  expect(parts).toMatchObject([{ choices: [], picks: [{ from: null, count: 2 }] }]);
  const { number } = done(await makeAlone(session, pattern));
  // Twice 25 cents, as the pattern says.
  expect(lineOf(await showPiece(session, number), 'parts')).toBe(50_000);
});

it('a stone is taken by the name of its material, and is not free any more', async () => {
  const { session } = await studioWithPattern();
  const { number: stone } = done(await receiveStone(session, newKey(), STONE));
  const { number: pattern } = await simplePattern(session, { part: 'prehnite teardrop cab' });
  const { parts } = await atBench(session, pattern);
  // One lies in the drawer, two are wanted.
  expect(parts[0]?.picks).toMatchObject([{ count: 1 }, { from: null, count: 1 }]);
  done(await makeAlone(session, pattern));
  expect((await showDrawerPiece(session, 'stone', stone))?.quantity).toBe(0);
  expect((await atBench(session, pattern)).parts[0]?.choices).toEqual([]);
});

it('says beside the field what is not right: too few, too many, more than is free, what is no lot', async () => {
  const { session, pattern, wire } = await studioWithPattern();
  done(await receiveBeads(session, newKey(), { ...BEADS, count: '1', shades: '' }));
  await nameBeads(session);
  const proposal = await atBench(session, pattern);
  const lot = proposal.parts[0]?.choices[0]?.id ?? '';
  const wireId = proposal.choices.find(({ number }) => number === wire)?.id ?? '';
  const beside = async (parts: MakePieceInput['parts'] & object) =>
    problemOf(await makeAlone(session, pattern, { parts })).fields ??
    problemOf(await makeAlone(session, pattern, { parts }));
  expect(await beside([{ part: 0, from: '', count: '1' }])).toEqual({
    'parts.0.count': '2 of bead are wanted; 1 are given.',
  });
  expect(await beside([])).toMatchObject({ message: '2 of bead are wanted; 0 are given.' });
  expect(await beside([{ part: 0, from: lot, count: '2' }])).toEqual({
    'parts.0.count': '2 of bead are wanted from B-0001; 1 is free.',
  });
  expect(await beside([{ part: 0, from: wireId, count: '2' }])).toHaveProperty(['parts.0.from']);
  expect(await beside([{ part: 7, from: '', count: '2' }])).toHaveProperty(['parts.0.from']);
  expect((await showDrawerPiece(session, 'bead', 1))?.quantity).toBe(1);
});
