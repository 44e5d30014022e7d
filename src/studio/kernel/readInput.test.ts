import { Type } from 'class-transformer';
import { ValidateNested } from 'class-validator';
import { Refused } from './outcome';
import { readInput } from './readInput';
import {
  numberOf,
  ReadsLength,
  ReadsMass,
  ReadsMoney,
  ReadsName,
  ReadsNumber,
  ReadsOneOf,
  ReadsPastDay,
  ReadsPercent,
  ReadsText,
  ReadsWhole,
} from './rules';

class Inner {
  @ReadsLength() length!: string;
}

class Everything {
  @ReadsLength({ zero: true }) length!: string;
  @ReadsMass() mass!: string;
  @ReadsMoney() price!: string;
  @ReadsPercent(50) percent!: string;
  @ReadsWhole(1, 9) count!: string;
  @ReadsNumber(0, 100) minutes!: string;
  @ReadsName('it a name', 20) name!: string;
  @ReadsText(10) note!: string;
  @ReadsOneOf(['red', 'green'], 'a colour') colour!: string;
  @ReadsPastDay() day!: string;
  @ReadsMoney({ zero: true, each: true }) endings!: string[];
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

it('takes what is right, as typed', async () => {
  expect(await readInput(Everything, GOOD)).toMatchObject(GOOD);
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
  ['endings', 'nine', /as text|Enter an amount/],
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

it('reads the numbers it has passed', () => {
  expect(numberOf('7,5')).toBe(7.5);
  expect(numberOf(' 12 ')).toBe(12);
});
