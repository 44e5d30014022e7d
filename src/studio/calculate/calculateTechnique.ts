import { CAUTIONS } from '@/core/technique/cautions';
import { judgePlan } from '@/core/plan/judgePlan';
import type { WireSize } from '@/core/wire/wireSize';
import { readValues, type Values } from '@/core/parameter/readValues';
import { techniqueOf, TECHNIQUES } from '@/core/techniques/registry';
import {
  cutOf,
  minutesOfPlan,
  type AnyTechnique,
  type Plan,
  type PlannedCut,
} from '@/core/technique/technique';
import { mm } from '@/core/units/length';
import { formatGauge, identifyGauge } from '@/core/wire/gauge';
import { Refused, refused } from '../kernel/outcome';

/** Answers in mm and g to the nanometre: nobody means the noise behind it. */
export const exact = (value: number): number => Number(value.toFixed(6));

function describeWire({ profile, width, height }: WireSize) {
  const [label] = identifyGauge(mm(width)).candidates;
  return {
    profile,
    widthMm: exact(width),
    heightMm: exact(height),
    label: label ? formatGauge(label) : `${width} mm`,
  };
}

/** A cut as it is answered. */
export const describeCut = (cut: PlannedCut, values: Values) => ({
  name: cut.name,
  spec: describeWire(values[cut.wire] as WireSize),
  count: cut.count,
  lengthMm: exact(cutOf(cut)),
  terms: cut.terms.map(({ name, length, kind }) => ({ name, lengthMm: exact(length), kind })),
  marks: cut.marks.map(({ at, what }) => ({ atMm: exact(at), what })),
});

/** Steps as they are answered. */
export const describeSteps = ({ steps }: Pick<Plan, 'steps'>) =>
  steps.map(({ id, name, minutes, cautions = [] }) => ({
    id,
    name,
    minutes: exact(minutes),
    cautions: cautions.map((each) => CAUTIONS[each]),
  }));

/** The technique of an id. @throws Refused naming those there are */
export function techniqueNamed(id: string): AnyTechnique {
  const found = techniqueOf(id);
  if (found) return found;
  throw refused(
    `There is no technique “${id.slice(0, 60)}”; there are ${TECHNIQUES.map((each) => each.id).join(', ')}.`,
  );
}

/**
 * Everything a technique comes to for its parameters: cuts with their terms and marks, steps, what must come before what, and what
 * the trade has to say.
 * @throws Refused beside each wrong parameter
 */
export function calculateTechnique(id: string, plain: unknown) {
  const technique = techniqueNamed(id);
  const read = readValues(technique.parameters, plain);
  if (!read.ok) {
    const [first] = Object.values(read.error);
    throw new Refused({ kind: 'invalid', message: first ?? '', fields: read.error });
  }
  const planned = technique.plan(read.value as never);
  if (!planned.ok) throw new Refused({ kind: 'invalid', message: planned.error });
  const plan = planned.value;
  return {
    technique: id,
    title: technique.title,
    source: technique.source,
    cuts: plan.cuts.map((cut) => describeCut(cut, read.value)),
    minutes: exact(minutesOfPlan(plan)),
    steps: describeSteps(plan),
    order: plan.order,
    parts: plan.parts,
    notes: plan.notes,
    judgements: judgePlan(technique, read.value, plan),
  };
}
