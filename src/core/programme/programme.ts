import loadHighs, { type Highs, type Model, type SparseMatrix } from 'highs';

/** One variable of a programme: what it costs, its bounds, and what it adds to which rows. */
export interface Variable {
  readonly cost: number;
  readonly least: number;
  readonly most: number;
  readonly whole: boolean;
  readonly entries: readonly (readonly [row: number, value: number])[];
}

/** Bounds on a row. */
export interface Row {
  readonly least: number;
  readonly most: number;
}

/** What a linear programme came to. */
export interface LinearSolution {
  readonly objective: number;
  readonly values: Float64Array;
  /** What one more of each row’s bound would cost. */
  readonly duals: Float64Array;
}

/** What an integer programme came to within its time. */
export interface IntegerSolution {
  readonly objective: number;
  readonly values: Float64Array;
  /** No solution over these variables costs less. */
  readonly bound: number;
}

/** A linear programme, to be minimised, that takes more variables and starts again from where it was. */
export interface LinearProgramme {
  readonly add: (variables: readonly Variable[]) => void;
  /** @throws Error when it has no solution */
  readonly solve: () => LinearSolution;
  readonly dispose: () => void;
}

/** A solver of linear and integer programmes. */
export interface Solver {
  readonly linear: (rows: readonly Row[], variables: readonly Variable[]) => LinearProgramme;
  /**
   * @param start values of a solution that is known
   * @param limitMs after this much time the best solution so far is given
   * @param shouldStop asked now and then; when it says so, the same
   * @returns undefined when none was found
   */
  readonly integer: (
    rows: readonly Row[],
    variables: readonly Variable[],
    options: {
      readonly limitMs: number;
      readonly gap: number;
      readonly start?: readonly number[];
      readonly shouldStop?: () => boolean;
    },
  ) => IntegerSolution | undefined;
}

let loading: Promise<Highs> | undefined;

/** The solver of the house: HiGHS, in WebAssembly. Loaded once, then it answers at once and keeps the thread while it works. */
export async function loadSolver(): Promise<Solver> {
  const highs = await (loading ??= loadHighs());
  return { linear: linearBy(highs), integer: integerBy(highs) };
}

/** HiGHS has its own word for no bound. */
const bounded = (highs: Highs, value: number): number =>
  Number.isFinite(value) ? value : Math.sign(value) * highs.infinity;

function columnsOf(highs: Highs, rows: number, variables: readonly Variable[]) {
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const { entries } of variables) {
    for (const [row, value] of entries) {
      indices.push(row);
      values.push(value);
    }
    starts.push(indices.length);
  }
  const matrix: SparseMatrix = {
    format: 'csc',
    numRows: rows,
    numCols: variables.length,
    starts: Int32Array.from(starts),
    indices: Int32Array.from(indices),
    values: Float64Array.from(values),
  };
  return {
    cost: Float64Array.from(variables, ({ cost }) => cost),
    lower: Float64Array.from(variables, ({ least }) => bounded(highs, least)),
    upper: Float64Array.from(variables, ({ most }) => bounded(highs, most)),
    matrix,
  };
}

function modelOf(highs: Highs, rows: readonly Row[], variables: readonly Variable[], whole: boolean): Model {
  const { cost, lower, upper, matrix } = columnsOf(highs, rows.length, variables);
  const { integer, continuous } = highs.constants.variableType;
  const model = highs.createModel({
    numCols: variables.length,
    numRows: rows.length,
    colCost: cost,
    colLower: lower,
    colUpper: upper,
    rowLower: rows.map(({ least }) => bounded(highs, least)),
    rowUpper: rows.map(({ most }) => bounded(highs, most)),
    matrix,
    ...(whole ? { integrality: variables.map((each) => (each.whole ? integer : continuous)) } : {}),
  });
  model.options.set({ output_flag: false });
  return model;
}

const linearBy =
  (highs: Highs): Solver['linear'] =>
  (rows, variables) => {
    const model = modelOf(highs, rows, variables, false);
    return {
      add: (more) => {
        if (more.length > 0) model.addCols(columnsOf(highs, rows.length, more));
      },
      solve: () => {
        model.run();
        if (model.getModelStatus() !== highs.constants.modelStatus.optimal)
          throw new Error(`a linear programme ended with status ${model.getModelStatus()}`);
        const { colValue, rowDual } = model.getSolution();
        return { objective: model.getObjectiveValue(), values: colValue, duals: rowDual };
      },
      dispose: () => model.dispose(),
    };
  };

const integerBy =
  (highs: Highs): Solver['integer'] =>
  (rows, variables, { limitMs, gap, start, shouldStop }) => {
    const model = modelOf(highs, rows, variables, true);
    try {
      model.options.set({ time_limit: Math.max(0.01, limitMs / 1000), mip_rel_gap: gap, mip_abs_gap: 1e-6 });
      if (start) model.setSolution({ colValue: start });
      model.run(interruptions(highs, shouldStop));
      if (Number(model.info.get('primal_solution_status')) !== FEASIBLE) return undefined;
      return {
        objective: model.getObjectiveValue(),
        values: model.getSolution().colValue,
        bound: Number(model.info.get('mip_dual_bound')),
      };
    } finally {
      model.dispose();
    }
  };

/** The moments at which the solver asks whether to go on: between nodes, and within each linear programme. */
function interruptions(highs: Highs, shouldStop: (() => boolean) | undefined) {
  const ask = (event: { readonly interrupt: () => void }): undefined => {
    if (shouldStop?.()) event.interrupt();
  };
  const { mipInterrupt, simplexInterrupt, ipmInterrupt } = highs.constants.callbackType;
  return { [mipInterrupt]: ask, [simplexInterrupt]: ask, [ipmInterrupt]: ask };
}

/** HiGHS’s word for a solution that keeps every bound. */
const FEASIBLE = 2;
