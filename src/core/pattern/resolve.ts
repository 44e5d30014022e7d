import { judgeOrder, stopsAt, type OrderFault } from '../judgement/order';
import type { Act } from '../judgement/finishes';
import { judgeWork, type KnownWire } from '../plan/judgePlan';
import type { Judgement } from '../judgement/judgement';
import type { StoneSize } from '../stone/stoneSize';
import type { WireSize } from '../wire/wireSize';
import { readTexts, type Texts } from '../parameter/readTexts';
import type { Values, Wrong } from '../parameter/readValues';
import {
  netOf,
  type AnyTechnique,
  type Plan,
  type PlannedCut,
  type Techniques,
} from '../technique/technique';
import type { OrderRule } from '../judgement/order';
import { isAlike } from '../isAlike';
import { isActed } from '../technique/act';
import type { Caution } from '../technique/cautions';
import type { ActUse, Offer } from '../technique/joinActs';
import { cutFromParts } from '../technique/wireState';
import { isSameAct, planActs, type PlannedPiece, type PlannedUse } from '../technique/planActs';
import { gramsPerMetre } from '../wire/mass';
import {
  boundMeasures,
  MEASURES,
  type Composition,
  type Measure,
  type Specs,
  type TechniqueUse,
} from './composition';
import { boundTexts } from './boundTexts';
import { followed } from './followed';
import { cutKey, withInHand, type CutInHand } from './inHand';
import { CARE, readMinutes, wrongWithStep, type OwnStep, type OwnStepKind } from './ownSteps';
import { workParts } from './workParts';

/** A technique of a pattern, worked out; without a plan when something typed is wrong or nothing can be made of it. */
export interface ResolvedUse {
  readonly use: TechniqueUse;
  readonly technique: AnyTechnique;
  readonly values: Values | undefined;
  readonly plan: Plan | undefined;
  readonly wrong: Wrong;
  readonly refusal: string;
  readonly judgements: readonly Judgement[];
  /** What it could take up of what techniques before it leave. */
  readonly offered: readonly Offer[];
}

export interface ResolvedCut extends PlannedCut {
  readonly use: TechniqueUse;
  readonly size: WireSize;
  /** The spec that it is cut from, once one is chosen. */
  readonly specId: string | undefined;
  /** What is in hand for it already. */
  readonly inHand?: CutInHand;
}

export interface ResolvedStep {
  /** “use.step”. */
  readonly id: string;
  readonly name: string;
  readonly minutes: number;
  readonly cautions: readonly Caution[];
  /** What must have happened before it, each with its reason. */
  readonly stops: readonly string[];
  /** The technique that it is a step of; undefined for one of the maker’s own. */
  readonly use: TechniqueUse | undefined;
  /** Whether it is done once for all pieces of a sitting. */
  readonly once: boolean;
  readonly kind: OwnStepKind;
  /** What is wrong with it as it is typed; empty when nothing is. */
  readonly wrong: string;
}

/** Everything that a composition comes to. */
export interface Resolved {
  /** Measures that some technique is bound to. */
  readonly measures: readonly Measure[];
  readonly measuresWrong: Wrong;
  /** The measures that could be read. */
  readonly measured: Values;
  readonly uses: readonly ResolvedUse[];
  /** The pieces that techniques make together, each with what it is drawn by. */
  readonly pieces: readonly PlannedPiece[];
  /** What could still be taken up. */
  readonly left: readonly Offer[];
  readonly cuts: readonly ResolvedCut[];
  readonly parts: readonly { readonly name: string; readonly count: number }[];
  readonly steps: readonly ResolvedStep[];
  /** Order faults; those that were overridden are left out. */
  readonly faults: readonly OrderFault[];
  readonly minutes: number;
  /** Wire that stays in the piece, g; wires without a spec are left out. */
  readonly grams: number;
  /** Whether every technique could be worked out. */
  readonly complete: boolean;
}

/** What a use came to, whatever it is called. */
type Outcome = Omit<ResolvedUse, 'use'>;

