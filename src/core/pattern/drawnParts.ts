import { cutFromParts } from '../technique/wireState';
import type { PlannedPiece } from '../technique/planActs';
import { takesWire, type Plan } from '../technique/technique';
import type { Resolved, ResolvedUse } from './resolve';

/** What of a pattern is drawn as one: a piece that techniques make together, or what a technique makes by itself. */
export interface DrawnPart {
  /** The id of its first use. */
  readonly id: string;
  readonly name: string;
  readonly uses: readonly ResolvedUse[];
  /** What it is drawn by. */
  readonly plan: Plan;
  /** The piece that it is, when techniques go on from one another in it. */
  readonly piece: PlannedPiece | undefined;
}

/** Whether a part is a ring, whose head is seen from above. */
export const isRing = ({ uses }: Pick<DrawnPart, 'uses'>): boolean =>
  uses.some(({ technique }) => technique.group === 'rings');

/** The pictures of a resolved pattern, in the order of its techniques. */
export function drawnParts({ uses, pieces }: Pick<Resolved, 'uses' | 'pieces'>): readonly DrawnPart[] {
  const drawn = new Set<string>();
  return uses.flatMap(({ use, technique, plan }) => {
    if (drawn.has(use.id) || !plan || !takesWire(technique)) return [];
    const piece = pieces.find((each) => each.uses.includes(use.id));
    const together = piece?.uses ?? [use.id];
    const all = uses.filter((each) => together.includes(each.use.id));
    for (const id of together) drawn.add(id);
    return [
      {
        id: use.id,
        name: [...new Set(all.map((each) => each.use.name))].join(', '),
        uses: all,
        plan,
        piece,
      },
    ];
  });
}

/** The spec that a drawn wire of a part is cut from, by what it is drawn as; undefined until one is chosen. */
export function specIdOf({ uses }: Pick<DrawnPart, 'uses'>, wire: string): string | undefined {
  const { use, parameter } = cutFromParts(wire);
  const of = use === undefined ? uses[0] : uses.find((each) => each.use.id === use);
  return of?.use.wires[parameter];
}
