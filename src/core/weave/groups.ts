import { ok, refuse, type Result } from '../result';
import { parseWeave, type Weave } from './notation';

/** A group of a weave as programs write it: `{wires: ["A", "B"], wraps: 2}` is AB2. */
export interface WrittenGroup {
  readonly wires: readonly string[];
  readonly wraps: number;
}

/** Reads a weave from its groups, by writing it down first. @returns a sentence that names the group when one is none */
export function weaveOfGroups(groups: readonly WrittenGroup[]): Result<Weave> {
  const written: string[] = [];
  for (const [index, { wires, wraps }] of groups.entries()) {
    const group = `${wires.join('')}${wraps}`;
    const alone = parseWeave(group);
    if (!alone.ok) return refuse(`Group ${index + 1}: ${alone.error.message}`);
    written.push(group);
  }
  const read = parseWeave(written.join(' '));
  return read.ok ? ok(read.value) : refuse(read.error.message);
}
