'use client';

import type { DefaultValues, FieldPath, FieldValues } from 'react-hook-form';
import { tag, TAG_PATHS } from '@/core/tag';
import type { PurchaseAgain } from '@/studio/deliveries/again';
import type { DrawerWare } from '@/studio/drawers/drawers';
import {
  ReceiveBeadsInput,
  ReceiveFindingsInput,
  ReceiveStoneInput,
  ReceiveSupplyInput,
} from '@/studio/drawers/receive.input';
import type { PurchaseFields } from '@/studio/stock/purchase.input';
import { ActForm } from '@/ui/form/ActForm';
import { againValues, PurchaseFieldset, type PurchaseHints } from '../../parts/PurchaseFieldset';
import { useDone } from '@/ui/useDone';
import { WareFields } from '../../parts/WareFields';
import { receiveAction } from '../actions';

interface ReceiveProps {
  readonly hints: PurchaseHints;
  /** What is bought once more. */
  readonly again: PurchaseAgain | null;
}

/** A form that takes something in: its own fields, then those of every purchase. */
function receiving<Values extends FieldValues & PurchaseFields>(ware: DrawerWare, input: new () => Values) {
  return function Receive({ hints, again }: ReceiveProps) {
    const onDone = useDone(
      ({ number }: { number: number }) => `Received: it is ${tag(ware, number)}. Write that on it.`,
      ({ number }) => `${TAG_PATHS[ware]}/${tag(ware, number)}`,
    );
    return (
      <ActForm
        input={input}
        defaultValues={againValues(ware, hints.today, again) as DefaultValues<Values>}
        send={(key, given: Values) => receiveAction(key, ware, given)}
        onDone={onDone}
        action="Put it in the drawer"
        busy="Posting …"
        quiet={false}
        className=""
      >
        {(control) => (
          <>
            <div className="grid gap-4 sm:grid-cols-3">
              <WareFields ware={ware} control={control} at={(name) => name as FieldPath<Values>} />
            </div>
            <PurchaseFieldset control={control} hints={hints} />
          </>
        )}
      </ActForm>
    );
  };
}

export const ReceiveBeads = receiving('bead', ReceiveBeadsInput);
export const ReceiveStone = receiving('stone', ReceiveStoneInput);
export const ReceiveFindings = receiving('finding', ReceiveFindingsInput);
export const ReceiveSupply = receiving('supply', ReceiveSupplyInput);