interface WorkedOut {
  readonly wires: TechniqueUse['wires'];
  readonly specs: Specs;
  /** What is done to the whole piece. */
  readonly acts: string;
  /** With what it is bound to and cut from. */
  readonly texts: Texts;
  readonly outcome: Outcome;
}

/** What uses came to last, by their texts: while one types elsewhere, or in a measure that a use is not bound to, it stays. */
const workedOut = new WeakMap<Texts, WorkedOut>();
/** The same object for the same use that comes to the same, so that nothing that shows it need look again. */
const resolvedUses = new WeakMap<
  TechniqueUse,
  { readonly outcome: Outcome; readonly resolved: ResolvedUse }
>();

function resolveUse(
  use: TechniqueUse,
  measures: Texts,
  specs: Specs,
  acts: readonly Act[],
  techniques: Techniques,
): ResolvedUse | undefined {
  const technique = techniques(use.technique);
  if (!technique) return undefined;
  const texts = boundTexts(use, technique, measures, specs);
  const before = workedOut.get(use.texts);
  const stands =
    before?.outcome.technique === technique &&
    before.wires === use.wires &&
    before.specs === specs &&
    before.acts === acts.join() &&
    isAlike(before.texts, texts);
  const outcome = stands ? before.outcome : workOut(use, technique, texts, specs, acts);
  if (!stands) workedOut.set(use.texts, { wires: use.wires, specs, acts: acts.join(), texts, outcome });
  const known = resolvedUses.get(use);
  if (known?.outcome === outcome) return known.resolved;
  const resolved = { ...outcome, use };
  resolvedUses.set(use, { outcome, resolved });
  return resolved;
}

function workOut(
  use: TechniqueUse,
  technique: AnyTechnique,
  texts: Texts,
  specs: Specs,
  acts: readonly Act[],
): Outcome {
  const base = {
    technique,
    values: undefined,
    plan: undefined,
    wrong: {},
    refusal: '',
    judgements: [],
    offered: [],
  };
  const read = readTexts(technique.parameters, texts, 'mm');
  if (!read.ok) return { ...base, wrong: read.error };
  // What is done to a piece is worked out together with what it goes on from.
  if (isActed(technique)) return { ...base, values: read.value };
  const planned = technique.plan(read.value as never);
  if (!planned.ok) return { ...base, values: read.value, refusal: planned.error };
  const judgements = judgeWork(technique, read.value, planned.value, knownWires(use.wires, specs), acts);
  return { ...base, values: read.value, plan: planned.value, judgements };
}

/** What the acts of a composition came to last, by the values of the first of them. */
const plannedActs = new WeakMap<
  Values,
  { readonly acts: readonly ActUse[]; readonly planned: ReturnType<typeof planActs> }
>();

function planTogether(acts: readonly ActUse[]): ReturnType<typeof planActs> {
  const key = acts.find(({ values }) => values)?.values;
  const known = key && plannedActs.get(key);
  if (known?.acts.length === acts.length && known.acts.every((act, index) => isSameAct(act, acts[index])))
    return known.planned;
  const planned = planActs(acts);
  if (key) plannedActs.set(key, { acts, planned });
  return planned;
}

/** What of a composition is done to a piece, in the order of the work. */
export const actUsesOf = (uses: readonly ResolvedUse[]): readonly ActUse[] =>
  uses.flatMap(({ use: { id, name, takes }, technique, values }): ActUse[] =>
    isActed(technique) ? [{ id, name, takes, technique, values }] : [],
  );

