import sharp from 'sharp';
import { spawnSync } from 'node:child_process';
import { ringSizeOf } from '@/core/pattern/ringSizeOf';
import { tag } from '@/core/tag';
import { formatLength, um } from '@/core/units/length';
import { withTechnique } from '@/core/pattern/addTechnique';
import { withStepAt, withUse } from '@/core/pattern/changes';
import { EMPTY_COMPOSITION, type Composition } from '@/core/pattern/composition';
import type { PatternBody } from '@/core/pattern/pattern';
import { resolve } from '@/core/pattern/resolve';
import { techniqueOf } from '@/core/techniques/registry';
import type { AnyTechnique } from '@/core/technique/technique';
import {
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
  receive,
  simplePattern,
} from '../../../tests/support/studio';
import { plannedBatch } from '../../../tests/support/cuttingTable';
import type { StudioSession } from '../kernel/useCase';
import { patternPaper } from '../paper/patternPaper';
import { pieceFile } from '../paper/pieceFile';
import { proposeMaking } from '../making/proposeMaking';
import { makePiece } from '../making/makePiece';
import { labelsOf } from '../labels/labels';
import { showPiece } from '../shelf/shelf';
import { showStockPiece } from '../wire/rack';
import { listSpecs } from '../catalogue/wireSpecs';
import { composePattern } from './composePattern';
import { fitPatterns } from '../fitting/fitting';
import { importPattern } from './importPattern';
import { patternToFile } from './patternFile';
import { showPattern, type PatternView } from './patterns';

afterAll(closeBooks);

const named = (id: string) => techniqueOf(id) as AnyTechnique;

/** A studio with the wires of a bundle frame, and a composition that is cut from them. */
async function studioWithFrame(): Promise<{ session: StudioSession; composition: Composition }> {
  const session = await openStudio();
  await receive(session, { gaugeNumber: '20', metal: 'copper' });
  await receive(session, { gaugeNumber: '28', metal: 'copper' });
  const specs = Object.fromEntries((await listSpecs(session)).map((spec) => [spec.id, spec]));
  return {
    session,
    composition: withTechnique(EMPTY_COMPOSITION, named('bundle-frame'), techniqueOf, specs),
  };
}

const form = (composition: unknown, name = `Frame ${newKey().slice(0, 8)}`) => ({
  name,
  kind: 'pendant',
  notes: 'flat at the shoulder',
  composition,
  parts: [{ name: 'cab', count: '1', unitCost: '4.00 USD' }],
});

describe('composing', () => {
  it('keeps what was composed, with its cuts and marks worked out here, ready for the bench', async () => {
    const { session, composition } = await studioWithFrame();
    const { number } = done(await composePattern(session, newKey(), null, form(composition)));
    const pattern = await showPattern(session, number);
    if (!pattern) throw new Error('the pattern hangs in the room');
    const resolved = resolve(composition, pattern.specs, techniqueOf);
    expect(pattern.body.cuts.map(({ count, net }) => [count, net])).toEqual(
      resolved.cuts.map(({ count, terms }) => [
        count,
        Math.round(
          terms.filter(({ kind }) => kind === 'net').reduce((sum, { length }) => sum + length * 1000, 0),
        ),
      ]),
    );
    expect(pattern.body.cuts[0]?.marks?.map(({ what }) => what)).toContain('middle: the foot of the stone');
    const proposal = await proposeMaking(session, number);
    expect(proposal?.shortages).toEqual([]);
    expect(proposal?.cuts).toHaveLength(4);

    // A larger stone makes a second revision; the first stays as it was.
    const larger = { ...composition, measures: { ...composition.measures, 'stone.length': '30 mm' } };
    const again = done(
      await composePattern(session, newKey(), { number, revision: 1 }, form(larger, pattern.name)),
    );
    expect(again.revision).toBe(2);
    const second = await showPattern(session, number);
    expect(second?.body.cuts[0]?.net).toBeGreaterThan(pattern.body.cuts[0]?.net ?? Infinity);
  });

  it('refuses what cannot be made as it stands, and says which and why', async () => {
    const { session, composition } = await studioWithFrame();
    const saidOf = async (changed: unknown) =>
      problemOf(await composePattern(session, newKey(), null, form(changed))).message;
    expect(await saidOf({ ...composition, uses: [] })).toMatch(/one technique at least/);
    expect(await saidOf({ ...composition, colour: 'red' })).toMatch(/there is no such field/);
    expect(await saidOf(withUse(composition, 'a', { wires: {} }))).toMatch(
      /choose the wire that the frame wire 1 is cut from/,
    );
    expect(await saidOf(withUse(composition, 'a', { wires: { wire: newKey(), binding: newKey() } }))).toMatch(
      /choose the wire/,
    );
    expect(
      await saidOf({ ...composition, measures: { ...composition.measures, 'stone.width': '90 mm' } }),
    ).toMatch(/A teardrop is longer than wide/);
    const steps = resolve(composition, {}, techniqueOf).steps.map(({ id }) => id);
    const late = withStepAt(composition, steps, 'a.try', steps.length);
    expect(await saidOf(late)).toMatch(
      /comes after “close the top and bend all ends upright”.*Or override it by name/,
    );
    const key = resolve(late, {}, techniqueOf).faults[0]?.key ?? '';
    done(await composePattern(session, newKey(), null, form({ ...late, overridden: [key] })));
    expect(
      problemOf(await composePattern({ ...session, role: 'helper' }, newKey(), null, form(composition))).kind,
    ).toBe('forbidden');
  });
});

