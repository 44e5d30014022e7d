'use client';

import { useState } from 'react';
import { ReverseInput } from '@/studio/corrections/reverseMovement.input';
import { Dialog } from '@/ui/Dialog';
import { ActForm } from '@/ui/form/ActForm';
import { TextField } from '@/ui/form/fields';
import { useDone } from '@/ui/useDone';
import { reverseAction } from './actions';

/** Takes a movement back, with everything that was posted together with it. */
export function TakeBack({ movementId }: { movementId: number }) {
  const [open, setOpen] = useState(false);
  const done = useDone(({ movements }: { movements: number }) =>
    movements === 1
      ? 'It is taken back.'
      : `It is taken back: ${movements} movements that were posted together.`,
  );
  return (
    <>
      <button type="button" className="btn btn-ghost btn-sm min-h-11" onClick={() => setOpen(true)}>
        Take back
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} label="Take it back">
        <h2>Take it back?</h2>
        <p className="mt-1">
          Everything that was posted together with it is taken back with an entry of its own; nothing is
          rubbed out. A finished piece whose making is taken back leaves the shelf.
        </p>
        <div className="mt-3">
          <ActForm
            className=""
            input={ReverseInput}
            typedFor={`movement ${movementId}`}
            defaultValues={{ reason: '' }}
            send={(key, input) => reverseAction(key, movementId, input)}
            onDone={(value: { movements: number }) => {
              setOpen(false);
              done(value);
            }}
            action="Take it back"
            busy="Posting …"
          >
            {(control) => (
              <TextField control={control} name="reason" label="Why" placeholder="posted twice by mistake" />
            )}
          </ActForm>
        </div>
      </Dialog>
    </>
  );
}