/** Fills in what the acts of a composition come to together. */
function withActs(
  uses: readonly ResolvedUse[],
  specs: Specs,
  acts: readonly Act[],
): {
  readonly uses: readonly ResolvedUse[];
  readonly pieces: readonly PlannedPiece[];
  readonly left: readonly Offer[];
} {
  const { uses: planned, pieces, left } = planTogether(actUsesOf(uses));
  const byId = new Map(planned.map((each) => [each.id, each]));
  const usesById = new Map(uses.map(({ use }) => [use.id, use]));
  /** What each wire is cut from, as its spec. */
  const specOf = (use: string | undefined, parameter: string): string | undefined =>
    usesById.get(use ?? '')?.wires[parameter];
  const wires = pieces.flatMap(({ run }) => run.wires.map(({ wire }) => wire));
  return {
    pieces,
    left,
    uses: uses.map((each): ResolvedUse => {
      const made = byId.get(each.use.id);
      if (!made || !isActed(each.technique) || !made.values) return each;
      const known = resolvedActs.get(made);
      const key = [each.use, specs, acts.join()];
      if (known?.key.every((part, index) => part === key[index])) return known.resolved;
      const { plan, values, offered } = made;
      const own = { ...each.use.wires };
      for (const [port, { wire }] of Object.entries(each.technique.ports)) {
        const [ref] = each.use.takes[port] ?? [];
        const taken = offered.find((offer) => offer.ref === ref)?.wire;
        const { use, parameter } = cutFromParts(wires.find(({ id }) => id === taken)?.cutFrom ?? '');
        if (ref !== undefined) own[wire] = specOf(use, parameter) ?? '';
      }
      const resolved: ResolvedUse = {
        ...each,
        values,
        offered,
        plan: plan.ok ? plan.value : undefined,
        refusal: plan.ok ? '' : plan.error,
        judgements: plan.ok
          ? judgeWork(each.technique, values, plan.value, knownWires(own, specs), acts)
          : [],
      };
      resolvedActs.set(made, { key, resolved });
      return resolved;
    }),
  };
}

/** What acts were resolved to last, so that nothing that shows them need look again. */
const resolvedActs = new WeakMap<
  PlannedUse,
  { readonly key: readonly unknown[]; readonly resolved: ResolvedUse }
>();

/** What is known of the wires that parameters are cut from. */
function knownWires(wires: TechniqueUse['wires'], specs: Specs): Record<string, KnownWire> {
  const known: Record<string, KnownWire> = {};
  for (const [key, specId] of Object.entries(wires)) {
    const spec = specs[specId];
    if (spec) known[key] = { metal: spec.metal, temper: spec.temper, finish: spec.finish };
  }
  return known;
}

/** Steps with the stops that other techniques set them. */
const withStops = (steps: readonly ResolvedStep[], rules: readonly OrderRule[]): readonly ResolvedStep[] =>
  steps.map((step) => {
    const across = stopsAt(step.id, steps, rules);
    return across.length > 0 ? { ...step, stops: [...step.stops, ...across] } : step;
  });

/** Steps by the order that was chosen; those it does not name follow the step before them in their technique. */
function inOrder(steps: readonly ResolvedStep[], order: readonly string[]): ResolvedStep[] {
  const known = new Map(steps.map((step) => [step.id, step]));
  const chosen = order.flatMap((id) => known.get(id) ?? []);
  const left = steps.filter(({ id }) => !order.includes(id));
  for (const step of left) {
    const before = steps[steps.indexOf(step) - 1];
    const at = before?.use && before.use.id === step.use?.id ? chosen.indexOf(before) + 1 : chosen.length;
    chosen.splice(at, 0, step);
  }
  return chosen;
}

/** What some technique of a composition, or a step of the maker’s own, does to every wire of the piece. */
const actsOnAll = ({ uses, steps = [] }: Composition, techniques: Techniques): readonly Act[] => [
  ...new Set([
    ...uses.flatMap(({ technique }) => techniques(technique)?.toWholePiece ?? []),
    ...steps.flatMap(({ does }) => (does === '' ? [] : [does])),
  ]),
];

/** Steps of the maker’s own, the same objects while nothing of them changes. */
const ownKnown = new WeakMap<OwnStep, { readonly copies: number; readonly step: ResolvedStep }>();

function ownSteps({ steps = [], copies }: Composition): readonly ResolvedStep[] {
  return steps.map((own) => {
    const known = ownKnown.get(own);
    if (known?.copies === copies) return known.step;
    const { id, name, once, kind, does } = own;
    const read = readMinutes(own.minutes);
    const minutes = read.ok ? read.value * (once ? 1 : copies) : 0;
    const cautions = does === '' ? [] : [CARE[does]];
    const wrong = wrongWithStep(own);
    const step = { id, name, minutes, cautions, stops: [], use: undefined, once, kind, wrong };
    ownKnown.set(own, { copies, step });
    return step;
  });
}

