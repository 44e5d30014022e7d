'use client';

import type { ToldSale } from '@/core/selling/stall';
import { settleSaleAction } from '../../../selling/actions';
import { SellForm, type SellFormProps } from '../../../selling/SellForm';

/** The form of a sale of a stall, begun as it was told, to be entered as it really was. */
export function SettleForm({
  sale: { id, typed },
  ...rest
}: Omit<SellFormProps, 'told'> & { sale: Pick<ToldSale, 'id' | 'typed'> }) {
  return (
    <SellForm {...rest} told={{ id, typed, send: (key, values) => settleSaleAction(key, id, values) }} />
  );
}
