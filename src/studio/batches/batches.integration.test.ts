import { tag } from '@/core/tag';
import { mm } from '@/core/units/length';
import { checkBooks } from '@/data/checkBooks';
import { batch, composedFrame, line, planned, studioWithPattern, view } from '../../../tests/support/batches';
import { differencesIn } from '../../../tests/support/cuttingTable';
import { BEADS, STONE } from '../../../tests/support/purchases';
import {
  addTestHelper,
  asOwner,
  closeBooks,
  done,
  newKey,
  ofGauge,
  openStudio,
  problemOf,
  receive,
  simplePattern,
} from '../../../tests/support/studio';
import { showDrawer, showDrawerPiece } from '../drawers/drawers';
import { receiveBeads, receiveStone } from '../drawers/receive';
import { makePiece } from '../making/makePiece';
import { proposeMaking } from '../making/proposeMaking';
import { readCsv } from '../lists/csv';
import { batchPaper } from '../paper/batchPaper';
import { partWire } from '../wire/partWire';
import { showStockPiece } from '../wire/rack';
import { relabelWire } from '../wire/relabelWire';
import { listBatches } from './batches';
import { cancelBatch } from './cancelBatch';
import { namePart, pickableArticles } from './namePart';
import { setAside } from '../drawers/setAside';
import { planBatch } from './planBatch';
import {
  beginPlanning,
  keepCuts,
  reckonCuts,
  stopPlanning,
  workOutCutting,
} from '../cuttingPlan/planCutting';

afterAll(closeBooks);

const PAPER = { sheet: 'A4', first: 'mm', numbers: 'point' } as const;

