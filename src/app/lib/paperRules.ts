import type { PaperRules } from '@/core/paper/sheet';
import type { Member } from '@/studio/people/signIn';

/** How the studio of a person has its papers. */
export const paperRulesOf = ({ sheet, lengthSystem, numbers }: Member): PaperRules => ({
  sheet,
  first: lengthSystem,
  numbers,
});
