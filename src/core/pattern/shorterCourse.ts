import { insteadOf } from '../plan/insteadOf';
import { cutOf, netOf } from '../technique/technique';
import { um, type LengthSystem, type Micrometres } from '../units/length';
import { textsOf } from '../parameter/readTexts';
import { withUse } from './changes';
import type { Composition } from './composition';
import type { AtHand } from './goneOn';
import { resolve, type Resolved, type ResolvedCut } from './resolve';
import { pullableIn, usesOfPiece } from './toShape';

/** Nobody cuts finer, mm. */
const MATTERS = 1;

/** What a piece can do with a wire that was cut too short: one measure of a technique that is less than planned. */
export interface ShorterCourse {
  /** What the technique is called in its pattern. */
  readonly name: string;
  /** What is less of it, as its field is called. */
  readonly label: string;
  readonly kind: 'count' | 'length';
  /** What it would be, and what is planned; mm, or a count. */
  readonly value: number;
  readonly was: number;
  /** What the wire takes then with its ends, mm. */
  readonly cut: number;
  /** Other wires that are cut longer or shorter with it, mm. */
  readonly others: readonly { readonly name: string; readonly cut: number; readonly was: number }[];
}

/** What can be made of a wire that is too short. */
export interface ShortWire {
  /** What of it stays in the piece as planned. */
  readonly stays: Micrometres;
  readonly courses: readonly ShorterCourse[];
}

/** A wire that was cut too short. */
export interface ShortCut {
  /** Which of the cuts of its pattern. */
  readonly cutIndex: number;
  /** How long it is, mm. */
  readonly length: number;
  /** What lengths are typed in where it is made. */
  readonly system: LengthSystem;
}

/**
 * What can be made of a wire of a composition that was cut too short: how much of it stays in the piece as planned, and each measure that could be
 * less so that it is long enough with its ends, with what changes of other wires then.
 * @returns null when the composition has no such cut
 */
export function shorterCourses(
  composition: Composition,
  { specs, techniques }: AtHand,
  { cutIndex, length, system }: ShortCut,
): ShortWire | null {
  const resolved = resolve(composition, specs, techniques);
  const cut = resolved.cuts.filter(({ specId }) => specId !== undefined)[cutIndex];
  if (!cut) return null;
  const { use, name } = cut;
  const alikeOf = (id: string) =>
    resolved.uses.flatMap((each) => (each.use.mirrors === id ? [each.use.id] : []));
  const courses: ShorterCourse[] = [];
  for (const found of insteadOf(usesOfPiece(resolved, use.id), { use: use.id, name }, length, (id) => ({
    keys: pullableIn(resolved, id),
    alike: alikeOf(id),
  }))) {
    if (found) {
      const { key, parameter, value } = found;
      const text = textsOf({ [key]: parameter }, { [key]: value }, system);
      const changed = [found.use, ...alikeOf(found.use)].reduce((whole, id) => {
        const texts = whole.uses.find((each) => each.id === id)?.texts;
        return texts ? withUse(whole, id, { texts: { ...texts, ...text } }) : whole;
      }, composition);
      const after = resolve(changed, specs, techniques);
      // With other wires it is another piece.
      if (wiresOf(after) !== wiresOf(resolved)) continue;
      courses.push({
        name: found.name,
        label: parameter.label,
        kind: parameter.kind,
        value,
        was: found.was,
        cut: found.cut,
        others: otherwiseCut(resolved.cuts, after.cuts).flatMap(({ of, ...each }) =>
          of === cut ? [] : [each],
        ),
      });
    }
  }
  return { stays: um(Math.round(netOf(cut) * 1000)), courses };
}

const wiresOf = ({ cuts }: Pick<Resolved, 'cuts'>): string =>
  cuts.map(({ use, name }) => `${use.id}.${name}`).join();

/** The cuts of a composition that are another length after a change. */
const otherwiseCut = (before: readonly ResolvedCut[], after: readonly ResolvedCut[]) =>
  before.flatMap((of) => {
    const then = after.find(({ use, name }) => use.id === of.use.id && name === of.name);
    const [was, cut] = [cutOf(of), then ? cutOf(then) : 0];
    return Math.abs(was - cut) < MATTERS ? [] : [{ of, name: `${of.use.name}: ${of.name}`, cut, was }];
  });
