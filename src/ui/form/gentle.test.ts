import type { FieldErrors, Resolver, ResolverOptions } from 'react-hook-form';
import { gentle } from './gentle';

interface Values extends Record<string, unknown> {
  lines: { size: string; count: string }[];
  name: string;
}

const values: Values = {
  name: '',
  lines: [
    { size: '', count: '' },
    { size: '', count: '' },
  ],
};
const wrong = { type: 'reads', message: 'Enter it.' };
const all = {
  name: wrong,
  lines: [
    { size: wrong, count: wrong },
    { size: wrong, count: wrong },
  ],
};
const strict: Resolver<Values> = () => ({ values: {}, errors: all as unknown as FieldErrors<Values> });

/** What is marked when something of the form is read. */
async function marked(names: string[] | undefined, touched: readonly string[], resolver = strict) {
  const options = { fields: {}, shouldUseNativeValidation: false, ...(names ? { names } : {}) };
  const form = gentle(resolver);
  form.follow((path) => touched.includes(path));
  const result = await form.resolver(values, undefined, options as unknown as ResolverOptions<Values>);
  return result.errors;
}

describe('a form', () => {
  it('marks nothing of a row that was just added', async () => {
    expect(await marked(['lines'], [])).toEqual({});
  });

  it('keeps what is wrong in fields that somebody has been in', async () => {
    const [first, second] = ((await marked(['lines'], ['lines.1.count'])).lines ?? []) as unknown as object[];
    expect([first, second]).toEqual([undefined, { count: wrong }]);
  });

  it('marks all of it when it is sent, and a field when somebody leaves it', async () => {
    expect(await marked(undefined, [])).toEqual(all);
    expect(await marked(['lines.0.size'], [])).toEqual(all);
    expect(await marked(['lines', 'name'], [])).toEqual(all);
  });

  it('tells that a list is empty', async () => {
    const empty: Resolver<Values> = () => ({
      values: {},
      errors: { lines: { type: 'arrayMinSize', message: 'One at least.' } } as unknown as FieldErrors<Values>,
    });
    expect(await marked(['lines'], [], empty)).toEqual({
      lines: { type: 'arrayMinSize', message: 'One at least.' },
    });
  });
});
