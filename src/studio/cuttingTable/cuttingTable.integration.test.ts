import { mm } from '@/core/units/length';
import { batch, line, planned, settled, studioWithPattern, view } from '../../../tests/support/batches';
import {
  asShown,
  cutNext,
  differencesIn,
  miscut,
  plannedBatch,
  table,
} from '../../../tests/support/cuttingTable';
import { addTestHelper, closeBooks, done, newKey, problemOf, receive } from '../../../tests/support/studio';
import type { StudioSession } from '../kernel/useCase';
import { showLedger } from '../ledger/ledgerPage';
import { reverseMovement } from '../corrections/reverseMovement';
import { proposeMaking } from '../making/proposeMaking';
import { partWire } from '../wire/partWire';
import { showStockPiece } from '../wire/rack';
import { cancelBatch } from '../batches/cancelBatch';
import { cutAsPlanned, cutWire } from './cutWire';
import { showCuttingTable, watchTable } from './cuttingTable';
import { logMiscut } from './logMiscut';
import { planBatch } from '../batches/planBatch';
import { undoCut } from './undoCut';

afterAll(closeBooks);

describe('the cutting table', () => {
  it('names one wire after the other, and lays each into the tray with its share of the cost', async () => {
    const { session, wire, pattern, number } = await plannedBatch();
    const first = await table(session, number);
    expect(first).toMatchObject({ done: 0, all: 3, next: { stock: { number: wire, length: mm(10_000) } } });
    expect(first.next?.cut).toMatchObject({ piece: 0, length: mm(100), name: 'frame wire' });
    expect(await cutNext(session, number)).toEqual({ cut: 1, replanned: false });
    const second = await table(session, number);
    expect(second).toMatchObject({
      done: 1,
      all: 3,
      next: { cut: { piece: 1 }, stock: { length: mm(9900) } },
    });
    expect(second.mark).not.toBe(first.mark);
    expect(await watchTable(session, number)).toBe(second.mark);
    const became = second.acts[0]?.became ?? 0;
    expect(second.acts).toMatchObject([{ kind: 'cut', length: mm(100), from: wire, who: 'Wren' }]);
    // 50 dollars for 10 m: half a dollar for 100 mm.
    expect(await showStockPiece(session, became)).toMatchObject({
      form: 'off-cut',
      length: mm(100),
      cost: 50_000,
    });
    expect(await showStockPiece(session, wire)).toMatchObject({ length: mm(9900), cost: 4_950_000 });
    // It is nobody else’s: neither the bench nor another batch is offered it.
    expect((await proposeMaking(session, pattern))?.choices).toMatchObject([
      { number: wire, length: mm(9700) },
    ]);
    expect(await view(session, number)).toMatchObject({
      cuts: { done: 1, all: 3 },
      wires: [{ cuts: 2, needed: mm(200), short: 0 }],
      bottleneck: undefined,
    });
  });

  it('takes a press that is sent twice once, and tells who comes second who was first', async () => {
    const { session, number } = await plannedBatch();
    const helper = await addTestHelper(session);
    const [shown, key] = [asShown(await table(session, number)), newKey()];
    const [once, twice] = await Promise.all([
      cutWire(helper, key, number, shown),
      cutWire(helper, key, number, shown),
    ]);
    expect(done(once)).toEqual(done(twice));
    expect(problemOf(await cutWire(session, newKey(), number, shown)).message).toMatch(
      /^Ash cut this one already: it is W-0002 in the tray/,
    );
    expect(await table(session, number)).toMatchObject({ done: 1, acts: [{ who: 'Ash' }] });
  });

  it('is worked by two people at once without a wire cut twice', async () => {
    const { session, wire, number } = await plannedBatch(12);
    const helper = await addTestHelper(session);
    /** Cuts whatever the table shows until nothing is left, and presses everything twice. */
    const work = async (who: StudioSession) => {
      for (;;) {
        const shown = await table(who, number);
        if (!shown.next) return;
        const [form, key] = [asShown(shown), newKey()];
        await Promise.all([cutWire(who, key, number, form), cutWire(who, key, number, form)]);
      }
    };
    await Promise.all([work(session), work(helper)]);
    expect(await table(session, number)).toMatchObject({ done: 12, all: 12, next: undefined });
    expect(await showStockPiece(session, wire)).toMatchObject({ length: mm(8800), cost: 4_400_000 });
    const { lines } = await showLedger(session, { kind: 'split', item: 'W-0001' });
    expect(lines).toHaveLength(12);
    expect(await differencesIn(session)).toEqual([]);
  });

  it('is taken up on another device where it was left, and lets another wire come first', async () => {
    const { session, number } = await plannedBatch();
    await cutNext(session, number);
    const elsewhere = await showCuttingTable(await addTestHelper(session), number, {
      line: 1,
      piece: 2,
      cutIndex: 0,
      copy: 0,
    });
    expect(elsewhere?.next?.cut.piece).toBe(2);
    expect(elsewhere?.rest[0]?.stock.cuts.map(({ piece }) => piece)).toEqual([1, 2]);
    expect(await showCuttingTable(session, 99)).toBeNull();
  });

  it('takes what was really cut, and plans the rest again when too little is left for it', async () => {
    const { session, number, wire } = await plannedBatch(99);
    // 99 of 100 mm on 10 m leave 100 mm.
    expect(await cutNext(session, number, '150 mm')).toEqual({ cut: 1, replanned: false });
    expect(await table(session, number)).toMatchObject({
      next: { stock: { length: mm(9850), left: mm(50) } },
      acts: [{ length: mm(150) }],
    });
    expect(await cutNext(session, number, '151 mm')).toEqual({ cut: 1, replanned: true });
    expect((await settled(session, number)).planning).toBe('planned');
    const after = await table(session, number);
    expect(after.rest.flatMap(({ stock }) => stock.cuts)).toHaveLength(96);
    expect(after.unmet).toHaveLength(1);
    expect(await showStockPiece(session, wire)).toMatchObject({ length: mm(9699) });
  });

  it('scraps what is too short to keep after the last cut from a stock piece', async () => {
    const { session, pattern } = await studioWithPattern();
    const short = await receive(session, { form: 'coil', length: '130 mm', price: '1.30 USD' });
    const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 100)])));
    await planned(session, number);
    done(await cutAsPlanned(session, newKey(), number));
    const shown = await view(session, number);
    expect(shown).toMatchObject({ cuts: { done: 100, all: 100 }, bottleneck: undefined });
    expect((await showStockPiece(session, short))?.length).toBe(mm(130));
    const other = done(
      await planBatch(session, newKey(), null, batch([line(pattern)], { name: 'One more' })),
    );
    await planned(session, other.number);
    await cutNext(session, other.number);
    expect((await showStockPiece(session, short))?.length).toBe(0);
    const { lines } = await showLedger(session, { item: 'R-0002' });
    expect(lines.map(({ kind, quantity }) => [kind, quantity])).toEqual(
      expect.arrayContaining([
        ['split', mm(100)],
        ['scrapped', -mm(30)],
      ]),
    );
  });

  it.each([
    [{ length: '79 mm' }, 'length', /too short: the piece itself takes 80 mm/],
    [{ length: '11 m' }, 'length', /W-0001 has 10000 mm|W-0001 has 10 m/],
    [{ length: 'long' }, 'length', /“long”/],
  ])('%j is refused beside its field, and nothing is cut', async (wrong, field, said) => {
    const { session, number } = await plannedBatch();
    const form = { ...asShown(await table(session, number)), ...wrong };
    expect(problemOf(await cutWire(session, newKey(), number, form)).fields?.[field]).toMatch(said);
    expect((await table(session, number)).done).toBe(0);
  });

  it('cuts nothing that is not planned, nor from another wire than is planned', async () => {
    const { session, number } = await plannedBatch();
    const form = asShown(await table(session, number));
    expect(problemOf(await cutWire(session, newKey(), number, { ...form, piece: 7 })).message).toMatch(
      /not in the plan now/,
    );
    expect(problemOf(await cutWire(session, newKey(), number, { ...form, from: newKey() })).message).toMatch(
      /cut from W-0001 now/,
    );
    done(await cancelBatch(session, newKey(), number));
    expect(problemOf(await cutWire(session, newKey(), number, form)).message).toMatch(/not open any more/);
    expect(problemOf(await cutAsPlanned(session, newKey(), number)).message).toMatch(/not open any more/);
  });
});

