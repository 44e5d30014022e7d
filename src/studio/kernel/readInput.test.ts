import type { Day } from '@/core/calendar/day';
import { Type } from 'class-transformer';
import { IsObject, IsOptional, ValidateNested } from 'class-validator';
import { Refused } from './outcome';
import { ok, refuse } from '@/core/result';
import type { Micrograms } from '@/core/units/mass';
import type { Micrometres } from '@/core/units/length';
import { readInput, readSoFar } from './readInput';
import type { Amount, Typed } from './typed';
import {
  onlyIf,
  ReadsAmounts,
  ReadsBy,
  ReadsLength,
  ReadsMassOrNone,
  ReadsMass,
  ReadsMoney,
  ReadsName,
  ReadsNumber,
  ReadsOneOf,
  ReadsPastDay,
  ReadsPercent,
  ReadsSecret,
  ReadsTagOrNone,
  ReadsText,
  ReadsWhole,
} from './rules';

class Inner {
  @ReadsLength() length!: Typed<Micrometres>;
}

class Everything {
  @ReadsLength({ zero: true }) length!: Typed<Micrometres>;
  @ReadsMass() mass!: Typed<Micrograms>;
  @ReadsMoney() price!: Typed<Amount>;
  @ReadsPercent(50) percent!: Typed<number>;
  @ReadsWhole(1, 9) count!: Typed<number>;
  @ReadsNumber(0, 100) minutes!: Typed<number>;
  @ReadsName('it a name', 20) name!: string;
  @ReadsText(10) note!: string;
  @ReadsOneOf(['red', 'green'], 'a colour') colour!: Typed<'red' | 'green'>;
  @ReadsPastDay() day!: Typed<Day>;
  @ReadsAmounts({ zero: true }) endings!: Typed<Amount>[];
  @ReadsMassOrNone() empty!: Typed<Micrograms | null>;
  @ReadsTagOrNone('wire') from!: Typed<number | null>;
  /** Asked only of what is red. */
  @ReadsBy('readsShade', (text, { colour }: Everything) =>
    onlyIf(colour === 'red', () => (text === '' ? refuse('Say how red.') : ok(text.length))),
  )
  shade!: Typed<number | null>;
  @ValidateNested({ each: true })
  @Type(() => Inner)
  inner!: Inner[];
}

const GOOD = {
  length: '0 mm',
  mass: '1 oz t',
  price: '12.50 USD',
  percent: '12.5',
  count: '3',
  minutes: '7.5',
  name: 'Wren',
  note: '',
  colour: 'red',
  day: '2026-05-04',
  endings: ['0.00 USD'],
  empty: ' ',
  from: 'w42',
  shade: 'deep',
  inner: [{ length: '4 in' }],
};

async function fieldsOf(changed: object): Promise<Readonly<Record<string, string>>> {
  try {
    await readInput(Everything, { ...GOOD, ...changed });
  } catch (fault) {
    if (fault instanceof Refused) return fault.problem.fields ?? {};
    throw fault;
  }
  throw new Error('was taken');
}

it('yields what was typed as values', async () => {
  expect(await readInput(Everything, { ...GOOD, name: ' Wren ' })).toEqual({
    length: 0,
    // NIST Handbook 44, appendix C: a troy ounce is 31.103 476 8 g.
    mass: 31_103_477,
    price: { money: 1250, code: 'USD' },
    percent: 1250,
    count: 3,
    minutes: 7.5,
    name: 'Wren',
    note: '',
    colour: 'red',
    day: '2026-05-04',
    endings: [{ money: 0, code: 'USD' }],
    empty: null,
    from: 42,
    shade: 4,
    // 4 inches of 25.4 mm, in micrometres.
    inner: [{ length: 101_600 }],
  });
});

it('reads what depends on another field by that field', async () => {
  expect(await readInput(Everything, { ...GOOD, colour: 'green', shade: '' })).toMatchObject({ shade: null });
  expect(await fieldsOf({ shade: '' })).toEqual({ shade: 'Say how red.' });
});

it('reads every text once', async () => {
  let readings = 0;
  class Counted {
    @ReadsBy('readsCounted', (text) => {
      readings += 1;
      return ok(text.length);
    })
    text!: Typed<number>;
  }
  expect(await readInput(Counted, { text: 'four' })).toEqual({ text: 4 });
  expect(readings).toBe(1);
});

