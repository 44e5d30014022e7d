import { tag } from '@/core/tag';
import { mm } from '@/core/units/length';
import {
  batch,
  composedFrame,
  line,
  planned,
  settled,
  studioWithPattern,
  view,
} from '../../../tests/support/batches';
import {
  asProposed,
  cutNext,
  differencesIn,
  fromTray,
  lineOf,
  madeFrom,
  make,
  miscut,
  plannedBatch,
  table,
} from '../../../tests/support/cuttingTable';
import { BEADS, STONE } from '../../../tests/support/purchases';
import { asOwner, closeBooks, done, newKey, openStudio, problemOf } from '../../../tests/support/studio';
import { receiveBeads, receiveStone } from '../drawers/receive';
import { showDrawer, showDrawerPiece } from '../drawers/drawers';
import { showLedger } from '../ledger/ledgerPage';
import { reverseMovement } from '../corrections/reverseMovement';
import { makeAlike } from '../making/makeAlike';
import { proposeFromTray, proposeMaking, readyInTrays } from '../making/proposeMaking';
import { showPiece, showShelf } from '../shelf/shelf';
import { takeOut } from '../stock/takeOut';
import { listBatches } from '../batches/batches';
import { showSchedule } from '../schedule/benchHours';
import { cancelBatch, takeUpAgain } from '../batches/cancelBatch';
import { cutAsPlanned } from '../cuttingTable/cutWire';
import { logMiscut } from '../cuttingTable/logMiscut';
import { namePart, pickableArticles } from '../batches/namePart';
import { planBatch } from '../batches/planBatch';
import { undoCut } from '../cuttingTable/undoCut';

afterAll(closeBooks);

