import { fault, type Judgement } from './judgement';

/** Something that must have happened before something closes, or the piece is lost. */
export interface OrderRule {
  readonly first: string;
  readonly then: string;
  readonly why: string;
}

/** A step as the order check sees it. */
export interface OrderedStep {
  readonly id: string;
  readonly name: string;
}

/** A step that comes too late for another; `about` is the late one. */
export interface OrderFault extends Judgement {
  /** What it is overridden by: the rule, not the step, so that overriding one hides no other. */
  readonly key: string;
  /** The step that it comes too late for, by name. */
  readonly late: string;
}

/** The key of a rule: “first < then”, as the steps ought to stand. */
export const ruleKey = ({ first, then }: Pick<OrderRule, 'first' | 'then'>): string => `${first} < ${then}`;

/**
 * Steps that come too late: what must have happened before something closes. A rule whose steps are not both there judges
 * nothing. An order fault must be overridden by name: forgetting it costs the piece.
 */
export function judgeOrder(steps: readonly OrderedStep[], rules: readonly OrderRule[]): OrderFault[] {
  const at = new Map(steps.map(({ id }, index) => [id, index]));
  return rules.flatMap((rule) => {
    const [before, after] = [at.get(rule.first), at.get(rule.then)];
    if (before === undefined || after === undefined || before < after) return [];
    const name = (index: number) => steps[index]?.name ?? '';
    return [
      {
        ...fault(
          rule.first,
          `“${name(before)}” comes after “${name(after)}”.`,
          asSentence(rule.why),
          `Move it before “${name(after)}”.`,
        ),
        key: ruleKey(rule),
        late: name(after),
      },
    ];
  });
}

/** The hard stops at a step: what must have happened before it, each as a sentence with its reason. */
export const stopsAt = (
  id: string,
  steps: readonly OrderedStep[],
  rules: readonly OrderRule[],
): readonly string[] =>
  rules.flatMap(({ first, then, why }) => {
    const before = steps.find((step) => step.id === first);
    return then === id && before ? [`Not before “${before.name}”. ${asSentence(why)}`] : [];
  });

const asSentence = (why: string): string => `${why.replace(/^./, (letter) => letter.toUpperCase())}.`;
