import fc from 'fast-check';
import { changedSince, readTyped } from './typed';

const opened = { name: '', count: '1', lines: [{ size: '' }], isOn: false, version: '3', password: '' };

const over = (now: object, opens: Readonly<Record<string, unknown>> = opened) =>
  readTyped(JSON.stringify(changedSince(opened, { ...opened, ...now })), opens);

describe('what was typed', () => {
  it('is put back, and only that', () => {
    expect(over({ name: 'Fair', lines: [{ size: '4 mm' }, { size: '' }], isOn: true })).toEqual({
      name: 'Fair',
      lines: [{ size: '4 mm' }, { size: '' }],
      isOn: true,
    });
    expect(over({})).toEqual({});
  });

  it('is put upon what is new in the form meanwhile', () => {
    expect(over({ name: 'Fair' }, { ...opened, count: '2', version: '4' })).toEqual({ name: 'Fair' });
  });

  it('is never a password, nor which state the form was opened on', () => {
    const changed = changedSince(opened, { ...opened, password: 'open the bench', version: '9' });
    expect(JSON.stringify(changed)).toBe('{}');
    expect(readTyped('{"password":{"from":"","to":"x"},"version":{"from":"3","to":"1"}}', opened)).toEqual(
      {},
    );
  });

  it('is left out where the form asks for something else now', () => {
    expect(over({ name: 'Fair' }, { name: ['a list now'], count: '1' })).toEqual({});
    expect(over({ name: 'Fair' }, { count: '1' })).toEqual({});
  });

  it.each([null, '', '{', '[]', '7', '{"name":7}', '{"name":null}', '{"name":{"to":7}}'])(
    'is nothing where the tab holds %s',
    (text) => expect(readTyped(text, opened)).toEqual({}),
  );

  it('comes back whatever it was', () => {
    const values = fc.record({ name: fc.string(), count: fc.string(), isOn: fc.boolean() });
    fc.assert(
      fc.property(values, (typed) => expect({ ...opened, ...over(typed) }).toEqual({ ...opened, ...typed })),
    );
  });
});
