import { SHEETS, type Page } from '@/core/paper/sheet';
import { tag } from '@/core/tag';
import { composedFrame } from '../../../tests/support/batches';
import { closeBooks, done, newKey, openStudio, receive } from '../../../tests/support/studio';
import { ruleFigure } from '../logbook/rulings';
import { composePattern } from '../patterns/composePattern';
import { showPattern } from '../patterns/patterns';
import { listSpecs } from '../catalogue/wireSpecs';
import { makeProposal, proposedMetals, type ProposalTexts } from './proposal';

afterAll(closeBooks);

const RULES = { sheet: 'A4', first: 'mm', numbers: 'point' } as const;

async function proposedFrame() {
  const session = await openStudio();
  const number = await composedFrame(session);
  await receive(session, { metal: 'brass', gaugeNumber: '20' });
  await receive(session, { metal: 'brass', gaugeNumber: '28', temper: 'dead soft' });
  const pattern = await showPattern(session, number);
  if (!pattern) throw new Error('it hangs in the room');
  const metals = await proposedMetals(session, pattern);
  const make = (texts: ProposalTexts) => makeProposal(session, pattern, metals, texts, RULES);
  return { session, pattern, metals, make };
}

const textsOn = (page: Page | undefined): readonly string[] =>
  (page?.shapes ?? []).flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));

describe('a proposal to a customer', () => {
  it('offers the piece in the metals of the studio, at what keeps its margin', async () => {
    const { metals } = await proposedFrame();
    expect(metals.map(({ field, name }) => [field, name])).toEqual([
      ['price.copper', 'copper'],
      ['price.brass', expect.stringMatching(/brass/i)],
    ]);
    for (const { usual } of metals) expect(Number(usual)).toBeGreaterThan(0);
  });

  it('says whom it is for, how large and heavy the piece is, what it comes to and until when: nothing of how it is made', async () => {
    const { pattern, make } = await proposedFrame();
    const { page, wrong } = await make({
      whom: 'the Alder sisters',
      'price.copper': '84',
      'price.brass': '',
      until: '2026-12-24',
      words: 'The chain is yours to choose.',
    });
    expect(wrong).toEqual({});
    const said = textsOn(page);
    expect(page?.width).toBe(SHEETS.A4.width);
    expect(said).toEqual(
      expect.arrayContaining([
        'A pendant for the Alder sisters',
        expect.stringMatching(/^In copper, about [\d.]+ g$/),
        '$84.00',
        expect.stringMatching(/^Valid until .*24.*2026\.$/),
        'The chain is yours to choose.',
        expect.stringMatching(/^[\d.]+ mm, [\d /]+ in wide; [\d.]+ mm, [\d /]+ in high/),
      ]),
    );
    expect(said.join(' ')).not.toMatch(/brass/i);
    // Its recipe stays in the house: the lengths of its cuts, its steps, what its wires are called, its tag.
    const { cuts, steps } = pattern.body;
    const secrets = [
      ...cuts.map(({ name }) => name),
      ...steps.map(({ name }) => name),
      tag('pattern', pattern.number),
    ];
    expect(secrets.length).toBeGreaterThan(4);
    for (const secret of secrets) expect(said.join('\n')).not.toContain(secret);
  });

  it('is priced by the minutes that the piece really takes', async () => {
    const { session, pattern, metals } = await proposedFrame();
    const usual = (all: typeof metals) => Number(all[0]?.usual);
    const time = { pattern: pattern.number, figure: 'time' } as const;
    done(await ruleFigure(session, newKey(), time, { act: 'say', value: '600' }));
    const slow = usual(await proposedMetals(session, pattern));
    // Ten hours cost more than the material and the minutes that are planned.
    expect(slow).toBeGreaterThan(2 * usual(metals));
    done(await ruleFigure(session, newKey(), time, { act: 'follow', value: '' }));
    expect(usual(await proposedMetals(session, pattern))).toBe(usual(metals));
  });

  it('weighs it in each metal by itself', async () => {
    const { session, pattern } = await proposedFrame();
    await receive(session, { metal: 'aluminium', gaugeNumber: '20' });
    await receive(session, { metal: 'aluminium', gaugeNumber: '28', temper: 'dead soft' });
    const metals = await proposedMetals(session, pattern);
    const prices = Object.fromEntries(metals.map(({ field }) => [field, '84']));
    const said = textsOn((await makeProposal(session, pattern, metals, prices, RULES)).page).join('\n');
    const [copper, aluminium] = ['copper', 'aluminium'].map((metal) =>
      Number(new RegExp(`^In ${metal}, about ([\\d.]+) g$`, 'm').exec(said)?.[1]),
    );
    // Aluminium weighs 2.70 and copper 8.89 g/cm³; the stone is as heavy in both.
    expect(aluminium).toBeLessThan(copper ?? NaN);
  });

  it('names all metals of a pair of several, and says that its size and weight are of each', async () => {
    const { session, pattern } = await proposedFrame();
    const { composition } = pattern.body;
    const thin = (await listSpecs(session)).find(
      ({ metal, temper }) => metal === 'brass' && temper === 'dead soft',
    );
    if (!composition || !thin) throw new Error('it is composed, and there is brass to bind it with');
    const uses = composition.uses.map((use) => ({ ...use, wires: { ...use.wires, binding: thin.id } }));
    const number = done(
      await composePattern(session, newKey(), null, {
        name: 'Weir pair',
        kind: 'earrings',
        notes: '',
        composition: { ...composition, uses, copies: 2 },
        parts: [],
      }),
    ).number;
    const pair = await showPattern(session, number);
    if (!pair) throw new Error('it hangs in the room');
    const metals = await proposedMetals(session, pair);
    expect(metals.map(({ name }) => name)[0]).toBe(`copper and ${metals.at(-1)?.name}`);
    const said = textsOn((await makeProposal(session, pair, metals, { 'price.copper': '84' }, RULES)).page);
    expect(said).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/^In copper and .*brass, about [\d.]+ g each$/i),
        expect.stringMatching(/^each [\d.]+ mm/),
      ]),
    );
  });

  it.each([
    [{ 'price.copper': '-3' }, 'price.copper', /negative/],
    [{ 'price.copper': 'much' }, 'price.copper', /“much” is not an amount/],
    [{}, 'prices', /at least/],
    [{ 'price.copper': '84', until: '2026-02-30' }, 'until', /“2026-02-30” is not a day/],
    [{ 'price.copper': '84', words: 'w'.repeat(501) }, 'words', /501 characters long; 500/],
    [{ 'price.copper': '84', whom: 'w'.repeat(61) }, 'whom', /61 characters long; 60/],
  ])('of %j says what is wrong beside its field', async (texts, field, said) => {
    const { make } = await proposedFrame();
    const { page, wrong } = await make(texts as ProposalTexts);
    expect(page).toBeUndefined();
    expect(Object.keys(wrong)).toEqual([field]);
    expect(wrong[field]).toMatch(said);
  });

  it('is the owner’s: it has prices', async () => {
    const { session, pattern } = await proposedFrame();
    await expect(proposedMetals({ ...session, role: 'helper' }, pattern)).rejects.toThrow();
  });
});
