import { expectOk } from '@/core/result';
import type { WireForm } from '@/core/stock/ware';
import { parseLength } from '@/core/units/length';
import { parseMass } from '@/core/units/mass';
import { lengthOfMass } from '@/core/wire/mass';
import { specKey } from '@/core/wire/spec';
import type { Tx } from '@/data/inStudio';
import { readInput } from '../kernel/readInput';
import { invalid, type Outcome } from '../kernel/outcome';
import { ownerOnly, post, type StudioSession } from '../kernel/useCase';
import { readPurchase, takeIn, type Goods } from '../stock/takeIn';
import { ReceiveWireInput, type WireFields } from './receiveWire.input';
import { specFromInput } from './specFromInput';
import { ensureSpec } from '../catalogue/wireSpecs';

/** The new spool's number. */
export interface Received {
  readonly number: number;
}

/** Takes in a spool, coil or bobbin: its purchase, its stock piece with the whole cost on it, and the movement. */
export function receiveWire(
  session: StudioSession,
  postKey: string,
  plain: unknown,
): Promise<Outcome<Received>> {
  const prepare = () => {
    ownerOnly(session);
    return readInput(ReceiveWireInput, plain);
  };
  return post(session, 'receiveWire', postKey, prepare, async (tx, input) => {
    const goods = await wireGoods(tx, input);
    const { number } = await takeIn(tx, postKey, goods, await readPurchase(tx, input));
    return { number };
  });
}

/**
 * The wire that came in, with its spec, which is made when it is not known yet.
 * @throws Refused when it weighs no length worth keeping
 */
export async function wireGoods(tx: Tx, input: WireFields): Promise<Goods> {
  const described = specFromInput(input);
  if (!described) throw invalid('gaugeNumber', `“${input.gaugeNumber}” is not a size.`);
  const spec = await ensureSpec(tx, described);
  const mass = input.mass === '' ? null : expectOk(parseMass(input.mass));
  const length =
    input.length === '' && mass !== null ? lengthOfMass(spec, mass) : expectOk(parseLength(input.length));
  if (length === 0) throw invalid('mass', `“${input.mass}” of this wire is no length worth keeping.`);
  return {
    ware: 'wire',
    articleId: spec.id,
    sortKey: specKey(spec),
    form: input.form as WireForm,
    quantity: length,
    mass,
    // The label as bought, which need not be the one the spec is known by.
    label: described.label,
  };
}
