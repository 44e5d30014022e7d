import type { Said } from '@/core/bench/sitting';
import { reworkSlot, stationsOf } from '@/core/bench/stations';
import { um } from '@/core/units/length';
import { grams } from '@/core/units/mass';
import { inStudio } from '@/data/inStudio';
import { StepLog, WireLog } from '@/data/models/making';
import { settled, studioWithPattern } from '../../../tests/support/batches';
import { lineOf, plannedBatch } from '../../../tests/support/cuttingTable';
import { BEADS } from '../../../tests/support/purchases';
import { left, say, sittingOff, words } from '../../../tests/support/sittings';
import {
  addTestHelper,
  closeBooks,
  done,
  expectBooksAgree,
  newKey,
  openStudio,
  problemOf,
  receive,
  simplePattern,
} from '../../../tests/support/studio';
import { listBatches } from '../batches/batches';
import { namePart, pickableArticles } from '../batches/namePart';
import { reverseMovement } from '../corrections/reverseMovement';
import { cutAsPlanned } from '../cuttingTable/cutWire';
import { showDrawerPiece } from '../drawers/drawers';
import { receiveBeads } from '../drawers/receive';
import type { StudioSession } from '../kernel/useCase';
import { showLedger } from '../ledger/ledgerPage';
import { showLogbook } from '../logbook/logbook';
import { readyInTrays } from '../making/proposeMaking';
import { showPattern } from '../patterns/patterns';
import { setChecks } from '../settings/setChecks';
import { setRounds } from '../settings/setRounds';
import { showPiece, showShelf } from '../shelf/shelf';
import { beginSitting } from './beginSitting';
import { finishSitting, leaveSitting } from './finishSitting';
import { hearWords } from './hearWords';
import { openSittings, showSitting } from './sittings';

afterAll(closeBooks);

const MIN = 60_000;
/** The simple pattern: setting up, and one step of 20 minutes. */
const STEPS = [{ perSitting: true }, { perSitting: false }];