describe('a batch', () => {
  it('comes to what it needs, what is free and what is short, and is listed by the day it is due', async () => {
    const { session, pattern } = await studioWithPattern();
    const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 120)])));
    done(await planBatch(session, newKey(), null, batch([line(pattern)], { name: 'Later', dueOn: '' })));
    const shown = await view(session, number);
    expect(shown.wires).toMatchObject([
      {
        cuts: 120,
        needed: mm(12_000),
        free: mm(10_000),
        short: mm(2_000),
        pieces: 100,
        // Two metres short, sold by the spool of ten at 50 dollars.
        buy: { packs: 1, packOf: mm(10_000), cost: 5_000_000 },
      },
    ]);
    // What nobody has said the beads are in the drawers holds nothing up.
    expect(shown.parts).toMatchObject([{ name: 'bead', needed: 240, short: 0, article: null, buy: null }]);
    expect(shown.bottleneck).toMatchObject({ pieces: 100 });
    expect([...shown.complete.values()]).toEqual([100]);
    expect(shown.minutes).toBe(10 + 120 * 20);
    expect(
      (await listBatches(session)).batches.map(({ name, pieces, minutes }) => [name, pieces, minutes]),
    ).toEqual([
      ['Spring fair', 120, 2410],
      ['Later', 1, 30],
    ]);
  });

  it('knows what its beads are in the drawers once it was said', async () => {
    const { session, pattern } = await studioWithPattern();
    done(await receiveBeads(session, newKey(), BEADS));
    const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 30)])));
    const [article] = await pickableArticles(session);
    done(await namePart(session, newKey(), ' Bead', article?.id ?? ''));
    expect((await view(session, number)).parts).toMatchObject([
      { needed: 60, free: 40, short: 20, pieces: 20, article: article?.name, buy: { packs: 1, packOf: 40 } },
    ]);
    expect(problemOf(await namePart(session, newKey(), 'bead', newKey())).message).toMatch(
      /not in the drawers/,
    );
  });

  it('counts parts that are called like stones by the stones of the drawer', async () => {
    const { session } = await studioWithPattern();
    const { number: pattern } = await simplePattern(session, { part: 'Prehnite  teardrop cab' });
    for (let count = 0; count < 3; count += 1) done(await receiveStone(session, newKey(), STONE));
    done(await receiveStone(session, newKey(), { ...STONE, material: 'iolite' }));
    const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 2)])));
    expect((await view(session, number)).parts).toMatchObject([
      {
        needed: 4,
        free: 3,
        short: 1,
        article: null,
        isKnown: true,
        fitting: [{ ware: 'stone' }, { ware: 'stone' }, { ware: 'stone' }],
      },
    ]);
    expect((await view(session, number)).bottleneck).toMatchObject({ pieces: 1 });
  });

  it('is made for a stone of the drawer, which is set aside, and in another metal', async () => {
    const session = await openStudio();
    const pattern = await composedFrame(session);
    await receive(session, { metal: 'sterling' });
    await receive(session, { metal: 'sterling', gaugeNumber: '28', temper: 'dead soft' });
    const { number: stone } = done(
      await receiveStone(session, newKey(), { ...STONE, length: '30 mm', width: '20 mm' }),
    );
    const tagged = `S-${String(stone).padStart(4, '0')}`;
    const { number } = done(
      await planBatch(
        session,
        newKey(),
        null,
        batch([line(pattern, 1, { stone: tagged, metal: 'sterling' }), line(pattern, 2)]),
      ),
    );
    const shown = await view(session, number);
    const [large, own] = shown.lines.map(({ body }) => body.cuts[0]?.net ?? 0);
    expect(large).toBeGreaterThan(1.2 * (own ?? 0));
    expect(shown.wires.map(({ spec }) => spec.metal).sort()).toEqual([
      'copper',
      'copper',
      'sterling',
      'sterling',
    ]);
    expect((await showDrawerPiece(session, 'stone', stone))?.detail).toMatchObject({
      setAsideFor: 'R-0001 Spring fair',
    });
    // What is a batch's is not given away by hand.
    expect(problemOf(await setAside(session, newKey(), stone, { purpose: 'a neighbour' })).fields).toEqual({
      purpose: `${tag('stone', stone)} is set aside for a batch; take it out of that first.`,
    });
    const another = await planBatch(session, newKey(), null, batch([line(pattern, 1, { stone: tagged })]));
    expect(problemOf(another).fields?.['lines.0.stone']).toMatch(/is set aside for R-0001 Spring fair/);
    done(await cancelBatch(session, newKey(), number));
    expect((await showDrawer(session, 'stone', { state: 'free' })).pieces).toHaveLength(1);
    expect((await view(session, number)).state).toBe('cancelled');
  });

  it.each([
    [{ ring: 'US 7' }, 'ring', /does not ask for a ring/],
    [{ metal: 'tin' }, 'metal', /“tin” is not a metal/],
    [{ metal: 'sterling' }, 'metal', /knows no sterling in place of/],
    [{ stone: 'S-0099' }, 'stone', /is not a stone in the drawer/],
    [{ pattern: '99' }, 'pattern', /no longer there/],
    [{ count: '501' }, 'count', /not a whole number from 1 to 500/],
  ])('%j is refused beside its field, and nothing is kept', async (wrong, field, said) => {
    const session = await openStudio();
    const pattern = await composedFrame(session);
    const outcome = await planBatch(session, newKey(), null, batch([line(pattern, 1, wrong)]));
    expect(problemOf(outcome).fields?.[`lines.0.${field}`]).toMatch(said);
    expect((await listBatches(session)).batches).toEqual([]);
  });

  it('that somebody changed meanwhile is not overwritten; one sent twice is one', async () => {
    const { session, pattern } = await studioWithPattern();
    const key = newKey();
    const { number } = done(await planBatch(session, key, null, batch([line(pattern)])));
    expect(done(await planBatch(session, key, null, batch([line(pattern)]))).number).toBe(number);
    const base = { number, version: 1 };
    done(await planBatch(session, newKey(), base, batch([line(pattern, 3)])));
    expect(problemOf(await planBatch(session, newKey(), base, batch([line(pattern, 4)]))).kind).toBe('stale');
    expect((await view(session, number)).lines[0]?.count).toBe(3);
    done(await cancelBatch(session, newKey(), number));
    expect(
      problemOf(await planBatch(session, newKey(), { number, version: 3 }, batch([line(pattern)]))).message,
    ).toMatch(/is cancelled/);
  });

  it('shows helpers no money', async () => {
    const { session, pattern } = await studioWithPattern();
    const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 120)])));
    await planned(session, number);
    const shown = await view(await addTestHelper(session), number);
    expect(shown.wires[0]?.buy?.cost).toBeNull();
    expect(shown.plans[0]?.saved).toBeNull();
    expect(shown.lines[0]?.body.parts[0]?.unitCost).toBeNull();
  });
});