describe('a piece of a batch', () => {
  it('is made out of its tray, bears its share of the waste, and leaves the hours', async () => {
    const { session, number } = await plannedBatch(3);
    const from = 'W-0001';
    done(await logMiscut(session, newKey(), number, miscut(from, { length: '40 mm' })));
    await settled(session, number);
    expect(await proposeFromTray(session, number, 1)).toBeNull();
    done(await cutAsPlanned(session, newKey(), number));
    const made: number[] = [];
    for (const left of [2, 1, 0]) {
      const proposal = await fromTray(session, number);
      expect(proposal.batch).toMatchObject({ number, line: 1, count: 3 });
      made.push(done(await make(session, proposal)).number);
      const [listed] = (await listBatches(session)).batches;
      expect(listed).toMatchObject({ made: 3 - left, minutes: left === 0 ? 0 : 10 + 20 * left });
    }
    const pieces = await Promise.all(made.map((each) => showPiece(session, each)));
    expect(pieces.map((piece) => piece?.batchNumber)).toEqual([number, number, number]);
    // 40 mm at 5 dollars a metre are 20 cents, borne by three pieces.
    const spoilage = pieces.map((piece) => lineOf(piece, 'spoilage'));
    expect(spoilage.reduce((sum, each) => sum + each, 0)).toBe(20_000);
    expect(Math.max(...spoilage) - Math.min(...spoilage)).toBeLessThanOrEqual(1);
    expect(await view(session, number)).toMatchObject({ state: 'made', cuts: { done: 3, all: 3 } });
    expect((await showSchedule(session)).batches).toEqual([]);
  });

  it('is made with others at once, each a making of its own, once', async () => {
    const { session, number } = await plannedBatch(4);
    done(await cutAsPlanned(session, newKey(), number));
    const proposal = await fromTray(session, number);
    expect(proposal.batch?.ready).toBe(4);
    const keys = [newKey(), newKey(), newKey()];
    const input = {
      ...asProposed(proposal),
      cuts: asProposed(proposal).cuts.map((cut) => ({ ...cut, back: '10 mm' })),
    };
    const from = madeFrom(proposal);
    const first = done(await makeAlike(session, keys, from, input));
    expect(first).toMatchObject({ made: [{ number: 1 }, { number: 2 }, { number: 3 }], stopped: '' });
    // Sent again after a lost answer, it says the same and makes nothing more.
    expect(done(await makeAlike(session, keys, from, input))).toEqual(first);
    expect((await listBatches(session)).batches[0]?.made).toBe(3);
    const pieces = await Promise.all([1, 2, 3].map((each) => showPiece(session, each)));
    const costs = pieces.map((piece) => piece?.money?.sheet.total.actual ?? 0);
    expect(Math.max(...costs) - Math.min(...costs)).toBeLessThanOrEqual(1);
    // Each gave its 10 mm to the jar, and can be taken back by itself.
    expect(
      (await showLedger(session, { kind: 'scrapped' })).lines.filter(({ ware }) => ware === 'wire'),
    ).toHaveLength(3);
    const last = await fromTray(session, number);
    const more = done(await makeAlike(session, [newKey(), newKey()], madeFrom(last), asProposed(last)));
    expect(more).toMatchObject({ made: [{ number: 4 }], stopped: 'No more of them lie ready in the tray.' });
    expect(await differencesIn(session)).toEqual([]);
  });

  it('is made once, and not before all its wires are cut', async () => {
    const { session, number, pattern } = await plannedBatch(2);
    await cutNext(session, number);
    expect(await readyInTrays(session)).toMatchObject([{ number, batch: 'Spring fair', line: 1, pieces: 1 }]);
    const proposal = await fromTray(session, number);
    const [one, two] = await Promise.all([make(session, proposal), make(session, proposal)]);
    expect([one.ok, two.ok].sort()).toEqual([false, true]);
    expect(problemOf(one.ok ? two : one).message).toMatch(/made already: it is F-0001/);
    expect(await readyInTrays(session)).toEqual([]);
    const ahead = { ...proposal, batch: { number, line: 1, piece: 1, name: '', count: 2, ready: 1 } };
    expect(problemOf(await make(session, ahead)).message).toMatch(/Not all wires of this piece are cut/);
    expect(problemOf(await undoCut(session, newKey(), number)).message).toMatch(
      /F-0001 is made of the last wire/,
    );
    expect(pattern).toBe(proposal.pattern.number);
  });

  it('lies in its tray again when its making is taken back', async () => {
    const { session, number } = await plannedBatch(1);
    await cutNext(session, number);
    done(await make(session, await fromTray(session, number)));
    expect((await view(session, number)).state).toBe('made');
    const [movement] = (await showLedger(session, { kind: 'cut' })).lines;
    done(await reverseMovement(session, newKey(), movement?.id ?? 0, { reason: 'came apart' }));
    expect(await view(session, number)).toMatchObject({ state: 'open', cuts: { done: 1, all: 1 } });
    expect(await differencesIn(session)).toEqual([]);
    done(await make(session, await fromTray(session, number)));
    expect((await view(session, number)).state).toBe('made');
  });

  it('gives back what was left of its wires, though another wire was planned to be cut from it', async () => {
    const { session, number } = await plannedBatch(2);
    await cutNext(session, number, '300 mm');
    const taking = { kind: 'used', quantity: '150 mm', reason: 'a sample' };
    done(await takeOut(session, newKey(), 'wire', 2, taking));
    const piece = await fromTray(session, number);
    expect(piece.cuts).toMatchObject([{ length: mm(150) }]);
    done(await make(session, piece));
    const taken = async (kind: 'used' | 'cut') => (await showLedger(session, { kind })).lines[0]?.id ?? 0;
    done(await reverseMovement(session, newKey(), await taken('used'), { reason: 'the sample came back' }));
    // Half of the wire is there again, and is an off-cut like any other.
    expect((await planned(session, number)).plans).toMatchObject([{ plan: { pieces: [{ number: 2 }] } }]);
    expect(await differencesIn(session)).toEqual([]);
    done(await reverseMovement(session, newKey(), await taken('cut'), { reason: 'came apart' }));
    expect(await view(session, number)).toMatchObject({ planning: 'stale', plans: [] });
    expect(await differencesIn(session)).toEqual([]);
    expect((await planned(session, number)).plans).toMatchObject([{ plan: { pieces: [{ number: 1 }] } }]);
    done(await make(session, await fromTray(session, number)));
    expect(await differencesIn(session)).toEqual([]);
  });

  it('takes its beads from what is set aside, at what was paid for them', async () => {
    const { session, pattern } = await studioWithPattern();
    const { number: beads } = done(await receiveBeads(session, newKey(), BEADS));
    const [article] = await pickableArticles(session);
    done(await namePart(session, newKey(), 'bead', article?.id ?? ''));
    const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 2)])));
    await planned(session, number);
    done(await cutAsPlanned(session, newKey(), number));
    const piece = done(await make(session, await fromTray(session, number))).number;
    // Two of forty that cost 12 dollars.
    expect(lineOf(await showPiece(session, piece), 'parts')).toBe(60_000);
    expect((await showDrawerPiece(session, 'bead', beads))?.quantity).toBe(38);
    expect((await view(session, number)).picks).toMatchObject([{ quantity: 2 }]);
    const [movement] = (await showLedger(session, { kind: 'used' })).lines;
    done(await reverseMovement(session, newKey(), movement?.id ?? 0, { reason: 'came apart' }));
    expect((await view(session, number)).picks).toMatchObject([{ quantity: 4 }]);
  });
});