describe('fitting', () => {
  it('tries patterns on a stone: what suits it, how much wire it takes, and whether the rack has it', async () => {
    const { session, composition } = await studioWithFrame();
    const { number } = done(await composePattern(session, newKey(), null, form(composition)));
    const stone = (length: string, width: string) => ({
      'stone.outline': 'teardrop',
      'stone.length': length,
      'stone.width': width,
      'stone.edge': '2 mm',
      'stone.depth': '5 mm',
    });
    const {
      fitted: [small],
    } = await fitPatterns(session, { measure: 'stone', texts: stone('18 mm', '13 mm') });
    const {
      fitted: [large],
    } = await fitPatterns(session, { measure: 'stone', texts: stone('60 mm', '40 mm') });
    expect(small).toMatchObject({ number, refusal: '', shortages: [] });
    expect(large?.wires[0]?.length).toBeGreaterThan(small?.wires[0]?.length ?? Infinity);
    // Ten metres of each wire are on the rack, and no more than that.
    const {
      fitted: [huge],
    } = await fitPatterns(session, {
      measure: 'stone',
      texts: { ...stone('190 mm', '180 mm'), 'stone.edge': '2 mm' },
    });
    expect(huge?.shortages).toEqual([]);
    const {
      fitted: [impossible],
    } = await fitPatterns(session, { measure: 'stone', texts: stone('10 mm', '12 mm') });
    expect(impossible?.refusal).toMatch(/A teardrop is longer than wide/);
    expect(await fitPatterns(session, { measure: 'ring', texts: { ring: 'US 7' } })).toEqual({
      fitted: [],
      next: null,
    });
    expect(
      await fitPatterns(await openStudio(), { measure: 'stone', texts: stone('18 mm', '13 mm') }),
    ).toEqual({
      fitted: [],
      next: null,
    });
  });

  it('never says that a pattern suits a stone that falls out of it, and shows those that keep it first', async () => {
    const { session, composition } = await studioWithFrame();
    const keeps = done(await composePattern(session, newKey(), null, form(composition)));
    const texts = composition.uses[0]?.texts;
    const open = withUse(composition, 'a', { texts: { ...texts, holds: '1' } });
    const loses = done(await composePattern(session, newKey(), null, form(open)));
    const { fitted } = await fitPatterns(session, { measure: 'stone', texts: composition.measures });
    expect(fitted.map(({ number, refusal, suits }) => [number, refusal, suits])).toEqual([
      [keeps.number, '', true],
      [loses.number, '', false],
    ]);
    expect(fitted[1]?.judgements.map(({ said }) => said).join()).toMatch(/slides out/);
  });

  it('says how much is short of what', async () => {
    const { session, composition: begun } = await studioWithFrame();
    const texts = { ...begun.uses[0]?.texts, bindingTail: '150 mm' };
    const composition = withUse(begun, 'a', { texts });
    done(await composePattern(session, newKey(), null, form({ ...composition, copies: 20 })));
    const {
      fitted: [fitted],
    } = await fitPatterns(session, { measure: 'stone', texts: composition.measures });
    expect(fitted?.shortages).toHaveLength(2);
    expect(fitted?.shortages.every(({ missing }) => missing > 0)).toBe(true);
  });

  it('tries patterns on a length of the rack: what is as thick is cut from it alone, and refused when it is too short', async () => {
    const { session, composition } = await studioWithFrame();
    const { number } = done(await composePattern(session, newKey(), null, form(composition)));
    const onWire = async (changed: Parameters<typeof receive>[1]) => {
      const wire = await showStockPiece(session, await receive(session, changed));
      if (!wire) throw new Error('it hangs on the rack');
      return { wire, ...(await fitPatterns(session, { wire })) };
    };
    const sterling = { metal: 'sterling', gaugeNumber: '20' };
    const { wire, fitted } = await onWire({ ...sterling, length: '2 m' });
    expect(fitted).toMatchObject([{ number, refusal: '' }]);
    const [frame] = fitted;
    const taken = frame?.wires.find(({ spec }) => spec.id === wire.spec.id)?.length ?? 0;
    expect(taken).toBeGreaterThan(200_000);
    // The frame of copper that hangs beside it is not cut for it; the binding is not on the rack in sterling.
    expect(frame?.wires.map(({ spec }) => spec.metal)).toEqual(['sterling', 'sterling']);
    expect(frame?.shortages.map(({ spec }) => spec?.label.number)).toEqual(['28']);

    const short = await onWire({ ...sterling, length: `${(taken - 10_000) / 1000} mm` });
    expect(short.fitted).toMatchObject([
      { suits: false, refusal: 'It takes 10 mm more of this wire than is free.' },
    ]);
    expect((await onWire({ metal: 'sterling', gaugeNumber: '12' })).fitted).toEqual([]);
  });

  it('leaves to a batch what is set aside for it', async () => {
    // 9.8 m of a spool of 10 m are set aside.
    const { session, wire: spool } = await plannedBatch(98);
    const wire = await showStockPiece(session, spool);
    if (!wire) throw new Error('it hangs on the rack');
    const begun = withTechnique(EMPTY_COMPOSITION, named('ear-wire'), techniqueOf, {});
    const ofSpool = (copies: number): Composition => ({
      ...withUse(begun, 'a', { wires: { wire: wire.spec.id } }),
      copies,
    });
    done(await composePattern(session, newKey(), null, form(ofSpool(2))));
    done(await composePattern(session, newKey(), null, form(ofSpool(6))));
    const { fitted } = await fitPatterns(session, { wire });
    const taken = fitted.map(({ wires }) => wires[0]?.length ?? NaN);
    expect(taken[0]).toBeLessThan(200_000);
    expect(fitted.map(({ refusal }) => refusal)).toEqual([
      '',
      `It takes ${formatLength(um((taken[1] ?? NaN) - 200_000), 'mm')} more of this wire than is free.`,
    ]);
    expect(fitted[0]?.shortages).toEqual([]);
  });
});

