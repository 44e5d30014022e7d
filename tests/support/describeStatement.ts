import type pg from 'pg';

/** What PostgreSQL calls the types of the studio's columns, by the number it knows them under (its catalogue `pg_type`). */
const TYPES: Readonly<Record<number, string>> = {
  16: 'bool',
  20: 'int8',
  23: 'int4',
  25: 'text',
  701: 'float8',
  1007: 'int4[]',
  1009: 'text[]',
  1016: 'int8[]',
  1022: 'float8[]',
  1082: 'date',
  1182: 'date[]',
  1184: 'timestamptz',
  1700: 'numeric',
  2950: 'uuid',
  2951: 'uuid[]',
  3802: 'jsonb',
  3807: 'jsonb[]',
};

const typeOf = (number: number): string => TYPES[number] ?? `type ${number}`;

/** A statement as the database understands it. */
export interface Described {
  readonly takes: Readonly<Record<string, string>>;
  readonly gives: Readonly<Record<string, string>>;
}

interface Wire {
  parse(query: { text: string; name: string }): void;
  describe(what: { type: 'S'; name: string }): void;
  sync(): void;
  once(event: 'parameterDescription', heard: (message: { dataTypeIDs: number[] }) => void): void;
}

/** Prepares a statement whose parameters are written `$name`, without running it. @throws what the database says against it */
export function describeStatement(client: pg.Client, written: string): Promise<Described> {
  const names: string[] = [];
  const text = written.replace(/\B\$(\w+)/g, (_, name: string) => {
    if (!names.includes(name)) names.push(name);
    return `$${names.indexOf(name) + 1}`;
  });
  return new Promise((resolve, reject) => {
    let types: readonly number[] = [];
    let fields: readonly { name: string; dataTypeID: number }[] = [];
    const ignore = () => undefined;
    client.query({
      submit(wire: Wire) {
        wire.once('parameterDescription', ({ dataTypeIDs }) => (types = dataTypeIDs));
        wire.parse({ text, name: '' });
        wire.describe({ type: 'S', name: '' });
        wire.sync();
      },
      handleRowDescription: (message: { fields: typeof fields }) => (fields = message.fields),
      handleReadyForQuery: () =>
        resolve({
          takes: Object.fromEntries(names.map((name, index) => [name, typeOf(types[index] ?? 0)])),
          gives: Object.fromEntries(fields.map(({ name, dataTypeID }) => [name, typeOf(dataTypeID)])),
        }),
      handleError: reject,
      handleDataRow: ignore,
      handleCommandComplete: ignore,
      handleEmptyQuery: ignore,
      handlePortalSuspended: ignore,
    } as unknown as pg.Submittable);
  });
}