describe('findings of a batch', () => {
  it('go into the drawer with wire, hours and their share of the waste; taken back, they are to be made again', async () => {
    const { session, number } = await plannedBatch(3, 'finding'); // 5 dollars a metre, 20.00 an hour and 6.00 of overhead
    done(await logMiscut(session, newKey(), number, miscut('W-0001', { length: '40 mm' })));
    await settled(session, number);
    done(await cutAsPlanned(session, newKey(), number));
    const proposal = await fromTray(session, number);
    expect(proposal.drawer).toMatchObject({ finding: 'other' });
    const input = {
      ...asProposed(proposal),
      goesTo: 'drawer',
      drawer: { finding: 'bail', material: 'sterling', size: '', count: '2', place: '' },
    };
    const { made } = done(await makeAlike(session, [newKey(), newKey()], madeFrom(proposal), input));
    expect(made.map((each) => each.as)).toEqual(['finding', 'finding']);
    const findings = await Promise.all(made.map((each) => showDrawerPiece(session, 'finding', each.number)));
    // By hand: 100 mm of wire are 0.50, a third of 40 mm lost is 0.0667, 20 and a third of 10 minutes at 26.00 are 10.1111 dollars.
    const cents = findings.map((each) => (each?.cost ?? 0) / 1000);
    for (const each of cents) expect(Math.abs(each - (50 + 6.667 + 1011.111))).toBeLessThan(0.01);
    expect(findings.map((each) => each?.quantity)).toEqual([2, 2]);
    expect((await showShelf(session)).pieces).toEqual([]);
    expect(await differencesIn(session)).toEqual([]);

    const [last] = (await showLedger(session, { kind: 'made' })).lines;
    done(await reverseMovement(session, newKey(), last?.id ?? 0, { reason: 'bent' }));
    expect((await view(session, number)).state).toBe('open');
    const again = await fromTray(session, number);
    expect(again.batch?.ready).toBe(2);
    expect(await differencesIn(session)).toEqual([]);
  });
});

describe('a piece for a stone of the drawer', () => {
  /** A batch of one piece for a stone, cut and made; and what its line sends. */
  async function madeForStone() {
    const session = await openStudio();
    const pattern = await composedFrame(session);
    const { number: stone } = done(await receiveStone(session, newKey(), STONE));
    const own = line(pattern, 1, { stone: tag('stone', stone) });
    const { number } = done(await planBatch(session, newKey(), null, batch([own, line(pattern, 1)])));
    await planned(session, number);
    done(await cutAsPlanned(session, newKey(), number));
    const piece = done(await make(session, await fromTray(session, number))).number;
    const drawer = async () => (await showDrawer(session, 'stone', { state: 'free' })).pieces.length;
    return { session, number, stone, own, pattern, piece, drawer };
  }

  it('takes it out of the drawer at what was paid; its batch can be changed all the same', async () => {
    const { session, number, own, pattern, piece, drawer } = await madeForStone();
    expect(lineOf(await showPiece(session, piece), 'parts')).toBe(1_200_000);
    expect(await drawer()).toBe(0);
    const more = batch([own, line(pattern, 4)]);
    done(await planBatch(session, newKey(), { number, version: 1 }, more));
    expect((await planned(session, number)).lines.map(({ count }) => count)).toEqual([1, 4]);
  });

  it('sets it aside again when the making is taken back', async () => {
    const { session, number, stone, drawer } = await madeForStone();
    const [movement] = (await showLedger(session, { kind: 'used', ware: 'stone' })).lines;
    done(await reverseMovement(session, newKey(), movement?.id ?? 0, { reason: 'came apart' }));
    expect((await showDrawerPiece(session, 'stone', stone))?.detail).toMatchObject({
      setAsideFor: 'R-0001 Spring fair',
    });
    expect(await drawer()).toBe(0);
    done(await cancelBatch(session, newKey(), number));
    expect(await drawer()).toBe(1);
  });
});

