import { tag } from '@/core/tag';
import type { Tx } from '@/data/inStudio';
import type { HeldStock } from '../ledger/posting';
import { lockOne } from '../stock/takeOut';
import { specsById, type KnownSpec } from '../catalogue/wireSpecs';

/** A wire, locked, with what it is. @throws Refused when it is not there, or used up */
export async function lockWire(
  tx: Tx,
  number: number,
): Promise<{ readonly wire: HeldStock; readonly spec: KnownSpec }> {
  const wire = await lockOne(tx, 'wire', number);
  const spec = (await specsById(tx, [wire.articleId])).get(wire.articleId);
  if (!spec) throw new Error(`the spec of ${tag('wire', number)} vanished`);
  return { wire, spec };
}
