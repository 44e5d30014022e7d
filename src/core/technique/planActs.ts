import type { Vec3 } from '../geometry/path';
import { plus3, scaled3, vec3 } from '../geometry/vec3';
import { refuse, type Result } from '../result';
import type { RunPiece } from '../piece/run';
import type { Act, ActTechnique } from './act';
import { joinActs, waitsFor, type ActUse, type JoinedPiece, type JoinedUse, type Offer } from './joinActs';
import { cutsOfPiece, type CutPiece } from './ofPiece';
import type { Parameters } from './parameter';
import { cutFromParts } from './wireState';
import type { Values } from './readValues';
import { orFolded, type Plan } from './technique';

/** A use of a piece, planned together with the others of it. */
export interface PlannedUse {
  readonly id: string;
  /** With the sizes of what it takes up; undefined when something that was typed for it cannot be read. */
  readonly values: Values | undefined;
  /** Its own steps, and the cuts of the wires that it brings in, as long as all uses together make them. */
  readonly plan: Result<Plan>;
  readonly offered: readonly Offer[];
}

/** A piece as several uses make it together. */
export interface PlannedPiece {
  readonly uses: readonly string[];
  readonly run: RunPiece;
  readonly rules: JoinedPiece['rules'];
  /** The use that each course is of. */
  readonly by: JoinedPiece['by'];
  /** Where it hangs from: the middle of what a chain goes through; undefined when nothing is made for that. */
  readonly hang: Vec3 | undefined;
}

const EMPTY = { order: [], holds: [], parts: [], notes: [] } as const;

/** Plans uses that are done to one piece or to several, in the order of the work. */
export function planActs(uses: readonly ActUse[]): {
  readonly uses: readonly PlannedUse[];
  readonly pieces: readonly PlannedPiece[];
  /** What can still be taken up after all of them. */
  readonly left: readonly Offer[];
} {
  const joined = joinActs(uses);
  const plans = new Map<string, Result<Plan>>();
  const pieces = joined.pieces.flatMap((piece) => {
    const made = cut(piece);
    if (made.ok) {
      for (const id of piece.uses) {
        const { act } = joined.uses.find(({ use }) => use.id === id) as JoinedUse;
        if (act.ok) plans.set(id, { ok: true, value: planOf(id, act.value, made.value) });
      }
      const { uses: of, rules, hangs, by } = piece;
      return [{ uses: of, run: made.value.run, rules, by, hang: hangOf(made.value.run, hangs) }];
    }
    // What the last of them does cannot be made: the others are planned without it.
    const last = piece.uses.at(-1) as string;
    const others = uses.filter(({ id }) => id !== last && piece.uses.includes(id));
    const without = planActs(others);
    for (const { id, plan } of without.uses) plans.set(id, plan);
    const waits = others.find(({ id }) => plans.get(id)?.ok === false);
    plans.set(last, waits ? refuse(waitsFor(waits.name)) : made);
    return without.pieces;
  });
  return {
    uses: joined.uses.map(({ use: { id }, values, act, offered }) => ({
      id,
      values,
      plan: act.ok ? (plans.get(id) as Result<Plan>) : act,
      offered,
    })),
    pieces,
    left: joined.left,
  };
}

/** The middle of the tops of what a piece hangs over. */
function hangOf({ wires }: RunPiece, hangs: JoinedPiece['hangs']): Vec3 | undefined {
  const tops = hangs.flatMap(({ wire: id, side, over }) => {
    const courses = wires.find(({ wire }) => wire.id === id)?.[side] ?? [];
    const path = courses.find(({ course }) => course?.id === over)?.path ?? [];
    return path.length > 0 ? [path.reduce((high, at) => (at.y < high.y ? at : high))] : [];
  });
  const sum = tops.reduce((all, at) => plus3(all, at), vec3(0, 0));
  return tops.length > 0 ? scaled3(sum, 1 / tops.length) : undefined;
}

const cut = ({ piece, given, middles, marked }: JoinedPiece): Result<CutPiece> =>
  cutsOfPiece(piece, { middle: middles, marked, given });

/** What one use of a piece comes to. */
function planOf(id: string, act: Act, { run, cuts }: CutPiece): Plan {
  const { steps, order, holds, stacked, parts, advice, notes } = act;
  return {
    ...EMPTY,
    ...(order ? { order } : {}),
    ...(holds ? { holds } : {}),
    ...(stacked ? { stacked } : {}),
    ...(parts ? { parts } : {}),
    ...(advice ? { advice } : {}),
    ...(notes ? { notes } : {}),
    steps,
    run,
    cuts: cuts.flatMap((each) => {
      const { use, parameter } = cutFromParts(each.wire);
      return use === id ? [{ ...each, wire: parameter }] : [];
    }),
  };
}

/** Declares a technique that is done to a piece; by itself it is done to wires that are cut afresh. */
export const actTechnique = <const P extends Parameters>(
  told: Omit<ActTechnique<P>, 'plan'>,
): ActTechnique<P> => {
  const technique: ActTechnique<P> = {
    ...told,
    act: (values, taken) => orFolded(() => told.act(values, taken)),
    plan: (values) => {
      const use = { id: ALONE, name: told.title, technique: technique as never, values, takes: {} };
      const [planned] = planActs([use]).uses;
      return planned?.plan ?? refuse('');
    },
  };
  return technique;
};

/** The id of a use that stands alone. */
const ALONE = 'a';