describe('a batch that is begun', () => {
  it('can grow, but not be made of something else or of less than is cut', async () => {
    const { session, number, pattern } = await plannedBatch(3);
    await cutNext(session, number);
    await cutNext(session, number);
    const change = (lines: Parameters<typeof batch>[0]) =>
      planBatch(session, newKey(), { number, version: 1 }, batch(lines));
    expect(problemOf(await change([line(pattern, 1)])).fields?.['lines.0.count']).toMatch(
      /2 wires are cut for line 1, “Loop .*”, up to piece 2; 1 is fewer/,
    );
    expect(
      problemOf(await change([line(pattern, 3, { metal: 'copper' })])).fields?.['lines.0.pattern'],
    ).toMatch(/only how many can be changed/);
    done(await change([line(pattern, 5)]));
    const after = await planned(session, number);
    expect(after).toMatchObject({ cuts: { done: 2, all: 5 } });
    expect(after.plans[0]?.plan.pieces[0]?.cuts).toHaveLength(3);
  });

  it('that is cancelled leaves off-cuts; taken up again, it has them in its tray', async () => {
    const { session, number, pattern } = await plannedBatch(3);
    await cutNext(session, number);
    done(await cancelBatch(session, newKey(), number));
    expect((await proposeMaking(session, pattern))?.choices).toMatchObject([
      { form: 'off-cut', length: mm(100) },
      { form: 'spool' },
    ]);
    done(await takeUpAgain(session, newKey(), number));
    expect(await planned(session, number)).toMatchObject({ state: 'open', cuts: { done: 1, all: 3 } });
    expect(problemOf(await takeUpAgain(session, newKey(), number)).message).toMatch(/not cancelled/);
  });

  it('is compared by check-books with what lies in its tray', async () => {
    const { session, number } = await plannedBatch();
    await cutNext(session, number);
    const { studioId } = session;
    const tray = (await table(session, number)).acts[0]?.became ?? 0;
    const aside = `(SELECT stock_piece_id FROM stock_pieces WHERE studio_id = $1 AND number = ${tray} AND ware = 'wire')`;
    await asOwner(`UPDATE reservations SET quantity = 1 WHERE studio_id = $1 AND stock_piece_id = ${aside}`, [
      studioId,
    ]);
    expect(await differencesIn(session)).toMatchObject([{ what: 'W-0002 in the tray' }]);
    await asOwner(
      `UPDATE reservations SET quantity = 100000 WHERE studio_id = $1 AND stock_piece_id = ${aside}`,
      [studioId],
    );
    const saidToBe = (purpose: string) =>
      asOwner(
        `UPDATE reservations SET purpose = '${purpose}' WHERE studio_id = $1 AND stock_piece_id = ${aside}`,
        [studioId],
      );
    await saidToBe('planned');
    expect(await differencesIn(session)).toMatchObject([{ what: 'W-0002 aside in a tray' }]);
    await saidToBe('tray');
    await asOwner('UPDATE batch_cuts SET piece = 2 WHERE studio_id = $1', [studioId]);
    expect(await differencesIn(session)).toMatchObject([
      { what: 'cuts of batch R-0001', rebuilt: 'cut already' },
    ]);
    await asOwner('UPDATE batch_cuts SET piece = 0 WHERE studio_id = $1', [studioId]);
    expect(await differencesIn(session)).toEqual([]);
  });
});
