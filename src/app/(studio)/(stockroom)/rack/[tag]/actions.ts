'use server';

import { asMember } from '@/app/lib/member';
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

export async function partWireAction(number: number, key: string, input: PartWireInput) {
  return asMember((session) => partWire(session, key, number, input));
}

export async function takeWireAction(number: number, key: string, input: TakeOutInput) {
  return asMember((session) => takeOut(session, key, 'wire', number, input));
}

export async function twistWireAction(number: number, key: string, input: TwistWireInput) {
  return asMember((session) => twistWire(session, key, number, input));
}

export async function relabelWireAction(number: number, key: string, input: RelabelWireInput) {
  return asMember((session) => relabelWire(session, key, number, input));
}

export async function changeWireAction(number: number, key: string, input: ChangeStockInput) {
  return asMember((session) => changeStock(session, key, 'wire', number, input));
}

export async function weighInAction(number: number, key: string, input: WeighInInput) {
  return asMember((session) => weighIn(session, key, number, input));
}
