import { closeBooks, done, newKey, openStudio, problemOf } from '../../../tests/support/studio';
import { tradeWireOf, TRADE_WIRES } from '@/core/wire/tradeWires';
import { showRack } from '../wire/rack';
import { composePattern } from './composePattern';
import { fitStarters } from '../fitting/fitting';
import { listPatterns, showPattern } from './patterns';
import { listStarters, takeStarters } from './starters';

/** A studio that begins with nothing can have patterns. */

afterAll(closeBooks);

it('an empty studio takes copies of the house’s own patterns, once each', async () => {
  const session = await openStudio();
  const { starters } = await listStarters(session);
  expect(starters.length).toBeGreaterThanOrEqual(12);
  const names = starters.map(({ name }) => name);
  expect(done(await takeStarters(session, newKey(), { names }))).toEqual({ taken: names.length });
  const { patterns, total } = await listPatterns(session);
  expect(total).toBe(names.length);
  for (const { body } of patterns) {
    expect(body.cuts.length).toBeGreaterThan(0);
    expect(body.composition?.uses.flatMap(({ wires }) => Object.values(wires)).some(tradeWireOf)).toBe(false);
  }
  // They are cut from wires that the studio knows now and has nothing of.
  const [first] = patterns;
  expect(Object.values((await showPattern(session, first?.number ?? 0))?.onHand ?? {})).toEqual([]);
  expect((await listStarters(session)).starters.every(({ isTaken }) => isTaken)).toBe(true);
  expect(done(await takeStarters(session, newKey(), { names: names.slice(0, 2) }))).toEqual({ taken: 0 });
});

it('says which name is none of them, and takes none of the rest', async () => {
  const session = await openStudio();
  const { starters } = await listStarters(session);
  const problem = problemOf(
    await takeStarters(session, newKey(), { names: [starters[0]?.name ?? '', 'Somebody’s pendant'] }),
  );
  expect(problem.fields).toEqual({ 'names.1': '“Somebody’s pendant” is none of the house’s own patterns.' });
  expect((await listPatterns(session)).total).toBe(0);
});

it('a pattern may be cut from a wire that the studio never had', async () => {
  const session = await openStudio();
  const { starters } = await listStarters(session);
  const links = starters.find(({ name }) => name === 'Stepping-stone links');
  const brass = TRADE_WIRES.find(
    ({ metal, label, profile }) => metal === 'brass' && label.number === '20' && profile === 'round',
  );
  const composition = {
    ...links?.composition,
    uses: links?.composition.uses.map((use) => ({ ...use, wires: { wire: brass?.id ?? '' } })),
  };
  const input = { name: 'Brass links', kind: 'finding', notes: '', composition, parts: [] };
  const { number } = done(await composePattern(session, newKey(), null, input));
  const pattern = await showPattern(session, number);
  expect(Object.values(pattern?.specs ?? {})).toMatchObject([{ metal: 'brass', width: 812 }]);
  // The bead of each link came by itself.
  expect(pattern?.body.parts).toMatchObject([{ name: 'bead, 8 mm', count: 12, ofWork: true }]);
  expect((await showRack(session, {})).groups).toEqual([]);

  // Another draft was begun before the studio knew the wire: what stands for it becomes the same wire.
  const again = done(await composePattern(session, newKey(), null, { ...input, name: 'More brass links' }));
  const more = await showPattern(session, again.number);
  expect(more?.body.cuts.map(({ specId }) => specId)).toEqual(pattern?.body.cuts.map(({ specId }) => specId));
  expect(more?.body.composition?.uses.flatMap(({ wires }) => Object.values(wires))).toEqual(
    Object.keys(more?.specs ?? {}),
  );
});

it('tries the house’s own patterns on a stone: those that the studio has no copy of, with what each takes and what the rack lacks', async () => {
  const session = await openStudio();
  const oval = (length: string, width: string) => ({
    'stone.outline': 'oval',
    'stone.length': length,
    'stone.width': width,
    'stone.edge': '2 mm',
    'stone.depth': '5 mm',
  });
  const small = await fitStarters(session, { measure: 'stone', texts: oval('20 mm', '15 mm') });
  const made = small.filter(({ refusal }) => refusal === '');
  // What cannot be made says which act does not fit, and comes last.
  expect(made.length).toBeGreaterThanOrEqual(1);
  expect(small.at(-1)?.refusal).toMatch(/^Outline frame with half-round bands: .* mm/);
  const large = await fitStarters(session, { measure: 'stone', texts: oval('30 mm', '22 mm') });
  for (const { name, number, wires, shortages, takes } of made) {
    expect([name, number]).toEqual([name, null]);
    expect([name, takes.cuts.length > 0, takes.steps.length > 0]).toEqual([name, true, true]);
    // An empty rack lacks all of it.
    const missing = shortages.reduce((sum, each) => sum + each.missing, 0);
    expect([name, missing]).toEqual([name, wires.reduce((sum, { length }) => sum + length, 0)]);
    const larger = large.find((each) => each.name === name);
    if (larger?.refusal === '')
      expect([name, (larger.wires[0]?.length ?? 0) > (wires[0]?.length ?? Infinity)]).toEqual([name, true]);
  }
  const [first] = made;
  done(await takeStarters(session, newKey(), { names: [first?.name ?? ''] }));
  const left = await fitStarters(session, { measure: 'stone', texts: oval('20 mm', '15 mm') });
  expect(left.map(({ name }) => name)).toEqual(
    small.map(({ name }) => name).filter((name) => name !== first?.name),
  );
});
