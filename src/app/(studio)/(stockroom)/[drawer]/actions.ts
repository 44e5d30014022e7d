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

export const receiveAction = action([aKey, aWare, aForm<object>()], (session, key, ware, input) =>
  RECEIVE[ware](session, key, input),
);

export const takeAction = action([aKey, aWare, aNumber, aForm<TakeOutInput>()], takeOut);

export const keepAction = action([aKey, aWare, aNumber, aForm<ChangeStockInput>()], changeStock);

export const countOutAction = action([aKey, aNumber, aForm<CountOutSetInput>()], countOutSet);

export const setAsideAction = action([aKey, aNumber, aForm<SetAsideInput>()], setAside);

export const traceStoneAction = action([aKey, aNumber, aForm<TraceStoneInput>()], traceStone);