describe('a sitting off the rack', () => {
  it('is heard word by word, and its pieces come onto the shelf with what was said of them', async () => {
    const { session, wire, pattern, id } = await sittingOff(3, 'ring');
    const stations = stationsOf(STEPS, 3);
    const at = (piece: number) => stations.findIndex((each) => each.kind === 'step' && each.piece === piece);
    expect((await openSittings(session)).map((each) => [each.id, each.count])).toEqual([[id, 3]]);
    const view = await showSitting(session, id);
    expect(view).toMatchObject({
      state: 'open',
      count: 3,
      pattern: { ...pattern, isNewest: true },
      batch: null,
    });
    expect(view?.checks.join()).toMatch(/both ways round/);
    const { state } = await say(
      session,
      id,
      { kind: 'worked', slot: 0, ms: 6 * MIN },
      { kind: 'worked', slot: at(0), ms: 12.5 * MIN },
      { kind: 'worked', slot: at(1), ms: 30 * MIN },
      { kind: 'worked', slot: reworkSlot(stations, 1), ms: 4 * MIN },
      { kind: 'cut', piece: 0, cutIndex: 0, copy: 0, cut: um(100_000), back: [um(20_000)] },
      { kind: 'cut', piece: 1, cutIndex: 0, copy: 0, cut: um(130_000), back: [um(15_000)] },
      { kind: 'spoiled', piece: 1, cutIndex: 0, copy: 0, length: um(50_000), reason: 'snapped' },
      { kind: 'size', piece: 1, when: 'wound', inside: um(17_000) },
      { kind: 'size', piece: 1, when: 'finished', inside: um(17_320) },
      { kind: 'checked', piece: 1, check: 0, isGood: false, reading: '' },
      { kind: 'checked', piece: 1, check: 0, isGood: true, reading: '' },
      { kind: 'checked', piece: 1, check: 1, isGood: true, reading: '' },
      { kind: 'flawed', piece: 2, reason: 'a mark inside' },
      { kind: 'weighed', piece: 1, mass: grams(1.5) },
      { kind: 'noted', piece: 1, text: 'next time a longer wire' },
    );
    expect(state).toBe('open');
    const { made, lost, stopped } = done(await finishSitting(session, id));
    expect([made.length, lost, stopped]).toEqual([3, 0, '']);
    const [first, second, third] = await Promise.all(made.map((number) => showPiece(session, number)));

    expect([first?.minutes, second?.minutes, third?.minutes]).toEqual([12.5, 34, 20]);
    expect([first?.setUpMinutes, first?.sharedBy]).toEqual([16, 3]);
    expect(second?.found).toMatchObject({
      note: 'next time a longer wire',
      flaw: '',
      weighed: 1_500_000,
      sizes: [
        { readWhen: 'wound', inside: 17_000 },
        { readWhen: 'finished', inside: 17_320 },
      ],
    });
    expect(second?.found.checks.map(({ isGood, failures }) => [isGood, failures])).toEqual([
      [true, 1],
      [true, 0],
    ]);
    // US 7 is 17.32 mm inside (0.458 + 0.032 n inches).
    expect(second?.size).toMatch(/US 7/);
    expect(third?.found.flaw).toBe('a mark inside');
    const [, shown] = (await showShelf(session)).pieces;
    expect([shown?.number, shown?.flaw]).toEqual([second?.number, '']);
    expect(lineOf(second ?? null, 'spoilage')).toBeGreaterThan(0);
    // 100 and 130 and 100 mm were cut and 50 mm lost; what came back are off-cuts or scrap of their own.
    expect(await left(session, wire)).toBe(10_000_000 - 100_000 - 130_000 - 100_000 - 50_000);

    const { steps, wires } = await inStudio(session, async (tx) => ({
      steps: await tx.all(StepLog, ['subject', 'minutes', 'plannedMinutes', 'step'], {
        order: ['madeAt', 'step'],
      }),
      wires: await tx.all(WireLog, ['cut', 'back', 'isMeasured'], { order: ['cut', 'isMeasured'] }),
    }));
    const by = (subject: string) => steps.filter((each) => each.subject === subject);
    expect(by('bench.layOut')).toEqual([{ subject: 'bench.layOut', minutes: 6, plannedMinutes: 0, step: 2 }]);
    expect(by('bench.rework').map(({ minutes }) => minutes)).toEqual([4]);
    const inLog = async (who: StudioSession) =>
      (await showLogbook(who, {})).lines
        .find(({ number }) => number === second?.number)
        ?.steps.map(({ planned, minutes }) => [planned, minutes]);
    expect(await inLog(session)).toEqual([
      [20, 30],
      [0, 4],
    ]);
    expect(await inLog(await addTestHelper(session))).toEqual([]);
    expect(
      steps
        .filter(({ step }) => step === 1)
        .map(({ minutes }) => minutes)
        .sort(),
    ).toEqual([12.5, 30]);
    // What somebody wrote down is measured, even where it is as planned; of the third nobody said anything.
    expect(wires).toEqual([
      { cut: 100_000, back: 20_000, isMeasured: false },
      { cut: 100_000, back: 20_000, isMeasured: true },
      { cut: 130_000, back: 15_000, isMeasured: true },
    ]);
  });

  it('of findings that nobody knows the number of stands on the shelf, where somebody can put it right', async () => {
    const { session, id } = await sittingOff(1, 'finding');
    const [number] = done(await finishSitting(session, id)).made;
    expect(await showPiece(session, number ?? 0)).toMatchObject({ kind: 'finding', findings: null });
  });

  it('is entered once, however often and from wherever it is asked', async () => {
    const { session, id } = await sittingOff(2);
    const all = await Promise.all([1, 2, 3].map(() => finishSitting(session, id)));
    const numbers = all.map((each) => done(each).made);
    expect(new Set(numbers.map((each) => each.join())).size).toBe(1);
    expect((await showShelf(session)).total).toBe(2);
    expect(done(await finishSitting(session, id)).made).toEqual(numbers[0]);
    // Of what is over nothing more is heard.
    const { state, words: heard } = await say(session, id, { kind: 'noted', piece: 0, text: 'too late' });
    expect([state, heard]).toEqual(['finished', []]);
    expect(await openSittings(session)).toEqual([]);
  });

  it('has what was lost borne by what is made, wire and time', async () => {
    const { session, wire, id } = await sittingOff(3);
    const stations = stationsOf(STEPS, 3);
    const last = stations.findIndex((each) => each.kind === 'step' && each.piece === 2);
    await say(
      session,
      id,
      { kind: 'worked', slot: last, ms: 8 * MIN },
      { kind: 'lost', piece: 2, reason: 'bent out of shape' },
    );
    const { made, lost } = done(await finishSitting(session, id));
    expect([made.length, lost]).toEqual([2, 1]);
    const [first, second] = await Promise.all(made.map((number) => showPiece(session, number)));
    // 10 m cost $50: 100 mm of it are half a dollar, in thousandths of a cent.
    expect(lineOf(first ?? null, 'spoilage')).toBe(50_000);
    expect(lineOf(second ?? null, 'spoilage')).toBe(0);
    expect([first?.setUpMinutes, first?.sharedBy, first?.minutes]).toEqual([18, 2, 20]);
    expect(await left(session, wire)).toBe(9_700_000);
  });

  it('books what was spoiled even when all of it was lost', async () => {
    const { session, wire, id } = await sittingOff(2);
    await say(
      session,
      id,
      { kind: 'lost', piece: 0, reason: 'snapped' },
      { kind: 'lost', piece: 1, reason: 'snapped' },
    );
    expect(done(await finishSitting(session, id))).toEqual({ made: [], lost: 2, stopped: '' });
    expect(done(await finishSitting(session, id))).toEqual({ made: [], lost: 2, stopped: '' });
    expect(await left(session, wire)).toBe(9_800_000);
    expect((await showShelf(session)).total).toBe(0);
  });

  it('takes another bead for one that was lost, and the piece bears it', async () => {
    const { session, pattern } = await studioWithPattern();
    const { number: beads } = done(await receiveBeads(session, newKey(), BEADS));
    const [article] = await pickableArticles(session);
    done(await namePart(session, newKey(), 'bead', article?.id ?? ''));
    const { revision = 1 } = (await showPattern(session, pattern)) ?? {};
    const begin = async () =>
      done(await beginSitting(session, newKey(), { number: pattern, revision }, { count: '1' }));
    const id = await begin();
    const broke = (count: number, part = 0): Said => ({
      kind: 'broke',
      piece: 0,
      part,
      count,
      reason: 'snapped',
    });
    expect(problemOf(await hearWords(session, id, words(broke(1, 9)))).message).toMatch(/does not have/);
    await say(session, id, broke(1), broke(2), broke(1));
    const { made } = done(await finishSitting(session, id));
    // Forty cost twelve dollars; two are in the piece, and one is lost.
    expect((await showDrawerPiece(session, 'bead', beads))?.quantity).toBe(37);
    expect(lineOf(await showPiece(session, made[0] ?? 0), 'parts')).toBe(90_000);
    const entered = async (kind: 'used' | 'spoiled') =>
      (await showLedger(session, { kind })).lines.map(({ quantity, reason }) => [
        quantity,
        reason.replace(/F-\d+/, 'F'),
      ]);
    expect(await entered('used')).toEqual([[-2, 'in F']]);
    expect(await entered('spoiled')).toEqual([[-1, 'snapped']]);
    // The logbook tells it.
    const [line] = (await showLogbook(session, {})).lines;
    expect(line?.parts.map(({ count, lost }) => [count, lost])).toEqual([
      [2, ''],
      [1, 'snapped'],
    ]);
    // Taken back, nothing more is taken than is in the piece.
    const other = await begin();
    await say(session, other, broke(3), broke(0));
    done(await finishSitting(session, other));
    expect((await showDrawerPiece(session, 'bead', beads))?.quantity).toBe(35);
    await expectBooksAgree();
  });

  it('takes what fits when the wire that was meant is gone meanwhile', async () => {
    const session = await openStudio();
    const scarce = await receive(session, { length: '150 mm', price: '1.00 USD' });
    const pattern = await simplePattern(session);
    const id = done(await beginSitting(session, newKey(), pattern, { count: '1' }));
    const other = done(await beginSitting(session, newKey(), pattern, { count: '1' }));
    expect(done(await finishSitting(session, id)).made).toHaveLength(1);
    // Nothing is left: it says so, and nothing is lost.
    const { made, stopped } = done(await finishSitting(session, other));
    expect(made).toEqual([]);
    expect(stopped).not.toBe('');
    expect((await showSitting(session, other))?.state).toBe('open');
    await receive(session, { length: '150 mm', price: '1.00 USD' });
    expect(done(await finishSitting(session, other)).made).toHaveLength(1);
    expect(await left(session, scarce)).toBeLessThan(100_000);
  });

  it('is refused for more than there is wire for, and for what is no number', async () => {
    const session = await openStudio();
    await receive(session, { length: '250 mm' });
    const pattern = await simplePattern(session);
    const begin = (count: string) => beginSitting(session, newKey(), pattern, { count });
    expect(problemOf(await begin('3')).fields?.['count']).toBe(
      '“3” was given; the wire on the rack is not enough for so many.',
    );
    expect(problemOf(await begin('25')).fields?.['count']).toMatch(/24/);
    expect(problemOf(await begin('many')).kind).toBe('invalid');
    expect((await begin('2')).ok).toBe(true);
    expect(
      problemOf(await beginSitting(session, newKey(), { ...pattern, revision: 9 }, { count: '1' })).kind,
    ).toBe('refused');
  });

  it('is taken back with its pieces through the ledger, and the books agree', async () => {
    const { session, wire, id } = await sittingOff(2);
    const { made } = done(await finishSitting(session, id));
    const { lines } = await showLedger(session, {});
    const taken = lines.find(({ pieceNumber }) => pieceNumber === made[0]);
    done(await reverseMovement(session, newKey(), taken?.id ?? 0, { reason: 'entered by mistake' }));
    expect((await showShelf(session)).total).toBe(1);
    expect(await left(session, wire)).toBe(9_900_000);
    await expectBooksAgree();
  });
});