describe('files', () => {
  it('go out of one studio and into another: the same pattern, cut from the same wires', async () => {
    const { session, composition } = await studioWithFrame();
    const { number } = done(await composePattern(session, newKey(), null, form(composition)));
    const pattern = await showPattern(session, number);
    if (!pattern) throw new Error('the pattern hangs in the room');
    const file = JSON.stringify(patternToFile(pattern.body, pattern.specs, 'USD'));
    const other = await openStudio();
    const key = newKey();
    const brought = done(await importPattern(other, key, file));
    expect(done(await importPattern(other, key, file))).toEqual(brought);
    const theirs = await showPattern(other, brought.number);
    if (!theirs) throw new Error('the pattern hangs in the other room');
    expect(JSON.stringify(patternToFile(theirs.body, theirs.specs, 'USD'))).toBe(file);
    expect(theirs.body.parts[0]?.unitCost).toBe(pattern.body.parts[0]?.unitCost);
  });

  it('of patterns that were written by hand too', async () => {
    const session = await openStudio();
    await receive(session);
    const { number } = await simplePattern(session);
    const pattern = await showPattern(session, number);
    if (!pattern) throw new Error('the pattern hangs in the room');
    const file = JSON.stringify(patternToFile(pattern.body, pattern.specs, 'USD'));
    const other = await openStudio();
    const brought = done(await importPattern(other, newKey(), file));
    const theirs = await showPattern(other, brought.number);
    expect(theirs?.body.cuts.map(({ net }) => net)).toEqual(pattern.body.cuts.map(({ net }) => net));
    expect(theirs && JSON.stringify(patternToFile(theirs.body, theirs.specs, 'USD'))).toBe(file);
  });

  it('a pattern that is refused brings no wires either', async () => {
    const { session, composition } = await studioWithFrame();
    const { number } = done(await composePattern(session, newKey(), null, form(composition)));
    const pattern = await showPattern(session, number);
    if (!pattern) throw new Error('the pattern hangs in the room');
    const file = patternToFile({ ...pattern.body, name: '' }, pattern.specs, 'USD');
    const other = await openStudio();
    const before = await listSpecs(other);
    expect(problemOf(await importPattern(other, newKey(), JSON.stringify(file))).kind).toBe('invalid');
    expect(await listSpecs(other)).toEqual(before);
    expect(
      done(await importPattern(other, newKey(), JSON.stringify({ ...file, name: 'Lock' }))).revision,
    ).toBe(1);
    expect((await listSpecs(other)).length).toBeGreaterThan(before.length);
  });

  it.each([
    ['not json', /not JSON/],
    ['{}', /no pattern’s file/],
    ['{"format":"pewterer-pattern","version":9}', /version 9; version 1 is read/],
    [
      '{"format":"pewterer-pattern","version":1,"composition":null,"wires":{"w1":{"metal":"tin"}}}',
      /Wire w1: its metal is "tin"; copper, brass/,
    ],
    ['{"format":"pewterer-pattern","version":1,"composition":{"uses":1},"wires":{}}', /a list of at most/],
  ])('%s is refused in a sentence', async (text, said) => {
    const session = await openStudio();
    expect(problemOf(await importPattern(session, newKey(), text)).message).toMatch(said);
  });
});

