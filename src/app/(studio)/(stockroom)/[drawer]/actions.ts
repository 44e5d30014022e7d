'use server';

import { action } from '@/app/lib/action';
import { countOutSet } from '@/studio/drawers/countOutSet';
import type { CountOutSetInput } from '@/studio/drawers/countOutSet.input';
import { receiveBeads, receiveFindings, receiveStone, receiveSupply } from '@/studio/drawers/receive';
import { setAside } from '@/studio/drawers/setAside';
import type { SetAsideInput } from '@/studio/drawers/setAside.input';
import { traceStone } from '@/studio/drawers/traceStone';
import type { TraceStoneInput } from '@/studio/drawers/traceStone.input';
import { changeStock } from '@/studio/stock/changeStock';
import type { ChangeStockInput } from '@/studio/stock/changeStock.input';
import { takeOut } from '@/studio/stock/takeOut';
import type { TakeOutInput } from '@/studio/stock/takeOut.input';
import { aForm, aKey, aNumber, anyOf } from '@/studio/kernel/arguments';

const RECEIVE = {
  bead: receiveBeads,
  stone: receiveStone,
  finding: receiveFindings,
  supply: receiveSupply,
} as const;

const aWare = anyOf(['bead', 'stone', 'finding', 'supply']);

export const receiveAction = action([aWare, aKey, aForm<object>()], (session, ware, key, input) =>
  RECEIVE[ware](session, key, input),
);

export const takeAction = action(
  [aWare, aNumber, aKey, aForm<TakeOutInput>()],
  (session, ware, number, key, input) => takeOut(session, key, ware, number, input),
);

export const keepAction = action(
  [aWare, aNumber, aKey, aForm<ChangeStockInput>()],
  (session, ware, number, key, input) => changeStock(session, key, ware, number, input),
);

export const countOutAction = action(
  [aNumber, aKey, aForm<CountOutSetInput>()],
  (session, number, key, input) => countOutSet(session, key, number, input),
);

export const setAsideAction = action([aNumber, aKey, aForm<SetAsideInput>()], (session, number, key, input) =>
  setAside(session, key, number, input),
);

export const traceStoneAction = action(
  [aNumber, aKey, aForm<TraceStoneInput>()],
  (session, number, key, input) => traceStone(session, key, number, input),
);