describe('what is said of a sitting', () => {
  it('is heard once from each device, in one order, when all speak at once', async () => {
    const { session, id } = await sittingOff(2);
    const helper = await addTestHelper(session);
    const sent = [session, helper, session, helper].map((who, device) => ({
      who,
      words: words(
        ...Array.from({ length: 5 }, (_, index): Said => ({ kind: 'worked', slot: device, ms: index + 1 })),
      ),
    }));
    await Promise.all(
      sent.flatMap(({ who, words: own }) => [hearWords(who, id, own), hearWords(who, id, own)]),
    );
    const { words: all } = done(await hearWords(session, id, []));
    expect(all.map(({ id: word }) => word).sort()).toEqual(
      sent.flatMap((each) => each.words.map((word) => word.id)).sort(),
    );
    for (const { words: own } of sent)
      expect(all.filter((word) => own.some((each) => each.id === word.id))).toEqual(own);
  });

  it('is of something that it has, and is nobody else’s', async () => {
    const { session, id } = await sittingOff(2);
    const strange: Said[] = [
      { kind: 'at', at: 7 },
      { kind: 'worked', slot: 9, ms: 1 },
      { kind: 'lost', piece: 2, reason: 'x' },
      { kind: 'checked', piece: 0, check: 99, isGood: true, reading: '' },
      { kind: 'cut', piece: 0, cutIndex: 0, copy: 1, cut: um(1), back: [] },
    ];
    for (const said of strange)
      expect(problemOf(await hearWords(session, id, words(said))).kind).toBe('refused');
    expect(done(await hearWords(session, id, [])).words).toEqual([]);
    const stranger = await openStudio();
    expect(await showSitting(stranger, id)).toBeNull();
    expect(problemOf(await hearWords(stranger, id, words({ kind: 'at', at: 1 }))).kind).toBe('refused');
    expect(problemOf(await finishSitting(stranger, id)).kind).toBe('refused');
  });

  it('goes by the checks that the studio had when it began', async () => {
    const { session, id, pattern } = await sittingOff(1);
    const before = (await showSitting(session, id))?.checks;
    const set = (checks: string) => setChecks(session, newKey(), { kind: 'pendant', checks });
    done(await set('Hangs straight\n\n  Bail free  '));
    expect((await showSitting(session, id))?.checks).toEqual(before);
    const next = done(await beginSitting(session, newKey(), pattern, { count: '1' }));
    expect((await showSitting(session, next))?.checks).toEqual(['Hangs straight', 'Bail free']);
    expect(problemOf(await set('x'.repeat(121))).fields?.['checks']).toMatch(
      /121 characters; 120 are allowed/,
    );
    expect(problemOf(await set('a\n'.repeat(31))).fields?.['checks']).toMatch(
      /31 checks were given; 30 are allowed/,
    );
    expect(
      problemOf(await setChecks(await addTestHelper(session), newKey(), { kind: 'ring', checks: '' })).kind,
    ).toBe('forbidden');
    // Written as it began, it is the studio’s own no more.
    done(await set((before ?? []).join('\n')));
    const last = done(await beginSitting(session, newKey(), pattern, { count: '1' }));
    expect((await showSitting(session, last))?.checks).toEqual(before);
  });

  it('shows what the studio bends on, as its owner listed it', async () => {
    const { session, id } = await sittingOff(1);
    expect((await showSitting(session, id))?.rounds).toEqual([]);
    const set = (who: StudioSession, rounds: string) => setRounds(who, newKey(), { rounds });
    done(await set(session, 'oak dowel: 12 mm\n3 mm'));
    expect((await showSitting(session, id))?.rounds).toEqual([
      { name: 'oak dowel', diameter: 12_000 },
      { name: '3 mm', diameter: 3_000 },
    ]);
    expect(problemOf(await set(session, 'dowel: thick')).fields?.['rounds']).toMatch(/“dowel: thick”/);
    expect(problemOf(await set(await addTestHelper(session), '')).kind).toBe('forbidden');
  });

  it('comes to nothing when it is left; not when pieces of it stand on the shelf', async () => {
    const { session, wire, id, pattern } = await sittingOff(2);
    done(await leaveSitting(session, id));
    expect(await openSittings(session)).toEqual([]);
    expect(problemOf(await finishSitting(session, id)).kind).toBe('refused');
    expect(await left(session, wire)).toBe(10_000_000);
    const other = done(await beginSitting(session, newKey(), pattern, { count: '1' }));
    done(await finishSitting(session, other));
    expect(problemOf(await leaveSitting(session, other)).message).toMatch(/on the shelf already/);
  });
});

