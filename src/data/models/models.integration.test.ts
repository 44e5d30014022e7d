import pg from 'pg';
import { database } from '../database';
import { keysOf, tiesOf } from '../table';

const client = new pg.Client(process.env['PEWTERER_OWNER_URL']);
beforeAll(() => client.connect());
afterAll(async () => {
  await client.end();
  await database().close();
});

interface Kept {
  readonly table: string;
  readonly column: string;
  readonly type: string;
  readonly isNullable: boolean;
  readonly isGenerated: boolean;
  readonly isKey: boolean;
}

/** Tables that belong to no studio: the steps of the schema, who failed to sign in, and turns at writing. */
const NO_STUDIOS = ['schema_steps', 'sign_in_failures', 'turns'];

/** What Sequelize calls what PostgreSQL stores. */
const KINDS: Readonly<Record<string, string>> = {
  UUID: 'uuid',
  INTEGER: 'int4',
  'INTEGER[]': '_int4',
  BIGINT: 'int8',
  'DOUBLE PRECISION': 'float8',
  TEXT: 'text',
  BOOLEAN: 'bool',
  DATE: 'date',
  'DATE[]': '_date',
  'TIMESTAMP WITH TIME ZONE': 'timestamptz',
  JSONB: 'jsonb',
  BYTEA: 'bytea',
};

interface ForeignKey {
  readonly table: string;
  readonly columns: readonly string[];
  readonly to: string;
  readonly held: readonly string[];
  readonly isOptional: boolean;
}

it('every foreign key is a tie, and every tie is by the whole key of where it leads', async () => {
  const { rows: keys } = await client.query<ForeignKey>(
    `SELECT c.conrelid::regclass::text AS table, c.confrelid::regclass::text AS to,
            array_agg(own.attname::text ORDER BY k.place) AS columns, array_agg(other.attname::text ORDER BY k.place) AS held,
            NOT bool_and(own.attnotnull) AS "isOptional"
       FROM pg_constraint c CROSS JOIN LATERAL unnest(c.conkey, c.confkey) WITH ORDINALITY AS k(own, other, place)
       JOIN pg_attribute own ON own.attrelid = c.conrelid AND own.attnum = k.own
       JOIN pg_attribute other ON other.attrelid = c.confrelid AND other.attnum = k.other
      WHERE c.contype = 'f' AND c.confrelid <> 'studios'::regclass AND c.confrelid <> c.conrelid GROUP BY c.oid`,
  );
  const line = ({ table, columns, to, held, isOptional }: ForeignKey) =>
    `${table} (${columns.join(', ')}) → ${to} (${held.join(', ')})${isOptional ? ', or none' : ''}`;
  const ties = Object.values(database().models).flatMap((model) =>
    Object.values(tiesOf(model)).map(({ target, by, isOptional }): ForeignKey => {
      const fields = (of: typeof model, names: readonly string[]) => [
        'studio_id',
        ...names.map((name) => of.getAttributes()[name]?.field ?? `no ${name}`),
      ];
      const columns = fields(model, by);
      return {
        table: model.tableName,
        columns,
        to: String(target.tableName),
        held: fields(target, keysOf(target)),
        isOptional,
      };
    }),
  );
  const tied = ties.map(line);
  expect(keys.map(line).filter((each) => !tied.includes(each))).toEqual([]);
  expect(keys.length).toBeGreaterThan(40);
  // A tie need be no foreign key: who did something is known of rows that are only ever added.
  for (const { table, columns, held, isOptional } of ties) {
    expect(columns).toHaveLength(held.length);
    const { rows } = await client.query<{ isOptional: boolean }>(
      `SELECT bool_or(is_nullable = 'YES') AS "isOptional" FROM information_schema.columns WHERE table_name = $1 AND column_name = ANY ($2)`,
      [table, columns],
    );
    expect([table, columns, rows[0]?.isOptional]).toEqual([table, columns, isOptional]);
  }
});

it('every table of the studio is a model with the columns, kinds, keys and nulls that it has', async () => {
  const { rows } = await client.query<Kept>(
    `SELECT c.table_name AS table, c.column_name AS column, c.udt_name AS type, c.is_nullable = 'YES' AS "isNullable",
            c.is_generated = 'ALWAYS' AS "isGenerated",
            EXISTS (SELECT FROM information_schema.table_constraints t JOIN information_schema.key_column_usage k USING (constraint_name, table_name)
                     WHERE t.constraint_type = 'PRIMARY KEY' AND k.table_name = c.table_name AND k.column_name = c.column_name) AS "isKey"
       FROM information_schema.columns c JOIN information_schema.tables t USING (table_schema, table_name)
      WHERE table_schema = 'public' AND table_type = 'BASE TABLE' AND NOT table_name = ANY ($1)`,
    [NO_STUDIOS],
  );
  const sortedLines = (lines: readonly string[]) => lines.toSorted();
  // Hours at the bench are kept as a number with places; nobody adds them up in the database.
  const kind = (type: string) => (type === 'numeric' ? 'float8' : type);
  const line = (parts: readonly (string | boolean)[]) => parts.join(' ');
  const there = rows
    .filter(({ isGenerated }) => !isGenerated)
    .map(({ table, column, type, isNullable, isKey }) =>
      line([table, column, kind(type), isNullable, isKey]),
    );
  const modelled = Object.values(database().models).flatMap((model) =>
    Object.values(model.getAttributes()).map(({ field = '', type, allowNull = true, primaryKey = false }) =>
      line([model.tableName, field, KINDS[type.toString({})] ?? type.toString({}), allowNull, primaryKey]),
    ),
  );
  expect(sortedLines(modelled)).toEqual(sortedLines(there));
});
