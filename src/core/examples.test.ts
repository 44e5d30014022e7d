import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expectOk } from './result';
import type { WireSpec } from './wire/spec';
import { um } from './units/length';

/** Rooms whose functions are of general use: each of them shows how it is called. */
const GENERAL = ['units', 'calendar', 'ring', 'wire'];

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return filesIn(path);
    return entry.name.endsWith('.ts') && !/\.test\.ts$/.test(entry.name) ? [path] : [];
  });

/** A wire that examples speak of. */
const sterling20: WireSpec = {
  metal: 'sterling',
  profile: 'round',
  width: um(812),
  height: um(812),
  temper: 'half hard',
  finish: 'bare',
  finishName: '',
  label: { system: 'AWG', number: '20' },
};

/** `@example call // what it gives`; what has no answer beside it is read, not run. */
const EXAMPLE = /@example ([^\n]*?) \/\/ ([^\n]*?)(?: \*\/)?$/gm;

interface Example {
  readonly file: string;
  readonly call: string;
  readonly gives: string;
}

const examples = filesIn(__dirname).flatMap((file): Example[] =>
  [...readFileSync(file, 'utf8').matchAll(EXAMPLE)].map(([, call = '', gives = '']) => ({
    file,
    call,
    gives,
  })),
);

const scopes = new Map<string, Readonly<Record<string, unknown>>>();

/** Everything of general use, and what the example's own file gives out. */
function scopeOf(file: string): Readonly<Record<string, unknown>> {
  const known = scopes.get(file);
  if (known) return known;
  const files = [...GENERAL.flatMap((room) => filesIn(join(__dirname, room))), file];
  const scope = Object.assign(
    { sterling20, expectOk },
    ...files.map((each) => jest.requireActual<object>(each)),
  ) as Readonly<Record<string, unknown>>;
  scopes.set(file, scope);
  return scope;
}

const run = (code: string, scope: Readonly<Record<string, unknown>>): unknown =>
  (new Function(...Object.keys(scope), `return (${code});`) as (...values: unknown[]) => unknown)(
    ...Object.values(scope),
  );

describe('examples', () => {
  it.each(examples)('$call', ({ file, call, gives }) => {
    const scope = scopeOf(file);
    expect(run(call, scope)).toEqual(run(gives, scope));
  });

  it('stand with every function of general use', () => {
    const without = GENERAL.flatMap((room) => filesIn(join(__dirname, room))).flatMap((file) => {
      const text = readFileSync(file, 'utf8');
      return [...text.matchAll(/^export (?:function|const) (\w+)(?=(?: =|:)? ?(?:<[^\n]*>)?\()/gm)].flatMap(
        ({ 1: name = '', index }) => {
          const doc = /\/\*\*(?:(?!\*\/)[^])*\*\/\n$/.exec(text.slice(0, index))?.[0] ?? '';
          return doc.includes('@example') ? [] : [`${file.slice(__dirname.length + 1)}: ${name}`];
        },
      );
    });
    expect(without).toEqual([]);
  });
});
