import { expectOk, type Result } from '@/core/result';
import type { ValuesOf } from '@/core/parameter/parameter';
import type { WireSize } from '@/core/wire/wireSize';
import { initialValues, roundWire } from '@/core/parameter/parameter';
import { techniqueOf } from '@/core/techniques/registry';
import type { Plan, PlannedCut, AnyTechnique } from '@/core/technique/technique';
import { gaugeSize } from '@/core/wire/gauge';

/** Values of some of a technique's parameters; the others are as they are proposed. */
export type Values = Record<string, unknown>;

/** Round wire of an AWG number (ASTM B258). */
export const ga = (number: number): WireSize =>
  roundWire(expectOk(gaugeSize({ system: 'AWG', number: String(number) })) / 1000);

/** The technique of an id. */
export function named(id: string): AnyTechnique {
  const found = techniqueOf(id);
  if (!found) throw new Error(`${id} is no technique`);
  return found;
}

/** All values of a technique, some of them given. */
export const valuesOf = (technique: AnyTechnique, values: Values): ValuesOf<AnyTechnique['parameters']> =>
  ({ ...initialValues(technique.parameters), ...values }) as ValuesOf<AnyTechnique['parameters']>;

/** What a technique comes to, or why it cannot be made. */
export const planFor = (technique: AnyTechnique, values: Values): Result<Plan> =>
  technique.plan(valuesOf(technique, values));

/** What a technique comes to. */
export const planOf = (id: string, values: Values = {}): Plan => expectOk(planFor(named(id), values));

/** A cut of a plan by its name. */
export function cutNamed({ cuts }: Plan, name: string): PlannedCut {
  const cut = cuts.find((each) => each.name === name);
  if (!cut) throw new Error(`no ${name} among ${cuts.map((each) => each.name).join(', ')}`);
  return cut;
}

/** Why a technique cannot be made so. */
export function refusalOf(id: string, values: Values): string {
  const result = planFor(named(id), values);
  if (result.ok) throw new Error(`${id} can be made so`);
  return result.error;
}
