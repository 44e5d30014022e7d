import { randomUUID } from 'node:crypto';
import { expectOk } from '@/core/result';
import { parseLength } from '@/core/units/length';
import { parseMass } from '@/core/units/mass';
import { toCost } from '@/core/units/money';
import { lengthOfMass } from '@/core/wire/mass';
import { specKey } from '@/core/wire/spec';
import type { Tx } from '@/data/inStudio';
import { Movement, StockPiece, Supplier, WireLot, type StockForm } from '@/data/models/wire';
import { invalid, type Outcome } from '../kernel/outcome';
import { takeNumbers } from '../kernel/numbers';
import { readInput } from '../kernel/readInput';
import { ownerOnly, post, type StudioSession } from '../kernel/useCase';
import { readMoney } from '../settings/readMoney';
import { settingsIn } from '../settings/settings';
import { ReceiveWireInput } from './receiveWire.input';
import { specFromInput } from './specFromInput';
import { ensureSpec } from './specs';

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
    const { currency } = await settingsIn(tx);
    const price = readMoney('price', input.price, currency);
    const described = specFromInput(input);
    if (!described) throw invalid('gaugeNumber', `“${input.gaugeNumber}” is not a size.`);
    const spec = await ensureSpec(tx, described);
    const mass = input.mass === '' ? null : expectOk(parseMass(input.mass));
    const length =
      input.length === '' && mass !== null ? lengthOfMass(spec, mass) : expectOk(parseLength(input.length));
    if (length === 0) throw invalid('mass', `“${input.mass}” of this wire is no length worth keeping.`);

    const [lotId, stockPieceId] = [randomUUID(), randomUUID()];
    const number = await takeNumbers(tx, 'stock');
    await tx.add(WireLot, [
      {
        lotId,
        specId: spec.id,
        supplierId: await ensureSupplier(tx, input.supplier.trim()),
        boughtOn: input.boughtOn,
        // The label as bought, which need not be the one the spec is known by.
        gaugeSystem: described.label.system,
        gaugeNumber: described.label.number,
        lengthUm: length,
        massUg: mass,
        price,
        createdAt: session.now,
      },
    ]);
    const costUnits = toCost(price);
    await tx.add(StockPiece, [
      {
        stockPieceId,
        number,
        specId: spec.id,
        lotId,
        form: input.form as StockForm,
        initialLengthUm: length,
        lengthUm: length,
        costUnits,
        sortKey: specKey(spec),
        createdAt: session.now,
      },
    ]);
    await tx.add(Movement, [
      {
        postKey,
        happenedAt: session.now,
        userId: session.userId,
        kind: 'received',
        stockPieceId,
        lengthUm: length,
        costUnits,
        reason: '',
        lotId,
        pieceId: null,
      },
    ]);
    return { number };
  });
}

async function ensureSupplier(tx: Tx, name: string): Promise<string | null> {
  if (name === '') return null;
  const found = await tx.first<{ supplierId: string }>(
    'SELECT supplier_id AS "supplierId" FROM suppliers WHERE studio_id = $1 AND lower(name) = lower($2)',
    [tx.session.studioId, name],
  );
  if (found) return found.supplierId;
  const supplierId = randomUUID();
  await tx.add(Supplier, [{ supplierId, name }]);
  return supplierId;
}