it('a ring says its size on the bench, on the shelf and on its label', async () => {
  const { session } = await studioWithFrame();
  const specs = Object.fromEntries((await listSpecs(session)).map((spec) => [spec.id, spec]));
  const composed = withTechnique(EMPTY_COMPOSITION, named('woven-band-ring'), techniqueOf, specs);
  const composition = { ...composed, measures: { ...composed.measures, ring: 'US 7' } };
  const pattern = done(
    await composePattern(session, newKey(), null, { ...form(composition), kind: 'ring', parts: [] }),
  );
  const proposal = await proposeMaking(session, pattern.number);
  if (!proposal) throw new Error('the pattern lies on the bench');
  // US 7 is 17.3 mm inside, 54.4 mm round (ISO 8653), UK N½ (published tables of ring sizes).
  expect(ringSizeOf(proposal.pattern.body)).toBe('US 7 · UK N½ · ISO 54.4');
  const { number } = done(
    await makePiece(session, newKey(), pattern, {
      cuts: proposal.cuts.map(({ cutIndex, copy, from, length }) => ({
        cutIndex,
        copy,
        from: from ?? '',
        cut: formatLength(length, 'mm'),
        back: '0 mm',
      })),
      parts: [{ part: 0, from: '', count: '1' }],
      spoiled: [],
      minutes: '20',
      setUpMinutes: '0',
      sharedBy: '1',
    }),
  );
  expect(await showPiece(session, number)).toMatchObject({ size: 'US 7 · UK N½ · ISO 54.4' });
  expect(await labelsOf(session, [tag('piece', number), 'F-0999'])).toEqual([
    {
      tag: tag('piece', number),
      name: proposal.pattern.name,
      form: 'ring',
      place: 'US 7 · UK N½ · ISO 54.4',
      drawing: expect.objectContaining({ box: expect.objectContaining({ x: expect.any(Number) }) }),
    },
  ]);
});

