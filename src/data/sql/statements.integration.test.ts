import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { describeStatement } from '../../../tests/support/describeStatement';
import { pageStatement, sumsStatement, type List } from './list';
import { type Columns } from '../columns';
import { type Statement } from './statement';

const client = new pg.Client(process.env['PEWTERER_OWNER_URL']);
beforeAll(() => client.connect());
afterAll(() => client.end());

const isStatement = (each: unknown): each is Statement =>
  typeof each === 'object' && each !== null && 'text' in each && 'takes' in each && 'gives' in each;
const isList = (each: unknown): each is List =>
  typeof each === 'object' && each !== null && 'orders' in each && 'filters' in each;

/** Statements in what a file gives out: by themselves, in a row, or by name. */
const statementsIn = (each: unknown): Statement[] => {
  if (isStatement(each)) return [each];
  if (isList(each) || typeof each !== 'object' || each === null) return [];
  return Object.values(each).flatMap(statementsIn);
};

/** Every way that a list can be asked: sorted in each way, at its beginning and further on, with nothing asked and with everything. */
const waysOf = (list: List): Statement[] =>
  [[], Object.keys(list.filters)].flatMap((asked) => [
    sumsStatement(list, asked),
    ...Object.values(list.orders).flatMap((order) => [
      pageStatement(list, asked, order, false),
      pageStatement(list, asked, order, true),
    ]),
  ]);

const typesOf = (columns: Columns): Record<string, string> =>
  Object.fromEntries(Object.entries(columns).map(([name, { type }]) => [name, type]));

const NOT_TESTED = /\.test\.ts$|^(statement|list|fragments)\.ts$/;

describe.each(readdirSync(__dirname).filter((file) => file.endsWith('.ts') && !NOT_TESTED.test(file)))(
  '%s',
  (file) => {
    const given = jest.requireActual<Record<string, unknown>>(join(__dirname, file));
    const statements = Object.entries(given).flatMap(([name, each]) => [
      ...statementsIn(each).map((statement) => [name, statement] as const),
      ...(isList(each) ? waysOf(each).map((statement) => [name, statement] as const) : []),
    ]);

    it('holds statements', () => expect(statements.length).toBeGreaterThan(0));

    it('takes and gives what the database says it does', async () => {
      for (const [name, { text, takes, gives }] of statements) {
        const described = await describeStatement(client, text);
        // The studio of the transaction goes along with all of them.
        const { studio = 'uuid', ...asked } = described.takes;
        expect([name, studio, asked]).toEqual([name, 'uuid', typesOf(takes)]);
        expect([name, described.gives]).toEqual([name, typesOf(gives)]);
      }
    });
  },
);
