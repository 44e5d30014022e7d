import {
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
  receive,
  simplePattern,
} from '../../../tests/support/studio';
import { listSpecs } from '../catalogue/wireSpecs';
import { listPatterns, showPattern } from './patterns';
import { writePattern } from './writePattern';

afterAll(closeBooks);

describe('patterns', () => {
  it('keep every revision, and tell who was overtaken', async () => {
    const session = await openStudio();
    await receive(session);
    const base = await simplePattern(session);
    const pattern = await showPattern(session, base.number);
    const [spec] = await listSpecs(session);
    const body = (net: string) => ({
      name: pattern?.name ?? '',
      kind: 'ring',
      notes: '',
      cuts: [{ name: 'wire', specId: spec?.id ?? '', count: '1', net, allowances: [] }],
      parts: [],
      steps: [],
    });
    expect(done(await writePattern(session, newKey(), base, body('90 mm')))).toEqual({
      number: base.number,
      revision: 2,
    });
    expect(problemOf(await writePattern(session, newKey(), base, body('95 mm')))).toMatchObject({
      kind: 'stale',
      message: /changed to revision 2 while you had revision 1/,
    });
    expect(await showPattern(session, base.number)).toMatchObject({
      revision: 2,
      kind: 'ring',
      body: { cuts: [{ net: 90_000 }] },
    });
    expect(problemOf(await writePattern(session, newKey(), null, body('95 mm'))).fields?.['name']).toMatch(
      /already a pattern called/,
    );
  });

  it('may hold markup as a name, and say what is wrong deep inside', async () => {
    const session = await openStudio();
    await receive(session);
    const [spec] = await listSpecs(session);
    const cut = {
      name: '<script>alert(1)</script>',
      specId: spec?.id ?? '',
      count: '1',
      net: '1 in',
      allowances: [],
    };
    const body = { name: '<b>bold</b>', kind: 'ring', notes: '', cuts: [cut], parts: [], steps: [] };
    const { number } = done(await writePattern(session, newKey(), null, body));
    expect((await showPattern(session, number))?.name).toBe('<b>bold</b>');
    const wrong = {
      ...body,
      name: 'x'.repeat(5000),
      cuts: [{ ...cut, allowances: [{ name: 'tail', length: 'ten' }] }],
    };
    const problem = problemOf(await writePattern(session, newKey(), null, wrong));
    expect(Object.keys(problem.fields ?? {})).toEqual(['name', 'cuts.0.allowances.0.length']);
    expect(problemOf(await writePattern(session, newKey(), null, { ...body, cuts: [] })).message).toMatch(
      /at least one wire/,
    );
    expect(
      problemOf(
        await writePattern(session, newKey(), null, {
          ...body,
          name: 'other',
          cuts: [{ ...cut, specId: newKey() }],
        }),
      ).fields,
    ).toHaveProperty(['cuts.0.specId']);
    expect((await listPatterns(session)).total).toBe(1);
  });
});
