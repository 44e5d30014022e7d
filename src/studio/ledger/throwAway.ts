import type { Id } from '@/core/id';
import { um } from '@/core/units/length';
import type { CostUnits } from '@/core/units/money';
import { massOfLength } from '@/core/wire/mass';
import type { WireSpec } from '@/core/wire/spec';
import type { Posting } from './posting';

/** Why a rest that nobody keeps is scrapped. */
export const TOO_SHORT = 'too short to keep';

/** Lets a length of wire fall into its metal’s jar, with what it cost. @returns that cost */
export async function throwAway(
  posting: Posting,
  { id, spec }: { readonly id: Id<'stock piece'>; readonly spec: WireSpec },
  kind: 'scrapped' | 'spoiled',
  length: number,
  reason: string,
): Promise<CostUnits> {
  const share = posting.take(id, kind, length, { reason });
  await posting.toJar(spec.metal, massOfLength(spec, um(length)), share, reason);
  return share;
}
