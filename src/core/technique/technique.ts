import type { Act } from '../judgement/finishes';
import type { Judgement } from '../judgement/judgement';
import type { Hold } from '../judgement/holds';
import type { OrderRule } from '../judgement/order';
import type { Path } from '../geometry/path';
import type { RunPiece } from '../piece/run';
import { FoldedLine } from '../outline/outline';
import { ok, refuse, type Result } from '../result';
import type { Caution } from './cautions';
import { initialValues, type Parameters, type ValuesOf } from '../parameter/parameter';

export { said, saidBy } from '../units/said';

/** One line of the sum that a cut’s length is, mm. Allowances stand on their own lines and are never hidden in a factor. */
export interface Term {
  readonly name: string;
  readonly length: number;
  readonly kind: 'net' | 'allowance';
}

/** What happens at a place along a cut. */
export interface Mark {
  /** mm from its left end. */
  readonly at: number;
  readonly what: string;
}

/** A cut that a technique asks for, made `count` times. */
export interface PlannedCut {
  readonly name: string;
  /** The wire parameter that says what it is cut from. */
  readonly wire: string;
  readonly count: number;
  readonly terms: readonly Term[];
  readonly marks: readonly Mark[];
  /** The centre line of one of them as it lies in the piece: as long, together, as its net terms. */
  readonly drawn: readonly Path[];
  /** The centre lines of the others, when they lie elsewhere. */
  readonly places?: readonly Path[];
}

/** A step of the work. */
export interface PlannedStep {
  readonly id: string;
  readonly name: string;
  readonly minutes: number;
  readonly cautions?: readonly Caution[];
  /** What of the piece is there once it is done and was not before: names of courses and wires, without the number they begin with, and ids. */
  readonly makes?: readonly string[];
}

/** What a technique comes to for its parameters. Lengths in mm. */
export interface Plan {
  readonly cuts: readonly PlannedCut[];
  readonly steps: readonly PlannedStep[];
  readonly order: readonly OrderRule[];
  /** Where the stone is held; empty when the technique holds none, or all round. */
  readonly holds: readonly Hold[];
  /** Frame wires that are stacked to cover the edge of a stone; mm. */
  readonly stacked?: {
    readonly wires: number;
    readonly thick: number;
    readonly edge: number;
    readonly about: string;
  };
  /** Beads and findings, by name. */
  readonly parts: readonly { readonly name: string; readonly count: number }[];
  /** What the trade would say of these measures; see {@link ../judgement/judgement}. */
  readonly advice?: readonly Judgement[];
  /** The piece as it lies, for a technique that is told by its wires' ways: it is drawn by it. */
  readonly run?: RunPiece;
  /** What a maker wants to know besides: how many fit, how it compares with a rule of thumb. */
  readonly notes: readonly string[];
}

/** A technique of the trade: what it asks, and what it comes to. */
export interface Technique<P extends Parameters = Parameters> {
  readonly id: string;
  readonly title: string;
  readonly group: TechniqueGroup;
  /** Where its arithmetic comes from. */
  readonly source: string;
  readonly parameters: P;
  /** What it does to every wire of the piece, whichever technique that is of. */
  readonly toWholePiece?: readonly Act[];
  readonly plan: (values: ValuesOf<P>) => Result<Plan>;
}

/** A technique whose parameters are known only when it runs, as on a form or in an answer to a script. */
export type AnyTechnique = Technique;

/** The techniques at hand, by their id: all of them on the server, in a browser those that it has fetched. */
export type Techniques = (id: string) => AnyTechnique | undefined;

/** What a technique is offered by. */
export type OfferedTechnique = Pick<AnyTechnique, 'id' | 'title' | 'group'>;

export const offerOf = ({ id, title, group }: OfferedTechnique): OfferedTechnique => ({ id, title, group });

/** Whether a technique takes wire; what is done to the whole piece takes none, and is not drawn. */
export const takesWire = ({ parameters }: AnyTechnique): boolean =>
  Object.values(parameters).some(({ kind }) => kind === 'wire');

export const TECHNIQUE_GROUPS = [
  'holding a stone',
  'beads',
  'links and loops',
  'findings',
  'coils and spirals',
  'weaves',
  'rings',
  'finishing',
  'anything else',
] as const;
export type TechniqueGroup = (typeof TECHNIQUE_GROUPS)[number];

/** Declares a technique; its parameters give their types to its plan. */
export const technique = <const P extends Parameters>(told: {
  readonly id: string;
  readonly title: string;
  readonly group: TechniqueGroup;
  readonly source: string;
  readonly parameters: P;
  readonly toWholePiece?: readonly Act[];
  readonly plan: (values: ValuesOf<P>) => Result<PartialPlan> | PartialPlan;
}): Technique<P> => ({
  ...told,
  plan: (values) => {
    const planned = orFolded(() => told.plan(values));
    if ('ok' in planned && !planned.ok) return planned;
    const filled = 'ok' in planned ? planned.value : planned;
    return ok({ order: [], holds: [], parts: [], notes: [], ...filled });
  },
});

/** What comes of a plan; a sentence when a wire does not fit into a hollow of an outline. */
export function orFolded<T>(plan: () => T): T | Result<never> {
  try {
    return plan();
  } catch (fault) {
    if (fault instanceof FoldedLine) return refuse(fault.message);
    throw fault;
  }
}

/** A plan that leaves out what there is none of. */
type PartialPlan = Pick<Plan, 'cuts' | 'steps'> & Partial<Plan>;

/** What belongs to the piece itself. */
export const net = (name: string, length: number): Term => ({ name, length, kind: 'net' });
/** What is cut besides, to hold on to or to lose. */
export const allowance = (name: string, length: number): Term => ({ name, length, kind: 'allowance' });

const sum = (terms: readonly Term[]): number => terms.reduce((total, each) => total + each.length, 0);

/** Length to cut, mm. */
export const cutOf = ({ terms }: Pick<PlannedCut, 'terms'>): number => sum(terms);
/** What the piece takes of it, mm. */
export const netOf = ({ terms }: Pick<PlannedCut, 'terms'>): number =>
  sum(terms.filter(({ kind }) => kind === 'net'));

/** Minutes of the steps. */
export const minutesOfPlan = ({ steps }: Pick<Plan, 'steps'>): number =>
  steps.reduce((total, { minutes }) => total + minutes, 0);

/** What a technique comes to when nothing is told. */
export const initialPlan = <P extends Parameters>({ parameters, plan }: Technique<P>): Result<Plan> =>
  plan(initialValues(parameters));
