import { openApi } from './openApi';

/** Every value of a description with its path in it, however deep. */
function* valuesIn(of: unknown, path = '#'): Generator<readonly [path: string, value: unknown]> {
  yield [path, of];
  if (typeof of === 'object' && of !== null)
    for (const [name, each] of Object.entries(of)) yield* valuesIn(each, `${path}/${name}`);
}

const all = new Map(valuesIn(openApi()));
const SCHEMAS = '#/components/schemas';

describe('the description of what programs may ask', () => {
  it('refers to nothing that it does not say', () => {
    const references = [...all].flatMap(([path, value]) =>
      path.endsWith('/$ref') ? [[path, String(value)] as const] : [],
    );
    expect(references.length).toBeGreaterThan(5);
    expect(references.filter(([, to]) => !all.has(to))).toEqual([]);
  });

  it('says of every field of an input what it takes', () => {
    const fields = [...all].filter(([path]) => /^#\/components\/schemas\/\w+\/properties\/\w+$/.test(path));
    expect(fields.length).toBeGreaterThan(20);
    expect(fields.filter(([, schema]) => Object.keys(schema ?? {}).length === 0)).toEqual([]);
    expect(all.get(`${SCHEMAS}/RingSizeInput/properties/size`)).toEqual({
      oneOf: [{ type: 'number' }, { type: 'string' }],
    });
    expect(all.get(`${SCHEMAS}/OutlineInput/properties/pointsMm/minItems`)).toBe(3);
  });
});
