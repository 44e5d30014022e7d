'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { Dialog } from '../Dialog';
import type { TraceStoneProps } from './Tracing';

const TITLE = 'Trace a stone over a photograph';

/** It comes when a stone is traced. */
const Tracing = dynamic(() => import('./Tracing').then((loaded) => loaded.Tracing), {
  ssr: false,
  loading: () => <p className="muted">Opening …</p>,
});

/** Traces a freeform stone over a photograph of it, beside something whose length is known. */
export function TraceStone({ name, onTraced }: TraceStoneProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn btn-sm min-h-11" onClick={() => setOpen(true)}>
        Trace it over a photograph
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} label={TITLE} isWide staysOpen>
        <h2>{TITLE}</h2>
        <Tracing
          name={name}
          onLeave={() => setOpen(false)}
          onTraced={(texts) => {
            onTraced(texts);
            setOpen(false);
          }}
        />
      </Dialog>
    </>
  );
}