describe('a sitting out of the tray of a batch', () => {
  const cutBatch = async (count: number) => {
    const { session, number } = await plannedBatch(count);
    done(await cutAsPlanned(session, newKey(), number));
    return { session, number };
  };
  const begin = (session: StudioSession, batch: number, count: number) =>
    beginSitting(session, newKey(), { batch, line: 1 }, { count: String(count) });

  it('makes the pieces of the batch', async () => {
    const { session, number } = await cutBatch(3);
    expect(problemOf(await begin(session, number, 4)).fields?.['count']).toBe(
      '“4” was given; 3 pieces lie ready in the tray.',
    );
    const id = done(await begin(session, number, 3));
    expect(await showSitting(session, id)).toMatchObject({ batch: { number, line: 1 }, count: 3 });
    const spool: Said = { kind: 'spool', cutIndex: 0, when: 'before', mass: grams(50) };
    expect(problemOf(await hearWords(session, id, words(spool))).message).toMatch(/does not have/);
    expect(done(await finishSitting(session, id)).made).toHaveLength(3);
    expect((await listBatches(session)).batches[0]).toMatchObject({ state: 'made', made: 3 });
  });

  it('has a piece that was lost cut again, and the batch bear it', async () => {
    const { session, number } = await cutBatch(3);
    const id = done(await begin(session, number, 2));
    await say(
      session,
      id,
      // One of its wires had gone before: it is lost once.
      { kind: 'spoiled', piece: 0, cutIndex: 0, copy: 0, length: um(100_000), reason: 'snapped' },
      { kind: 'lost', piece: 0, reason: 'marred by pliers' },
    );
    const { made, lost } = done(await finishSitting(session, id));
    expect([made.length, lost]).toEqual([1, 1]);
    await settled(session, number);
    // One more lies ready, the lost one is to be cut again.
    expect((await readyInTrays(session)).map(({ pieces }) => pieces)).toEqual([1]);
    done(await cutAsPlanned(session, newKey(), number));
    const next = done(await begin(session, number, 2));
    const rest = done(await finishSitting(session, next)).made;
    expect(rest).toHaveLength(2);
    const pieces = await Promise.all([...made, ...rest].map((each) => showPiece(session, each)));
    const borne = pieces.map((piece) => lineOf(piece, 'spoilage'));
    expect(borne.reduce((sum, each) => sum + each, 0)).toBe(50_000);
    expect((await listBatches(session)).batches[0]).toMatchObject({ state: 'made', made: 3 });
  });

  it('cuts a wire again off the rack that was spoiled on the way', async () => {
    const { session, number } = await cutBatch(1);
    const id = done(await begin(session, number, 1));
    await say(session, id, {
      kind: 'spoiled',
      piece: 0,
      cutIndex: 0,
      copy: 0,
      length: um(100_000),
      reason: 'snapped',
    });
    const { made } = done(await finishSitting(session, id));
    const piece = await showPiece(session, made[0] ?? 0);
    expect(lineOf(piece, 'spoilage')).toBe(50_000);
    expect(await left(session, 1)).toBe(9_800_000);
  });
});
