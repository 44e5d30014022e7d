import { partKey } from '../part/partKey';
import { sizedName, standsFor } from '../part/wantedPart';
import type { PatternPart } from './pattern';
import type { WorkPart } from './workParts';

/** What the work wants that no part added by hand stands for: by the same name, or as {@link standsFor} says. */
export const partsLeft = (work: readonly WorkPart[], own: readonly Pick<WorkPart, 'name'>[]): WorkPart[] =>
  work.filter(
    ({ name }) => !own.some((part) => partKey(part.name) === partKey(name) || standsFor(part.name, name)),
  );

/** What a part added by hand is called: with the size of what the work wants, where it stands for that and says none. */
export function nameInSize(typed: string, work: readonly WorkPart[]): string {
  const wanted = work.find(({ name }) => standsFor(typed, name));
  return wanted ? sizedName(typed, wanted.name) : typed;
}

function sized({ typedName, ...part }: PatternPart, work: readonly WorkPart[]): PatternPart {
  const typed = typedName ?? part.name;
  const name = nameInSize(typed, work);
  return name === typed ? { ...part, name } : { ...part, name, typedName: typed };
}

/** All parts of a pattern: those added by hand, then what the work wants besides; what that costs, the drawers say. */
export function allParts(work: readonly WorkPart[], added: readonly PatternPart[]): PatternPart[] {
  const own = added.map((part) => sized(part, work));
  const left = partsLeft(work, own).map(({ name, count }): PatternPart => ({
    name,
    count,
    unitCost: null,
    ofWork: true,
  }));
  return [...own, ...left];
}
