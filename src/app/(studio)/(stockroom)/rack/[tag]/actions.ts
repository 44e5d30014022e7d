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

export const partWireAction = action([aKey, aNumber, aForm<PartWireInput>()], partWire);

export const takeWireAction = action([aKey, aNumber, aForm<TakeOutInput>()], (session, key, number, input) =>
  takeOut(session, key, 'wire', number, input),
);

export const twistWireAction = action([aKey, aNumber, aForm<TwistWireInput>()], twistWire);

export const relabelWireAction = action([aKey, aNumber, aForm<RelabelWireInput>()], relabelWire);

export const changeWireAction = action(
  [aKey, aNumber, aForm<ChangeStockInput>()],
  (session, key, number, input) => changeStock(session, key, 'wire', number, input),
);

export const weighInAction = action([aKey, aNumber, aForm<WeighInInput>()], weighIn);
