import { allOf, type Looks } from '@/core/drawing/look';
import { hangingOf, saidHanging } from '@/core/pattern/hangs';
import { materialsOf } from '@/core/pattern/looksOf';
import { middleOf, saidChecks } from '@/core/pattern/pieceChecks';
import { bareOf, endsBehind, reachOf } from '@/core/piece/checks';
import { collisionsOf } from '@/core/piece/collisions';
import { insideBodies } from '@/core/piece/insideBodies';
import { judgeWork } from '@/core/plan/judgePlan';
import { isActed, type ActTechnique } from '@/core/technique/act';
import type { ActUse } from '@/core/technique/joinActs';
import { planActs, type PlannedPiece, type PlannedUse } from '@/core/technique/planActs';
import { readValues } from '@/core/parameter/readValues';
import { minutesOfPlan, type Plan } from '@/core/technique/technique';
import { Refused } from '../kernel/outcome';
import type { CalculatePieceInput, PieceActInput } from './calculate.input';
import { describeCut, describeSteps, exact, techniqueNamed } from './calculateTechnique';

/** An act as a piece uses it. @throws Refused beside what is wrong in it */
function useOf({ id, technique: name, values = {}, takes = {} }: PieceActInput, index: number): ActUse {
  const technique = techniqueNamed(name);
  if (!isActed(technique)) throw wrongIn(index, 'technique', `${name} is done to no piece.`);
  const unknown = Object.keys(takes).find((port) => !Object.hasOwn(technique.ports, port));
  if (unknown !== undefined)
    throw wrongIn(
      index,
      'takes',
      `“${unknown.slice(0, 60)}” was given; ${Object.keys(technique.ports).join(', ')} are allowed.`,
    );
  const read = readValues(technique.parameters, values);
  if (!read.ok) {
    const fields = Object.entries(read.error).map(
      ([field, said]) => [`acts.${index}.values.${field}`, said] as const,
    );
    throw new Refused({
      kind: 'invalid',
      message: Object.values(read.error)[0] ?? '',
      fields: Object.fromEntries(fields),
    });
  }
  return { id, name: technique.title, technique, values: read.value, takes };
}

const wrongIn = (index: number, field: string, said: string): Refused =>
  new Refused({ kind: 'invalid', message: said, fields: { [`acts.${index}.${field}`]: said } });

interface Made extends PlannedUse {
  readonly technique: ActTechnique;
  readonly made: Plan;
}

/**
 * A whole piece, act after act: its wires with the ways they go, its parts, its steps and stops, what is to be said of it, and how it hangs.
 * @throws Refused beside the act that cannot be made
 */
export function calculatePiece({ acts, metal = 'copper', parts = [] }: CalculatePieceInput) {
  const twice = acts.findIndex(({ id }, index) => acts.findIndex((each) => each.id === id) !== index);
  if (twice >= 0) throw wrongIn(twice, 'id', `“${acts[twice]?.id}” was given; another act has it already.`);
  const uses = acts.map(useOf);
  const planned = planActs(uses);
  const made = planned.uses.map((each, index): Made => {
    if (!each.plan.ok) throw wrongIn(index, 'values', each.plan.error);
    return { ...each, technique: (uses[index] as ActUse).technique, made: each.plan.value };
  });
  return {
    pieces: planned.pieces.map((piece) =>
      pieceSaid(piece, made, { ...allOf(metal), materialOf: materialsOf(piece.run.bodies, parts) }),
    ),
    minutes: exact(made.reduce((sum, each) => sum + minutesOfPlan(each.made), 0)),
  };
}

function pieceSaid(piece: PlannedPiece, made: readonly Made[], looks: Looks) {
  const own = made.filter(({ id }) => piece.uses.includes(id));
  const hangs = hangingOf(piece, looks);
  const reach = reachOf(piece.run, middleOf(piece));
  return {
    acts: piece.uses,
    cuts: own.flatMap(({ id, made: plan, values }) =>
      plan.cuts.map((cut) => ({ act: id, ...describeCut(cut, values ?? {}) })),
    ),
    wires: piece.run.wires.map(({ wire, path, cut }) => ({
      name: wire.name,
      widthMm: wire.size.width,
      cutMm: exact(cut),
      lineMm: path.map(({ x, y, z }) => [exact(x), exact(y), exact(z)]),
    })),
    parts: own.flatMap(({ made: plan }) => plan.parts),
    steps: own.flatMap(({ id, made: plan }) =>
      describeSteps(plan).map((step) => ({ ...step, id: `${id}.${step.id}` })),
    ),
    order: [
      ...own.flatMap(({ id, made: plan }) =>
        plan.order.map(({ first, then, why }) => ({ first: `${id}.${first}`, then: `${id}.${then}`, why })),
      ),
      ...piece.rules.map(({ first, then, why }) => ({ first, then, why })),
    ],
    checks: {
      collisions: collisionsOf(piece.run).map(({ wires, depth, at }) => ({
        wires,
        depthMm: exact(depth),
        atMm: [exact(at.x), exact(at.y), exact(at.z)],
      })),
      insideBodies: insideBodies(piece.run).map(({ wire, body, depth }) => ({
        wire,
        body,
        depthMm: exact(depth),
      })),
      bare: bareOf(piece.run).map(({ body, face, back }) => ({ body, face: exact(face), back: exact(back) })),
      reachMm: { left: exact(reach.left), right: exact(reach.right) },
      endsBehind: endsBehind(piece.run).map(({ wire, at }) => ({
        wire,
        atMm: [exact(at.x), exact(at.y), exact(at.z)],
      })),
      said: saidChecks(piece),
    },
    judgements: own.flatMap(({ technique, values, made: plan }) => judgeWork(technique, values ?? {}, plan)),
    balance: hangs
      ? {
          centreMm: [exact(hangs.middle.x), exact(hangs.middle.y), exact(hangs.middle.z)],
          wireG: exact(hangs.wireGrams),
          stonesG: exact(hangs.bodyGrams),
          frontDegrees: exact(hangs.front),
          sideDegrees: exact(hangs.side),
          said: saidHanging(hangs),
        }
      : null,
  };
}
