'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import { MakeTokenInput } from '@/studio/tokens/tokens.input';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField, TextField } from '@/ui/form/fields';
import { makeTokenAction } from '../actions';

const ROLES = [
  { value: 'helper', text: 'a helper: no costs, no prices' },
  { value: 'owner', text: 'the owner: everything' },
];

/** Makes a token, and shows it once. */
export function MakeToken() {
  const router = useRouter();
  const [token, setToken] = useState('');
  const send = useCallback((key: string, input: MakeTokenInput) => makeTokenAction(key, input), []);
  const onDone = useCallback(
    (made: string) => {
      setToken(made);
      router.refresh();
    },
    [router],
  );
  return (
    <div className="mt-3 border-t border-base-300 pt-3">
      <h3>A new token</h3>
      <ActForm
        key={token}
        input={MakeTokenInput}
        defaultValues={{ name: '', role: 'helper' }}
        send={send}
        onDone={onDone}
        action="Make the token"
        busy="Making …"
        className="mt-2 grid gap-3"
      >
        {(control) => (
          <>
            <TextField control={control} name="name" label="Name of the program" placeholder="Price list" />
            <ChoiceField control={control} name="role" label="It may see what is seen by" choices={ROLES} />
          </>
        )}
      </ActForm>
      <div aria-live="polite">
        {token && (
          <div className="mt-3 border-l-4 border-success bg-success/10 p-3">
            <p className="font-semibold">Copy the token now; it is not shown again.</p>
            <p className="mt-1 break-all">
              <code>{token}</code>
            </p>
          </div>
        )}
      </div>
    </div>
  );
}
