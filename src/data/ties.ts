import { Op, type IncludeOptions, type Model, type ModelStatic } from 'sequelize';
import { currentStudio } from './context';
import { keysOf, tiesOf, type RowIn, type Tie } from './table';

type AnyTable = ModelStatic<Model>;
type TiesOf<Of> = Of extends { readonly ties: infer Ties } ? Ties : Record<never, never>;
type ColumnOf<Of> = keyof RowIn<Of> & string;

/** What is wanted of a row that another belongs to: columns of it, and of what it belongs to itself. */
type Wanted<Of> =
  readonly ColumnOf<Of>[] | { readonly columns: readonly ColumnOf<Of>[]; readonly with: With<Of> };

/** What is wanted of the rows that rows of a table belong to, by the names of their ties. */
export type With<Of> = {
  readonly [Name in keyof TiesOf<Of>]?: TiesOf<Of>[Name] extends Tie<infer Target> ? Wanted<Target> : never;
};

type Got<Of, What> = What extends readonly (infer Name)[]
  ? Pick<RowIn<Of>, Name & ColumnOf<Of>>
  : What extends { readonly columns: readonly (infer Name)[]; readonly with: infer More }
    ? Pick<RowIn<Of>, Name & ColumnOf<Of>> & GotWith<Of, More>
    : never;

/** What was wanted, as it is answered: nothing where there is no such row. */
export type GotWith<Of, What> = {
  readonly [Name in keyof What & keyof TiesOf<Of>]: TiesOf<Of>[Name] extends Tie<
    infer Target,
    string,
    infer IsOptional
  >
    ? Got<Target, What[Name]> | (IsOptional extends true ? null : never)
    : never;
};

interface Branch {
  readonly columns: readonly string[];
  readonly with: Tree;
}

/** The same without its types. */
export type Tree = Readonly<Record<string, readonly string[] | Branch>>;

const branchOf = (wanted: readonly string[] | Branch): Branch =>
  'columns' in wanted ? wanted : { columns: wanted, with: {} };

function tieOf(model: AnyTable, name: string): Tie {
  const tie = tiesOf(model)[name];
  if (!tie) throw new Error(`${model.tableName} has no tie ${name}`);
  return tie;
}

const fieldOf = (model: AnyTable, name: string): string => model.getAttributes()[name]?.field ?? name;

/** The joins that bring what is wanted. They are made within the studio, by the whole keys, which are indexed so. */
export function joinsFor(model: AnyTable, wanted: Tree, path: string = model.name): IncludeOptions[] {
  return Object.entries(wanted).map(([name, what]) => {
    const { target, by, isOptional } = tieOf(model, name);
    const { columns, with: more } = branchOf(what);
    const held = keysOf(target).map((key, index): [string, object] => [
      fieldOf(target, key),
      { [Op.col]: `${path}.${fieldOf(model, by[index] ?? '')}` },
    ]);
    return {
      association: name,
      attributes: [...new Set([...columns, ...keysOf(target)])],
      required: !isOptional,
      on: { studio_id: currentStudio(), ...Object.fromEntries(held) },
      include: joinsFor(target, more, path === model.name ? name : `${path}.${name}`),
    };
  });
}

/** A row as it was answered, flat: columns of what it belongs to under `tie.column`. */
export type FlatRow = Readonly<Record<string, unknown>>;

/** A row with what it belongs to inside of it; null where there is none. */
export function unfolded(
  model: AnyTable,
  columns: readonly string[],
  wanted: Tree,
  row: FlatRow,
  path = '',
): FlatRow {
  const own = columns.map((name): [string, unknown] => [name, row[`${path}${name}`]]);
  const ties = Object.entries(wanted).map(([name, what]): [string, unknown] => {
    const { target, isOptional } = tieOf(model, name);
    const branch = branchOf(what);
    const inner = `${path}${name}.`;
    // By its key: what is wanted of it may be empty.
    const isThere = keysOf(target).every((column) => row[`${inner}${column}`] !== null);
    return [name, isOptional && !isThere ? null : unfolded(target, branch.columns, branch.with, row, inner)];
  });
  return Object.fromEntries([...own, ...ties]);
}
