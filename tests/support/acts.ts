import { initialValues } from '@/core/parameter/parameter';
import type { ActUse } from '@/core/technique/joinActs';
import type { ChosenPorts } from '@/core/technique/refs';
import { isActed } from '@/core/technique/act';
import { planActs, type PlannedPiece } from '@/core/technique/planActs';
import { expectOk } from '@/core/result';
import type { Plan, PlannedCut } from '@/core/technique/technique';
import { named, type Values } from './techniques';

/** A technique of a piece: its id there, what it is, what differs from what it proposes, and what it takes up. */
export type Told = readonly [id: string, technique: string, values?: Values, takes?: ChosenPorts];

/** Techniques as a piece uses them. */
export const usesOf = (told: readonly Told[]): ActUse[] =>
  told.map(([id, technique, values = {}, takes = {}]) => {
    const found = named(technique);
    if (!isActed(found)) throw new Error(`${technique} goes on from nothing`);
    return {
      id,
      name: found.title,
      technique: found,
      values: { ...initialValues(found.parameters), ...values },
      takes,
    };
  });

/** Techniques that make one piece: the piece, its cuts, and the plan of each. */
export interface MadePiece extends PlannedPiece {
  readonly cuts: readonly PlannedCut[];
  readonly plans: Readonly<Record<string, Plan>>;
}

/** @throws when one of them cannot be made, or they make several pieces */
export function pieceOf(told: readonly Told[]): MadePiece {
  const planned = planActs(usesOf(told));
  const plans = Object.fromEntries(planned.uses.map(({ id, plan }) => [id, expectOk(plan)]));
  const [piece, ...others] = planned.pieces;
  if (!piece || others.length > 0) throw new Error(`they make ${planned.pieces.length} pieces`);
  return { ...piece, plans, cuts: Object.values(plans).flatMap(({ cuts }) => cuts) };
}

/** Why a technique of a piece cannot be made. */
export function refusalIn(told: readonly Told[], id: string): string {
  const made = planActs(usesOf(told)).uses.find((use) => use.id === id)?.plan;
  if (made?.ok !== false) throw new Error(`${id} can be made`);
  return made.error;
}

/** What the terms of a cut are called. */
export const termsOf = ({ terms }: PlannedCut): readonly string[] => terms.map(({ name }) => name);
