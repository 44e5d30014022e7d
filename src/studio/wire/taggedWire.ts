import { numberOnTag, tag } from '@/core/tag';
import type { Tx } from '@/data/inStudio';
import { invalid } from '../kernel/outcome';
import type { HeldStock } from '../ledger/posting';
import { lockOne } from '../stock/takeOut';
import { specsById, type KnownSpec } from '../catalogue/wireSpecs';

/**
 * The wire whose tag was typed, locked, with what it is.
 * @throws Refused beside the field when it is no tag of wire, or when the wire is used up
 */
export async function lockTagged(
  tx: Tx,
  field: string,
  text: string,
): Promise<{ readonly wire: HeldStock; readonly spec: KnownSpec }> {
  const number = numberOnTag('wire', text);
  if (number === undefined)
    throw invalid(field, `“${text}” is not a tag of wire; write it like ${tag('wire', 42)}.`);
  const wire = await lockOne(tx, 'wire', number);
  const spec = (await specsById(tx, [wire.articleId])).get(wire.articleId);
  if (!spec) throw new Error(`the spec of ${tag('wire', number)} vanished`);
  return { wire, spec };
}
