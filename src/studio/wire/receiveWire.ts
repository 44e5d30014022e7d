import { formatMass, ug } from '@/core/units/mass';
import { lengthOfMass } from '@/core/wire/mass';
import { specKey } from '@/core/wire/spec';
import type { Tx } from '@/data/inStudio';
import type { ValuesOf } from '../kernel/typed';
import { invalid } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { readPurchase, takeIn, type Goods } from '../stock/takeIn';
import { ReceiveWireInput, type WireFields } from './receiveWire.input';
import { specOf } from './specOf';
import { ensureSpec } from '../catalogue/wireSpecs';

/** The new spool's number. */
export interface Received {
  readonly number: number;
}

/** Takes in a spool, coil or bobbin: its purchase, its stock piece with the whole cost on it, and the movement. */
export const receiveWire = posts(
  'receiveWire',
  { input: ReceiveWireInput, by: 'owner' },
  async ({ tx, postKey }, input) => {
    const goods = await wireGoods(tx, input);
    const { number } = await takeIn(tx, postKey, goods, await readPurchase(tx, input));
    return { number };
  },
);

/**
 * The wire that came in, with its spec, which is made when it is not known yet.
 * @throws Refused when it weighs no length worth keeping
 */
export async function wireGoods(tx: Tx, input: ValuesOf<WireFields>): Promise<Goods> {
  const described = specOf(input);
  const spec = await ensureSpec(tx, described);
  const { mass, form } = input;
  const length = input.length ?? lengthOfMass(spec, mass ?? ug(0));
  if (length === 0)
    throw invalid('mass', `${formatMass(mass ?? ug(0))} of this wire is no length worth keeping.`);
  return {
    ware: 'wire',
    articleId: spec.id,
    sortKey: specKey(spec),
    form,
    quantity: length,
    mass,
    // The label as bought, which need not be the one the spec is known by.
    label: described.label,
  };
}
