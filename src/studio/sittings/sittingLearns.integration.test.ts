import type { Said } from '@/core/bench/sitting';
import { insidesWanted } from '@/core/pattern/insidesWanted';
import { sumLengths, um } from '@/core/units/length';
import { ug } from '@/core/units/mass';
import { massOfLength } from '@/core/wire/mass';
import { inStudio } from '@/data/inStudio';
import { WireLog } from '@/data/models/making';
import { composed } from '../../../tests/support/batches';
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
import { reverseMovement } from '../corrections/reverseMovement';
import type { StudioSession } from '../kernel/useCase';
import { showLedger } from '../ledger/ledgerPage';
import { showLogbook } from '../logbook/logbook';
import { ruleFigure } from '../logbook/rulings';
import { proposeMaking } from '../making/proposeMaking';
import { showPattern } from '../patterns/patterns';
import { priceBook } from '../prices/priceBook';
import { showStockPiece } from '../wire/rack';
import { beginSitting } from './beginSitting';
import { finishSitting } from './finishSitting';
import { hearWords } from './hearWords';
import { showSitting } from './sittings';

afterAll(closeBooks);

describe('what a sitting measures', () => {
  it('books wire that is worked off its spool by weight, alike for every piece, and logs it once', async () => {
    const { session, wire, id } = await sittingOff(2);
    const spec = (await showStockPiece(session, wire))?.spec;
    if (!spec) throw new Error('the wire has no spec');
    const spool = (when: 'before' | 'after', length: number, cutIndex = 0): Said => ({
      kind: 'spool',
      cutIndex,
      when,
      mass: ug(massOfLength(spec, um(length)) + 30_000_000),
    });
    expect(problemOf(await hearWords(session, id, words(spool('before', 1, 1)))).message).toMatch(
      /does not have/,
    );
    await say(session, id, spool('before', 9_000_000), spool('after', 8_700_000));
    const { made } = done(await finishSitting(session, id));
    expect(made).toHaveLength(2);
    // Of 300 mm, each took 150; to the micrometre that a microgram of this wire is less than.
    expect(Math.abs(((await left(session, wire)) ?? 0) - 9_700_000)).toBeLessThan(3);
    const logged = await inStudio(session, (tx) =>
      tx.all(WireLog, ['cut', 'isMeasured'], { order: ['isMeasured'] }),
    );
    expect(logged.map(({ isMeasured }) => isMeasured)).toEqual([false, true]);
    for (const { cut } of logged) expect(Math.abs(cut - 150_000)).toBeLessThan(2);
    await expectBooksAgree();
  });

  it('is cut to what the log says, or as planned where that is asked for', async () => {
    const session = await openStudio();
    await receive(session, { length: '2.5 m', price: '10.00 USD' });
    const pattern = await simplePattern(session);
    for (let making = 0; making < 6; making += 1) {
      const before = done(await beginSitting(session, newKey(), pattern, { count: '1', cutTo: 'planned' }));
      // 110 mm stay of 80 that are planned to.
      await say(session, before, {
        kind: 'cut',
        piece: 0,
        cutIndex: 0,
        copy: 0,
        cut: um(130_000),
        back: [um(20_000)],
      });
      done(await finishSitting(session, before));
    }
    const begun = async (cutTo?: 'planned' | 'learned') => {
      const id = done(
        await beginSitting(session, newKey(), pattern, { count: '1', ...(cutTo && { cutTo }) }),
      );
      return { id, wire: (await showSitting(session, id))?.pieces[0]?.wires[0] };
    };
    const planned = await begun('planned');
    expect(planned.wire).toMatchObject({ length: 100_000 });
    expect(planned.wire?.back).toBeUndefined();
    const learned = await begun();
    expect(learned.wire?.length).toBeGreaterThan(118_000);
    const back = sumLengths(learned.wire?.back ?? []);
    // What stays is between the plan and what was seen so far: it is drawn toward the plan.
    expect((learned.wire?.length ?? 0) - back).toBeGreaterThan(90_000);
    expect((learned.wire?.length ?? 0) - back).toBeLessThan(110_000);
    // Nobody measured it: it is no entry of the log, or the log would learn from itself.
    done(await finishSitting(session, learned.id));
    const logged = await inStudio(session, (tx) =>
      tx.all(WireLog, ['isMeasured'], { where: { cut: learned.wire?.length ?? 0 } }),
    );
    expect(logged).toEqual([{ isMeasured: false }]);
    // 1.5 m are left: enough for ten as planned, not by the log.
    const ten = (cutTo: string) => beginSitting(session, newKey(), pattern, { count: '10', cutTo });
    expect(problemOf(await ten('learned')).fields).toEqual({
      cutTo: 'Cut by what the log says, the wire on the rack is not enough for 10 pieces; as planned it is.',
    });
    done(await ten('planned'));
    expect(
      problemOf(await beginSitting(session, newKey(), pattern, { count: '1', cutTo: 'by eye' })),
    ).toMatchObject({ fields: { cutTo: 'Choose what the wires are cut to: learned, planned.' } });
    await expectBooksAgree();
  });
});

