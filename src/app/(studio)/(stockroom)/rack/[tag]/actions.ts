'use server';

import { action } from '@/app/lib/action';
import type { ChangeStockInput } from '@/studio/stock/changeStock.input';
import { changeStock } from '@/studio/stock/changeStock';
import { takeOut } from '@/studio/stock/takeOut';
import type { TakeOutInput } from '@/studio/stock/takeOut.input';
import { partWire } from '@/studio/wire/partWire';
import type { PartWireInput } from '@/studio/wire/partWire.input';
import { relabelWire } from '@/studio/wire/relabelWire';
import type { RelabelWireInput } from '@/studio/wire/relabelWire.input';
import { twistWire } from '@/studio/wire/twistWire';
import type { TwistWireInput } from '@/studio/wire/twistWire.input';
import { weighIn } from '@/studio/wire/weighIn';
import type { WeighInInput } from '@/studio/wire/weighIn.input';
import { aForm, aKey, aNumber } from '@/studio/kernel/arguments';

export const partWireAction = action([aNumber, aKey, aForm<PartWireInput>()], (session, number, key, input) =>
  partWire(session, key, number, input),
);

export const takeWireAction = action([aNumber, aKey, aForm<TakeOutInput>()], (session, number, key, input) =>
  takeOut(session, key, 'wire', number, input),
);

export const twistWireAction = action(
  [aNumber, aKey, aForm<TwistWireInput>()],
  (session, number, key, input) => twistWire(session, key, number, input),
);

export const relabelWireAction = action(
  [aNumber, aKey, aForm<RelabelWireInput>()],
  (session, number, key, input) => relabelWire(session, key, number, input),
);

export const changeWireAction = action(
  [aNumber, aKey, aForm<ChangeStockInput>()],
  (session, number, key, input) => changeStock(session, key, 'wire', number, input),
);

export const weighInAction = action([aNumber, aKey, aForm<WeighInInput>()], (session, number, key, input) =>
  weighIn(session, key, number, input),
);
