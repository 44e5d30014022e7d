import { OctagonAlert, ScanEye } from 'lucide-react';
import { Said } from '../house';
import type { PatternStep } from '@/core/pattern/pattern';

/** What a step is when it is no work: something to look at, or something that nothing goes on before. */
export function StepMark({ kind }: { kind: NonNullable<PatternStep['kind']> }) {
  const Icon = kind === 'stop' ? OctagonAlert : ScanEye;
  return (
    <>
      <span className="inline-flex items-center gap-1 font-semibold">
        <Icon size={16} aria-hidden="true" /> {kind === 'stop' ? 'Stop:' : 'Check:'}
      </span>{' '}
    </>
  );
}

/** The steps of a pattern as they are worked: with what must have happened before each, and what to take care of. */
export function OrderOfWork({ steps }: { steps: readonly PatternStep[] }) {
  if (steps.length === 0) return <p className="muted mt-2">No steps are written.</p>;
  return (
    <ol className="mt-2 list-decimal space-y-1 pl-5" aria-label="Order of work">
      {steps.map(({ name, minutes, perSitting, kind, stops = [], cautions = [] }, index) => (
        <li key={index}>
          {kind && <StepMark kind={kind} />}
          <Said>{name}</Said>{' '}
          <span className="muted">
            · <Said>{String(minutes)}</Said> min{perSitting && ', once a sitting'}
          </span>
          {stops.map((stop) => (
            <p
              key={stop}
              className="flex gap-1.5 border-l-4 border-base-content pl-1.5 text-sm font-semibold"
            >
              <OctagonAlert size={16} aria-hidden="true" className="mt-0.5 shrink-0" /> <Said>{stop}</Said>
            </p>
          ))}
          {cautions.map((caution) => (
            <p key={caution} className="muted text-sm">
              <Said>{caution}</Said>
            </p>
          ))}
        </li>
      ))}
    </ol>
  );
}
