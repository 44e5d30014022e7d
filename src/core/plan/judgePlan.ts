import { outlineOf } from '../stone/outlineOf';
import type { StoneSize } from '../stone/stoneSize';
import type { WireSize } from '../wire/wireSize';
import type { Stands } from '../techniqueKit/standing';
import type { Plan, AnyTechnique } from '../technique/technique';
import type { Caution } from '../technique/cautions';
import type { Finish, MetalId, Temper } from '../wire/metal';
import { judgeFinish, type Act } from '../judgement/finishes';
import { judgeFrameWires } from '../judgement/frameWires';
import { judgeHole, throughHole } from '../judgement/holes';
import { judgeHolds } from '../judgement/holds';
import type { Judgement } from '../judgement/judgement';
import { judgeOrder } from '../judgement/order';
import { judgeWire } from '../judgement/judgeWire';

/** How a stone stands whose own top is below. */
const UPSIDE_DOWN: Stands = 'tip down';

/** What is known of a wire besides its size. */
export interface KnownWire {
  readonly metal?: MetalId;
  readonly temper?: Temper;
  readonly finish?: Finish;
}

const ACT_OF: Partial<Record<Caution, Act>> = {
  hammering: 'hammering',
  antiquing: 'antiquing',
  filing: 'filing',
};

/** What a plan does to its wires that a finish may forbid. */
const actsOf = ({ steps, cuts }: Plan): Act[] => {
  const acts = steps.flatMap(({ cautions = [] }) => cautions.flatMap((each) => ACT_OF[each] ?? []));
  return [...new Set([...acts, ...(cuts.some(({ marks }) => marks.length > 0) ? ['marking' as const] : [])])];
};

/**
 * What the trade has to say about a technique as it is planned, whatever the order of its steps: its wires, their finish, how
 * many hold the edge, and where the stone stands open.
 * @param known what is known of the wire of each wire parameter
 * @param more things done to the piece besides, such as antiquing
 */
export function judgeWork(
  { parameters }: AnyTechnique,
  values: Readonly<Record<string, unknown>>,
  plan: Plan,
  known: Readonly<Record<string, KnownWire>> = {},
  more: readonly Act[] = [],
): Judgement[] {
  const judgements: Judgement[] = [];
  const acts = [...actsOf(plan), ...more];
  for (const [key, parameter] of Object.entries(parameters)) {
    if (parameter.kind !== 'wire') continue;
    const { metal, temper, finish } = known[key] ?? {};
    judgements.push(...judgeWire(parameter.use, { size: values[key] as WireSize, metal, temper }, key));
    if (metal && finish) judgements.push(...judgeFinish({ metal, finish }, acts, key));
  }
  const stone = parameters.stone?.kind === 'stone' ? (values.stone as StoneSize) : undefined;
  if (plan.stacked) {
    const { wires, thick, edge, about } = plan.stacked;
    judgements.push(...judgeFrameWires(wires, thick, edge, about));
  }
  if (stone && plan.holds.length > 0) {
    const outline = outlineOf(stone);
    if (outline.ok)
      judgements.push(
        ...judgeHolds(outline.value, plan.holds, 'stone', values['stands'] === UPSIDE_DOWN ? 180 : 0),
      );
  }
  if (parameters['drilled'] && parameters['wire']?.kind === 'wire')
    judgements.push(
      ...judgeHole(
        throughHole(values['wire'] as WireSize),
        values['drilled'] as number,
        values['through'] === 'twice' ? 2 : 1,
        'drilled',
      ),
    );
  return [...judgements, ...(plan.advice ?? [])];
}

/** Everything that the trade has to say about a technique as it is planned: its work, and the order of its steps. */
export const judgePlan = (...of: Parameters<typeof judgeWork>): Judgement[] => [
  ...judgeWork(...of),
  ...judgeOrder(of[2].steps, of[2].order),
];
