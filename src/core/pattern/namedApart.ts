import { refsOf } from '../technique/refs';
import type { ResolvedUse } from './resolve';

/** A use as far as what it is called: its name, and what it takes up of what was there. */
export interface NamedUse extends Pick<ResolvedUse, 'offered'> {
  readonly use: Pick<ResolvedUse['use'], 'id' | 'name' | 'takes'>;
}

/** A technique by its name and what it takes up. */
function withTaken({ use, offered }: NamedUse): string {
  const takes = refsOf(use.takes);
  const labels = offered.filter(({ ref }) => takes.includes(ref)).map(({ label }) => label);
  return labels.length > 0 ? `${use.name}: ${labels.join(', ')}` : use.name;
}

/** What a technique is called in its pattern; where others are called the same, with what it takes up, and with its place where that is the same too. */
export function namedApart(named: NamedUse, uses: readonly NamedUse[]): string {
  const alike = uses.filter(({ use }) => use.name === named.use.name);
  if (alike.length < 2) return named.use.name;
  const said = withTaken(named);
  const same = alike.filter((each) => withTaken(each) === said);
  const place = same.findIndex(({ use }) => use.id === named.use.id) + 1;
  return same.length < 2 ? said : `${said}, ${place}`;
}