describe('the cuts of a batch', () => {
  it('are planned, certified and set aside; nobody else is offered them', async () => {
    const { session, wire, pattern } = await studioWithPattern();
    done(await partWire(session, newKey(), wire, { form: 'off-cut', length: '205 mm', place: '' }));
    const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 60)])));
    const shown = await planned(session, number);
    expect(shown.planning).toBe('planned');
    const [{ plan, saved } = { plan: undefined, saved: null }] = shown.plans;
    expect(plan).toMatchObject({ optimal: true, unmet: [], waste: mm(5) });
    expect(plan?.pieces.flatMap(({ cuts }) => cuts)).toHaveLength(60);
    expect(new Set(plan?.pieces.flatMap(({ cuts }) => cuts.map(({ piece }) => piece))).size).toBe(60);
    expect(saved).toBe(0);
    // 9795 − 5800 mm are left for others, of the spool; the off-cut is all gone.
    const proposal = await proposeMaking(session, pattern);
    expect(proposal?.choices).toMatchObject([{ form: 'spool', length: mm(9795 - 5800) }]);
    const second = done(
      await planBatch(session, newKey(), null, batch([line(pattern, 50)], { name: 'Second' })),
    );
    expect((await view(session, second.number)).wires).toMatchObject([{ free: mm(3995), short: mm(1100) }]);
    done(await cancelBatch(session, newKey(), number));
    expect((await view(session, second.number)).wires).toMatchObject([{ free: mm(10_000), short: 0 }]);
  });

  it('go out on paper and as lists, beads with them', async () => {
    const { session, pattern } = await studioWithPattern();
    done(await receiveBeads(session, newKey(), BEADS));
    const [article] = await pickableArticles(session);
    done(await namePart(session, newKey(), 'bead', article?.id ?? ''));
    const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 3)])));
    const shown = await planned(session, number);
    expect(shown.picks).toMatchObject([{ ware: 'bead', quantity: 6, place: 'Bead box' }]);
    const written = async (file: string) =>
      Buffer.from((await batchPaper(shown, file, PAPER))?.content ?? '').toString('latin1');
    expect((await written('cut-sheet.pdf')).slice(0, 5)).toBe('%PDF-');
    expect((await written('cut-sheet.svg')).slice(0, 5)).toBe('<?xml');
    const { rows } = readCsv(await written('cuts.csv'));
    expect(rows).toHaveLength(3);
    expect(rows[0]?.slice(0, 2)).toEqual(['W-0001', 'spool']);
    expect(rows.map((row) => [row[4], row[8]])).toEqual([
      ['100', '1'],
      ['100', '2'],
      ['100', '3'],
    ]);
    expect(readCsv(await written('picks.csv')).rows[0]?.at(-1)).toBe('6');
    expect(await batchPaper(shown, 'price.pdf', PAPER)).toBeUndefined();
  });

  it('that are set aside are not cut at the bench for something else', async () => {
    const { session, pattern } = await studioWithPattern();
    const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 95)])));
    await planned(session, number);
    const proposal = await proposeMaking(session, pattern);
    const from = proposal?.choices[0]?.id ?? '';
    const make = (cut: string) =>
      makePiece(
        session,
        newKey(),
        { number: pattern, revision: 1 },
        {
          cuts: [{ cutIndex: 0, copy: 0, from, cut, back: '0 mm' }],
          spoiled: [],
          minutes: '1',
          setUpMinutes: '0',
          sharedBy: '1',
        },
      );
    expect(problemOf(await make('501 mm')).fields?.['cuts.0.from']).toMatch(
      /9500 mm|9\.5 m of W-0001 are set aside/,
    );
    done(await make('500 mm'));
    expect((await view(session, number)).planning).toBe('planned');
  });

  it('say so when stock that was set aside is gone, and let it go', async () => {
    const { session, wire, pattern } = await studioWithPattern();
    const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 95)])));
    await planned(session, number);
    done(await partWire(session, newKey(), wire, { form: 'bobbin', length: '8 m', place: '' }));
    expect(await view(session, number)).toMatchObject({
      planning: 'stale',
      said: 'Stock that was set aside for it is not there any more.',
    });
    expect((await planned(session, number)).plans[0]?.plan.pieces).toHaveLength(2);
  });

  it('are not kept when they were called off, nor when the batch was changed meanwhile', async () => {
    const { session, wire, pattern } = await studioWithPattern();
    const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 40)])));
    // Both come while the plan is being worked out: it is worked out to its end all the same, under the key it was begun with.
    const [first, second] = [newKey(), newKey()];
    done(await beginPlanning(session, first, number));
    done(await stopPlanning(session, newKey(), number));
    await workOutCutting(session, number, first);
    expect(await view(session, number)).toMatchObject({ planning: 'none', plans: [] });
    done(await beginPlanning(session, second, number));
    done(await planBatch(session, newKey(), { number, version: 1 }, batch([line(pattern, 10)])));
    await workOutCutting(session, number, second);
    expect(await view(session, number)).toMatchObject({ planning: 'none', plans: [] });
    const shown = await planned(session, number);
    expect(shown.plans[0]?.plan.pieces[0]?.cuts).toHaveLength(10);
    expect((await showStockPiece(session, wire))?.length).toBe(mm(10_000));
  });

  it('are not kept when their wire became another, or was cut from, while they were worked out', async () => {
    const { session, wire, pattern } = await studioWithPattern();
    const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 40)])));
    const whileWorkedOut = async (meanwhile: () => Promise<unknown>) => {
      const key = newKey();
      done(await beginPlanning(session, key, number));
      const plans = await reckonCuts(session, number, key);
      if (!plans) throw new Error('nobody called it off');
      await meanwhile();
      await keepCuts(session, number, key, plans);
      return view(session, number);
    };
    const coil = await whileWorkedOut(async () =>
      done(await partWire(session, newKey(), wire, { form: 'bobbin', length: '8 m', place: '' })),
    );
    expect(coil).toMatchObject({
      planning: 'failed',
      said: expect.stringContaining('W-0001 was cut from while'),
    });
    const relabelled = await whileWorkedOut(async () => {
      for (const each of [wire, wire + 1]) done(await relabelWire(session, newKey(), each, ofGauge('26')));
    });
    expect(relabelled).toMatchObject({
      planning: 'failed',
      said: expect.stringMatching(/W-000[12] became another wire while/),
    });
    expect(await differencesIn(session)).toEqual([]);
    // There is no such wire any more.
    const [only] = (await planned(session, number)).plans;
    expect(only?.plan.pieces).toEqual([]);
    expect(only?.plan.unmet).toHaveLength(40);
  });

  it('of two batches planned at once do not set the same wire aside twice', async () => {
    const { session, pattern } = await studioWithPattern();
    const numbers = await Promise.all(
      ['One', 'Two', 'Three'].map(
        async (name) =>
          done(await planBatch(session, newKey(), null, batch([line(pattern, 60)], { name }))).number,
      ),
    );
    const views = await Promise.all(numbers.map((number) => planned(session, number)));
    const aside = views
      .flatMap(({ plans }) => plans.flatMap(({ plan }) => plan.pieces))
      .reduce((sum, { length, left }) => sum + length - left, 0);
    expect(aside).toBeLessThanOrEqual(mm(10_000));
    for (const { planning, said } of views)
      expect(planning === 'planned' || /was cut from while the plan was made/.test(said)).toBe(true);
  });

  it('are compared by check-books with what is set aside', async () => {
    const { session, pattern } = await studioWithPattern();
    const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 40)])));
    await planned(session, number);
    await asOwner('UPDATE reservations SET quantity = quantity - 1 WHERE studio_id = $1', [session.studioId]);
    const found = async () =>
      (await checkBooks(process.env['PEWTERER_OWNER_URL'] ?? '')).differences.filter(
        ({ studio }) => studio === session.studioId,
      );
    expect(await found()).toMatchObject([{ what: 'cuts of batch R-0001' }]);
    await asOwner('UPDATE reservations SET quantity = 20000000 WHERE studio_id = $1', [session.studioId]);
    expect(await found()).toMatchObject([{ what: 'W-0001 set aside' }]);
    await asOwner(`UPDATE reservations SET quantity = 4000000 WHERE studio_id = $1`, [session.studioId]);
    await asOwner(`UPDATE batches SET state = 'cancelled' WHERE studio_id = $1`, [session.studioId]);
    expect(await found()).toMatchObject([{ what: 'batch R-0001' }]);
    await asOwner(`DELETE FROM reservations WHERE studio_id = $1`, [session.studioId]);
    await asOwner(`UPDATE batches SET planning = 'none' WHERE studio_id = $1`, [session.studioId]);
  });
});