describe('the next sitting', () => {
  it('knows what is lost on the way', async () => {
    const { session, pattern, id } = await sittingOff(2);
    expect((await showSitting(session, id))?.drift).toBeNull();
    await say(session, id, {
      kind: 'spoiled',
      piece: 0,
      cutIndex: 0,
      copy: 0,
      length: um(100_000),
      reason: 'snapped',
    });
    expect((await priceBook(session))?.spoils).toBe(0);
    done(await finishSitting(session, id));
    // Half as much was lost as went into both; of two pieces seven parts of what they lost count, two and five.
    expect((await priceBook(session))?.spoils).toBeCloseTo((100 / 160) * (2 / 7), 6);
    expect(await priceBook(await addTestHelper(session))).toBeNull();
    expect(
      (await showSitting(session, done(await beginSitting(session, newKey(), pattern, { count: '1' }))))
        ?.drift,
    ).toBeNull();
  });

  it('of rings is told how they come out, as is who makes one by the form; of what is no ring nobody is', async () => {
    const { session, pattern, id } = await sittingOff(1, 'ring');
    const ring = { pattern: pattern.number, figure: 'ring' } as const;
    const told = async () => [
      (await showSitting(session, id))?.drift,
      (await proposeMaking(session, pattern.number))?.drift,
    ];
    expect(await told()).toEqual([null, null]);
    done(await ruleFigure(session, newKey(), ring, { act: 'say', value: '-0.3' }));
    expect(await told()).toEqual([
      { value: -0.3, count: 0 },
      { value: -0.3, count: 0 },
    ]);
    const pendant = await simplePattern(session);
    done(
      await ruleFigure(session, newKey(), { ...ring, pattern: pendant.number }, { act: 'say', value: '1' }),
    );
    expect((await proposeMaking(session, pendant.number))?.drift).toBeNull();
  });
});

describe('what came of a turn that was bent on something', () => {
  /** A sitting of one piece with turns to bend, and what the studio knows of how its wire springs open. */
  async function bending() {
    const session = await openStudio();
    const pattern = await composed(session, 'ear-wire', 'Ford hook');
    const body = (await showPattern(session, pattern))?.body;
    if (!body) throw new Error('no such pattern');
    const insides = insidesWanted(body);
    const begin = async (of: StudioSession = session): Promise<string> => {
      const { revision = 1 } = (await showPattern(of, pattern)) ?? {};
      return done(await beginSitting(of, newKey(), { number: pattern, revision }, { count: '1' }));
    };
    const springs = async (id: string) => (await showSitting(session, id))?.springs ?? {};
    return { session, insides, specId: insides[0]?.specId ?? '', begin, springs };
  }
  const bent = (on: number, came: number, turn = 0): Said => ({
    kind: 'bent',
    turn,
    on: um(on),
    came: um(came),
  });

  it('tells how much the wire springs open, from the next sitting on, until it is taken back', async () => {
    const { session, insides, specId, begin, springs } = await bending();
    const first = await begin();
    expect(await springs(first)).toEqual({});
    // Said twice: the second corrects the first.
    await say(session, first, bent(4000, 4400), bent(4000, 4240));
    done(await finishSitting(session, first));
    expect((await showLogbook(session, {})).lines[0]?.bends).toEqual([
      { name: insides[0]?.name, on: 4000, came: 4240 },
    ]);
    const next = await begin();
    const learned = (await springs(next))[specId];
    expect(learned).toMatchObject({ own: 1, others: 0 });
    // Between the 2 % that half-hard wire usually does, or what its temper does, and the 6 % that were measured.
    expect(learned?.value).toBeGreaterThan(0.02);
    expect(learned?.value).toBeLessThan(0.06);
    const [movement] = (await showLedger(session, { kind: 'cut' })).lines;
    done(await reverseMovement(session, newKey(), movement?.id ?? 0, { reason: 'miscounted' }));
    expect(await springs(next)).toEqual({});
    await expectBooksAgree();
  });

  it('is not learned when it was taken back, nor of a piece that was lost', async () => {
    const { session, begin, springs } = await bending();
    const one = await begin();
    await say(session, one, bent(4000, 4240), bent(4000, 0));
    done(await finishSitting(session, one));
    const lost = await begin();
    await say(session, lost, bent(4000, 4240), { kind: 'lost', piece: 0, reason: 'snapped' });
    done(await finishSitting(session, lost));
    expect(await springs(await begin())).toEqual({});
  });

  it('is of a turn that the pattern has, and of what it can have been bent on', async () => {
    const { session, insides, begin } = await bending();
    const id = await begin();
    const strange = [bent(4000, 4240, insides.length), bent(4000, 9000), bent(4000, 2000), bent(0, 4000)];
    for (const said of strange)
      expect(problemOf(await hearWords(session, id, words(said))).message).toMatch(/does not have/);
  });
});