describe('a mis-cut', () => {
  it('that is lost falls into the jar with its reason; the rest is planned again from what is left', async () => {
    const { session, number, wire } = await plannedBatch(99);
    const from = 'W-0001';
    expect(done(await logMiscut(session, newKey(), number, miscut(from, { length: '120 mm' })))).toEqual({
      replanned: true,
    });
    await settled(session, number);
    const after = await table(session, number);
    expect(after).toMatchObject({
      done: 0,
      acts: [{ kind: 'miscut', reason: 'cut too short', became: null }],
    });
    // 9880 mm are left: enough for 98.
    expect(after.rest.flatMap(({ stock }) => stock.cuts)).toHaveLength(98);
    expect(after.unmet).toHaveLength(1);
    const { lines } = await showLedger(session, { kind: 'spoiled' });
    expect(lines).toMatchObject([
      { number: wire, quantity: -mm(120), reason: 'cut too short', cost: -60_000 },
    ]);
  });

  it('that is still wire becomes an off-cut, and is the first that the new plan takes', async () => {
    const { session, number } = await plannedBatch(3);
    const from = 'W-0001';
    done(
      await logMiscut(
        session,
        newKey(),
        number,
        miscut(from, { length: '100 mm', reason: 'wrong wire cut', then: 'kept' }),
      ),
    );
    await settled(session, number);
    expect(await table(session, number)).toMatchObject({
      next: { stock: { number: 2, form: 'off-cut', length: mm(100), left: 0 } },
    });
  });

  it('of a wire that lay in the tray already has it cut again', async () => {
    const { session, number } = await plannedBatch(1);
    await cutNext(session, number);
    const marred = miscut('W-0002', { length: '100 mm', reason: 'marred by pliers' });
    expect(done(await logMiscut(session, newKey(), number, marred))).toEqual({ replanned: true });
    await settled(session, number);
    expect(await table(session, number)).toMatchObject({ done: 0, next: { stock: { number: 1 } } });
    // Undone, it lies there again.
    done(await undoCut(session, newKey(), number));
    await settled(session, number);
    expect((await showStockPiece(session, 2))?.length).toBe(mm(100));
  });

  it.each([
    [{ length: '49 mm', then: 'kept' }, 'then', /49 mm is shorter than what is kept, 50 mm/],
    [{ length: '11 m' }, 'length', /is more/],
    [{ reason: ' ' }, 'reason', /Give the reason/],
    [{ from: 'spool' }, 'from', /“spool” is not a tag of wire; write it like W-0042/],
  ])('%j is refused beside its field', async (wrong, field, said) => {
    const { session, number } = await plannedBatch();
    const from = 'W-0001';
    const outcome = await logMiscut(session, newKey(), number, miscut(from, wrong));
    expect(problemOf(outcome).fields?.[field]).toMatch(said);
    expect((await view(session, number)).planning).toBe('planned');
  });
});

