import type { ActUse } from '../technique/joinActs';
import { planActs } from '../technique/planActs';
import { askedFor, reachedBy, type Asked } from './reach';
import { cutOf } from '../technique/technique';

/** What a technique would do less of, so that a wire is long enough. */
export interface Instead {
  /** The id of the use, and what it is called in its piece. */
  readonly use: string;
  readonly name: string;
  readonly key: string;
  readonly parameter: Asked['parameter'];
  /** What it would be, and what it is; mm, or a count. */
  readonly value: number;
  readonly was: number;
  /** What is cut of the wire then, mm. */
  readonly cut: number;
}

/** A wire of a piece, by the use that brings it in and the name of its cut. */
export interface CutOfPiece {
  readonly use: string;
  readonly name: string;
}

/** What may be changed of a use: its parameters, and the uses that are alike to it and change with it. */
export interface Changeable {
  readonly keys: readonly string[];
  readonly alike: readonly string[];
}

/** Needs that differ by less are one, mm. */
const SAME = 0.01;
/** What a length is changed by to see whether the wire depends on it, mm. */
const TRIED = 0.5;
/** Parts of a measure that are tried as well: what is made in whole turns takes no less wire for a little less of it. */
const PARTS = [0.9, 0.75, 0.5];

/**
 * What a piece could do with a wire that is shorter than it takes: one after the other each measure of its techniques that the wire depends on, as
 * large as it is enough for with all else as it is.
 * @param uses of the piece, in the order of the work
 * @param length of the wire, with its tails, mm
 * @param changeable what may be changed of a use, by its id
 * @returns undefined for a measure that does not help: whoever works it out can rest after each
 */
export function* insteadOf(
  uses: readonly ActUse[],
  { use: from, name: wire }: CutOfPiece,
  length: number,
  changeable: (id: string) => Changeable,
): Generator<Instead | undefined, void> {
  for (const { id, name, technique, values } of uses) {
    if (!values) continue;
    const { keys, alike } = changeable(id);
    const changes = new Set([id, ...alike]);
    for (const { key, parameter } of askedFor(technique)) {
      const was = values[key] as number;
      if (!keys.includes(key)) continue;
      const needOf = (value: number): number => {
        const planned = planActs(
          uses.map((each) =>
            changes.has(each.id) && each.values
              ? { ...each, values: { ...each.values, [key]: value } }
              : each,
          ),
        );
        if (planned.uses.some(({ plan }) => !plan.ok)) return Infinity;
        const made = planned.uses.find((each) => each.id === from)?.plan;
        const cuts = made?.ok ? made.value.cuts.filter((cut) => cut.name === wire) : [];
        return cuts.length > 0 ? Math.max(...cuts.map(cutOf)) : Infinity;
      };
      const least = parameter.kind === 'count' ? 1 : TRIED;
      const step = (value: number) => (parameter.kind === 'count' ? Math.floor(value) : value);
      const now = needOf(was);
      const helps = [was - least, ...PARTS.map((part) => step(was * part))].some(
        (less) => less < was && less >= parameter.from && needOf(less) < now - SAME,
      );
      // Only less of it is looked for: nothing above what it is need be tried.
      const reached = helps ? reachedBy({ ...parameter, to: was }, was, needOf, length) : undefined;
      yield reached?.ok && reached.value.value < was
        ? { use: id, name, key, parameter, was, value: reached.value.value, cut: reached.value.cut }
        : undefined;
    }
  }
}
