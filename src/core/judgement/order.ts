import type { OrderRule } from '../technique/technique';
import type { Judgement } from './judgement';

/** A step as the order check sees it. */
export interface OrderedStep {
  readonly id: string;
  readonly name: string;
}

/**
 * Steps that come too late: what must have happened before something closes. A rule whose steps are not both there judges
 * nothing. An order fault must be overridden by name: forgetting it costs the piece.
 */
export function judgeOrder(steps: readonly OrderedStep[], rules: readonly OrderRule[]): Judgement[] {
  const at = new Map(steps.map(({ id }, index) => [id, index]));
  return rules.flatMap(({ first, then, why }) => {
    const [before, after] = [at.get(first), at.get(then)];
    if (before === undefined || after === undefined || before < after) return [];
    const name = (index: number) => steps[index]?.name ?? '';
    return [
      {
        weight: 'fault' as const,
        about: first,
        said: `“${name(before)}” comes after “${name(after)}”.`,
        why: why.replace(/^./, (letter) => letter.toUpperCase()) + '.',
        mend: `Move it before “${name(after)}”.`,
      },
    ];
  });
}
