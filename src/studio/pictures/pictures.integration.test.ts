import { tag } from '@/core/tag';
import { materialIn } from '@/core/stone/material';
import { METAL_COLOURS } from '@/core/wire/metalColour';
import { batch, composedFrame, line } from '../../../tests/support/batches';
import { closeBooks, done, makeOne, newKey, openStudio, receive } from '../../../tests/support/studio';
import { planBatch } from '../batches/planBatch';
import { labelsOf } from '../labels/labels';
import { composePattern } from '../patterns/composePattern';
import { showPattern } from '../patterns/patterns';
import { writePattern } from '../patterns/writePattern';
import { showPiece } from '../shelf/shelf';
import { pictureOfStep, pictureOfTag, workedSteps } from './pictures';

afterAll(closeBooks);

const fillsOf = (svg = '') => [...svg.matchAll(/ fill="(#\w+)"/g)].map(([, colour]) => colour);
const strokesOf = (svg = '') => new Set([...svg.matchAll(/ stroke="(#\w+)"/g)].map(([, colour]) => colour));

describe('small pictures', () => {
  it('a pattern is drawn in its metal and its stone in the stone’s colour, anew when it is composed anew', async () => {
    const session = await openStudio();
    const number = await composedFrame(session);
    const tagged = tag('pattern', number);
    const first = await pictureOfTag(session, tagged);
    expect(strokesOf(first?.svg)).toContain(METAL_COLOURS.copper.fill);
    expect(await pictureOfTag(session, tagged)).toBe(first);
    const before = await showPattern(session, number);
    done(
      await composePattern(
        session,
        newKey(),
        { number, revision: 1 },
        {
          name: 'Weir drop',
          kind: 'pendant',
          notes: '',
          composition: before?.body.composition,
          parts: [{ name: 'garnet cab', count: '1', unitCost: '4.00 USD' }],
        },
      ),
    );
    const second = await pictureOfTag(session, tagged);
    expect(fillsOf(second?.svg)).toContain(materialIn('garnet')?.colour);
    expect(second?.mark).not.toBe(first?.mark);
    // Nobody else sees it.
    expect(await pictureOfTag(await openStudio(), tagged)).toBeNull();
  });

  it('a pattern is drawn after each step of the work on it, from every side', async () => {
    const session = await openStudio();
    const number = await composedFrame(session);
    const tagged = tag('pattern', number);
    const pattern = await showPattern(session, number);
    const steps = pattern ? workedSteps(pattern.body, pattern.specs) : [];
    const first = steps.findIndex(({ seen }) => seen) + 1;
    const last = steps.length;
    expect(first).toBeGreaterThan(0);
    const of = async (step: number, view: 'front' | 'back' | 'side' = 'front') =>
      (await pictureOfStep(session, tagged, step, view))?.svg;
    const [begun, done, behind] = [await of(first), await of(last), await of(last, 'back')];
    expect(strokesOf(begun)).toContain(METAL_COLOURS.copper.fill);
    // More of it is there when more of it is done, and its back is not its front.
    expect((done ?? '').length).toBeGreaterThan((begun ?? '').length);
    expect(behind).not.toBe(done);
    // Before anything is bent there is nothing to be seen, and there is no step beyond the last one.
    for (const none of [0, first - 1, last + 1]) expect([none, await of(none)]).toEqual([none, undefined]);
    expect(await pictureOfStep(await openStudio(), tagged, last, 'front')).toBeNull();
  });

  it('a line of a batch is drawn in the metal that it is made of', async () => {
    const session = await openStudio();
    const number = await composedFrame(session);
    await receive(session, { metal: 'brass', gaugeNumber: '20' });
    await receive(session, { metal: 'brass', gaugeNumber: '28', temper: 'dead soft' });
    const planned = done(
      await planBatch(session, newKey(), null, batch([line(number), line(number, 2, { metal: 'brass' })])),
    );
    const of = async (which: number) =>
      strokesOf((await pictureOfTag(session, tag('batch', planned.number), which))?.svg);
    expect(await of(1)).toContain(METAL_COLOURS.copper.fill);
    expect(await of(2)).toContain(METAL_COLOURS.brass.fill);
    expect(await of(2)).not.toContain(METAL_COLOURS.copper.fill);
    expect(await pictureOfTag(session, tag('batch', planned.number), 3)).toBeNull();
  });

  it('a finished piece stays as it was made, on the shelf and on its label, when its pattern is written anew', async () => {
    const session = await openStudio();
    const number = await makeOne(session);
    const before = await pictureOfTag(session, tag('piece', number));
    const piece = await showPiece(session, number);
    const pattern = await showPattern(session, piece?.patternNumber ?? 0);
    if (!pattern) throw new Error('its pattern hangs in the room');
    // The net length of its wire is twice what it was.
    const { name, kind, body, revision } = pattern;
    done(
      await writePattern(
        session,
        newKey(),
        { number: pattern.number, revision },
        {
          name,
          kind,
          notes: '',
          cuts: body.cuts.map((cut) => ({ ...cut, count: '1', net: '160 mm', allowances: [] })),
          parts: [],
          steps: [{ name: 'form', minutes: '20', perSitting: false }],
        },
      ),
    );
    const after = await pictureOfTag(session, tag('piece', number));
    expect(before?.svg).toBeDefined();
    expect(after?.mark).toBe(before?.mark);
    expect((await pictureOfTag(session, tag('pattern', pattern.number)))?.mark).not.toBe(before?.mark);
    // 100 mm of wire, laid out, and a millimetre round it.
    expect(before?.drawing.box.width).toBeCloseTo(102 + 0.812, 1);
    expect((await labelsOf(session, [tag('piece', number)]))[0]?.drawing).toEqual(before?.drawing);
  });

  it('one that was made by a hand-written pattern looks as that is composed since', async () => {
    const session = await openStudio();
    const number = await makeOne(session);
    const composed = await showPattern(session, await composedFrame(session));
    const piece = await showPiece(session, number);
    const base = { number: piece?.patternNumber ?? 0, revision: 1 };
    const { name = '', kind = 'pendant', body } = composed ?? {};
    done(
      await composePattern(session, newKey(), base, {
        name: `${name} anew`,
        kind,
        notes: '',
        composition: body?.composition,
        parts: [],
      }),
    );
    const pattern = await pictureOfTag(session, tag('pattern', base.number));
    expect((await pictureOfTag(session, tag('piece', number)))?.mark).toBe(pattern?.mark);
  });

  it('stock and what nobody knows have none', async () => {
    const session = await openStudio();
    await receive(session);
    for (const tagged of ['W-0001', 'P-0999', 'F-0001', 'R-0001', 'nonsense'])
      expect([tagged, await pictureOfTag(session, tagged)]).toEqual([tagged, null]);
  });
});
