import type { Vec3 } from '../geometry/path';
import { plus3, scaled3, vec3 } from '../geometry/vec3';
import { isAlike } from '../isAlike';
import { ok, refuse, type Result } from '../result';
import type { RunPiece } from '../piece/run';
import type { Act, ActTechnique } from './act';
import { joinActs, waitsFor, type ActUse, type JoinedPiece, type JoinedUse, type Offer } from './joinActs';
import { cutsOfPiece, type CutPiece } from './ofPiece';
import type { Parameters } from '../parameter/parameter';
import { cutFromParts } from './wireState';
import type { Values } from '../parameter/readValues';
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
  readonly bodyBy: JoinedPiece['bodyBy'];
  /** Where it hangs from: the middle of what a chain goes through; undefined when nothing is made for that. */
  readonly hang: Vec3 | undefined;
}

const EMPTY = { order: [], holds: [], parts: [], notes: [] } as const;

/** Whether a use is told as it was before. */
export const isSameAct = (a: ActUse, b: ActUse | undefined): boolean =>
  a.id === b?.id &&
  a.name === b.name &&
  a.technique === b.technique &&
  a.values === b.values &&
  a.takes === b.takes;

/** What the uses of one piece come to. */
interface Made {
  readonly plans: ReadonlyMap<string, Result<Plan>>;
  readonly pieces: readonly PlannedPiece[];
}

/** What pieces came to last, by the values of the first of their uses: while one types in what another piece is made by, they stay. */
const piecesKnown = new WeakMap<Values, { readonly uses: readonly ActUse[]; readonly made: Made }>();

function madeOf(piece: JoinedPiece, joined: readonly JoinedUse[]): Made {
  const uses = joined.flatMap(({ use }) => (piece.uses.includes(use.id) ? [use] : []));
  const key = uses[0]?.values;
  const known = key && piecesKnown.get(key);
  if (known?.uses.length === uses.length && known.uses.every((use, index) => isSameAct(use, uses[index])))
    return known.made;
  const made = makeOf(piece, uses, joined);
  if (key) piecesKnown.set(key, { uses, made });
  return made;
}

function makeOf(piece: JoinedPiece, uses: readonly ActUse[], joined: readonly JoinedUse[]): Made {
  const plans = new Map<string, Result<Plan>>();
  const made = cut(piece);
  if (made.ok) {
    for (const { use, act } of joined)
      if (act.ok && piece.uses.includes(use.id)) plans.set(use.id, ok(planOf(use.id, act.value, made.value)));
    const { uses: of, rules, hangs, by, bodyBy } = piece;
    return {
      plans,
      pieces: [{ uses: of, run: made.value.run, rules, by, bodyBy, hang: hangOf(made.value.run, hangs) }],
    };
  }
  // What the last of them does cannot be made: the others are planned without it.
  const last = piece.uses.at(-1) as string;
  const others = uses.filter(({ id }) => id !== last);
  const without = planActs(others);
  for (const { id, plan } of without.uses) plans.set(id, plan);
  const waits = others.find(({ id }) => plans.get(id)?.ok === false);
  plans.set(last, waits ? refuse(waitsFor(waits.name)) : made);
  return { plans, pieces: without.pieces };
}

const isSameOffer = ({ size: sizeA, ...a }: Offer, { size: sizeB, ...b }: Offer): boolean =>
  isAlike(a, b) && isAlike(sizeA, sizeB);

/** Uses by what they come to, so that nothing that shows one need look again while it comes to the same. */
const usesKnown = new WeakMap<Plan, PlannedUse>();

function plannedUse(now: PlannedUse): PlannedUse {
  if (!now.plan.ok) return now;
  const known = usesKnown.get(now.plan.value);
  if (
    known?.id === now.id &&
    isAlike(known.values ?? {}, now.values ?? {}) &&
    known.offered.length === now.offered.length &&
    known.offered.every((offer, index) => isSameOffer(offer, now.offered[index] as Offer))
  )
    return known;
  usesKnown.set(now.plan.value, now);
  return now;
}

/** Plans uses that are done to one piece or to several, in the order of the work. */
export function planActs(uses: readonly ActUse[]): {
  readonly uses: readonly PlannedUse[];
  readonly pieces: readonly PlannedPiece[];
  /** What can still be taken up after all of them. */
  readonly left: readonly Offer[];
} {
  const joined = joinActs(uses);
  const made = joined.pieces.map((piece) => madeOf(piece, joined.uses));
  const plans = new Map(made.flatMap((each) => [...each.plans]));
  return {
    uses: joined.uses.map(({ use: { id }, values, act, offered }) =>
      plannedUse({ id, values, plan: act.ok ? (plans.get(id) as Result<Plan>) : act, offered }),
    ),
    pieces: made.flatMap(({ pieces }) => pieces),
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