it('what may be left out is left out when it is sent as nothing', async () => {
  class Optional {
    @IsOptional() @ReadsWhole(1, 9) count?: Typed<number>;
  }
  for (const plain of [{}, { count: null }, { count: undefined }])
    expect(await readInput(Optional, plain)).toEqual({});
  await expect(readInput(Everything, { ...GOOD, name: null })).rejects.toThrow(/as text/);
});

it('what is no input class is handed on as it was sent', async () => {
  class Loose {
    @IsObject() measures!: object;
  }
  const measures = { size: null, inner: [{ from: null }, 3] };
  expect(await readInput(Loose, { measures })).toEqual({ measures });
});

it('takes nothing from a secret', async () => {
  class Secret {
    @ReadsSecret('a password', 20) password!: string;
  }
  expect(await readInput(Secret, { password: ' a b ' })).toEqual({ password: ' a b ' });
  await expect(readInput(Secret, { password: '' })).rejects.toThrow('Give a password.');
});

describe('while somebody is typing', () => {
  it('yields the fields that can be read', () => {
    expect(
      readSoFar(Everything, { length: '26 cm', mass: '1', price: '', inner: [{ length: 'ten' }] }),
    ).toEqual({
      length: 260_000,
    });
  });

  it('is what is read of the whole form when all of it is right', async () => {
    expect(readSoFar(Everything, GOOD)).toEqual(await readInput(Everything, GOOD));
  });
});

it.each<[keyof typeof GOOD, unknown, RegExp]>([
  ['length', '4', /no unit/],
  ['length', 4, /as text/],
  ['mass', '0 g', /more than 0/],
  ['price', '12.50', /Enter an amount/],
  ['price', '12.50 XXX', /Enter an amount/],
  ['percent', '51', /from 0 to 50/],
  ['count', '0', /whole number from 1 to 9/],
  ['count', '2.5', /whole number/],
  ['count', '1e1', /whole number/],
  ['minutes', '101', /number from 0 to 100/],
  ['minutes', '', /number from 0 to 100/],
  ['name', '  ', /Give it a name/],
  ['name', 'a\nb', /one line/],
  ['name', 'x'.repeat(21), /21 characters long; 20 are allowed/],
  ['note', 'x'.repeat(11), /11 characters long; 10 are allowed/],
  ['colour', 'blue', /Choose a colour: red, green/],
  ['day', '1999-12-31', /before 2000/],
  ['day', '4 May', /not a day/],
  ['endings', ['0.00 USD', 'nine'], /Enter an amount/],
  ['endings', 'nine', /as text/],
  ['empty', '3', /unit/],
  ['from', 'S-0042', /“S-0042” is not a tag of wire; write it like W-0042/],
])('says beside %s that %p is wrong', async (field, value, message) => {
  const fields = await fieldsOf({ [field]: value });
  expect(Object.keys(fields)).toEqual([field]);
  expect(fields[field]).toMatch(message);
});

it('finds what is wrong deep inside, by path', async () => {
  expect(Object.keys(await fieldsOf({ inner: [{ length: '4 in' }, { length: 'ten' }] }))).toEqual([
    'inner.1.length',
  ]);
});

it('refuses what nobody asked for, at any depth', async () => {
  expect(await fieldsOf({ extra: 1 })).toEqual({ extra: 'There is no field “extra” here.' });
  expect(await fieldsOf({ inner: [{ length: '4 in', extra: 1 }] })).toEqual({
    'inner.0.extra': 'There is no field “extra” here.',
  });
});

it.each([[[]], [undefined]])('refuses %p where an entry belongs', async (nothing) => {
  expect(await fieldsOf({ inner: [{ length: '4 in' }, nothing] })).toEqual({
    'inner.1': 'One entry belongs here, and not a list or nothing.',
  });
});

it.each([null, undefined, 'text', 5, []])('refuses %p, which is no form', async (plain) => {
  await expect(readInput(Everything, plain)).rejects.toThrow(/Nothing readable/);
});

it.each([
  ['7,5', 7.5],
  [' 12 ', 12],
])('reads %j as a number', async (minutes, value) => {
  expect(await readInput(Everything, { ...GOOD, minutes })).toMatchObject({ minutes: value });
});