const keyed = (use: TechniqueUse, id: string) => `${use.id}.${id}`;

/** The steps of plans, the same objects while nothing of them changes. */
const stepsKnown = new WeakMap<
  Plan,
  { readonly use: TechniqueUse; readonly copies: number; readonly steps: readonly ResolvedStep[] }
>();

function stepsOf(use: TechniqueUse, plan: Plan, copies: number): readonly ResolvedStep[] {
  const known = stepsKnown.get(plan);
  if (known?.use === use && known.copies === copies) return known.steps;
  const steps = plan.steps.map(({ id, name, minutes, cautions = [] }): ResolvedStep => ({
    stops: stopsAt(id, plan.steps, plan.order),
    id: keyed(use, id),
    name,
    minutes: minutes * copies,
    cautions,
    use,
    once: false,
    kind: 'work',
    wrong: '',
  }));
  stepsKnown.set(plan, { use, copies, steps });
  return steps;
}

/**
 * Works a composition out: for its own measures, or for others that are put in their place.
 * @param specs of the studio; a wire without one keeps the size that was typed
 * @param techniques at hand; what is made by another is left out, and the piece is not complete
 */
export function resolve(
  given: Composition,
  specs: Specs,
  techniques: Techniques,
  measures = given.measures,
): Resolved {
  const composition = { ...given, uses: followed(given.uses, techniques) };
  const acts = actsOnAll(composition, techniques);
  const { uses, pieces, left } = withActs(
    composition.uses.flatMap((use) => resolveUse(use, measures, specs, acts, techniques) ?? []),
    specs,
    acts,
  );
  const needed = boundMeasures(composition, techniques);
  const read = readTexts(Object.fromEntries(needed.map((each) => [each, MEASURES[each]])), measures, 'mm');
  const measured: Resolved['measured'] = read.ok ? read.value : {};
  const { copies, inHand } = composition;
  const planned = uses.flatMap((each) =>
    each.plan && each.values ? [{ ...each, plan: each.plan, values: each.values }] : [],
  );
  const cuts = planned.flatMap(({ use, plan, values }) =>
    plan.cuts.map((cut): ResolvedCut => ({
      ...withInHand(cut, inHand?.[cutKey(use.id, cut)]),
      count: cut.count * copies,
      use,
      size: values[cut.wire] as WireSize,
      specId: specs[use.wires[cut.wire] ?? ''] ? use.wires[cut.wire] : undefined,
    })),
  );
  const steps = inOrder(
    withStops(
      [...planned.flatMap(({ use, plan }) => stepsOf(use, plan, copies)), ...ownSteps(composition)],
      pieces.flatMap((piece) => piece.rules.filter(({ isStop }) => isStop)),
    ),
    composition.order,
  );
  const rules = [
    ...planned.flatMap(({ use, plan }) =>
      plan.order.map((rule): OrderRule => ({
        ...rule,
        first: keyed(use, rule.first),
        then: keyed(use, rule.then),
      })),
    ),
    // Across techniques: what goes on from another comes after it.
    ...pieces.flatMap((piece) => piece.rules),
  ];
  return {
    measures: needed,
    measuresWrong: read.ok ? {} : read.error,
    measured,
    uses,
    pieces,
    left,
    cuts,
    parts: workParts(
      planned,
      needed.includes('stone') ? (measured['stone'] as StoneSize | undefined) : undefined,
      copies,
    ),
    steps,
    faults: judgeOrder(steps, rules).filter(({ key }) => !composition.overridden.includes(key)),
    minutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
    grams: cuts.reduce((sum, cut) => {
      const spec = specs[cut.specId ?? ''];
      return spec ? sum + (cut.count * netOf(cut) * gramsPerMetre(spec)) / 1000 : sum;
    }, 0),
    complete:
      read.ok &&
      uses.length === composition.uses.length &&
      uses.every(({ plan }) => plan !== undefined) &&
      steps.every(({ wrong }) => wrong === ''),
  };
}