describe('undoing', () => {
  it('makes the wire whole again and the next to be cut, however often it is pressed', async () => {
    const { session, number, wire } = await plannedBatch();
    const before = await table(session, number);
    await cutNext(session, number, '140 mm');
    await cutNext(session, number);
    const key = newKey();
    done(await undoCut(session, key, number));
    done(await undoCut(session, key, number));
    expect(await table(session, number)).toMatchObject({ done: 1, next: { cut: { piece: 1 } } });
    expect(done(await undoCut(session, newKey(), number))).toEqual({ cuts: 1, replanned: false });
    const after = await table(session, number);
    expect(after.rest).toEqual(before.rest);
    expect(await showStockPiece(session, wire)).toMatchObject({ length: mm(10_000), cost: 5_000_000 });
    expect(problemOf(await undoCut(session, newKey(), number)).message).toMatch(/nothing to undo/);
  });

  it('takes back a mis-cut, and everything that was entered in one go', async () => {
    const { session, number, wire } = await plannedBatch(4);
    const before = await table(session, number);
    expect(done(await cutAsPlanned(session, newKey(), number))).toEqual({ cut: 4, replanned: false });
    expect(done(await undoCut(session, newKey(), number))).toEqual({ cuts: 4, replanned: false });
    expect((await table(session, number)).rest).toEqual(before.rest);
    const from = 'W-0001';
    done(await logMiscut(session, newKey(), number, miscut(from, { then: 'kept' })));
    await settled(session, number);
    expect(done(await undoCut(session, newKey(), number))).toEqual({ cuts: 0, replanned: true });
    await settled(session, number);
    expect((await table(session, number)).rest).toEqual(before.rest);
    expect((await showStockPiece(session, wire))?.length).toBe(mm(10_000));
  });

  it('is refused when the wire was used since', async () => {
    const { session, number } = await plannedBatch();
    await cutNext(session, number);
    const became = (await table(session, number)).acts[0]?.became ?? 0;
    done(await partWire(session, newKey(), became, { form: 'off-cut', length: '60 mm', place: '' }));
    expect((await view(session, number)).planning).toBe('stale');
    expect(problemOf(await undoCut(session, newKey(), number)).message).toMatch(/has been used since/);
    // Planned again, it counts as not cut.
    await planned(session, number);
    expect(await table(session, number)).toMatchObject({ done: 0, all: 3 });
  });

  it('happens in the ledger too: what was taken back there has to be planned again', async () => {
    const { session, number } = await plannedBatch();
    await cutNext(session, number);
    const [movement] = (await showLedger(session, { kind: 'split' })).lines;
    done(await reverseMovement(session, newKey(), movement?.id ?? 0, { reason: 'wrong batch' }));
    expect(await view(session, number)).toMatchObject({ planning: 'stale', cuts: { done: 0 } });
    await planned(session, number);
    expect((await table(session, number)).rest.flatMap(({ stock }) => stock.cuts)).toHaveLength(3);
  });
});
