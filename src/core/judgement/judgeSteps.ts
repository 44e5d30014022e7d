import type { WireSpec } from '../wire/spec';
import { describeSpec } from '../wire/spec';
import { judgeFinish, type Act } from './finishes';
import type { Judgement } from './judgement';

/** What makers call what they do to a wire, when they write the steps of a pattern by hand. */
const CALLED: Readonly<Record<Exclude<Act, 'marking'>, RegExp>> = {
  antiquing: /\bantiqu|\bpatina|\boxidi[sz]|\bdarken/i,
  hammering: /\bhammer|\bplanish|\bwork[- ]harden/i,
  filing: /\bfil(e|ed|ing)\b/i,
};

/** What steps that were written by hand do to the wires of the piece, as far as their names say. */
export const actsCalled = (steps: readonly { readonly name: string }[]): Act[] =>
  (Object.keys(CALLED) as (keyof typeof CALLED)[]).filter((act) =>
    steps.some(({ name }) => CALLED[act].test(name)),
  );

/** What the trade has to say of steps that were written by hand, for each wire that the piece is made of. */
export function judgeSteps(
  steps: readonly { readonly name: string }[],
  specs: readonly WireSpec[],
): Judgement[] {
  const acts = actsCalled(steps);
  return specs.flatMap((spec) => judgeFinish(spec, acts, describeSpec(spec)));
}
