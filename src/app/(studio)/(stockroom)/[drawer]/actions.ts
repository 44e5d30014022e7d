'use server';

import { asMember } from '@/app/lib/member';
import { countOutSet } from '@/studio/drawers/countOutSet';
import type { CountOutSetInput } from '@/studio/drawers/countOutSet.input';
import type { DrawerWare } from '@/studio/drawers/drawers';
import { receiveBeads, receiveFindings, receiveStone, receiveSupply } from '@/studio/drawers/receive';
import { setAside } from '@/studio/drawers/setAside';
import type { SetAsideInput } from '@/studio/drawers/setAside.input';
import { changeStock } from '@/studio/stock/changeStock';
import type { ChangeStockInput } from '@/studio/stock/changeStock.input';
import { takeOut } from '@/studio/stock/takeOut';
import type { TakeOutInput } from '@/studio/stock/takeOut.input';

const RECEIVE = {
  bead: receiveBeads,
  stone: receiveStone,
  finding: receiveFindings,
  supply: receiveSupply,
} as const;

export async function receiveAction(ware: DrawerWare, key: string, input: object) {
  return asMember((session) => RECEIVE[ware](session, key, input));
}

export async function takeAction(ware: DrawerWare, number: number, key: string, input: TakeOutInput) {
  return asMember((session) => takeOut(session, key, ware, number, input));
}

export async function keepAction(ware: DrawerWare, number: number, key: string, input: ChangeStockInput) {
  return asMember((session) => changeStock(session, key, ware, number, input));
}

export async function countOutAction(number: number, key: string, input: CountOutSetInput) {
  return asMember((session) => countOutSet(session, key, number, input));
}

export async function setAsideAction(number: number, key: string, input: SetAsideInput) {
  return asMember((session) => setAside(session, key, number, input));
}