it('papers are PDF and SVG; others there are not', async () => {
  const { session, composition } = await studioWithFrame();
  const { number } = done(await composePattern(session, newKey(), null, form(composition)));
  const pattern = await showPattern(session, number);
  if (!pattern) throw new Error('the pattern hangs in the room');
  const head = async (file: string) => {
    const paper = await patternPaper(pattern, file, { sheet: 'A4', first: 'mm', numbers: 'point' });
    return paper && String.fromCharCode(...Array.from(Buffer.from(paper.content).subarray(0, 5)));
  };
  expect(await head('strips.pdf')).toBe('%PDF-');
  expect(await head('card.pdf')).toBe('%PDF-');
  expect(await head('card.svg')).toBe('<?xml');
  expect(await head('price.pdf')).toBeUndefined();
});

it('the piece of a pattern goes out as it is seen from each side, and in the round; its card is read by pdftoppm', async () => {
  const { session, composition } = await studioWithFrame();
  const { number } = done(await composePattern(session, newKey(), null, form(composition)));
  const pattern = await showPattern(session, number);
  if (!pattern) throw new Error('the pattern hangs in the room');
  for (const view of ['front', 'back', 'side']) {
    const file = await pieceFile(pattern, `${view}.svg`);
    expect(file?.type).toBe('image/svg+xml; charset=utf-8');
    expect(String(file?.content).slice(0, 5)).toBe('<?xml');
  }
  const gltf = JSON.parse(String((await pieceFile(pattern, 'piece.gltf'))?.content)) as {
    nodes: readonly { name: string }[];
  };
  // Three frame wires, their binding, the stone.
  expect(gltf.nodes.map(({ name }) => name)).toEqual([
    'frame wire 1',
    'frame wire 2',
    'frame wire 3',
    'binding wire',
    'stone',
  ]);
  expect(await pieceFile(pattern, 'below.svg')).toBeUndefined();
  expect(
    await pieceFile({ ...pattern, body: withoutComposition(pattern.body) }, 'front.svg'),
  ).toBeUndefined();
  // In dots it has the shape that it has in millimetres.
  const inDots = await sharp(Buffer.from((await pieceFile(pattern, 'front.png'))?.content ?? '')).metadata();
  const inMm = String((await pieceFile(pattern, 'front.svg'))?.content);
  const [, wide = 0, high = 1] = (/width="([\d.]+)mm" height="([\d.]+)mm"/.exec(inMm) ?? []).map(Number);
  expect(Math.max(inDots.width, inDots.height)).toBe(1600);
  expect(inDots.width / inDots.height).toBeCloseTo(wide / high, 2);
  await expectReadable(pattern);
});

it('the card of a ring, with its pictures after each step, is read by pdftoppm', async () => {
  const { session } = await studioWithFrame();
  const specs = Object.fromEntries((await listSpecs(session)).map((spec) => [spec.id, spec]));
  const ring = withTechnique(EMPTY_COMPOSITION, named('bead-ring'), techniqueOf, specs);
  const { number } = done(
    await composePattern(session, newKey(), null, { ...form(ring), kind: 'ring', parts: [] }),
  );
  const pattern = await showPattern(session, number);
  if (!pattern) throw new Error('the pattern hangs in the room');
  await expectReadable(pattern);
});

/** The first page of a pattern's card as a picture of its own. */
async function expectReadable(pattern: PatternView): Promise<void> {
  const card = await patternPaper(pattern, 'card.pdf', { sheet: 'A4', first: 'mm', numbers: 'point' });
  const { status, stderr, stdout } = spawnSync('pdftoppm', ['-r', '30', '-png', '-f', '1', '-l', '1', '-'], {
    input: Buffer.from(card?.content ?? ''),
  });
  expect([status, String(stderr)]).toEqual([0, '']);
  expect(stdout.subarray(1, 4).toString()).toBe('PNG');
}

function withoutComposition({ composition: _, ...body }: PatternBody): PatternBody {
  return body;
}
