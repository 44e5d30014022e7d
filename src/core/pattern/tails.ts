import { um, type Micrometres } from '../units/length';

/** Allowances that are trimmed off again and are still wire: what is held, at one end or at both. What is filed or flattened is gone. */
const TWO_ENDS = /\btails\b|\bheld at the ends\b/i;
const ONE_END = /\btail\b|\bheld and trimmed\b/i;
/** These hold more than what is trimmed, so nobody can say how much of them comes back. */
const MORE_THAN_TAILS = /\boverlap\b/i;

/** The pieces of wire that a cut gives back when it is trimmed, as its allowances are called; those of both ends are halves. */
export const tailsOf = ({
  allowances,
}: {
  readonly allowances: readonly { readonly name: string; readonly length: Micrometres }[];
}): Micrometres[] =>
  allowances.flatMap(({ name, length }) => {
    if (MORE_THAN_TAILS.test(name)) return [];
    if (TWO_ENDS.test(name)) return [um(Math.floor(length / 2)), um(Math.floor(length / 2))];
    return ONE_END.test(name) ? [length] : [];
  });
